package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.SizePolicy;

/** A drop that nobody gave asks, and never leaves a cable without a size. */
class DropLimitTest {
    private static SizingResult sized(double currentA, double lengthM, DropLimit drop) {
        return CableSizer.size(new CableDemand(
                new CableDemand.Load(currentA, lengthM, 12, drop),
                new AmpacityConditions(105, 30, false, 1),
                TerminalLimit.given(105),
                RuleSet.CFR_183_425,
                SizeSeries.METRIC,
                ConductorMetal.COPPER,
                SizePolicy.USUAL,
                null));
    }

    @ParameterizedTest
    @CsvSource({"0.1, PASS", "2.69, PASS", "2.71, WATCH", "3, WATCH", "3.01, OPEN", "60, OPEN"})
    void beyondWhatIsUsualItAsks(double lostPercent, Verdict expected) {
        assertThat(DropLimit.usual(3).verdict(lostPercent, SizePolicy.USUAL)).isEqualTo(expected);
        Verdict strict = expected == Verdict.OPEN ? Verdict.STOP : expected;
        assertThat(DropLimit.given(3).verdict(lostPercent, SizePolicy.USUAL)).isEqualTo(strict);
    }

    /** 240 mm² loses 2·25·300·0.0000801·1.2/12, far beyond 3 %: with that typed no size stands, else the thickest asks. */
    @ParameterizedTest
    @CsvSource({"300, 25", "100, 60", "400, 12"})
    void noSizeStandsOnlyByATypedDrop(double currentA, double lengthM) {
        assertThat(sized(currentA, lengthM, DropLimit.given(3)).chosen()).isEmpty();
        assertThat(sized(currentA, lengthM, DropLimit.usual(3)).chosen()).hasValueSatisfying(rung -> {
            assertThat(rung.size().areaMm2()).isEqualTo(240);
            assertThat(rung.verdict(FindingCode.DROP)).isEqualTo(Verdict.OPEN);
            assertThat(rung.verdict()).isEqualTo(Verdict.OPEN);
        });
    }

    /** Where a size is a clean pass nothing changes. */
    @ParameterizedTest
    @CsvSource({"10, 1", "50, 2", "120, 1.5", "200, 0.8"})
    void aCleanPassIsTheSame(double currentA, double lengthM) {
        assertThat(sized(currentA, lengthM, DropLimit.usual(3))
                        .chosen()
                        .orElseThrow()
                        .size())
                .isEqualTo(sized(currentA, lengthM, DropLimit.given(3))
                        .chosen()
                        .orElseThrow()
                        .size());
    }
}
