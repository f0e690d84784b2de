package org.ulnaris.app.crib;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CribToolRepository extends JpaRepository<CribTool, Long> {
    List<CribTool> findAllByOrderByDetailsKindAscDetailsTagAsc();

    Optional<CribTool> findByDetailsTagIgnoreCase(String tag);
}
