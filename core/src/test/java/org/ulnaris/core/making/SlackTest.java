package org.ulnaris.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.making.Slack.Mount;

class SlackTest {
    @ParameterizedTest
    @CheckedAgainst(
            value = "common practice: no loop on a link or between bars, more to what moves with an engine",
            how = "common practice")
    @CsvSource({
        "FIXED, FIXED, 0.3, NONE",
        "FIXED, FIXED, 1, NONE",
        "FIXED, FIXED, 1.01, USUAL",
        "FIXED, OTHER, 0.3, USUAL",
        "OTHER, OTHER, 0.2, USUAL",
        "FIXED, MOVING, 0.3, MOVING",
        "MOVING, OTHER, 4, MOVING"
    })
    void theRunDecides(Mount a, Mount b, double lengthM, Slack slack) {
        assertThat(Slack.of(a, b, lengthM)).isEqualTo(slack);
        assertThat(Slack.of(b, a, lengthM)).isEqualTo(slack);
    }
}
