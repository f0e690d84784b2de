package org.ulnaris.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.fastening.Studs;

class TypedTest {
    /** Pages write figures with spaces that do not break; what is copied from them is read. */
    @ParameterizedTest
    @ValueSource(strings = {"2.4\u00a0m", "\u202f2.4\u202fm", "2.4\u2007m\ufeff", " 2.4 m "})
    void figuresCopiedFromAPageAreRead(String text) {
        assertThat(Quantity.parse(text, Unit.M).in(Unit.M)).isEqualTo(2.4);
    }

    @Test
    void sizesRoutesAndStudsCopiedFromAPageAreRead() {
        assertThat(ConductorSizes.parse("70\u00a0mm²", SizeSeries.AWG).areaMm2())
                .isEqualTo(70);
        assertThat(CableRoute.parse("0.4\u00a0m\u00a0+\u00a01.2\u00a0m", Unit.M, 60)
                        .legsM())
                .containsExactly(0.4, 1.2);
        assertThat(Studs.named("3/8\u00a0in")).isPresent();
    }

    /** Quadratic readers took minutes for these; the limit here is not a measure of speed but of the order of growth. */
    @ParameterizedTest
    @ValueSource(strings = {" ", "0", "1 ", "+", "0.", "1/", "m", "\u00a0", "1\t"})
    @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
    void hundredThousandCharactersAreRefusedUnread(String part) {
        String text = "1" + part.repeat(100_000 / part.length()) + "x";
        assertThatThrownBy(() -> Quantity.parse(text, Unit.M)).isInstanceOf(MeasureException.class);
        assertThatThrownBy(() -> ConductorSizes.parse(text, SizeSeries.AWG)).isInstanceOf(MeasureException.class);
        assertThatThrownBy(() -> CableRoute.parse(text, Unit.M, 0)).isInstanceOf(MeasureException.class);
        assertThat(CableRoute.hasLegs(text)).isFalse();
        assertThat(Studs.named(text)).isEmpty();
    }
}
