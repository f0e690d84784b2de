package org.ulnaris.core.rating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.Bar;
import org.ulnaris.core.conductor.Material;

class BarHeatTest {
    @ParameterizedTest
    @CheckedAgainst("DIN 43671, copper bars, one bare bar on edge, 35 °C air, 65 °C bar")
    @CsvSource({
        "12,2,108",
        "20,3,204",
        "20,5,274",
        "20,10,427",
        "30,5,379",
        "30,10,573",
        "40,5,482",
        "40,10,715",
        "50,5,583",
        "50,10,852",
        "60,10,985",
        "80,10,1240",
        "100,10,1490"
    })
    void copperBars(double width, double thickness, double ampere) {
        BarHeat heat = new BarHeat(new Bar(width, thickness, 1000), Material.COPPER, 35);
        assertThat(heat.currentA(65)).isCloseTo(ampere, withPercentage(12));
    }

    @ParameterizedTest
    @CheckedAgainst("DIN 43670, aluminium bars, one bare bar on edge, 35 °C air, 65 °C bar")
    @CsvSource({"20,5,218", "30,5,301", "40,5,382", "40,10,566", "60,10,779", "100,10,1170"})
    void aluminiumBars(double width, double thickness, double ampere) {
        BarHeat heat = new BarHeat(new Bar(width, thickness, 1000), Material.ALUMINIUM, 35);
        assertThat(heat.currentA(65)).isCloseTo(ampere, withPercentage(12));
    }

    @Test
    @CheckedAgainst("Incropera: vertical glass door 0.71 m, 232 °C in 23 °C, Ra 1.813e9, Pr 0.690: Nu 147")
    void verticalPlate() {
        assertThat(BarHeat.nusselt(1.813e9, 0.690)).isCloseTo(147, withPercentage(1));
    }

    @Test
    void temperatureAndCurrentAgree() {
        BarHeat brass = new BarHeat(new Bar(20, 2, 76), Material.BRASS, 25);
        assertThat(brass.barC(brass.currentA(70))).isCloseTo(70, within(1e-6));
        assertThat(brass.currentA(25)).isZero();
        assertThat(brass.barC(1e6)).isInfinite();
        assertThat(brass.currentA(65))
                .isLessThan(new BarHeat(new Bar(20, 2, 76), Material.COPPER, 25).currentA(65) / 1.7);
    }
}
