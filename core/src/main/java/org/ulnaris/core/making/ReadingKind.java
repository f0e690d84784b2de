package org.ulnaris.core.making;

import java.util.stream.Stream;
import org.ulnaris.core.finding.FindingCode;
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
    WITNESS_MARK(null),
    LOOK_INDEX(null),
    LOOK_CRACKS(null),
    LOOK_FINS(null),
    LOOK_STRAIGHT(null),
    LOOK_WINDOW(null);

    private final @org.jspecify.annotations.Nullable Unit unit;

    ReadingKind(@org.jspecify.annotations.Nullable Unit unit) {
        this.unit = unit;
    }

    /** Whether it is answered by yes or no. */
    public boolean yesOrNo() {
        return this == WITNESS_MARK || look();
    }

    /** Whether it is what the eye sees of a finished crimp. */
    public boolean look() {
        return name().startsWith("LOOK_");
    }

    /** What it is judged as. */
    public FindingCode code() {
        return switch (this) {
            case ACROSS_FLATS_1, ACROSS_FLATS_2 -> FindingCode.ACROSS_FLATS;
            default -> FindingCode.valueOf(name());
        };
    }

    /** Whether a finding of {@code code} is a reading judged. */
    public static boolean reads(FindingCode code) {
        return Stream.of(values()).anyMatch(kind -> kind.code() == code);
    }

    /** The unit of the reading; null for counts and ticks. */
    public @org.jspecify.annotations.Nullable Unit unit() {
        return unit;
    }
}
