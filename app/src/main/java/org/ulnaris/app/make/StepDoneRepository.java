package org.ulnaris.app.make;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StepDoneRepository extends JpaRepository<StepDone, Long> {
    List<StepDone> findByCableIdIn(Collection<Long> cableIds);

    /** Those of some cables of which a step is done or something is read. */
    @Query(
            nativeQuery = true,
            value = "select cable_id from step_done where cable_id in (:cableIds)"
                    + " union select cable_id from reading where cable_id in (:cableIds)")
    List<Long> begun(Collection<Long> cableIds);
}
