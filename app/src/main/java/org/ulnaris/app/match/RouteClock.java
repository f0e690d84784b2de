package org.ulnaris.app.match;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.Clocking;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.making.Side;

/**
 * How the lugs of a cable stand by its route and its studs.
 *
 * @param legs the way of each leg; none when the route does not say them
 * @param typedDeg the angle as it was typed; null when it was left open
 * @param studs where the studs point
 */
record RouteClock(List<Heading> legs, @Nullable Double typedDeg, Map<Side, Heading> studs) {
    static RouteClock of(CableDetails cable, Map<Side, Heading> studs) {
        return new RouteClock(
                cable.route().map(CableRoute::headings).orElse(List.of()), cable.clockDeg(), Map.copyOf(studs));
    }

    /** The angle that follows from route and studs, °; empty while they do not say enough. */
    OptionalDouble byRouteDeg() {
        Heading a = studs.get(Side.A);
        Heading b = studs.get(Side.B);
        return legs.isEmpty() || a == null || b == null ? OptionalDouble.empty() : new Clocking(legs, a, b).degrees();
    }

    /** What was typed, else what follows from the route, else 0°. */
    double degrees() {
        return typedDeg != null ? typedDeg : byRouteDeg().orElse(0);
    }

    /** Angle between surface and cable at an end. */
    OptionalInt angleDeg(Side side) {
        Optional<Heading> leaving = leaving(side);
        Heading stud = studs.get(side);
        return leaving.isEmpty() || stud == null ? OptionalInt.empty() : Clocking.angleDeg(leaving.get(), stud);
    }

    private Optional<Heading> leaving(Side side) {
        if (legs.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                side == Side.A ? legs.get(0) : legs.get(legs.size() - 1).opposite());
    }
}
