package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugForm;

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
    private static final Range CONDUCTORS = new Range(0, LugForm.MOST_CONDUCTORS);

    static final Surroundings OPEN = new Surroundings(null, null, null, null, null, null, null);

    static final FormFields<Surroundings> FIELDS = new FormFields<>(
            OPEN,
            List.of(
                    Field.of("leave", "leaveDeg", FieldKind.optionalQuantity(Unit.DEGREE, Landing.Around.LEAVE_DEG)),
                    Field.of(
                            "wallReach",
                            "wallReachMm",
                            FieldKind.optionalQuantity(Unit.MM, Landing.Around.WALL_REACH_MM)),
                    Field.of(
                            "neighbour",
                            "neighbourMm",
                            FieldKind.optionalQuantity(Unit.MM, Landing.Around.NEIGHBOUR_MM)),
                    Field.of("headroom", "headroomMm", FieldKind.optionalQuantity(Unit.MM, Landing.Around.HEADROOM_MM)),
                    Field.of(
                            "second",
                            "secondStudMm",
                            FieldKind.optionalQuantity(Unit.MM, Landing.Around.SECOND_STUD_MM)),
                    Field.of(
                            "points",
                            "studPoints",
                            FieldKind.optionalChoice(Heading.class).told(Surroundings::word)),
                    Field.of("conductors", FieldKind.count(CONDUCTORS).starting(1))));

    /** One conductor goes without saying. */
    public Surroundings {
        conductors = conductors != null && conductors == 1 ? null : conductors;
    }

    private static String word(@Nullable Object heading, Fmt fmt) {
        return heading == null ? "" : ((Heading) heading).word();
    }

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
