package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;

class IdentificationTest {
    /** Class 5 conductors are built of strands not above these. */
    @ParameterizedTest
    @CheckedAgainst("usual constructions of IEC 60228 class 5 conductors (strands × diameter)")
    @CsvSource({
        "30,0.25,1.5",
        "50,0.25,2.5",
        "56,0.30,4",
        "84,0.30,6",
        "80,0.40,10",
        "126,0.40,16",
        "276,0.40,35",
        "396,0.40,50"
    })
    void strandsTellTheSize(int strands, double strandMm, String size) {
        Identification found = Identification.byStrands(strands, strandMm, SizeSeries.METRIC);
        assertThat(found.size().orElseThrow().name()).isEqualTo(size);
    }

    @ParameterizedTest
    @CheckedAgainst("ASTM B174 rope constructions of 30 AWG strands (SAE J1127 battery cable counts)")
    @CsvSource({"105,10", "168,8", "266,6", "420,4", "665,2", "1064,1/0", "1323,2/0", "2107,4/0"})
    void strandsOfThirtyGauge(int strands, String awg) {
        Identification found = Identification.byStrands(strands, ConductorSizes.awgDiameterMm(30), SizeSeries.AWG);
        assertThat(found.size().orElseThrow().name()).isEqualTo(awg);
    }

    /** 10 mm² of about 18 in with its two lugs. */
    @Test
    @CheckedAgainst(value = "common practice: 10 mm² of 18 in with lugs reads about 1.05 mΩ", how = "common practice")
    void aShortCableWithItsLugs() {
        Conductor ten = new Conductor(ConductorSizes.parse("10 mm2", SizeSeries.METRIC), false);
        double cable = ConductorResistance.ohmPerMetre(ten, 20) * 18 * 0.0254;
        assertThat(0.00105 - cable).as("left for two ends").isBetween(0.05e-3, 0.3e-3);
        Identification found =
                Identification.byReading(new Identification.Reading(0.00105, 18 * 0.0254, 20), SizeSeries.METRIC);
        assertThat(found.size().orElseThrow().name())
                .as("next size below, lugs included")
                .isEqualTo("6");
        assertThat(new Identification.Reading(0.00105, 18 * 0.0254, 20).against(ten.size()))
                .isEqualTo(Identification.Suspicion.THIN);
    }

    @Test
    void aReadingOfASoundCableNamesIt() {
        for (ConductorSize size : ConductorSizes.of(SizeSeries.AWG)) {
            double ohm = 10 * ConductorResistance.ohmPerMetre(new Conductor(size, false), 35);
            Identification found = Identification.byReading(new Identification.Reading(ohm, 10, 35), SizeSeries.AWG);
            assertThat(found.size()).contains(size);
            assertThat(found.against(size.areaMm2())).isEqualTo(Identification.Suspicion.NONE);
        }
    }

    @ParameterizedTest
    @CsvSource({"1.0,NONE", "0.98,NONE", "0.9,ABOVE", "0.8,THIN", "0.63,COPPER_CLAD", "0.4,THIN"})
    void lessCopperThanClaimedIsSuspect(double share, Identification.Suspicion expected) {
        ConductorSize four = ConductorSizes.parse("4", SizeSeries.AWG);
        double ohm = 5 * ConductorResistance.ohmPerMetre(new Conductor(four, false), 20) / share;
        assertThat(new Identification.Reading(ohm, 5, 20).against(four)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60228 class 5, plain copper: highest resistance at 20 °C, Ω/km")
    @CsvSource({"6,3.30", "16,1.21", "35,0.554", "70,0.272", "120,0.161"})
    void aReadingIsHeldAgainstTheStandardsMaximum(String metric, double ohmPerKm) {
        ConductorSize size = ConductorSizes.parse(metric, SizeSeries.METRIC);
        assertThat(new Identification.Reading(ohmPerKm / 1000, 1, 20).against(size))
                .isEqualTo(Identification.Suspicion.NONE);
        Identification.Reading above = new Identification.Reading(1.02 * ohmPerKm / 1000, 1, 20);
        assertThat(above.against(size)).isEqualTo(Identification.Suspicion.ABOVE);
        assertThat(Identification.byReading(above, SizeSeries.METRIC)
                        .size()
                        .orElseThrow()
                        .areaMm2())
                .isLessThan(size.areaMm2());
    }

    @Test
    void aBundleIsReadWithItsFill() {
        ConductorSize seventy = ConductorSizes.parse("70", SizeSeries.METRIC);
        double bundle = CableGeometry.bundleDiameterMm(new Conductor(seventy, false));
        Identification found = Identification.byBundle(bundle, SizeSeries.METRIC);
        assertThat(found.size()).contains(seventy);
        assertThat(Identification.byStrands(1, 0.05, SizeSeries.METRIC).size()).isEmpty();
        assertThatThrownBy(() -> Identification.byBundle(Double.NaN, SizeSeries.AWG))
                .hasMessageContaining("bundleMm");
    }
}
