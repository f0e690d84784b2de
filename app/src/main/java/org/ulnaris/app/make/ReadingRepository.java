package org.ulnaris.app.make;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadingRepository extends JpaRepository<Reading, Long> {
    List<Reading> findByCableIdInOrderById(Collection<Long> cableIds);
}
