package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rating.WarmingUp;
import org.ulnaris.core.rules.SizePolicy;

class SpellsTest {
    private static Rung rung(String size, double currentA, Spells spells) {
        CableDemand demand = new CableDemand(
                new CableDemand.Load(currentA, 2, 12, 10),
                new AmpacityConditions(105, 30, false, 1),
                TerminalLimit.given(75),
                RuleSet.CFR_183_425,
                SizeSeries.AWG,
                ConductorMetal.copper(false),
                SizePolicy.BARE,
                null,
                spells);
        return SizeChoice.of(demand, ConductorSizes.designated(size).orElseThrow())
                .inUse();
    }

    private static Spells only(double onA, double onS, double offS) {
        return new Spells(0, List.of(new Spells.Spell(onA, 0, onS, offS)));
    }

    /** The peak of a cycle that goes on for good, by steps of the heat equation: what the time constant says in closed form. */
    @ParameterizedTest
    @CheckedAgainst("the heat equation of one body, integrated by steps")
    @CsvSource({"120, 480", "30, 30", "600, 1200", "5, 55"})
    void thePeakIsThatOfTheHeatEquation(double onS, double offS) {
        Rung rung = rung("2/0 AWG", 300, only(300, onS, offS));
        WarmingUp warming = rung.warming();
        double stepS = 0.05;
        double rise = 0;
        double peak = 0;
        double forGood = warming.finalC(300) - warming.ambientC();
        for (double t = 0; t < 12 * warming.timeConstantS(); t += stepS) {
            boolean works = t % (onS + offS) < onS;
            rise += stepS / warming.timeConstantS() * ((works ? forGood : 0) - rise);
            peak = t > 10 * warming.timeConstantS() - onS - offS ? Math.max(peak, rise) : 0;
        }
        assertThat(rung.conductorTempC()).isCloseTo(warming.ambientC() + peak, within(0.005 * peak + 0.05));
    }

    /** Short spells heat as their effective value does (handbook: the root of the mean square), long ones as a current for good. */
    @Test
    @CheckedAgainst("electrical handbooks: the effective value of a current in short spells")
    void shortSpellsHeatByTheirEffectiveValueAndLongOnesForGood() {
        assertThat(rung("4/0 AWG", 400, only(400, 0.5, 1.5)).heatingA())
                .isCloseTo(400 * Math.sqrt(0.25), Percentage.withPercentage(0.1));
        assertThat(rung("4/0 AWG", 400, only(400, 86_000, 1)).heatingA())
                .isCloseTo(400, Percentage.withPercentage(0.01));
    }

    /** A winch of 5 kW at 12 V for two minutes in ten: its terminals stay cool, and its cable still has to carry it for good. */
    @Test
    void spellsCoolTheTerminalsAndSpareNoAmpacity() {
        Rung forGood = rung("4/0 AWG", 417, null);
        Rung spells = rung("4/0 AWG", 417, only(417, 120, 480));
        assertThat(forGood.verdict(FindingCode.TERMINAL_TEMPERATURE)).isEqualTo(Verdict.STOP);
        assertThat(spells.verdict(FindingCode.TERMINAL_TEMPERATURE)).isEqualTo(Verdict.PASS);
        assertThat(spells.use(FindingCode.AMPACITY)).isEqualTo(forGood.use(FindingCode.AMPACITY));
        assertThat(spells.use(FindingCode.DROP)).isLessThan(forGood.use(FindingCode.DROP));
        assertThat(spells.lossW() / spells.dropV()).isCloseTo(417, within(1e-9));
        assertThat(rung("2/0 AWG", 417, only(417, 120, 480)).verdict(FindingCode.AMPACITY))
                .isEqualTo(Verdict.STOP);
        assertThat(spells.check(FindingCode.TERMINAL_TEMPERATURE)
                        .finding()
                        .explanation()
                        .text())
                .contains("I_h", "I_on = 417", "I_off = 0", "t_on = 120", "t_off = 480", "end of each spell");
    }

    /** What else flows goes on while the load rests: squares of currents are what heats. */
    @Test
    void whatElseFlowsGoesOn() {
        Spells both = new Spells(0, List.of(new Spells.Spell(400, 300, 0.5, 1.5)));
        assertThat(rung("4/0 AWG", 400, both).heatingA())
                .isCloseTo(Math.sqrt(300 * 300 + 0.25 * (400 * 400 - 300 * 300)), Percentage.withPercentage(0.1));
        assertThat(rung("4/0 AWG", 400, both).spell()).contains(both.all().get(0));
        assertThat(both.share(0.5).all()).containsExactly(new Spells.Spell(200, 150, 0.5, 1.5));
    }

    /** What flows for good in another case heats no less for the rest of this one. */
    @Test
    void anotherCaseThatFlowsForGoodCounts() {
        assertThat(rung("4/0 AWG", 417, new Spells(300, List.of(new Spells.Spell(417, 0, 60, 3600))))
                        .heatingA())
                .isEqualTo(300);
    }

    /** Without an ampacity there is no time constant: nothing is spared. */
    @Test
    void whereNothingIsRatedNothingIsSpared() {
        CableDemand hot = new CableDemand(
                new CableDemand.Load(100, 2, 12, 10),
                new AmpacityConditions(60, 80, false, 1),
                OptionalDouble.empty(),
                RuleSet.CFR_183_425,
                SizeSeries.AWG,
                false);
        CableDemand spells = new CableDemand(
                hot.load(),
                hot.conditions(),
                null,
                hot.ruleSet(),
                hot.series(),
                hot.metal(),
                hot.policy(),
                null,
                only(100, 1, 100));
        Rung rung = SizeChoice.of(spells, null).inUse();
        assertThat(rung.heatingA()).isEqualTo(100);
    }

    @Test
    void spellsHaveADuration() {
        assertThatThrownBy(() -> only(10, 0, 10)).hasMessageContaining("onS");
        assertThatThrownBy(() -> only(10, 10, 0)).hasMessageContaining("offS");
    }
}
