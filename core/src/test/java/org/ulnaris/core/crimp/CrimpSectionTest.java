package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.crimp.CrimpSection.Polygon;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/** What is drawn is what is computed. */
class CrimpSectionTest {
    private static final Barrel FIFTY = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);

    private static Crimp crimp(DieShape shape, double flats) {
        return new Crimp(50, FIFTY, new Die("X", shape, flats, 5, LugMaterial.COPPER));
    }

    @ParameterizedTest
    @CsvSource({
        "HEX, 14",
        "HEX, 12.6",
        "HEX, 12.2",
        "HEX, 11.9",
        "HEX, 11.2",
        "HEX, 10.4",
        "SQUARE, 11.5",
        "SQUARE, 13",
        "OVAL, 10.6",
        "OVAL, 11.6"
    })
    void areasAreThoseOfTheBalance(DieShape shape, double flats) {
        Crimp crimp = crimp(shape, flats);
        CrimpSection section = CrimpSection.of(crimp);
        double metal = Math.min(crimp.metalMm2(), crimp.die().areaMm2());
        double share = crimp.conductorAreaMm2() / crimp.metalMm2();
        assertThat(section.outline().areaMm2()).isCloseTo(crimp.die().areaMm2(), withPercentage(2));
        assertThat(section.conductorMm2()).isCloseTo(metal * share, withPercentage(2));
        assertThat(section.wallMm2()).isCloseTo(metal * (1 - share), withPercentage(2));
        assertThat(section.voidMm2())
                .isCloseTo(Math.max(0, crimp.die().areaMm2() - crimp.metalMm2()), within(0.02 * metal));
        assertThat(section.wings().stream().mapToDouble(Polygon::areaMm2).sum())
                .isCloseTo(2 * crimp.wingAreaMm2(), within(1e-9));
    }

    /** A loose crimp shows its voids, a sound one none, a hard one its wings. */
    @Test
    @CheckedAgainst(value = "dies too large: loose; too small: metal escapes as wings", how = "common practice")
    void voidsAndWingsAreWhereTheBalanceSays() {
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 14)).voidMm2()).isGreaterThan(10);
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 14)).wings()).isEmpty();
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 11.9)).voidMm2()).isCloseTo(0, within(1e-6));
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 11.9)).wings()).isEmpty();
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 10.4)).wings()).hasSize(2);
        assertThat(CrimpSection.of(crimp(DieShape.HEX, 11.9)).strands()).hasSize(61);
    }

    /** Strands do not overlap: each lies at least a cell's width from the next. */
    @Test
    void strandsStandSideBySide() {
        CrimpSection section = CrimpSection.of(crimp(DieShape.HEX, 11.9));
        double cell = section.strands().get(0).areaMm2();
        double pitch = Math.sqrt(cell / (Math.sqrt(3) / 2));
        for (int i = 0; i < section.strands().size(); i++) {
            for (int j = i + 1; j < section.strands().size(); j++) {
                double dx = centre(section.strands().get(i), 0)
                        - centre(section.strands().get(j), 0);
                double dy = centre(section.strands().get(i), 1)
                        - centre(section.strands().get(j), 1);
                assertThat(Math.hypot(dx, dy)).isGreaterThanOrEqualTo(pitch * (1 - 1e-9));
            }
        }
    }

    private static double centre(Polygon polygon, int from) {
        double sum = 0;
        for (int i = from; i < polygon.xy().size(); i += 2) {
            sum += polygon.xy().get(i);
        }
        return 2 * sum / polygon.xy().size();
    }
}
