package org.ulnaris.core.proving;

import java.util.Optional;
import org.ulnaris.core.finding.FindingCode;

/** What to try first about a reading that stops, before anything is cut off (common practice). */
public enum Remedy {
    CUT_ANEW,
    STRIP_THE_REST,
    TRIM_THE_STRANDS,
    CUT_BACK_STRANDS,
    CLOSE_THE_DIES,
    CHECK_THE_DIES,
    WIRE_CREPT,
    PULL_ON,
    HOLD_ON,
    TIGHTEN_ON,
    LOOK_AT_THE_STUD,
    FILE_THE_FINS,
    PRESS_WITH_AN_INDEX,
    BEGIN_ANEW;

    /** For a reading of {@code code} that read {@code figure} where {@code limit} was asked for; empty where there is none. */
    public static Optional<Remedy> of(FindingCode code, double figure, double limit) {
        boolean high = figure > limit;
        return Optional.ofNullable(
                switch (code) {
                    case CUT_LENGTH -> CUT_ANEW;
                    case STRIP_LENGTH -> high ? TRIM_THE_STRANDS : STRIP_THE_REST;
                    case STRANDS_LOST -> CUT_BACK_STRANDS;
                    case ACROSS_FLATS -> high ? CLOSE_THE_DIES : CHECK_THE_DIES;
                    case CRIMP_GAP -> WIRE_CREPT;
                    case PULL_FORCE -> PULL_ON;
                    case HOLD_TIME -> HOLD_ON;
                    case TORQUE -> high ? LOOK_AT_THE_STUD : TIGHTEN_ON;
                    case LOOK_FINS -> FILE_THE_FINS;
                    case LOOK_INDEX -> PRESS_WITH_AN_INDEX;
                    case LOOK_CRACKS, LOOK_STRAIGHT, LOOK_WINDOW -> BEGIN_ANEW;
                    default -> null;
                });
    }
}
