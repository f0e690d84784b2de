package org.ulnaris.app.undo;

import org.springframework.data.jpa.repository.JpaRepository;

interface LastStepRepository extends JpaRepository<LastStep, String> {}
