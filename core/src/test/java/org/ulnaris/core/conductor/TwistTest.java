package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;

class TwistTest {
    @Test
    @CheckedAgainst(value = "short cables punish errors in lug angle", how = "common practice")
    void shortAndThickForgivesLeast() {
        assertThat(Twist.forgivenDegrees(150, 15)).isLessThan(Twist.forgivenDegrees(300, 15));
        assertThat(Twist.forgivenDegrees(150, 20)).isLessThan(Twist.forgivenDegrees(150, 15));
    }

    @Test
    void theModelIsOurs() {
        assertThat(Twist.forgivenDegrees(150, 15)).isCloseTo(15, within(1e-9));
        assertThat(Twist.forgivenDegrees(50_000, 10)).isEqualTo(180);
    }
}
