package org.ulnaris.app.match;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.ulnaris.core.making.Side;

interface EndSpecRepository extends JpaRepository<EndSpec, Long> {
    List<EndSpec> findByCableIdIn(Collection<Long> cableIds);

    Optional<EndSpec> findByCableIdAndSide(long cableId, Side side);
}
