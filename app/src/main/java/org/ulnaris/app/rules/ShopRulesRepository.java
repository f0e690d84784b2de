package org.ulnaris.app.rules;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShopRulesRepository extends JpaRepository<ShopRules, Long> {}
