package org.ulnaris.core.worked;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.making.StepKind;

/** The places of an end, from its outside inwards: where a finding about the end is shown. */
public enum EndPart {
    /** Where it lands: the stud with its hardware and its room; the mating face of a connector. */
    STUD,
    /** The lug or contact itself. */
    LUG,
    /** The crimp with its dies and tool. */
    CRIMP,
    /** The bared strands: of them only readings speak. */
    STRIP,
    /** The heat-shrink. */
    SLEEVE;

    private static final Set<FindingCode> AT_THE_STUD = EnumSet.of(
            FindingCode.TERMINAL_LUGS,
            FindingCode.THIN_RING,
            FindingCode.TERMINAL_METAL,
            FindingCode.TERMINAL_STAINLESS,
            FindingCode.BAR_LUGS,
            FindingCode.PAD_CLEARANCE,
            FindingCode.NEIGHBOUR_GAP,
            FindingCode.HEADROOM,
            FindingCode.STUD_LENGTH,
            FindingCode.SHARED_STUD,
            FindingCode.STACK_TORQUE,
            FindingCode.POST_TORQUE,
            FindingCode.PRELOAD,
            FindingCode.WASHER_PRESSURE,
            FindingCode.CONTACT_MATE,
            FindingCode.CONTACT_OPEN,
            FindingCode.CONTACT_SEAL);
    private static final Set<FindingCode> AT_THE_CRIMP = EnumSet.of(
            FindingCode.COMPACTION,
            FindingCode.CRIMP_COUNT,
            FindingCode.DIE_MATERIAL,
            FindingCode.DIE_MISSING,
            FindingCode.CRIMP_FORCE,
            FindingCode.SPIKE_DEPTH,
            FindingCode.CONTACT_DIE,
            FindingCode.SOLDER_JOINT);

    /** The place that {@code said} speaks of; the lug where it speaks of the end as a whole. */
    public static EndPart of(JobFinding said) {
        return switch (said.topic()) {
            case WIRING, TERMINAL -> STUD;
            case TOOL -> CRIMP;
            case MADE -> read(said.finding().code());
            default -> inEnd(said.finding().code());
        };
    }

    /** The place that a step of the making is done to; empty for what is done to the whole cable. */
    public static Optional<EndPart> of(StepKind step) {
        return switch (step) {
            case CHECK, CUT, THREAD, LABEL -> Optional.empty();
            case SHEATH, STRIP, STRANDS, BRUSH, GAP -> Optional.of(STRIP);
            case TRIAL_FIT, CLOCK, ORIENT, SEAT, NUT -> Optional.of(LUG);
            case CRIMP, SOLDER, MEASURE, LOOK, PULL -> Optional.of(CRIMP);
            case SHRINK -> Optional.of(SLEEVE);
            case LAND, TORQUE, WITNESS, MATE -> Optional.of(STUD);
        };
    }

    /** The place where the step that takes a reading is done. */
    private static EndPart read(FindingCode code) {
        return Stream.of(StepKind.values())
                .filter(step -> step.readings().stream().anyMatch(kind -> kind.code() == code))
                .flatMap(step -> of(step).stream())
                .findFirst()
                .orElse(CRIMP);
    }

    private static EndPart inEnd(FindingCode code) {
        if (AT_THE_STUD.contains(code)) {
            return STUD;
        }
        if (AT_THE_CRIMP.contains(code)) {
            return CRIMP;
        }
        return code == FindingCode.SHRINK_FIT ? SLEEVE : LUG;
    }
}
