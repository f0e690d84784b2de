package org.ulnaris.app.crib;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CribDieRepository extends JpaRepository<CribDie, Long> {
    List<CribDie> findAllByOrderByDetailsShapeAscDetailsAcrossFlatsMmAscDetailsTagAsc();

    Optional<CribDie> findByDetailsTagIgnoreCase(String tag);

    List<CribDie> findByInTool(String tool);
}
