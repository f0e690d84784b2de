package org.ulnaris.core.fastening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.fastening.SharedStack.Pad;
import org.ulnaris.core.finding.Verdict;

class SharedStackTest {
    private static final Stud M8 = Studs.named("M8").orElseThrow();

    private static SharedStack stack(Pad... pads) {
        return SharedStack.of(M8, List.of(pads));
    }

    @Test
    @CheckedAgainst(value = "marine practice: several lugs on a stud, the largest lowest", how = "common practice")
    void theLargestLiesLowest() {
        SharedStack stack = stack(new Pad("C", 14, 2), new Pad("A", 24, 4), new Pad("B", 14, 2));
        assertThat(stack.lugs()).extracting(Pad::name).containsExactly("A", "B", "C");
    }

    /** One set of washers and one nut, whatever the number of lugs: ISO 7089 washer 1.6 mm, ISO 4032 nut 6.8 mm on M8. */
    @ParameterizedTest
    @CheckedAgainst("ISO 7089 and ISO 4032: M8 washer 1.6 mm, nut 6.8 mm; pitch 1.25 mm (ISO 261)")
    @CsvSource({"1, 4", "2, 8", "4, 16"})
    void heightsAddUp(int lugs, double pads) {
        Pad[] all = new Pad[lugs];
        for (int i = 0; i < lugs; i++) {
            all[i] = new Pad("L" + i, 20, 4);
        }
        double hardware = 1.6 + 0.25 * 8 + 6.8;
        assertThat(stack(all).heightMm()).isCloseTo(pads + hardware, within(1e-9));
        assertThat(stack(all).studNeededMm()).isCloseTo(pads + hardware + 2.5, within(1e-9));
    }

    @Test
    void aShortStudIsFound() {
        SharedStack two = stack(new Pad("A", 24, 4), new Pad("B", 14, 4));
        assertThat(two.finding(OptionalDouble.of(21)).orElseThrow().verdict()).isEqualTo(Verdict.PASS);
        assertThat(two.finding(OptionalDouble.of(19)).orElseThrow().verdict()).isEqualTo(Verdict.WATCH);
        assertThat(two.finding(OptionalDouble.of(15)).orElseThrow().verdict()).isEqualTo(Verdict.STOP);
        assertThat(two.finding(OptionalDouble.empty())).isEmpty();
    }

    /** With three lugs or more the stud and its torque have to be known; with two nobody asks. */
    @Test
    void aHighStackAsksForItsStudAndTorque() {
        SharedStack two = stack(new Pad("A", 24, 4), new Pad("B", 14, 2));
        SharedStack three = stack(new Pad("A", 24, 4), new Pad("B", 14, 2), new Pad("C", 14, 2));
        assertThat(two.finding(OptionalDouble.empty())).isEmpty();
        assertThat(two.torqueUnknown()).isEmpty();
        assertThat(three.finding(OptionalDouble.empty()).orElseThrow().verdict())
                .isEqualTo(Verdict.OPEN);
        assertThat(three.torqueUnknown().orElseThrow().verdict()).isEqualTo(Verdict.OPEN);
        assertThat(three.finding(OptionalDouble.of(60)).orElseThrow().verdict()).isEqualTo(Verdict.PASS);
    }
}
