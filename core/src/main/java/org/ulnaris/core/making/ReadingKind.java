package org.ulnaris.core.making;

import org.ulnaris.core.measure.Unit;

/** A reading that the trade takes, with the unit that a bare number means at the bench. */
public enum ReadingKind {
    CUT_LENGTH(Unit.MM),
    STRIP_LENGTH(Unit.MM),
    STRANDS_LOST(null),
    ACROSS_FLATS_1(Unit.MM),
    ACROSS_FLATS_2(Unit.MM),
    CRIMP_GAP(Unit.MM),
    PULL_FORCE(Unit.NEWTON),
    HOLD_TIME(Unit.SECOND),
    TORQUE(Unit.NEWTON_METRE),
    WITNESS_MARK(null);

    private final @org.jspecify.annotations.Nullable Unit unit;

    ReadingKind(@org.jspecify.annotations.Nullable Unit unit) {
        this.unit = unit;
    }

    /** The unit of the reading; null for counts and ticks. */
    public @org.jspecify.annotations.Nullable Unit unit() {
        return unit;
    }
}
