package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.sizing.ParallelPair.Allowed;

class ParallelPairTest {
    private static CableDemand demand(double ampere, RuleSet rules) {
        return demand(ampere, rules, SizeSeries.AWG);
    }

    private static CableDemand demand(double ampere, RuleSet rules, SizeSeries series) {
        return new CableDemand(
                new CableDemand.Load(ampere, 2, 24, 3),
                new AmpacityConditions(105, 30, false, 1),
                OptionalDouble.empty(),
                rules,
                series,
                false);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC 310.10(G): conductors in parallel from 1/0 AWG on")
    @CsvSource({"500,YES", "150,TOO_THIN"})
    void parallelFromOneAught(double ampere, Allowed allowed) {
        ParallelPair pair = ParallelPair.of(demand(ampere, RuleSet.NEC_FREE_AIR, SizeSeries.METRIC))
                .orElseThrow();
        assertThat(pair.allowed()).isEqualTo(allowed);
    }

    @Test
    void eachOfThePairCarriesHalfAndPasses() {
        ParallelPair pair = ParallelPair.of(demand(300, RuleSet.CFR_183_425)).orElseThrow();
        assertThat(pair.allowed()).isEqualTo(Allowed.EACH_PROTECTED);
        assertThat(pair.each().size().areaMm2())
                .isLessThan(pair.single().orElseThrow().size().areaMm2());
        assertThat(pair.each().use(FindingCode.AMPACITY)).isLessThanOrEqualTo(1);
        assertThat(pair.each().use(FindingCode.DROP)).isLessThanOrEqualTo(1);
        assertThat(pair.copperRatio()).isBetween(0.5, 2.0);
    }

    @Test
    void whereNoSingleSizePassesAPairMay() {
        ParallelPair pair = ParallelPair.of(demand(600, RuleSet.CFR_183_425)).orElseThrow();
        assertThat(pair.single()).isEmpty();
        assertThat(pair.copperRatio()).isNaN();
    }

    @Test
    void nothingFitsNothingIsSaid() {
        assertThat(ParallelPair.of(demand(5000, RuleSet.CFR_183_425))).isEmpty();
    }

    /** Two equal cables, one 10 % longer: 100/210 and 110/210 of the current. */
    @Test
    @CheckedAgainst("current divider of two resistances, textbook")
    void unequalLengthsShareUnequally() {
        assertThat(ParallelPair.imbalancePercent(10)).isCloseTo(100 * (110.0 - 100) / 105, within(1e-9));
        assertThat(ParallelPair.imbalancePercent(0)).isZero();
    }
}
