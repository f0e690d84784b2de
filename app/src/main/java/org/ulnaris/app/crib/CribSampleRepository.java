package org.ulnaris.app.crib;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface CribSampleRepository extends JpaRepository<CribSample, Long> {
    List<CribSample> findByDeletedAtIsNullOrderByDetailsMadeDescIdDesc();

    List<CribSample> findByDetailsToolAndDeletedAtIsNullOrderByDetailsMadeDescIdDesc(String tool);
}
