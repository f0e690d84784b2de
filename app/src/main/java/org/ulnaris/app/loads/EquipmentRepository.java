package org.ulnaris.app.loads;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EquipmentRepository extends JpaRepository<Equipment, Long> {
    List<Equipment> findByJobIdAndDeletedAtIsNullOrderById(long jobId);

    @Query("select one from Equipment one where locate(:part, upper(one.details.tag)) > 0 and one.deletedAt is null"
            + " order by one.jobId desc, one.id")
    List<Equipment> named(String part, Limit limit);
}
