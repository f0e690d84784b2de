package org.ulnaris.core.protection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.protection.Placement.Run;
import org.ulnaris.core.protection.Placement.School;

class FuseTest {
    @ParameterizedTest
    @CheckedAgainst("ISO 8820-5 SF51: operating times at 135, 200, 350 and 600 %")
    @CsvSource({"1.35,120,1800", "2.00,1,15", "3.50,0.3,5", "6.00,0.1,1"})
    void stripFuseGates(double multiple, double min, double max) {
        FuseCurve curve = FuseFamily.SF51.curve(200);
        assertThat(curve.fastestS(200 * multiple)).isCloseTo(min, withPercentage(1e-6));
        assertThat(curve.slowestS(200 * multiple)).isCloseTo(max, withPercentage(1e-6));
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 8820-5 SF30: operating times at 150, 200, 300 and 500 %")
    @CsvSource({"1.5,90,3600", "2.0,3,100", "3.0,0.3,3", "5.0,0.1,1"})
    void smallStripFuseGates(double multiple, double min, double max) {
        FuseCurve curve = FuseFamily.SF30.curve(80);
        assertThat(curve.fastestS(80 * multiple)).isCloseTo(min, withPercentage(1e-6));
        assertThat(curve.slowestS(80 * multiple)).isCloseTo(max, withPercentage(1e-6));
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 8820-3 blades, types F, C and E: operating times at 135, 160, 200, 350 and 600 %")
    @CsvSource({
        "BLADE_F,15,1.35,0.75,600",
        "BLADE_F,15,1.60,0.25,50",
        "BLADE_F,15,2.00,0.15,5",
        "BLADE_F,15,3.50,,0.5",
        "BLADE_F,15,6.00,,0.1",
        "BLADE_C,40,1.35,0.75,600",
        "BLADE_C,40,1.60,0.25,50",
        "BLADE_C,40,2.00,0.15,5",
        "BLADE_C,40,6.00,,0.1",
        "BLADE_E,60,1.35,60,1800",
        "BLADE_E,60,2.00,2,60",
        "BLADE_E,60,3.50,0.2,7",
        "BLADE_E,60,6.00,0.04,1"
    })
    void bladeGates(FuseFamily family, double rating, double multiple, @Nullable Double min, double max) {
        FuseCurve curve = family.curve(rating);
        if (min != null) {
            assertThat(curve.fastestS(rating * multiple)).isCloseTo(min, withPercentage(1e-6));
        }
        assertThat(curve.slowestS(rating * multiple)).isCloseTo(max, withPercentage(1e-6));
        assertThat(curve.fastestS(1.1 * rating)).isGreaterThanOrEqualTo(360_000 * (1 - 1e-9));
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 8820-3: ratings of types F, C and E, 32 V, 1000 A")
    @CsvSource({"BLADE_F,2,30", "BLADE_C,1,40", "BLADE_E,20,80"})
    void bladesAreSmallFuses(FuseFamily family, double least, double most) {
        assertThat(family.ratingsA().get(0)).isEqualTo(least);
        assertThat(family.ratingsA().get(family.ratingsA().size() - 1)).isEqualTo(most);
        assertThat(family.voltV()).isEqualTo(32);
        assertThat(family.interruptingA()).isEqualTo(1000);
    }

    @ParameterizedTest
    @CheckedAgainst(
            value = "common practice: a block on the post interrupts 10 kA in 12 V systems, 5 kA to 32 V, 2 kA to 58 V",
            how = "recalled")
    @CsvSource({
        "POST_BLOCK,12,10000", "POST_BLOCK,14.6,10000", "POST_BLOCK,16.1,5000", "POST_BLOCK,32,5000",
        "POST_BLOCK,32.1,2000", "POST_BLOCK,58,2000", "POST_BLOCK,70,2000", "STRIP_LIMITER,14,6000",
        "STRIP_LIMITER,32,6000", "CLASS_T,14,20000", "CLASS_T,125,20000", "BLADE_F,14,1000"
    })
    void whatItInterruptsFallsWithTheVoltage(FuseFamily family, double volt, double ampere) {
        assertThat(family.interruptingA(volt)).isEqualTo(ampere);
        assertThat(family.interruptingA()).isGreaterThanOrEqualTo(ampere);
    }

    @ParameterizedTest
    @CheckedAgainst("UL 248-15 class T: opens within an hour or two at 135 %, within minutes at 200 %")
    @CsvSource({"50,1.35,3600", "50,2.0,240", "200,1.35,7200", "400,2.0,720", "800,1.35,14400"})
    void classTGates(double rating, double multiple, double max) {
        assertThat(FuseFamily.CLASS_T.curve(rating).slowestS(rating * multiple)).isCloseTo(max, withPercentage(1e-6));
    }

    /** The magnet of class B opens from four to seven times the rating on direct current, that of class C from seven to fifteen. */
    @ParameterizedTest
    @CheckedAgainst("IEC 60898-2: 1.13, 1.45 and 2.55 times the rating, classes B and C on direct current")
    @CsvSource({
        "BREAKER_B,16,1.13,3600,",
        "BREAKER_B,16,1.45,,3600",
        "BREAKER_B,16,2.55,1,60",
        "BREAKER_B,40,2.55,1,120",
        "BREAKER_B,16,4,0.1,45",
        "BREAKER_B,40,4,0.1,90",
        "BREAKER_B,16,7,,0.1",
        "BREAKER_C,32,2.55,1,60",
        "BREAKER_C,32,7,0.1,15",
        "BREAKER_C,63,7,0.1,30",
        "BREAKER_C,63,15,,0.1"
    })
    void tripClasses(FuseFamily family, double rating, double multiple, @Nullable Double min, @Nullable Double max) {
        FuseCurve curve = family.curve(rating);
        if (min != null) {
            assertThat(curve.fastestS(rating * multiple)).isCloseTo(min, withPercentage(1e-6));
        }
        if (max != null) {
            assertThat(curve.slowestS(rating * multiple)).isCloseTo(max, withPercentage(1e-6));
        }
    }

    /** A breaker in an engine space carries a sixth less and a fuse a little: what the load asks for rises by as much. */
    @ParameterizedTest
    @CheckedAgainst(
            value =
                    "common practice: thermal breakers lose more than half a per cent of their rating for each kelvin, fuses a fifth",
            how = "common practice")
    @CsvSource({"BREAKER,60,0.82", "CLASS_T,60,0.94", "SF51,60,0.955", "BREAKER,30,1", "BLADE_C,10,1"})
    void warmAirTakesFromARating(FuseFamily family, double aroundC, double share) {
        assertThat(family.share(aroundC)).isCloseTo(share, within(1e-9));
        ProtectedCable warm = new ProtectedCable(
                inverterCable().cable(),
                new ProtectedCable.Load(80, 80, 0, aroundC),
                inverterCable().supply());
        assertThat(new FuseCheck(family, 40, warm).findings().get(0).limit()).isCloseTo(100 / share, within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(FuseFamily.class)
    void everyFuseCarriesItsRatingForGood(FuseFamily family) {
        for (double rating : family.ratingsA()) {
            FuseCurve curve = family.curve(rating);
            assertThat(curve.slowestS(rating)).isInfinite();
            assertThat(curve.fastestS(rating)).isGreaterThanOrEqualTo(14_400);
        }
    }

    @ParameterizedTest
    @EnumSource(FuseFamily.class)
    void moreCurrentNeverOpensLater(FuseFamily family) {
        FuseCurve curve = family.curve(family.ratingsA().get(5));
        double lastSlow = Double.POSITIVE_INFINITY;
        double lastFast = Double.POSITIVE_INFINITY;
        for (double multiple = 1; multiple < 30; multiple *= 1.07) {
            double slow = curve.slowestS(multiple * curve.ratingA());
            double fast = curve.fastestS(multiple * curve.ratingA());
            assertThat(slow).isLessThanOrEqualTo(lastSlow);
            assertThat(fast).isLessThanOrEqualTo(lastFast).isLessThanOrEqualTo(slow);
            lastSlow = slow;
            lastFast = fast;
        }
    }

    @ParameterizedTest
    @CheckedAgainst("33 CFR 183.455(b), marine practice, ISO 10133 and ISO 13297: distance of the fuse from the source")
    @CsvSource({
        "US_MARINE,OPEN,7",
        "US_MARINE,SHEATHED,40",
        "US_MARINE,SHEATHED_FROM_BATTERY,72",
        "ISO_MARINE,OPEN,7.874"
    })
    void placement(School school, Run run, double inches) {
        assertThat(Placement.limitMm(school, run)).isCloseTo(inches * 25.4, within(0.5));
        assertThat(Placement.source(school, run).document()).isNotBlank();
    }

    /** 180 A through 2 AWG (210 A) on a 24 V bank that gives 4 kA. */
    private static ProtectedCable inverterCable() {
        return new ProtectedCable(
                new ProtectedCable.Cable(33.6, 210, 143),
                ProtectedCable.Load.steady(150),
                new ProtectedCable.Supply(29.2, 1900, 1500));
    }

    /** A house that wants more room over the load, and none over the cable. */
    @Test
    void marginsAreTheHouses() {
        ProtectedCable usual = inverterCable();
        ProtectedCable wide =
                new ProtectedCable(usual.cable(), usual.load(), usual.supply(), new ProtectedCable.Margins(1.5, 1));
        double rating = 1.3 * usual.load().continuousA();
        assertThat(verdict(FuseFamily.CLASS_T, rating, usual, FindingCode.FUSE_LOAD))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(FuseFamily.CLASS_T, rating, wide, FindingCode.FUSE_LOAD))
                .isEqualTo(Verdict.WATCH);
        double over = 1.01 * usual.cable().ampacityA();
        assertThat(verdict(FuseFamily.CLASS_T, over, wide, FindingCode.FUSE_AMPACITY))
                .isEqualTo(Verdict.STOP);
        assertThatThrownBy(() -> new ProtectedCable.Margins(0.9, 1.5)).hasMessageContaining("overLoad");
    }

    @Test
    void theChooserTakesTheSmallestThatFits() {
        List<FuseCheck> ranked = FuseChooser.rank(inverterCable());
        FuseCheck best = ranked.get(0);
        assertThat(best.ratingA()).isBetween(187.5, 210.0);
        assertThat(best.verdict()).isEqualTo(Verdict.PASS);
        assertThat(ranked).hasSizeGreaterThan(40);
        assertThat(ranked.get(ranked.size() - 1).verdict()).isEqualTo(Verdict.STOP);
    }

    private static Verdict verdict(FuseFamily family, double rating, ProtectedCable cable, FindingCode code) {
        return new FuseCheck(family, rating, cable)
                .findings().stream()
                        .filter(finding -> finding.code() == code)
                        .map(Finding::verdict)
                        .findFirst()
                        .orElseThrow();
    }

    /** Of a battery of which only the kind and the size are known. */
    private static ProtectedCable typical(ProtectedCable cable, double faultA) {
        return new ProtectedCable(cable.cable(), cable.load(), new ProtectedCable.Supply(14.4, faultA, faultA, true));
    }

    /** Of two that are to be watched the one with fewer doubts comes first, not the smaller one. */
    @Test
    void fewerDoubtsComeFirst() {
        ProtectedCable cable = new ProtectedCable(
                new ProtectedCable.Cable(70, 330, 135),
                ProtectedCable.Load.steady(206),
                new ProtectedCable.Supply(14.4, 22_000, 20_000, true));
        FuseCheck best = FuseChooser.rank(cable).get(0);
        assertThat(best.verdict()).isEqualTo(Verdict.WATCH);
        assertThat(best.family()).isEqualTo(FuseFamily.CLASS_T);
        assertThat(best.ratingA()).isEqualTo(300);
    }

    @Test
    void eachFaultOfAFuseIsFound() {
        ProtectedCable cable = inverterCable();
        assertThat(verdict(FuseFamily.SF51, 150, cable, FindingCode.FUSE_LOAD)).isEqualTo(Verdict.WATCH);
        assertThat(verdict(FuseFamily.SF51, 125, cable, FindingCode.FUSE_LOAD)).isEqualTo(Verdict.STOP);
        assertThat(verdict(FuseFamily.SF51, 400, cable, FindingCode.FUSE_AMPACITY))
                .isEqualTo(Verdict.STOP);
        ProtectedCable charged =
                new ProtectedCable(cable.cable(), cable.load(), new ProtectedCable.Supply(57.6, 9000, 3000));
        assertThat(verdict(FuseFamily.SF51, 200, charged, FindingCode.FUSE_VOLTAGE))
                .isEqualTo(Verdict.STOP);
        assertThat(verdict(FuseFamily.SF51, 200, charged, FindingCode.FUSE_INTERRUPTING))
                .isEqualTo(Verdict.STOP);
        assertThat(verdict(FuseFamily.CLASS_T, 200, charged, FindingCode.FUSE_INTERRUPTING))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(FuseFamily.SF51, 200, typical(cable, 1990), FindingCode.FUSE_INTERRUPTING))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(FuseFamily.SF51, 200, typical(cable, 3900), FindingCode.FUSE_INTERRUPTING))
                .as("the resistance is a guess, and half the current as likely")
                .isEqualTo(Verdict.WATCH);
        assertThat(verdict(FuseFamily.SF51, 200, typical(cable, 4100), FindingCode.FUSE_INTERRUPTING))
                .isEqualTo(Verdict.STOP);
        ProtectedCable thin = new ProtectedCable(
                new ProtectedCable.Cable(1, 20, 115), ProtectedCable.Load.steady(10), cable.supply());
        assertThat(verdict(FuseFamily.SF51, 200, thin, FindingCode.FUSE_WITHSTAND))
                .isEqualTo(Verdict.STOP);
        ProtectedCable starter =
                new ProtectedCable(cable.cable(), new ProtectedCable.Load(100, 700, 10), cable.supply());
        assertThat(verdict(FuseFamily.SF51, 200, starter, FindingCode.FUSE_SURGE))
                .isEqualTo(Verdict.STOP);
    }

    @Test
    @CheckedAgainst(
            value = "marine practice: the next standard rating up to 150 % of the ampacity where none fits",
            how = "common practice")
    void theNextStandardRatingMayExceedTheAmpacity() {
        ProtectedCable tight = new ProtectedCable(
                new ProtectedCable.Cable(13.3, 110, 143),
                ProtectedCable.Load.steady(95),
                inverterCable().supply());
        assertThat(verdict(FuseFamily.SF51, 125, tight, FindingCode.FUSE_AMPACITY))
                .isEqualTo(Verdict.WATCH);
        assertThat(verdict(FuseFamily.SF51, 150, tight, FindingCode.FUSE_AMPACITY))
                .isEqualTo(Verdict.STOP);
    }

    @Test
    void aLargeMainIsSelectiveAndAnEqualOneIsNot() {
        FuseCurve branch = FuseFamily.SF51.curve(100);
        assertThat(new Selectivity(FuseFamily.SF51.curve(500), branch, 400)
                        .finding()
                        .verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(new Selectivity(FuseFamily.SF51.curve(200), branch, 5000)
                        .finding()
                        .verdict())
                .isEqualTo(Verdict.NOTE);
        assertThat(new Selectivity(branch, branch, 2000).finding().verdict()).isEqualTo(Verdict.NOTE);
    }

    /** Against a walk in steps of a hundred-thousandth. */
    @Test
    void theOrderIsLostWhereTheCurvesMeet() {
        for (FuseFamily mains : List.of(FuseFamily.SF51, FuseFamily.CLASS_T)) {
            for (FuseFamily branches : List.of(FuseFamily.SF51, FuseFamily.SF30, FuseFamily.CLASS_T)) {
                for (double rating : new double[] {30, 60, 100}) {
                    FuseCurve main = mains.curve(150);
                    FuseCurve branch = branches.curve(rating);
                    double walked = Double.POSITIVE_INFINITY;
                    double first = branch.gates().get(0).multiple() * rating;
                    for (double ampere = first; ampere <= 5000 && walked > 5000; ampere *= 1.00001) {
                        double slowest = branch.slowestS(ampere);
                        if (slowest < Double.POSITIVE_INFINITY && slowest >= main.fastestS(ampere)) {
                            walked = ampere;
                        }
                    }
                    double found = new Selectivity(main, branch, 5000).uncertainFromA();
                    assertThat(Math.min(found, 1e6))
                            .as("%s %s behind %s", branches, rating, mains)
                            .isCloseTo(Math.min(walked, 1e6), withinPercentage(0.01));
                }
            }
        }
    }

    @Test
    @CheckedAgainst(
            value = "Ohm's law: fault current of a source over its own and the loop's resistance",
            how = "exact")
    void faultCurrent() {
        assertThat(ProtectedCable.faultA(12.8, 0.003, 0.001)).isCloseTo(3200, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.NaN})
    void nonsenseIsRefused(double value) {
        assertThatThrownBy(() -> new FuseCheck(FuseFamily.SF51, value, inverterCable()))
                .hasMessageContaining("ratingA");
        assertThatThrownBy(() -> ProtectedCable.Load.steady(value)).hasMessageContaining("continuousA");
    }
}
