package org.ulnaris.app.stock;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MeasuredLugRepository extends JpaRepository<MeasuredLug, Long> {
    List<MeasuredLug> findAllByOrderByCode();

    Optional<MeasuredLug> findByCode(String code);
}
