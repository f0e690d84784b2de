package org.ulnaris.app.make;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface RedoRepository extends JpaRepository<Redo, Long> {
    List<Redo> findByCableIdInOrderById(Collection<Long> cableIds);
}
