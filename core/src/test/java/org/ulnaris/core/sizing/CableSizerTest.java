package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

class CableSizerTest {
    private static final double FOOT_M = 0.3048;
    private static final double MM2_PER_CMIL = 5.06707e-4;

    @Test
    void theExampleOfTheInterface() {
        SizingResult result = CableSizer.size(inverter());
        assertThat(result.chosen().orElseThrow().size().designation()).isEqualTo("2 AWG");
        assertThat(result.decidedBy()).isEqualTo(FindingCode.DROP);
        Rung three = result.nextSmaller().orElseThrow();
        assertThat(three.size().designation()).isEqualTo("3 AWG");
        assertThat(three.dropPercent()).isCloseTo(3.27, within(0.02));
    }

    @Test
    @CheckedAgainst(value = "common practice: the 48 V, 200 A, 1 ft, 1 % trap", how = "common practice")
    void dropAloneWouldPassAnAbsurdSize() {
        // A chart entered with the one-way length halves the loop.
        CableDemand asCharted = demand(200, FOOT_M / 2, 48, 1, RuleSet.CFR_183_425);
        SizingResult charted = CableSizer.size(asCharted);
        assertThat(charted.byDropAlone().orElseThrow().size().designation()).isEqualTo("12 AWG");
        assertThat(charted.chosen().orElseThrow().size().designation()).isEqualTo("2 AWG");
        assertThat(charted.decidedBy()).isEqualTo(FindingCode.AMPACITY);

        SizingResult whole = CableSizer.size(demand(200, FOOT_M, 48, 1, RuleSet.CFR_183_425));
        assertThat(whole.byDropAlone().orElseThrow().size().designation()).isEqualTo("8 AWG");
        assertThat(whole.chosen().orElseThrow().size().designation()).isEqualTo("2 AWG");
    }

    @Test
    void theBundlingFactorsPublicationIsNamedWhereItCounts() {
        assertThat(ampacitySource(1))
                .isEqualTo(RuleSet.CFR_183_425.method().source().text());
        assertThat(ampacitySource(4)).contains("table 5").endsWith("used under 50 V by marine practice");
    }

    private static String ampacitySource(int bundled) {
        CableDemand inverter = inverter();
        CableDemand demand = new CableDemand(
                inverter.load(),
                new AmpacityConditions(105, 30, false, bundled),
                OptionalDouble.empty(),
                inverter.ruleSet(),
                inverter.series(),
                inverter.metal() == ConductorMetal.TINNED);
        return CableSizer.size(demand).rungs().get(0).findings().get(0).source().text();
    }

    @ParameterizedTest
    @CheckedAgainst("ABYC E-11 12 V tables, 3 % and 10 % (K-formula CM = K·I·L/E, K = 10.75)")
    @CsvSource({
        "3,5,10,18",
        "3,10,20,10",
        "3,15,40,6",
        "3,20,30,6",
        "3,25,30,6",
        "3,50,20,4",
        "3,100,10,4",
        "3,100,40,2/0",
        "10,10,30,14",
        "10,20,40,10",
        "10,30,60,6",
        "10,100,20,6",
        "10,100,50,2"
    })
    void proposesTheMarineTablesSizeOrItsNeighbour(double percent, double ampere, double feetRoundTrip, String gauge) {
        double cmil = 10.75 * ampere * feetRoundTrip / (12 * percent / 100);
        assertThat(size(gauge)).isGreaterThanOrEqualTo(cmil * MM2_PER_CMIL);
        // K = 10.75 is copper at 29.5 °C without lay; ours counts both, so it may ask for one size more, never for one
        // less.
        CableDemand demand = demand(ampere, feetRoundTrip / 2 * FOOT_M, 12, percent, RuleSet.CFR_183_425);
        List<String> ladder = ConductorSizes.of(SizeSeries.AWG).stream()
                .map(ConductorSize::designation)
                .toList();
        String ours = CableSizer.size(demand).byDropAlone().orElseThrow().size().designation();
        assertThat(Math.abs(ladder.indexOf(ours) - ladder.indexOf(gauge + " AWG")))
                .isLessThanOrEqualTo(1);
        assertThat(size(ours)).isGreaterThanOrEqualTo(cmil * MM2_PER_CMIL);
    }

    @ParameterizedTest
    @CheckedAgainst("FAA AC 43.13-1B tables 11-7, 11-8 (drop of a wire of known Ω/ft)")
    @CsvSource({"6,107,20,0.942", "4,90,20,0.504", "12,88,20,3.6", "14,100,20,6.12", "10,39,20,0.98"})
    void dropsAsTheAviationTable(String gauge, double feet, double ampere, double dropV) {
        // The table's wires are tin-coated, 6 to 16 % above pure copper at 20 °C; ours are warmed by their current.
        CableDemand demand = demand(ampere, feet / 2 * FOOT_M, 28, 10, RuleSet.CFR_183_425);
        Rung rung = CableSizer.rung(demand, ConductorSizes.parse(gauge, SizeSeries.AWG));
        assertThat(dropV / rung.dropV()).isBetween(0.95, 1.2);
    }

