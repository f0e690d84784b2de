package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;

class CableRouteTest {
    @Test
    void legsAddUp() {
        CableRoute route = CableRoute.parse("0.4 m + 1.2 m + 45° + 800 mm", Unit.M, 0);
        assertThat(route.legsM()).containsExactly(0.4, 1.2, 0.8);
        assertThat(route.bendsDeg()).containsExactly(90.0, 45.0);
        assertThat(route.lengthM()).isCloseTo(2.4, within(1e-12));
        assertThat(route.text()).isEqualTo("0.4 m + 1.2 m + 45° + 0.8 m");
        assertThat(CableRoute.parse(route.text(), Unit.FOOT, 0)).isEqualTo(route);
        assertThat(CableRoute.parse("3 ft 4 in + 2", Unit.FOOT, 0).lengthM())
                .isCloseTo(5.3333333 * 0.3048, within(1e-6));
    }

    /** A bend of 90° is shorter than its corner by 2·R − π/2·R. */
    @ParameterizedTest
    @CheckedAgainst("plane geometry: setback 2·R·tan(θ/2) less bend allowance R·θ, as in sheet and pipe bending tables")
    @CsvSource({"90,100,42.92", "45,100,4.30", "60,100,10.75", "120,50,68.49"})
    void bendsSaveLength(double bendDeg, double radiusMm, double savedMm) {
        CableRoute route = new CableRoute(List.of(1.0, 1.0), List.of(bendDeg), radiusMm);
        assertThat(2000 - 1000 * route.lengthM()).isCloseTo(savedMm, within(0.01));
    }

    @ParameterizedTest
    @CheckedAgainst("common practice: bend radius of four to six outside diameters for flexible cable")
    @CsvSource({"100,PASS", "80,PASS", "70,WATCH", "64,WATCH", "60,STOP"})
    void theBendIsHeldAgainstTheCable(double radiusMm, Verdict verdict) {
        List<Finding> findings = new CableRoute(List.of(1.0, 1.0), List.of(90.0), radiusMm).findings(16, 5);
        assertThat(findings).singleElement().satisfies(finding -> {
            assertThat(finding.code()).isEqualTo(FindingCode.BEND_RADIUS);
            assertThat(finding.verdict()).isEqualTo(verdict);
            assertThat(finding.limit()).isEqualTo(80);
        });
    }

    @Test
    void aLegThatItsBendsEatIsFound() {
        CableRoute route = new CableRoute(List.of(0.5, 0.15, 0.5), List.of(90.0, 90.0), 100);
        assertThat(route.findings(16, 5))
                .filteredOn(finding -> finding.code() == FindingCode.LEG_LENGTH)
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.figure()).isCloseTo(150, within(1e-9));
                    assertThat(finding.limit()).isCloseTo(200, within(1e-9));
                    assertThat(finding.verdict()).isEqualTo(Verdict.STOP);
                });
        assertThat(new CableRoute(List.of(0.5, 0.5), List.of(90.0), 0).findings(16, 5))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "+",
                "1 m +",
                "+ 1 m",
                "1 m + 45°",
                "45° + 1 m",
                "1 m + 45° + 45° + 1 m",
                "1 m + 0",
                "1 m + 180° + 1 m",
                "1 m + -2 m",
                "1 m ++ 2 m",
                "1 A + 2 m",
                "600 m + 1 m",
                "1 m + NaN"
            })
    void whatIsNoRouteIsRefusedWithAnExample(String text) {
        assertThatThrownBy(() -> CableRoute.parse(text, Unit.M, 0)).isInstanceOf(MeasureException.class);
    }
}
