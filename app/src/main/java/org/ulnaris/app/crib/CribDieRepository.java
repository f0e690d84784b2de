package org.ulnaris.app.crib;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CribDieRepository extends JpaRepository<CribDie, Long> {
    List<CribDie> findAllByOrderByAcrossFlatsMmAscTagAsc();

    Optional<CribDie> findByTag(String tag);
}
