package org.ulnaris.core.termination;

import java.util.Objects;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.measure.Range;

/**
 * Where a lug goes.
 *
 * @param stud the stud
 * @param clearWidthMm room between walls, mm; empty when nothing limits it
 * @param studLengthMm free length of the stud above the surface, mm; empty when not known
 * @param around what else stands around it
 */
public record Landing(Stud stud, OptionalDouble clearWidthMm, OptionalDouble studLengthMm, Around around) {
    public static final Range CLEAR_WIDTH_MM = new Range(0, 500);
    public static final Range STUD_LENGTH_MM = new Range(0, 200);

    public Landing {
        Objects.requireNonNull(stud, "stud");
        Objects.requireNonNull(around, "around");
        clearWidthMm.ifPresent(w -> CLEAR_WIDTH_MM.check("clearWidthMm", w));
        studLengthMm.ifPresent(l -> STUD_LENGTH_MM.check("studLengthMm", l));
    }

    /** A landing of which only the stud is known. */
    public static Landing on(Stud stud) {
        return new Landing(stud, OptionalDouble.empty(), OptionalDouble.empty(), Around.NOTHING);
    }

    /** The same landing with the angle between surface and cable where it leaves, °. */
    public Landing leavingAt(OptionalInt angleDeg) {
        Around turned = new Around(
                around.leaveDeg(),
                around.wallReachMm(),
                around.neighbourMm(),
                around.headroomMm(),
                around.secondStudMm(),
                angleDeg);
        return new Landing(stud, clearWidthMm, studLengthMm, turned);
    }

    /**
     * What stands around a stud.
     *
     * @param leaveDeg by how much the cable leaves turned from the middle line between the walls, towards the neighbour, °
     * @param wallReachMm how far the walls run from the centre of the stud along the cable, mm; empty when beside the pad only
     * @param neighbourMm centre of the next stud across, mm; empty when none is near
     * @param headroomMm room above the surface, mm; empty when nothing limits it
     * @param secondStudMm centre of a second stud of the same terminal, away from the cable, mm; empty when there is one only
     * @param angleDeg angle between surface and cable where it leaves: 0 flat, 90 along the stud; empty when not known
     */
    public record Around(
            double leaveDeg,
            OptionalDouble wallReachMm,
            OptionalDouble neighbourMm,
            OptionalDouble headroomMm,
            OptionalDouble secondStudMm,
            OptionalInt angleDeg) {
        public static final Range LEAVE_DEG = Range.from(-90, 90);
        public static final Range WALL_REACH_MM = new Range(0, 500);
        public static final Range NEIGHBOUR_MM = new Range(0, 500);
        public static final Range HEADROOM_MM = new Range(0, 500);
        public static final Range SECOND_STUD_MM = LugForm.Holes.PITCH_MM;

        public static final Around NOTHING = new Around(
                0,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.empty());

        public Around {
            LEAVE_DEG.check("leaveDeg", leaveDeg);
            wallReachMm.ifPresent(reach -> WALL_REACH_MM.check("wallReachMm", reach));
            neighbourMm.ifPresent(neighbour -> NEIGHBOUR_MM.check("neighbourMm", neighbour));
            headroomMm.ifPresent(room -> HEADROOM_MM.check("headroomMm", room));
            secondStudMm.ifPresent(second -> SECOND_STUD_MM.check("secondStudMm", second));
        }
    }
}
