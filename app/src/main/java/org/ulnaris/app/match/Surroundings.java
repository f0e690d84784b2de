package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.termination.Landing;

/**
 * What a person says of the room around a stud, and how the cable leaves it; all of it may be left open.
 *
 * @param leaveDeg by how much the cable leaves turned towards the neighbour, °
 * @param wallReachMm how far the walls run along the cable, mm
 * @param neighbourMm centre of the next stud, mm
 * @param headroomMm room above the surface, mm
 * @param secondStudMm centre of a second stud of the same terminal, mm
 * @param studPoints where the stud points
 * @param conductors how many such conductors go into one lug
 */
@Embeddable
public record Surroundings(
        @Nullable Double leaveDeg,
        @Nullable Double wallReachMm,
        @Nullable Double neighbourMm,
        @Nullable Double headroomMm,
        @Nullable Double secondStudMm,
        @Enumerated(EnumType.STRING) @Nullable Heading studPoints,
        @Nullable Integer conductors) {
    static final Surroundings OPEN = new Surroundings(null, null, null, null, null, null, null);

    /** Itself; null when nothing is said. */
    @Nullable
    Surroundings saidOrNull() {
        return Stream.of(leaveDeg, wallReachMm, neighbourMm, headroomMm, secondStudMm, studPoints, conductors)
                        .allMatch(Objects::isNull)
                ? null
                : this;
    }

    /** As the core asks for it; the angle at which the cable leaves is not part of it. */
    Landing.Around around() {
        return new Landing.Around(
                leaveDeg == null ? 0 : leaveDeg,
                optional(wallReachMm),
                optional(neighbourMm),
                optional(headroomMm),
                optional(secondStudMm),
                OptionalInt.empty());
    }

    int count() {
        return conductors == null ? 1 : conductors;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
