package org.ulnaris.app.job;

import org.ulnaris.core.rating.RuleSet;

/** What a job is for, with the rule set that is usual there. */
public enum JobKind {
    MOBILE(RuleSet.CFR_183_425),
    MARINE(RuleSet.CFR_183_425),
    OFF_GRID(RuleSet.NEC_FREE_AIR);

    private final RuleSet usualRuleSet;

    JobKind(RuleSet usualRuleSet) {
        this.usualRuleSet = usualRuleSet;
    }

    public RuleSet usualRuleSet() {
        return usualRuleSet;
    }
}
