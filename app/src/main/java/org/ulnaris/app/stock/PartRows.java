package org.ulnaris.app.stock;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.repository.NoRepositoryBean;

/** Parts of one kind that the person entered. */
@NoRepositoryBean
interface PartRows<E extends PartRow<?>> extends JpaRepository<E, Long> {
    List<E> findAllByOrderByCode();

    Optional<E> findByCode(String code);
}
