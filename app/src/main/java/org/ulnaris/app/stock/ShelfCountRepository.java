package org.ulnaris.app.stock;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShelfCountRepository extends JpaRepository<ShelfCount, String> {}
