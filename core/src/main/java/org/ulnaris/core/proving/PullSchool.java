package org.ulnaris.core.proving;

import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;

/** Whose pull-out force is held against. */
public enum PullSchool {
    /** UL 486A-486B, land. */
    UL_486,
    /** Small-craft tensile table, held 1 min. */
    MARINE,
    /** IEC 61238-1: 60 N per mm² of copper, 20 kN at most. */
    IEC_61238;

    /** As the house says; else the small-craft table afloat, UL on land. */
    public static PullSchool of(Practices practices, boolean afloat) {
        return switch (practices.of(Practice.PULL)) {
            case "SMALL_CRAFT" -> MARINE;
            case "LAND" -> UL_486;
            case "BY_AREA" -> IEC_61238;
            default -> afloat ? MARINE : UL_486;
        };
    }
}
