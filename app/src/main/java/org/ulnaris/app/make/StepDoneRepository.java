package org.ulnaris.app.make;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface StepDoneRepository extends JpaRepository<StepDone, Long> {
    List<StepDone> findByCableIdIn(Collection<Long> cableIds);
}
