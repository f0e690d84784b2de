package org.ulnaris.app.job;

import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.termination.Place;

/** What a job is for, with the rule set that is usual there. */
public enum JobKind {
    MOBILE(RuleSet.CFR_183_425, Place.VEHICLE),
    MARINE(RuleSet.CFR_183_425, Place.BOAT),
    OFF_GRID(RuleSet.NEC_FREE_AIR, Place.CABIN);

    private final RuleSet usualRuleSet;
    private final Place place;

    JobKind(RuleSet usualRuleSet, Place place) {
        this.usualRuleSet = usualRuleSet;
        this.place = place;
    }

    public RuleSet usualRuleSet() {
        return usualRuleSet;
    }

    /** Where its cables work. */
    public Place place() {
        return place;
    }
}
