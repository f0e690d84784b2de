package org.ulnaris.app.stock;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnContactRepository extends JpaRepository<OwnContact, Long> {
    List<OwnContact> findAllByOrderByCode();

    Optional<OwnContact> findByCode(String code);
}