    @ParameterizedTest
    @CheckedAgainst("BS 7671 table 4D1B, mV/A/m of two cores at 70 °C (class 2; class 5 within 9 %)")
    @CsvSource({"2.5,18", "4,11", "6,7.3", "10,4.4", "16,2.8", "25,1.75"})
    void resistsAsTheBritishTable(String name, double milliVoltPerAmpereMetre) {
        Conductor conductor = new Conductor(ConductorSizes.parse(name, SizeSeries.METRIC), false);
        double ours = 2 * 1000 * ConductorResistance.ohmPerMetre(conductor, 70);
        assertThat(ours).isBetween(milliVoltPerAmpereMetre * 0.99, milliVoltPerAmpereMetre * 1.09);
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 10133 annex A, E = 0.0164·I·L/S (cold pure copper, no lay)")
    @ValueSource(strings = {"1.5", "4", "10", "25", "50", "95"})
    void resistsAsTheSmallCraftFormula(String name) {
        Conductor conductor = new Conductor(ConductorSizes.parse(name, SizeSeries.METRIC), false);
        double iso = 0.0164 / Double.parseDouble(name);
        assertThat(ConductorResistance.ohmPerMetreAt20(conductor) / iso).isBetween(1.15, 1.25);
    }

    @Test
    @CheckedAgainst("K of 12 AWG stranded at 75 °C = 12.9 Ω·cmil/ft (NEC chapter 9 table 8)")
    void kFactor() {
        Conductor twelve = new Conductor(ConductorSizes.parse("12", SizeSeries.AWG), false);
        double k = ConductorResistance.ohmPerMetre(twelve, 75) * FOOT_M * 6530;
        assertThat(k).isCloseTo(12.9, within(0.06));
    }

    @Test
    void explainsEveryFigureWithTheSameNumbers() {
        SizingResult result = CableSizer.size(inverter());
        for (Rung rung : result.rungs()) {
            for (Finding finding : rung.findings()) {
                Explanation.Equation equation = finding.explanation().equation();
                double answer = finding.code() == FindingCode.AMPACITY ? finding.limit() : finding.figure();
                if (equation != null) {
                    assertThat(equation.result().value())
                            .as(finding.code().name())
                            .isEqualTo(answer);
                }
                assertThat(finding.explanation().text()).doesNotContain("NaN");
            }
        }
        assertThat(result.chosen().orElseThrow().findings().get(0).explanation().text())
                .isEqualTo("I_z = I_t · f_ambient · f_bundle · f_engine = 210 A · 1 · 1 · 1 = 210 A");
    }

    @Test
    void terminalTemperatureCanDecide() {
        CableDemand cool = withTerminal(inverter(), 60);
        SizingResult result = CableSizer.size(cool);
        assertThat(result.decidedBy()).isEqualTo(FindingCode.TERMINAL_TEMPERATURE);
        assertThat(result.chosen().orElseThrow().conductorTempC()).isLessThanOrEqualTo(60);
        assertThat(result.nextSmaller().orElseThrow().conductorTempC()).isGreaterThan(60);
    }

    @Test
    void nothingFits() {
        SizingResult result = CableSizer.size(demand(2000, 3, 12, 3, RuleSet.CFR_183_425));
        assertThat(result.chosen()).isEmpty();
        assertThat(result.decidedBy()).isEqualTo(FindingCode.DROP);
        assertThat(result.nextSmaller().orElseThrow().size().designation()).isEqualTo("4/0 AWG");
    }

    @Test
    void ambientAtTheInsulationsLimitLeavesNothing() {
        CableDemand hot = new CableDemand(
                new CableDemand.Load(10, 1, 12, 3),
                new AmpacityConditions(60, 70, false, 1),
                OptionalDouble.empty(),
                RuleSet.CFR_183_425,
                SizeSeries.AWG,
                false);
        SizingResult result = CableSizer.size(hot);
        assertThat(result.chosen()).isEmpty();
        assertThat(result.decidedBy()).isEqualTo(FindingCode.AMPACITY);
        assertThat(result.rungs()).allSatisfy(rung -> {
            assertThat(rung.ampacityA()).isZero();
            assertThat(rung.dropV()).isFinite();
            assertThat(rung.verdict(FindingCode.AMPACITY)).isEqualTo(Verdict.STOP);
        });
    }

    @ParameterizedTest
    @EnumSource(RuleSet.class)
    void moreNeverGivesAThinnerCable(RuleSet rules) {
        Random random = new Random(7);
        for (int i = 0; i < 300; i++) {
            double ampere = 1 + random.nextDouble() * 200;
            double metre = 0.2 + random.nextDouble() * 10;
            int base = index(CableSizer.size(demand(ampere, metre, 24, 3, rules)));
            assertThat(index(CableSizer.size(demand(ampere * 1.3, metre, 24, 3, rules))))
                    .isGreaterThanOrEqualTo(base);
            assertThat(index(CableSizer.size(demand(ampere, metre * 1.3, 24, 3, rules))))
                    .isGreaterThanOrEqualTo(base);
            assertThat(index(CableSizer.size(demand(ampere, metre, 48, 3, rules))))
                    .isLessThanOrEqualTo(base);
        }
    }

    @Test
    void theRungsBelowTheChosenFailAndItPasses() {
        SizingResult result = CableSizer.size(inverter());
        for (int i = 0; i < result.rungs().size(); i++) {
            assertThat(result.rungs().get(i).stands()).isEqualTo(i >= result.chosenIndex());
        }
    }

    @Test
    void metricSizesUnderAnAwgTableSaySo() {
        CableDemand metric = new CableDemand(
                inverter().load(),
                inverter().conditions(),
                OptionalDouble.empty(),
                RuleSet.CFR_183_425,
                SizeSeries.METRIC,
                true);
        Rung chosen = CableSizer.size(metric).chosen().orElseThrow();
        assertThat(chosen.findings()).extracting(Finding::code).contains(FindingCode.TABLE_ROW);
        assertThat(CableSizer.size(demand(10, 1, 60, 3, RuleSet.CFR_183_425))
                        .rungs()
                        .get(3)
                        .findings())
                .extracting(Finding::code)
                .contains(FindingCode.TABLE_VOLTAGE);
    }

    @Test
    void insulationBetweenTwoColumnsSaysWhichStandsIn() {
        Rung rung = CableSizer.size(demand(10, 1, 12, 3, RuleSet.NEC_RACEWAY))
                .rungs()
                .get(5);
        assertThat(rung.findings())
                .filteredOn(finding -> finding.code() == FindingCode.TABLE_COLUMN)
                .singleElement()
                .satisfies(finding -> assertThat(finding.figure()).isEqualTo(90));
        assertThat(CableSizer.size(inverter()).rungs().get(5).findings())
                .extracting(Finding::code)
                .doesNotContain(FindingCode.TABLE_COLUMN);
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, 0, -1, 1e9})
    void refusesWhatIsNoDemand(double bad) {
        assertThatThrownBy(() -> new CableDemand.Load(bad, 1, 12, 3)).hasMessageContaining("currentA");
        assertThatThrownBy(() -> new CableDemand.Load(1, bad, 12, 3)).hasMessageContaining("oneWayLengthM");
        assertThatThrownBy(() -> new CableDemand.Load(1, 1, bad, 3)).hasMessageContaining("systemVoltageV");
        assertThatThrownBy(() -> new CableDemand.Load(1, 1, 12, bad)).hasMessageContaining("maxDropPercent");
    }

