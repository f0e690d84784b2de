package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.measure.MeasureException;

class ConductorTest {
    private static final double FEET_PER_KM_OVER_1000 = 3.280839895;

    @ParameterizedTest
    @CheckedAgainst("ASTM B258, AWG areas")
    @CsvSource({
        "18,0.823",
        "14,2.08",
        "12,3.31",
        "10,5.26",
        "8,8.37",
        "6,13.3",
        "4,21.2",
        "2,33.6",
        "1,42.4",
        "1/0,53.5",
        "2/0,67.4",
        "3/0,85.0",
        "4/0,107.2"
    })
    void awgArea(String name, double areaMm2) {
        assertThat(awg(name).areaMm2()).isCloseTo(areaMm2, withPercentage(0.3));
    }

    @ParameterizedTest
    @CheckedAgainst("ASTM B258, AWG diameters")
    @CsvSource({
        "18,1.024",
        "16,1.291",
        "14,1.628",
        "12,2.053",
        "10,2.588",
        "8,3.264",
        "4,5.189",
        "1,7.348",
        "0,8.252",
        "-1,9.266",
        "-2,10.405",
        "-3,11.684"
    })
    void awgDiameter(int gauge, double diameterMm) {
        assertThat(ConductorSizes.awgDiameterMm(gauge)).isCloseTo(diameterMm, within(0.0006));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60228 table 3, class 5, plain and tinned at 20 °C")
    @CsvSource({
        "0.75,26.0,26.7", "1.5,13.3,13.7", "4,4.95,5.09", "10,1.91,1.95", "16,1.21,1.24", "25,0.780,0.795",
        "35,0.554,0.565", "50,0.386,0.393", "70,0.272,0.277", "95,0.206,0.210", "120,0.161,0.164", "240,0.0801,0.0817"
    })
    void metricResistance(String name, double plainOhmPerKm, double tinnedOhmPerKm) {
        ConductorSize size = ConductorSizes.parse(name, SizeSeries.METRIC);
        assertThat(1000 * ConductorResistance.ohmPerMetreAt20(new Conductor(size, false)))
                .isEqualTo(plainOhmPerKm);
        assertThat(1000 * ConductorResistance.ohmPerMetreAt20(new Conductor(size, true)))
                .isEqualTo(tinnedOhmPerKm);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC chapter 9 table 8, stranded uncoated and coated at 75 °C")
    @CsvSource({
        "18,7.95,8.45", "16,4.99,5.29", "14,3.14,3.26", "12,1.98,2.05", "10,1.24,1.29", "8,0.778,0.809",
        "6,0.491,0.510", "4,0.308,0.321", "3,0.245,0.254", "2,0.194,0.201", "1,0.154,0.160", "1/0,0.122,0.127",
        "2/0,0.0967,0.101", "3/0,0.0766,0.0797", "4/0,0.0608,0.0626"
    })
    void awgResistance(String name, double uncoated, double coated) {
        assertThat(ohmPerKftAt75(name, false)).isCloseTo(uncoated, withPercentage(0.6));
        assertThat(ohmPerKftAt75(name, true)).isCloseTo(coated, withPercentage(0.6));
    }

    private static double ohmPerKftAt75(String name, boolean tinned) {
        return ConductorResistance.ohmPerMetre(new Conductor(awg(name), tinned), 75) * 1000 / FEET_PER_KM_OVER_1000;
    }

    @ParameterizedTest
    @CheckedAgainst("NBS Handbook 100, copper wire tables, solid at 20 °C")
    @CsvSource({
        "18,6.385",
        "14,2.525",
        "12,1.588",
        "10,0.9989",
        "8,0.6282",
        "6,0.3951",
        "4,0.2485",
        "2,0.1563",
        "1/0,0.09827",
        "4/0,0.04901"
    })
    void solidResistance(String name, double ohmPerKft) {
        double solid =
                ConductorResistance.ohmPerMetreAt20(new Conductor(awg(name), false)) / ConductorResistance.LAY_FACTOR;
        assertThat(solid * 304.8).isCloseTo(ohmPerKft, withPercentage(0.1));
    }

    /** Below the tables: diameters by the gauge's own law, resistance by the metal. */
    @ParameterizedTest
    @CheckedAgainst("ASTM B258 areas of 20–26 AWG; IEC 60228 0.5 mm² 39.0 Ω/km (recalled)")
    @CsvSource({
        "20 AWG, 0.518, 33.9",
        "22 AWG, 0.326, 53.9",
        "24 AWG, 0.205, 85.9",
        "26 AWG, 0.129, 136.5",
        "0.5 mm², 0.5, 39.0"
    })
    void thinSizesAreKnownByName(String designation, double areaMm2, double ohmPerKm) {
        ConductorSize size = ConductorSizes.designated(designation).orElseThrow();
        assertThat(size.areaMm2()).isCloseTo(areaMm2, within(0.002));
        assertThat(1000 * ConductorResistance.ohmPerMetreAt20(new Conductor(size, false)))
                .isCloseTo(ohmPerKm, within(0.015 * ohmPerKm));
        assertThat(ConductorResistance.ohmPerMetreAt20(new Conductor(size, true)))
                .isGreaterThan(ConductorResistance.ohmPerMetreAt20(new Conductor(size, false)));
        assertThat(ConductorSizes.of(size.series())).doesNotContain(size);
    }

    @Test
    @CheckedAgainst("NEC chapter 9 table 8 note: α75 = 0.00323")
    void temperatureCoefficientAt75() {
        double alpha75 = ConductorResistance.ALPHA_PER_K / ConductorResistance.temperatureFactor(75);
        assertThat(alpha75).isCloseTo(0.00323, within(0.000005));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 | AWG | 2 AWG",
                "2 awg | METRIC | 2 AWG",
                "AWG 2 | AWG | 2 AWG",
                "2/0 | METRIC | 2/0 AWG",
                "00 | AWG | 2/0 AWG",
                "0000 | AWG | 4/0 AWG",
                "0 | AWG | 1/0 AWG",
                "08 | AWG | 8 AWG",
                "4/0 aught | AWG | 4/0 AWG",
                "B&S 6 | AWG | 6 AWG",
                "#10 | AWG | 10 AWG",
                "70 | METRIC | 70 mm²",
                "70 mm2 | AWG | 70 mm²",
                "70mm² | AWG | 70 mm²",
                "1,5 mm2 | AWG | 1.5 mm²",
                "10.0 | METRIC | 10 mm²",
            })
    void everyName(String text, SizeSeries assumed, String designation) {
        assertThat(ConductorSizes.parse(text, assumed).designation()).isEqualTo(designation);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "7/0", "71 mm2", "thick", "5", "-2", "2/0/0", "NaN"})
    void refusesOtherNames(String text) {
        assertThatThrownBy(() -> ConductorSizes.parse(text, SizeSeries.AWG)).isInstanceOf(MeasureException.class);
    }

