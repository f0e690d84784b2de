package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;

class PanelStringTest {
    private static PanelString string(Double percentPerKelvin, Double coldestC) {
        return new PanelString(3, 37.3, 31, 9, 8.5, percentPerKelvin, coldestC, null);
    }

    @ParameterizedTest
    @CsvSource({
        "25, 1",
        "24, 1.02",
        "20, 1.02",
        "19, 1.04",
        "15, 1.04",
        "10, 1.06",
        "5, 1.08",
        "4, 1.10",
        "0, 1.10",
        "-1, 1.12",
        "-5, 1.12",
        "-6, 1.14",
        "-10, 1.14",
        "-16, 1.18",
        "-20, 1.18",
        "-25, 1.20",
        "-26, 1.21",
        "-30, 1.21",
        "-35, 1.23",
        "-36, 1.25",
        "-40, 1.25"
    })
    @CheckedAgainst(value = "NEC 690.7(A), factors for crystalline panels", how = "recalled")
    void withoutACoefficientTheTableHolds(double airC, double factor) {
        assertThat(string(null, airC).coldFactor()).isEqualTo(factor);
        assertThat(string(null, airC).coldOpenV()).isCloseTo(3 * 37.3 * factor, within(1e-9));
    }

    @Test
    @CheckedAgainst(value = "Voc·(1 + β·(T − 25 °C)) by hand: 37.3 V, −0.31 %/K, −25 °C", how = "by hand")
    void theMakersCoefficientGoesFirst() {
        assertThat(string(-0.31, -25.0).coldOpenV() / 3).isCloseTo(43.0815, within(1e-4));
        assertThat(string(0.0, -25.0).coldFactor()).isEqualTo(1);
    }

    @Test
    @CheckedAgainst(
            value = "the table's factors over the usual coefficients of −0.25 to −0.31 %/K",
            how = "own calculation")
    void theTableIsAboveWhatPanelsDo() {
        for (double airC = 24; airC >= -40; airC -= 0.5) {
            assertThat(string(null, airC).coldFactor())
                    .as("%s °C", airC)
                    .isGreaterThanOrEqualTo(string(-0.31, airC).coldFactor());
        }
    }

    @Test
    void colderThanTheTableTheFactorGoesOnGrowing() {
        assertThat(string(null, -45.0).coldFactor()).isCloseTo(1.27, within(1e-9));
        assertThat(string(null, -41.0).coldFactor()).isGreaterThan(1.25);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new PanelString(3, 30, 31, 9, 8.5, null, null, null))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new PanelString(3, 37, 31, 8, 8.5, null, null, null))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new PanelString(3, 37, 31, 9, 8.5, 0.3, null, null))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