    private static int index(SizingResult result) {
        return result.chosenIndex() < 0 ? 99 : result.chosenIndex();
    }

    private static double size(String gauge) {
        return ConductorSizes.parse(gauge, SizeSeries.AWG).areaMm2();
    }

    private static double solidOhmPerMetre(String gauge, double tempC) {
        Conductor conductor = new Conductor(ConductorSizes.parse(gauge, SizeSeries.AWG), false);
        return ConductorResistance.ohmPerMetre(conductor, tempC) / ConductorResistance.LAY_FACTOR;
    }

    private static CableDemand inverter() {
        return new CableDemand(
                new CableDemand.Load(180, 2.4, 24, 3),
                new AmpacityConditions(105, 30, false, 2),
                OptionalDouble.empty(),
                RuleSet.CFR_183_425,
                SizeSeries.AWG,
                true);
    }

    private static CableDemand withTerminal(CableDemand demand, double limitC) {
        return new CableDemand(
                demand.load(),
                demand.conditions(),
                OptionalDouble.of(limitC),
                demand.ruleSet(),
                demand.series(),
                demand.metal() == ConductorMetal.TINNED);
    }

    private static CableDemand demand(double ampere, double metre, double volt, double percent, RuleSet rules) {
        return new CableDemand(
                new CableDemand.Load(ampere, metre, volt, percent),
                new AmpacityConditions(105, 30, false, 2),
                OptionalDouble.empty(),
                rules,
                SizeSeries.AWG,
                false);
    }

    /** Unmarked terminals are good for 60 °C up to 100 A and 75 °C above: around that step a little more current took a thinner cable. */
    @ParameterizedTest
    @CheckedAgainst(value = "NEC 110.14(C): 60 °C to 100 A, 75 °C above", how = "recalled")
    @ValueSource(doubles = {20, 30, 45, 59, 65})
    void moreCurrentNeverTakesAThinnerCable(double ambientC) {
        Installation.System system = new Installation.System(24, 29.2, RuleSet.NEC_FREE_AIR);
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(90, ambientC, false, 1), OptionalDouble.empty(), SizeSeries.AWG, false, 50);
        double last = 0;
        for (double ampere = 60; ampere <= 180; ampere += 0.5) {
            SizingResult sized = CableSizer.size(laying.demand(system, 0.5, ampere, null, null));
            double area = sized.chosen().map(rung -> rung.size().areaMm2()).orElse(last);
            assertThat(area).as("%s A", ampere).isGreaterThanOrEqualTo(last);
            last = area;
        }
    }
}
