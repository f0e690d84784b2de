package org.ulnaris.core.proving;

/** Whose pull-out force is held against. */
public enum PullSchool {
    /** UL 486A-486B, land. */
    UL_486,
    /** Small-craft tensile table, held 1 min. */
    MARINE,
    /** IEC 61238-1: 60 N per mm² of copper, 20 kN at most. */
    IEC_61238
}
