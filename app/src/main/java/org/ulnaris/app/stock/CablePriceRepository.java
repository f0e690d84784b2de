package org.ulnaris.app.stock;

import org.springframework.data.jpa.repository.JpaRepository;

interface CablePriceRepository extends JpaRepository<CablePrice, String> {}
