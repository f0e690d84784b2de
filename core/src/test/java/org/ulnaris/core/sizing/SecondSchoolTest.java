package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

/** Heat balance beside the table, and the heat of surges. */
class SecondSchoolTest {
    private static SizingResult ladder(double ampere, int bundled, RuleSet rules) {
        return CableSizer.size(new CableDemand(
                new CableDemand.Load(ampere, 0.5, 48, 10),
                new AmpacityConditions(105, 30, false, bundled),
                OptionalDouble.empty(),
                rules,
                SizeSeries.AWG,
                false));
    }

    /** For a pair the balance is stricter than the table's column, which knows no factor for two: it must decide. */
    @Test
    void theStricterDecides() {
        SizingResult result = ladder(119, 2, RuleSet.CFR_183_425);
        Rung smaller = result.nextSmaller().orElseThrow();
        assertThat(smaller.checks()).allMatch(code -> smaller.verdict(code) != Verdict.STOP);
        assertThat(smaller.verdict(FindingCode.HEAT_BALANCE)).isEqualTo(Verdict.STOP);
        assertThat(result.decidedBy()).isEqualTo(FindingCode.HEAT_BALANCE);
        assertThat(smaller.verdict()).isEqualTo(Verdict.STOP);
        assertThat(result.chosen().orElseThrow().stands()).isTrue();
    }

    @ParameterizedTest
    @EnumSource(RuleSet.class)
    void bothSchoolsAreShown(RuleSet rules) {
        Rung rung = ladder(60, 1, rules).chosen().orElseThrow();
        Finding heat = rung.findings().stream()
                .filter(finding -> finding.code() == FindingCode.HEAT_BALANCE)
                .findFirst()
                .orElseThrow();
        assertThat(heat.figure()).isBetween(30.0, rung.derating().columnTempC());
        assertThat(heat.explanation().text()).contains("by the table");
    }

    @ParameterizedTest
    @CsvSource({"1,2", "2,3", "3,6", "6,12"})
    void moreInABundleIsNeverCooler(int few, int many) {
        Rung one = ladder(60, few, RuleSet.CFR_183_425).rungs().get(10);
        Rung more = ladder(60, many, RuleSet.CFR_183_425).rungs().get(10);
        assertThat(more.use(FindingCode.HEAT_BALANCE)).isGreaterThan(one.use(FindingCode.HEAT_BALANCE));
    }

    @Test
    void aSurgeWarmsByItsTimeConstant() {
        Rung rung = ladder(100, 1, RuleSet.CFR_183_425).chosen().orElseThrow();
        Finding brief =
                SurgeHeat.finding(rung, new SurgeHeat.Surge(100, 400, 1)).orElseThrow();
        Finding endless =
                SurgeHeat.finding(rung, new SurgeHeat.Surge(100, 400, 3600)).orElseThrow();
        assertThat(brief.verdict()).isEqualTo(Verdict.PASS);
        assertThat(brief.figure()).isGreaterThan(rung.conductorTempC());
        assertThat(endless.verdict()).isEqualTo(Verdict.STOP);
        double share = 400 / rung.ampacityA();
        assertThat(endless.figure()).isCloseTo(30 + 75 * share * share, within(0.5));
        assertThat(SurgeHeat.finding(rung, new SurgeHeat.Surge(100, 100, 5))).isEmpty();
        assertThat(SurgeHeat.finding(rung, new SurgeHeat.Surge(100, 200, 0))).isEmpty();
    }

    /** The quick answer and the searched current say the same. */
    @ParameterizedTest
    @CsvSource({"20,1", "60,2", "119,2", "120,3", "210,1", "300,6"})
    void theQuickBalanceAgreesWithTheSearched(double ampere, int bundled) {
        for (Rung rung : ladder(ampere, bundled, RuleSet.CFR_183_425).rungs()) {
            assertThat(rung.verdict(FindingCode.HEAT_BALANCE) != Verdict.STOP)
                    .isEqualTo(rung.use(FindingCode.HEAT_BALANCE) <= 1);
        }
    }

    /** Short spells with long rests stay cool; spells far longer than the time constant end as if the current went on. */
    @Test
    void aDutyLeavesHeatInHand() {
        Rung rung = ladder(100, 1, RuleSet.CFR_183_425).chosen().orElseThrow();
        double on = rung.conductorTempC();
        double brief = DutyHeat.finding(rung, 100, 60, 600).orElseThrow().figure();
        double longer = DutyHeat.finding(rung, 100, 600, 600).orElseThrow().figure();
        double endless = DutyHeat.finding(rung, 100, 86_400, 1).orElseThrow().figure();
        assertThat(brief).isBetween(30.0, longer);
        assertThat(longer).isLessThan(on);
        assertThat(endless).isCloseTo(on, within(0.1));
        assertThat(DutyHeat.finding(rung, 400, 86_400, 1).orElseThrow().verdict())
                .isEqualTo(Verdict.STOP);
    }

    /** Conduit keeps heat in: never a thinner cable, and less current by the heat balance in every size. */
    @ParameterizedTest
    @CsvSource({"20,1", "60,2", "119,2", "210,3"})
    void aConduitNeverThins(double ampere, int bundled) {
        CableDemand free = ladder(ampere, bundled, RuleSet.CFR_183_425).demand();
        AmpacityConditions in = new AmpacityConditions(
                free.conditions().insulationTempC(), free.conditions().ambientC(), false, bundled, true);
        SizingResult conduit = CableSizer.size(new CableDemand(
                free.load(),
                in,
                OptionalDouble.empty(),
                free.ruleSet(),
                free.series(),
                free.metal() == ConductorMetal.TINNED));
        SizingResult air = CableSizer.size(free);
        assertThat(conduit.chosen().orElseThrow().size().areaMm2())
                .isGreaterThanOrEqualTo(air.chosen().orElseThrow().size().areaMm2());
        for (int i = 0; i < air.rungs().size(); i++) {
            assertThat(conduit.rungs().get(i).use(FindingCode.HEAT_BALANCE))
                    .isGreaterThan(air.rungs().get(i).use(FindingCode.HEAT_BALANCE));
        }
        assertThat(conduit.chosen().orElseThrow().findings())
                .anyMatch(finding -> finding.code() == FindingCode.HEAT_BALANCE
                        && finding.explanation().text().contains("conduit"));
    }
}
