package org.ulnaris.core.rating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;

class AmpacityTest {
    @ParameterizedTest
    @CheckedAgainst("33 CFR 183.425 table 5")
    @CsvSource({
        "18,60,10",
        "18,105,20",
        "16,75,15",
        "14,90,30",
        "12,105,45",
        "10,125,70",
        "8,105,80",
        "6,200,135",
        "4,105,160",
        "3,105,180",
        "2,105,210",
        "1,75,195",
        "1/0,105,285",
        "2/0,105,330",
        "3/0,80,330",
        "4/0,60,300",
        "4/0,200,510"
    })
    void cfr(String size, double insulationC, double ampere) {
        assertThat(ampacity(RuleSet.CFR_183_425, awg(size), dry(insulationC))).isEqualTo(ampere);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC 310.16 and 310.17 beyond 4/0 AWG, 60, 75 and 90 °C")
    @CsvSource({
        "250,215,255,290,340,405,455",
        "300,240,285,320,375,445,500",
        "350,260,310,350,420,505,570",
        "400,280,335,380,455,545,615",
        "500,320,380,430,515,620,700",
        "600,350,420,475,575,690,780",
        "700,385,460,520,630,755,850",
        "750,400,475,535,655,785,885",
        "800,410,490,555,680,815,920",
        "900,435,520,585,730,870,980",
        "1000,455,545,615,780,935,1055"
    })
    void necBeyondFourAught(double kcmil, double r60, double r75, double r90, double a60, double a75, double a90) {
        ConductorSize size = ConductorSizes.kcmil(kcmil);
        assertThat(ampacity(RuleSet.NEC_RACEWAY, size, dry(60))).isEqualTo(r60);
        assertThat(ampacity(RuleSet.NEC_RACEWAY, size, dry(75))).isEqualTo(r75);
        assertThat(ampacity(RuleSet.NEC_RACEWAY, size, dry(90))).isEqualTo(r90);
        assertThat(ampacity(RuleSet.NEC_FREE_AIR, size, dry(60))).isEqualTo(a60);
        assertThat(ampacity(RuleSet.NEC_FREE_AIR, size, dry(75))).isEqualTo(a75);
        assertThat(ampacity(RuleSet.NEC_FREE_AIR, size, dry(90))).isEqualTo(a90);
    }

    @ParameterizedTest
    @CheckedAgainst("BS 7671 523.9: surrounded by thermal insulation for half a metre or more, half of the rating")
    @EnumSource(RuleSet.class)
    void aWallsInsulationHalves(RuleSet rules) {
        Derating walled = rules.method().derate(new AmpacityConditions(90, 30, false, 1, false, true));
        assertThat(walled.factor()).isEqualTo(rules.method().derate(dry(90)).factor() / 2);
    }

    /** A metric size takes the row below it; where the table ends it says so. */
    @ParameterizedTest
    @CsvSource({
        "NEC_FREE_AIR,120,405,false",
        "NEC_FREE_AIR,150,455,false",
        "NEC_FREE_AIR,185,570,false",
        "NEC_FREE_AIR,240,615,false",
        "CFR_183_425,120,445,true",
        "CFR_183_425,240,445,true",
        "CFR_183_425,95,385,false"
    })
    void thickMetricSizesTakeTheRowBelow(RuleSet rules, String metric, double ampere, boolean beyond) {
        ConductorSize size = ConductorSizes.parse(metric, SizeSeries.METRIC);
        TableRating rating = rules.method().rating(size, rules == RuleSet.CFR_183_425 ? 105 : 90);
        assertThat(rating).isNotNull();
        assertThat(rating.ampacityA()).isEqualTo(ampere);
        assertThat(rating.beyond()).isEqualTo(beyond);
    }

    @ParameterizedTest
    @CheckedAgainst("33 CFR 183.425 table 5 note 1, engine spaces")
    @CsvSource({"60,0.58", "75,0.75", "80,0.78", "90,0.82", "105,0.85", "125,0.89", "200,1.00"})
    void cfrEngineSpace(double insulationC, double factor) {
        Derating derating = RuleSet.CFR_183_425.method().derate(new AmpacityConditions(insulationC, 30, true, 1));
        assertThat(derating.factor()).isEqualTo(factor);
    }

    @ParameterizedTest
    @CheckedAgainst("33 CFR 183.425 table 5 note 2; ISO 13297 annex A; NEC 310.15(C)(1)")
    @CsvSource({
        "CFR_183_425,2,1",
        "CFR_183_425,3,0.7",
        "CFR_183_425,6,0.6",
        "CFR_183_425,24,0.5",
        "CFR_183_425,25,0.4",
        "ISO_SMALL_CRAFT,3,1",
        "ISO_SMALL_CRAFT,4,0.7",
        "ISO_SMALL_CRAFT,7,0.6",
        "ISO_SMALL_CRAFT,30,0.5",
        "NEC_FREE_AIR,3,1",
        "NEC_FREE_AIR,4,0.8",
        "NEC_RACEWAY,9,0.7",
        "NEC_RACEWAY,41,0.35"
    })
    void bundling(RuleSet rules, int conductors, double factor) {
        assertThat(rules.method()
                        .derate(new AmpacityConditions(90, 30, false, conductors))
                        .bundleFactor())
                .isEqualTo(factor);
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 13297 annex A")
    @CsvSource({
        "0.75,105,16",
        "2.5,70,25",
        "10,85,70",
        "16,105,130",
        "25,125,185",
        "50,105,270",
        "70,70,265",
        "95,200,430",
        "120,105,450",
        "150,85,430"
    })
    void iso(String size, double insulationC, double ampere) {
        assertThat(ampacity(RuleSet.ISO_SMALL_CRAFT, metric(size), dry(insulationC)))
                .isEqualTo(ampere);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC table 310.17")
    @CsvSource({"14,60,25", "12,75,35", "8,90,80", "4,75,125", "2,90,190", "1/0,75,230", "4/0,90,405", "18,90,18"})
    void necFreeAir(String size, double insulationC, double ampere) {
        assertThat(ampacity(RuleSet.NEC_FREE_AIR, awg(size), dry(insulationC))).isEqualTo(ampere);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC table 310.16")
    @CsvSource({"14,60,15", "12,75,25", "8,90,55", "4,75,85", "2,90,130", "1/0,75,150", "4/0,90,260", "16,90,18"})
    void necRaceway(String size, double insulationC, double ampere) {
        assertThat(ampacity(RuleSet.NEC_RACEWAY, awg(size), dry(insulationC))).isEqualTo(ampere);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC 310.15(B)(1), ambient correction")
    @CsvSource({
        "90,50,0.82",
        "75,50,0.75",
        "60,50,0.58",
        "90,40,0.91",
        "75,40,0.88",
        "60,40,0.82",
        "90,60,0.71",
        "90,10,1.15",
        "90,22,1.04",
        "75,22,1.05",
        "60,16,1.15",
        "75,12,1.15",
        "60,-20,1.29",
        "75,28,1.00"
    })
    void ambient(double columnC, double ambientC, double factor) {
        Derating derating = RuleSet.NEC_RACEWAY.method().derate(new AmpacityConditions(columnC, ambientC, false, 1));
        assertThat(derating.ambientFactor()).isCloseTo(factor, within(0.006));
    }

    @ParameterizedTest
    @CheckedAgainst(value = "33 CFR 183.425 and ISO 13297 print no factor for air below 30 °C", how = "recalled")
    @CsvSource({"CFR_183_425,29", "CFR_183_425,0", "CFR_183_425,-40", "ISO_SMALL_CRAFT,10"})
    void coldAirNeverRaisesAMarineAmpacity(RuleSet rules, double ambientC) {
        for (double insulationC : new double[] {75, 105, 125}) {
            Derating cold = rules.method().derate(new AmpacityConditions(insulationC, ambientC, false, 1));
            assertThat(cold.factor()).isEqualTo(1);
        }
    }

    @Test
    void engineSpaceStandsForTheAmbientOfItsFactor() {
        Derating derating = RuleSet.NEC_FREE_AIR.method().derate(new AmpacityConditions(90, 30, true, 1));
        assertThat(derating.localAmbientC()).isCloseTo(50, within(1e-9));
        assertThat(derating.engineFactor()).isCloseTo(0.8165, within(0.0001));
    }

    @Test
    void usesTheColumnNotAboveTheInsulation() {
        assertThat(RuleSet.CFR_183_425.method().derate(dry(110)).columnTempC()).isEqualTo(105);
        assertThat(RuleSet.NEC_RACEWAY.method().derate(dry(105)).columnTempC()).isEqualTo(90);
        assertThat(RuleSet.ISO_SMALL_CRAFT.method().derate(dry(60)).hasColumn()).isFalse();
    }

    @Test
    void usesTheLargestRowNotAboveTheArea() {
        TableRating seventy = RuleSet.CFR_183_425.method().rating(metric("70"), 105);
        assertThat(seventy.row().designation()).isEqualTo("2/0 AWG");
        assertThat(seventy.exact()).isFalse();
        assertThat(RuleSet.CFR_183_425.method().rating(metric("0.75"), 105)).isNull();
        assertThat(RuleSet.ISO_SMALL_CRAFT
                        .method()
                        .rating(metric("240"), 105)
                        .row()
                        .name())
                .isEqualTo("150");
        assertThat(RuleSet.NEC_RACEWAY.method().rating(awg("18"), 60)).isNull();
    }

    @ParameterizedTest
    @EnumSource(RuleSet.class)
    void hotterAirOrMoreCompanyNeverHelps(RuleSet rules) {
        double before = Double.POSITIVE_INFINITY;
        for (double ambient = 20; ambient <= 140; ambient += 10) {
            double factor = rules.method()
                    .derate(new AmpacityConditions(105, ambient, false, 2))
                    .factor();
            assertThat(factor).isLessThanOrEqualTo(before);
            before = factor;
        }
        assertThat(before).isZero();
        for (int n = 2; n <= 60; n++) {
            assertThat(rules.method()
                            .derate(new AmpacityConditions(105, 30, false, n))
                            .factor())
                    .isLessThanOrEqualTo(rules.method()
                            .derate(new AmpacityConditions(105, 30, false, n - 1))
                            .factor());
        }
    }

    @Test
    void refusesConditionsThatAreNotNumbers() {
        assertThatThrownBy(() -> new AmpacityConditions(Double.NaN, 30, false, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new AmpacityConditions(105, Double.POSITIVE_INFINITY, false, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new AmpacityConditions(105, 30, false, 0))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static double ampacity(RuleSet rules, ConductorSize size, AmpacityConditions conditions) {
        Derating derating = rules.method().derate(conditions);
        TableRating rating = rules.method().rating(size, derating.columnTempC());
        assertThat(rating).isNotNull();
        assertThat(rating.exact()).isTrue();
        return rating.ampacityA() * derating.factor();
    }

    private static AmpacityConditions dry(double insulationC) {
        return new AmpacityConditions(insulationC, 30, false, 1);
    }

    private static ConductorSize awg(String name) {
        return ConductorSizes.parse(name, SizeSeries.AWG);
    }

    private static ConductorSize metric(String name) {
        return ConductorSizes.parse(name, SizeSeries.METRIC);
    }
}
