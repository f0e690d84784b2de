package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;

class ClockingTest {
    private static List<Heading> legs(String text) {
        return Arrays.stream(text.split(" "))
                .map(word -> Heading.named(word).orElseThrow())
                .toList();
    }

    private static Clocking clocking(String legs, String a, String b) {
        return new Clocking(legs(legs), legs(a).get(0), legs(b).get(0));
    }

    /** Held in the hand: a straight cable, and cables with bends, and how the second lug stands against the first. */
    @ParameterizedTest
    @CsvSource({
        "right, up, up, 0",
        "right, up, down, 180",
        "forward, up, right, -90",
        "forward, up, left, 90",
        "right up, up, left, 0",
        "right up, up, right, 180",
        "right up, forward, forward, 0",
        "right forward, up, up, 0",
        "right up right, up, up, 0",
        "right up left, up, down, 0",
        "right up forward, up, up, -90"
    })
    void degrees(String legs, String a, String b, double expected) {
        assertThat(clocking(legs, a, b).degrees()).hasValue(expected);
    }

    /** Every route of up to four legs against rotation matrices: each bend is the rotation that takes one leg into the next. */
    @Test
    void agreesWithRotationMatrices() {
        int checked = 0;
        for (Heading first : Heading.values()) {
            for (Heading second : Heading.values()) {
                for (Heading third : Heading.values()) {
                    List<Heading> legs = List.of(first, second, third);
                    if (first.along(second) != 0 || second.along(third) != 0) {
                        continue;
                    }
                    for (Heading a : Heading.values()) {
                        for (Heading b : Heading.values()) {
                            Clocking clocking = new Clocking(legs, a, b);
                            assertThat(clocking.degrees()).isEqualTo(byMatrices(legs, a, b));
                            checked++;
                        }
                    }
                }
            }
        }
        assertThat(checked).isEqualTo(6 * 4 * 4 * 36);
    }

    private static OptionalDouble byMatrices(List<Heading> legs, Heading a, Heading b) {
        double[] carried = vector(a);
        for (int leg = 1; leg < legs.size(); leg++) {
            double[] axis = cross(vector(legs.get(leg - 1)), vector(legs.get(leg)));
            double[] turned = cross(axis, carried);
            double along = dot(axis, carried);
            carried =
                    new double[] {turned[0] + axis[0] * along, turned[1] + axis[1] * along, turned[2] + axis[2] * along
                    };
        }
        double[] out = vector(legs.get(legs.size() - 1));
        if (dot(vector(a), vector(legs.get(0))) != 0 || dot(vector(b), out) != 0) {
            return OptionalDouble.empty();
        }
        double turn = Math.toDegrees(Math.atan2(dot(cross(carried, vector(b)), out), dot(carried, vector(b))));
        return OptionalDouble.of(Math.abs(turn) == 90 ? -turn : Math.abs(turn));
    }

    private static double[] vector(Heading heading) {
        return new double[] {heading.along(Heading.RIGHT), heading.along(Heading.FORWARD), heading.along(Heading.UP)};
    }

    private static double dot(double[] u, double[] v) {
        return u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
    }

    private static double[] cross(double[] u, double[] v) {
        return new double[] {u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]};
    }

    @Test
    void aStudAlongTheCableHasNoAngle() {
        assertThat(clocking("up", "up", "left").degrees()).isEmpty();
        assertThat(clocking("up right", "left", "left").degrees()).isEmpty();
        assertThat(Clocking.angleDeg(Heading.UP, Heading.UP)).isEqualTo(OptionalInt.of(90));
        assertThat(Clocking.angleDeg(Heading.RIGHT, Heading.UP)).isEqualTo(OptionalInt.of(0));
        assertThat(Clocking.angleDeg(Heading.DOWN, Heading.UP)).isEmpty();
        assertThatThrownBy(() -> new Clocking(List.of(), Heading.UP, Heading.UP))
                .hasMessageContaining("leg");
    }

    @ParameterizedTest
    @CsvSource({"0.4 m right + 1.2 m up, 2, 1.6", "400 mm Up+ 0.3 m left +2 ft down, 3, 1.3096", "0.5 m back, 1, 0.5"})
    void routesSayTheirWays(String text, int legs, double lengthM) {
        CableRoute route = CableRoute.parse(text, Unit.M, 0);
        assertThat(route.headings()).hasSize(legs);
        assertThat(route.lengthM()).isCloseTo(lengthM, within(1e-9));
        CableRoute again = CableRoute.parse(route.text(), Unit.M, 0);
        assertThat(again.headings()).isEqualTo(route.headings());
        assertThat(route.text()).contains(route.headings().get(0).name().toLowerCase(Locale.ROOT));
    }

    @ParameterizedTest
    @CsvSource({
        "0.4 m right + 1.2 m",
        "0.4 m right + 1 m right",
        "0.4 m right + 1 m left",
        "0.4 m right + 45° + 1 m up",
        "0.4 m sideways"
    })
    void waysThatCanNotBeAreRefused(String text) {
        assertThatThrownBy(() -> CableRoute.parse(text, Unit.M, 0)).isInstanceOf(MeasureException.class);
    }
}
