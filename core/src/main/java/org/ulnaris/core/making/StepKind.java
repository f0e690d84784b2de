package org.ulnaris.core.making;

import java.util.List;
import java.util.Locale;

/** The steps of building a cable, in working order. Steps of an end come once for each end. */
public enum StepKind {
    CHECK(Scope.CABLE, List.of(Caution.ISOLATE)),
    CUT(Scope.CABLE, List.of(Caution.CUTTING_EDGE), ReadingKind.CUT_LENGTH),
    THREAD(Scope.CABLE, List.of()),
    SHEATH(Scope.END, List.of(Caution.CUTTING_EDGE)),
    STRIP(Scope.END, List.of(Caution.CUTTING_EDGE), ReadingKind.STRIP_LENGTH),
    STRANDS(Scope.END, List.of(), ReadingKind.STRANDS_LOST),
    TRIAL_FIT(Scope.END, List.of()),
    /** Of aluminium strands: brushed bright, greased, pushed in at once. */
    BRUSH(Scope.END, List.of()),
    CLOCK(Scope.END, List.of()),
    ORIENT(Scope.END, List.of()),
    CRIMP(Scope.END, List.of(Caution.PINCH)),
    SOLDER(Scope.END, List.of(Caution.HOT_WORK)),
    MEASURE(Scope.END, List.of(), ReadingKind.ACROSS_FLATS_1, ReadingKind.ACROSS_FLATS_2),
    GAP(Scope.END, List.of(), ReadingKind.CRIMP_GAP),
    LOOK(
            Scope.END,
            List.of(),
            ReadingKind.LOOK_INDEX,
            ReadingKind.LOOK_CRACKS,
            ReadingKind.LOOK_FINS,
            ReadingKind.LOOK_STRAIGHT,
            ReadingKind.LOOK_WINDOW),
    PULL(Scope.END, List.of(Caution.PULL_RELEASE), ReadingKind.PULL_FORCE, ReadingKind.HOLD_TIME),
    SEAT(Scope.END, List.of()),
    NUT(Scope.END, List.of()),
    SHRINK(Scope.END, List.of(Caution.HOT_WORK)),
    LABEL(Scope.CABLE, List.of()),
    LAND(Scope.LANDING, List.of(Caution.LIVE_STUD)),
    TORQUE(Scope.LANDING, List.of(Caution.LIVE_STUD, Caution.STAINLESS), ReadingKind.TORQUE),
    WITNESS(Scope.LANDING, List.of(), ReadingKind.WITNESS_MARK),
    MATE(Scope.LANDING, List.of(Caution.LIVE_STUD));

    /** What a step is done to. */
    public enum Scope {
        CABLE,
        END,
        LANDING
    }

    private final Scope scope;
    private final List<Caution> cautions;
    private final List<ReadingKind> readings;

    StepKind(Scope scope, List<Caution> cautions, ReadingKind... readings) {
        this.scope = scope;
        this.cautions = cautions;
        this.readings = List.of(readings);
    }

    public Scope scope() {
        return scope;
    }

    /** What can hurt. */
    public List<Caution> cautions() {
        return cautions;
    }

    /** Readings that the step takes. */
    public List<ReadingKind> readings() {
        return readings;
    }

    String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
