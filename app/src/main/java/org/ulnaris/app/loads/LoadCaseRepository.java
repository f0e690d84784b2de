package org.ulnaris.app.loads;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LoadCaseRepository extends JpaRepository<LoadCase, Long> {
    List<LoadCase> findByJobIdAndDeletedAtIsNullOrderById(long jobId);
}
