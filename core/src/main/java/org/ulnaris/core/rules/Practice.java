package org.ulnaris.core.rules;

import java.util.List;

/** Where the trade has schools that change what is done at the bench: each with its options, the usual one first (common practice). */
public enum Practice {
    /** Strands of fine rope cable before they go into a heavy lug. */
    LAY("DRESS", "LEAVE"),
    /** How the press goes through a crimp. */
    PASSES("ONE", "QUARTER_TURN"),
    /** How contacts are joined. */
    SOLDER("CRIMP_ONLY", "CRIMP_THEN_SOLDER", "SOLDER_FILLED"),
    /** How open-barrel contacts are formed. */
    FORMING("PROPER_TOOL", "STAGES"),
    /** What goes between the faces. */
    PASTE("NONE", "CONDUCTIVE"),
    /** The retaining pin between two stackable shells. */
    PIN("BOOT", "NEVER", "ALWAYS"),
    /** What studs and nuts are taken to be made of. */
    STEEL("HIGH_TENSILE", "STAINLESS_70", "MILD"),
    /** How their threads turn. */
    THREADS("DRY", "OILED"),
    /** Clicks of the torque wrench. */
    CLICKS("ONE", "TWO"),
    /** Where the witness line goes. */
    WITNESS("NUT_AND_LANDING", "NUT"),
    /** Whose table tells the pull-out force. */
    PULL("BY_KIND", "SMALL_CRAFT", "LAND", "BY_AREA"),
    /** What tells whether lug and dies belong together. */
    MARKS("MARKS", "COMPUTED", "BOTH"),
    /** Tools that press a spike. */
    SPIKES("WITH_SAMPLE", "REFUSED"),
    /** Tools that can be opened before the dies have met. */
    STROKE("WATCHED", "FULL_ONLY"),
    /** What shrinks the sleeve. */
    HEAT("GUN", "FLAME");

    private final List<String> options;

    Practice(String... options) {
        this.options = List.of(options);
    }

    /** Its options; the usual one first. */
    public List<String> options() {
        return options;
    }

    public String usual() {
        return options.get(0);
    }
}
