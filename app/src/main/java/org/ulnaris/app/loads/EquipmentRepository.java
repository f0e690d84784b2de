package org.ulnaris.app.loads;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface EquipmentRepository extends JpaRepository<Equipment, Long> {
    List<Equipment> findByJobIdAndDeletedAtIsNullOrderById(long jobId);
}
