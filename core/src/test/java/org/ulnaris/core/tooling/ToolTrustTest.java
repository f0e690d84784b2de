package org.ulnaris.core.tooling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.tooling.Sample.Parted;
import org.ulnaris.core.tooling.Sample.Pull;
import org.ulnaris.core.tooling.ToolTrust.Level;

class ToolTrustTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);

    private static Sample cut(int daysAgo, double voids) {
        return new Sample(TODAY.minusDays(daysAgo), OptionalDouble.of(voids), Pull.NONE);
    }

    private static Level level(Sample... samples) {
        return ToolTrust.of(List.of(samples), TODAY).level();
    }

    @Test
    void threeSoundSamplesAreTrusted() {
        assertThat(level(cut(1, 0), cut(2, 1), cut(3, 2))).isEqualTo(Level.TRUSTED);
        assertThat(level(cut(1, 0), cut(2, 1))).isEqualTo(Level.WATCH);
        assertThat(level()).isEqualTo(Level.WATCH);
        assertThat(level(cut(1, 4), cut(2, 1), cut(3, 2))).isEqualTo(Level.WATCH);
    }

    @Test
    void aFailureOfTheNewestCostsTheTrust() {
        assertThat(level(cut(1, 9), cut(2, 0), cut(3, 0), cut(4, 0), cut(5, 0))).isEqualTo(Level.NOT_TRUSTED);
        assertThat(level(cut(1, 0), cut(2, 9), cut(3, 0), cut(4, 0), cut(5, 0))).isEqualTo(Level.WATCH);
        assertThat(level(cut(1, 0), cut(2, 9), cut(3, 9), cut(4, 0), cut(5, 0))).isEqualTo(Level.NOT_TRUSTED);
    }

    @Test
    void oldAndUntestedSamplesDoNotCount() {
        assertThat(level(cut(1, 0), cut(2, 0), cut(3, 0), cut(900, 30))).isEqualTo(Level.TRUSTED);
        Sample untested = new Sample(TODAY, OptionalDouble.empty(), Pull.NONE);
        assertThat(ToolTrust.of(List.of(untested, cut(1, 0)), TODAY).counted()).isEqualTo(1);
        List<Sample> many = new ArrayList<>();
        for (int day = 0; day < 30; day++) {
            many.add(cut(day, day < 12 ? 0 : 40));
        }
        assertThat(ToolTrust.of(many, TODAY).level()).isEqualTo(Level.TRUSTED);
    }

    @ParameterizedTest
    @CsvSource({
        "3000, 2500, HELD, PASS",
        "3000, 2500, CONDUCTOR, PASS",
        "3000, 2500, BARREL, WATCH",
        "2400, 2500, BARREL, STOP",
        "2400, 2500, HELD, STOP",
        "0, 2500, NOT_PULLED, PASS"
    })
    void aPullIsHeldAgainstTheTable(double reached, double required, Parted parted, Verdict verdict) {
        assertThat(new Pull(reached, required, parted).verdict()).isEqualTo(verdict);
    }

    @Test
    void theFindingGivesTheEvidence() {
        ToolTrust trust = ToolTrust.of(List.of(cut(1, 9), cut(2, 0)), TODAY);
        assertThat(trust.finding().verdict()).isEqualTo(Verdict.STOP);
        assertThat(trust.finding().figure()).isEqualTo(1);
        assertThat(trust.finding().limit()).isEqualTo(2);
        assertThatThrownBy(() -> cut(1, 99)).hasMessageContaining("voidsPercent");
    }

    /** Three of three is little: 46 % at 90 % confidence; 22 in a row show 90 %. */
    @ParameterizedTest
    @CheckedAgainst(
            value = "success-run theorem, n = ln(1 − C) / ln R, C = 0.9, as quality handbooks print it",
            how = "recalled")
    @CsvSource({"0.8, 11", "0.85, 15", "0.9, 22", "0.95, 45", "0.97, 76", "0.99, 230"})
    void soManySoundSamplesShowAShare(double share, int samples) {
        assertThat(ToolTrust.samplesFor(share)).isEqualTo(samples);
        assertThat(new ToolTrust(ToolTrust.Level.TRUSTED, samples, 0, samples)
                        .assuredShare()
                        .orElseThrow())
                .isGreaterThanOrEqualTo(share);
        assertThat(new ToolTrust(ToolTrust.Level.TRUSTED, samples - 1, 0, samples - 1)
                        .assuredShare()
                        .orElseThrow())
                .isLessThan(share);
        assertThat(new ToolTrust(ToolTrust.Level.TRUSTED, 3, 0, 3)
                        .assuredShare()
                        .orElseThrow())
                .isBetween(0.464, 0.465);
        assertThat(new ToolTrust(ToolTrust.Level.WATCH, 2, 1, 3).assuredShare()).isEmpty();
    }
}
