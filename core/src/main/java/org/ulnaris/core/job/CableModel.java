package org.ulnaris.core.job;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.Clocking;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.making.Side;

/**
 * A cable of a job with both its ends.
 *
 * @param tag its name, unique in the job
 * @param points where it goes
 * @param pole which pole it belongs to
 * @param typedA continuous current as it was typed, A; empty where it comes from the loads
 * @param laying what decides its size beside current and length
 * @param way how it runs
 * @param outerMm measured outside diameter, mm; empty for the estimate
 * @param chosenSize designation of a size chosen by hand; null for the proposal
 * @param extraJoints splices and other joints beside its two ends
 * @param a the A end
 * @param b the B end
 */
public record CableModel(
        String tag,
        Points points,
        Pole pole,
        OptionalDouble typedA,
        Run.Laying laying,
        Way way,
        OptionalDouble outerMm,
        @Nullable String chosenSize,
        int extraJoints,
        EndModel a,
        EndModel b) {
    public CableModel {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(points, "points");
        Objects.requireNonNull(pole, "pole");
        Objects.requireNonNull(laying, "laying");
        Objects.requireNonNull(way, "way");
        Objects.requireNonNull(a, "a");
        Objects.requireNonNull(b, "b");
    }

    /**
     * Where a cable goes, as it was written: terminals, or names that are none.
     *
     * @param from its A end
     * @param to its B end
     */
    public record Points(String from, String to) {
        /** What is written at an end. */
        public String at(Side side) {
            return side == Side.A ? from : to;
        }

        /** The terminal at an end, where it is one's name. */
        public Optional<Terminal> terminal(Side side) {
            return Terminal.read(at(side));
        }
    }

    /**
     * How a cable runs.
     *
     * @param lengthM stud to stud along the route, m
     * @param route leg by leg; empty where only its length was given
     * @param slackMm spare to cut, mm
     * @param clockDeg angle of the B lug to the A lug as it was typed, °; empty where it follows from route and studs
     */
    public record Way(double lengthM, Optional<CableRoute> route, double slackMm, OptionalDouble clockDeg) {}

    public EndModel end(Side side) {
        return side == Side.A ? a : b;
    }

    /** The same cable in a size chosen by hand; null for the proposal. */
    public CableModel sized(@Nullable String designation) {
        return new CableModel(tag, points, pole, typedA, laying, way, outerMm, designation, extraJoints, a, b);
    }

    /** The angle between the lugs that follows from route and studs, °; empty while they do not say enough. */
    public OptionalDouble clockByRouteDeg() {
        List<Heading> legs = headings();
        Heading studA = a.studPoints();
        Heading studB = b.studPoints();
        return legs.isEmpty() || studA == null || studB == null
                ? OptionalDouble.empty()
                : new Clocking(legs, studA, studB).degrees();
    }

    /** The angle between the lugs: what was typed, else what follows from the route, else 0°. */
    public double clockDeg() {
        return way.clockDeg().orElseGet(() -> clockByRouteDeg().orElse(0));
    }

    /** Angle between surface and cable at an end; empty where the route does not say. */
    public OptionalInt leavingDeg(Side side) {
        List<Heading> legs = headings();
        Heading stud = end(side).studPoints();
        if (legs.isEmpty() || stud == null) {
            return OptionalInt.empty();
        }
        Heading leaving =
                side == Side.A ? legs.get(0) : legs.get(legs.size() - 1).opposite();
        return Clocking.angleDeg(leaving, stud);
    }

    private List<Heading> headings() {
        return way.route().map(CableRoute::headings).orElse(List.of());
    }
}
