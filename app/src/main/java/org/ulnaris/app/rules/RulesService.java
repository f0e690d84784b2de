package org.ulnaris.app.rules;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.ShopDefaults;
import org.ulnaris.app.shell.Words;

/** Keeps the shop's rules. */
@Service
@Transactional
public class RulesService implements ShopDefaults {
    private final ShopRulesRepository shop;

    RulesService(ShopRulesRepository shop) {
        this.shop = shop;
    }

    @Override
    @Transactional(readOnly = true)
    public JobRules rules() {
        return shop.findById(ShopRules.ONLY).map(ShopRules::rules).orElse(JobRules.USUAL);
    }

    public void change(JobRules rules) {
        ShopRules row = shop.findById(ShopRules.ONLY).orElseGet(() -> new ShopRules(rules));
        row.change(rules);
        shop.saveAndFlush(row);
    }

    /** What each rule is called, by its field, in the order of the page. */
    public static Map<String, String> names(Words words) {
        Map<String, String> names = new LinkedHashMap<>();
        RuleSheet.of(words).forEach(sheet -> sheet.rules().forEach(rule -> names.put(rule.field(), rule.label())));
        return names;
    }
}