    @ParameterizedTest
    @EnumSource(SizeSeries.class)
    void thickerIsBetterAllAlong(SizeSeries series) {
        List<ConductorSize> sizes = ConductorSizes.of(series);
        for (int i = 1; i < sizes.size(); i++) {
            assertThat(sizes.get(i).areaMm2()).isGreaterThan(sizes.get(i - 1).areaMm2());
            assertThat(ConductorResistance.ohmPerMetreAt20(new Conductor(sizes.get(i), true)))
                    .isLessThan(ConductorResistance.ohmPerMetreAt20(new Conductor(sizes.get(i - 1), true)));
        }
    }

    @Test
    void designationsAreReadBack() {
        for (SizeSeries series : SizeSeries.values()) {
            assertThat(ConductorSizes.of(series))
                    .allSatisfy(size -> assertThat(ConductorSizes.designated(size.designation()))
                            .contains(size));
        }
    }

    @Test
    @CheckedAgainst(value = "common practice: tinned cable of the same size is thicker", how = "common practice")
    void tinnedBundleIsThicker() {
        ConductorSize size = awg("2/0");
        assertThat(CableGeometry.bundleDiameterMm(new Conductor(size, true)))
                .isGreaterThan(CableGeometry.bundleDiameterMm(new Conductor(size, false)));
    }

    @Test
    void measuredDiameterOverridesTheEstimate() {
        Conductor conductor = new Conductor(awg("2"), true);
        CableGeometry estimate = CableGeometry.of(conductor, OptionalDouble.empty());
        CableGeometry measured = CableGeometry.of(conductor, OptionalDouble.of(12.7));
        assertThat(measured.outerMm()).isEqualTo(12.7);
        assertThat(measured.measured()).isTrue();
        assertThat(estimate.outerMm()).isBetween(10.0, 13.0);
        assertThat(CableGeometry.of(conductor, OptionalDouble.of(2)).measured()).isFalse();
    }

    @Test
    @CheckedAgainst(value = "common practice: 2 AWG fine rope has 665 strands of 30 AWG", how = "common practice")
    void usualStrands() {
        assertThat(CableGeometry.of(new Conductor(awg("2"), true), OptionalDouble.empty())
                        .usualStrands())
                .isCloseTo(665, withPercentage(2));
        ConductorSize metric = ConductorSizes.parse("50", SizeSeries.METRIC);
        assertThat(CableGeometry.of(new Conductor(metric, false), OptionalDouble.empty())
                        .usualStrands())
                .isBetween(350, 420);
    }

    private static ConductorSize awg(String name) {
        return ConductorSizes.parse(name, SizeSeries.AWG);
    }
}
