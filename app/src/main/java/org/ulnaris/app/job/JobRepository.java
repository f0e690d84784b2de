package org.ulnaris.app.job;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface JobRepository extends JpaRepository<Job, Long> {
    List<Job> findByDeletedAtIsNullOrderByCreatedAtDescIdDesc();
}
