package org.ulnaris.core.protection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.protection.ShortCircuitHeat.Insulation;
import org.ulnaris.core.protection.ShortCircuitHeat.Metal;

class ShortCircuitHeatTest {
    private static final double MM2_PER_CMIL = 5.06707e-4;

    @ParameterizedTest
    @CheckedAgainst("IEC 60949 table 1: constant K")
    @CsvSource({"COPPER,226", "ALUMINIUM,148", "LEAD,41", "STEEL,78"})
    void constants(Metal metal, double expected) {
        assertThat(metal.constant()).isCloseTo(expected, within(0.8));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60364-4-43 table 43A: k of copper")
    @EnumSource(names = {"PVC_70", "PVC_90", "RUBBER_60", "RUBBER_85", "XLPE_90"})
    void tableFollowsTheFormula(Insulation insulation) {
        assertThat(Metal.COPPER.k(insulation.initialC(), insulation.finalC()))
                .isCloseTo(insulation.tableK(), within(1.0));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60364-5-54 tables A.54.2 to A.54.6: k of protective conductors, copper")
    @CsvSource({
        "30,160,143",
        "30,140,133",
        "30,250,176",
        "30,200,159",
        "30,220,166",
        "30,350,201",
        "30,500,228",
        "30,150,138"
    })
    void protectiveConductors(double initial, double end, double k) {
        assertThat(Metal.COPPER.k(initial, end)).isCloseTo(k, within(1.0));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60364-4-43 table 43A and IEC 60364-5-54: k of aluminium")
    @CsvSource({
        "70,160,76",
        "70,140,68",
        "90,160,66",
        "90,140,57",
        "90,250,94",
        "60,200,93",
        "85,220,89",
        "180,350,87",
        "30,160,95",
        "30,140,88",
        "30,250,116",
        "30,200,105",
        "30,350,133",
        "30,300,125",
        "30,150,91"
    })
    void aluminium(double initial, double end, double k) {
        assertThat(Metal.ALUMINIUM.k(initial, end)).isCloseTo(k, within(1.0));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60364-4-43 table 43A: k of copper above 300 mm² and under soldered joints; mineral, bare")
    @CsvSource({"70,140,103", "90,140,86", "70,160,115", "90,160,100", "105,250,135", "180,350,132"})
    void furtherCopper(double initial, double end, double k) {
        assertThat(Metal.COPPER.k(initial, end)).isCloseTo(k, within(1.0));
    }

    @Test
    void insulationThatIsKnownStandsMore() {
        assertThat(Insulation.of(null, 105)).isEqualTo(Insulation.PVC_90);
        assertThat(Insulation.of(InsulationKind.CROSS_LINKED, 105)).isEqualTo(Insulation.XLPE_90);
        assertThat(Insulation.of(InsulationKind.PVC, 70)).isEqualTo(Insulation.PVC_70);
        assertThat(Insulation.of(InsulationKind.RUBBER, 60)).isEqualTo(Insulation.RUBBER_60);
        assertThat(Insulation.of(InsulationKind.SILICONE, 180).finalC()).isEqualTo(350);
    }

    /** A[kcmil] = K_f·I[kA]·√t, so k = 1000 ÷ (0.506707·K_f). */
    @ParameterizedTest
    @CheckedAgainst("IEEE 80 table 2: K_f of copper from 40 °C")
    @CsvSource({"7.00,1083,0.7", "7.06,1084,1.5", "11.78,250,2"})
    void earthingConstants(double kf, double end, double percent) {
        assertThat(Metal.COPPER.k(40, end)).isCloseTo(1000 / (0.506707 * kf), withPercentage(percent));
    }

    @ParameterizedTest
    @CheckedAgainst("ICEA P-32-382 rule of circular mils per ampere for 5 s from 75 °C")
    @CsvSource({"42.25,150", "29.1,250", "16.19,1083"})
    void circularMilsPerAmpere(double cmil, double end) {
        double seconds = ShortCircuitHeat.withstandS(cmil * MM2_PER_CMIL, 1, Metal.COPPER.k(75, end));
        assertThat(seconds).isCloseTo(5, withPercentage(2.5));
    }

    @ParameterizedTest
    @CheckedAgainst("Onderdonk's equation, common wire table at 25 °C, whose figures are rounded up")
    @CsvSource({"10,1,1600", "4/0,1,33000", "4/0,0.032,182000"})
    void onderdonk(String awg, double seconds, double ampere) {
        double area = ConductorSizes.parse(awg, SizeSeries.AWG).areaMm2();
        assertThat(MeltingCurrent.onderdonkA(area, seconds, 25)).isCloseTo(ampere, withPercentage(6.5));
    }

    @Test
    @CheckedAgainst("Onderdonk's short form for boards: I = 0.188·A/√t, A in square mils")
    void onderdonkShortForm() {
        double squareMilMm2 = 0.0254 * 0.0254;
        assertThat(MeltingCurrent.onderdonkA(squareMilMm2, 1, 25)).isCloseTo(0.188, withPercentage(1));
    }

    @ParameterizedTest
    @CheckedAgainst("Preece's law, table for copper (10244·d^1.5, d in inches)")
    @CsvSource({"10,333", "12,235", "14,166", "16,117", "18,83", "20,58.4", "22,41.2", "30,10.2"})
    void preece(int awg, double ampere) {
        assertThat(MeltingCurrent.preeceA(ConductorSizes.awgDiameterMm(awg))).isCloseTo(ampere, withPercentage(0.8));
    }

    @Test
    void insulationFollowsTheRating() {
        assertThat(Insulation.rated(60)).isEqualTo(Insulation.PVC_70);
        assertThat(Insulation.rated(90)).isEqualTo(Insulation.PVC_90);
        assertThat(Insulation.rated(105)).isEqualTo(Insulation.PVC_90);
        assertThat(Insulation.rated(125)).isEqualTo(Insulation.XLPE_90);
        assertThat(Insulation.rated(200)).isEqualTo(Insulation.SILICONE_180);
        assertThatThrownBy(() -> new FuseCurve(10, java.util.List.of())).hasMessageContaining("no gates");
    }
}
