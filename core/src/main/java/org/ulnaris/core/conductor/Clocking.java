package org.ulnaris.core.conductor;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * The angle between the lugs of a cable, from where its studs point and how it runs. A cable that bends does not twist: what pointed across
 * it before a bend points across it after, turned with the bend (parallel transport). The angle is what is left between the A stud, carried
 * along to B, and the B stud.
 *
 * @param legs the way of each leg, from A to B
 * @param studA where the A stud points
 * @param studB where the B stud points
 */
public record Clocking(List<Heading> legs, Heading studA, Heading studB) {
    public Clocking {
        legs = List.copyOf(legs);
        if (legs.isEmpty()) {
            throw new IllegalArgumentException("a route has at least one leg");
        }
    }

    /** Angle of the B lug to the A lug seen from B, clockwise, °; empty where a stud points along its leg. */
    public OptionalDouble degrees() {
        if (legs.get(0).along(studA) != 0 || last().along(studB) != 0) {
            return OptionalDouble.empty();
        }
        Heading carried = studA;
        for (int leg = 1; leg < legs.size(); leg++) {
            carried = turned(carried, legs.get(leg - 1), legs.get(leg));
        }
        if (carried.along(studB) != 0) {
            return OptionalDouble.of(carried.along(studB) > 0 ? 0 : 180);
        }
        return OptionalDouble.of(carried.cross(studB).along(last()) > 0 ? -90 : 90);
    }

    private Heading last() {
        return legs.get(legs.size() - 1);
    }

    /** Where {@code across}, which lies across the leg before a bend, points after it. */
    private static Heading turned(Heading across, Heading from, Heading to) {
        if (from == to || across.along(to) == 0) {
            return across;
        }
        return across == to ? from.opposite() : from;
    }

    /** Angle at the lug between surface and cable, °: 0 where it leaves flat, 90 where it leaves along the stud; empty when it would leave into the surface. */
    public static OptionalInt angleDeg(Heading leaving, Heading stud) {
        int along = leaving.along(stud);
        return along < 0 ? OptionalInt.empty() : OptionalInt.of(90 * along);
    }
}
