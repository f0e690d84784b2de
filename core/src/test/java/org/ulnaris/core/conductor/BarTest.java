package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;

class BarTest {
    /** Bars of 2 × 20 mm with about 76 mm between the probes, contacts included. */
    @ParameterizedTest
    @CheckedAgainst(value = "common practice: readings of plated link bars, contacts included", how = "common practice")
    @CsvSource({"0.17,BRASS", "0.04,COPPER"})
    void aReadingNamesTheMaterial(double milliohm, Material expected) {
        Bar.Named named = new Bar(20, 2, 76).name(milliohm / 1000, 0, 20);
        assertThat(named.material()).isEqualTo(expected);
        assertThat(named.plausible()).isTrue();
        assertThat(named.confidence()).isBetween(0.0, 1.0);
    }

    @Test
    @CheckedAgainst(
            value = "common practice: a brass bar resists about four times a copper bar of its size",
            how = "common practice")
    void brassIsAboutFourTimesWorse() {
        assertThat(Material.BRASS.timesCopper()).isBetween(3.5, 4.5);
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60028 and handbooks: resistivity at 20 °C in Ω·mm²/m")
    @CsvSource({"COPPER,0.017241", "ALUMINIUM,0.028264", "BRASS,0.066", "SILVER,0.0159", "STEEL,0.138"})
    void resistivities(Material material, double ohmMm2PerM) {
        assertThat(new Bar(10, 1, 10_000).ohm(material, 20)).isCloseTo(ohmMm2PerM, withPercentage(0.01));
    }

    @ParameterizedTest
    @EnumSource(
            value = Material.class,
            names = {"COPPER", "ALUMINIUM", "BRASS", "STEEL"})
    void aBarOfAMaterialIsNamedAfterIt(Material material) {
        Bar bar = new Bar(25, 3, 120);
        Bar.Named named = bar.name(bar.ohm(material, 35) + 5e-6, 5e-6, 35);
        assertThat(named.material()).isEqualTo(material);
        assertThat(named.ratio()).isCloseTo(1, within(1e-9));
        assertThat(named.confidence()).isCloseTo(1, within(1e-9));
    }

    @Test
    void somethingElseIsSaidToBeNone() {
        Bar bar = new Bar(20, 2, 76);
        assertThat(bar.name(bar.ohm(Material.STAINLESS, 20), 0, 20).plausible()).isFalse();
        assertThatThrownBy(() -> bar.name(1e-4, 2e-4, 20)).hasMessageContaining("contactOhm");
        assertThatThrownBy(() -> new Bar(0, 2, 76)).hasMessageContaining("widthMm");
    }
}
