package org.ulnaris.app.make;

import org.springframework.data.jpa.repository.JpaRepository;

interface BuildRepository extends JpaRepository<Build, Long> {}
