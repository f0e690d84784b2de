package org.ulnaris.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ulnaris.core.finding.Explanation.term;

import java.util.List;
import org.junit.jupiter.api.Test;

class ExplanationTest {
    @Test
    void putsTheNumbersIntoTheFormula() {
        Explanation explanation = Explanation.of(
                term("I_z", 203.7, "A"),
                "I_t · f_a + I",
                term("I_t", 210, "A"),
                term("f_a", 0.97, ""),
                term("I", 5, "A"));
        assertThat(explanation.text()).isEqualTo("I_z = I_t · f_a + I = 210 A · 0.97 + 5 A = 203.7 A");
    }

    @Test
    void leavesLettersInsideOfWordsAlone() {
        Explanation explanation =
                Explanation.of(term("x", 2, ""), "min(A, max)", term("A", 2, "mm²"), term("a", 9, ""));
        assertThat(explanation.withNumbers()).isEqualTo("min(2 mm², max)");
    }

    @Test
    void bandsJudgeFromInsideOut() {
        Bands bands = new Bands(1, 2, 3, 4);
        assertThat(List.of(0.99, 1.0, 1.99, 2.0, 3.0, 3.01, 4.0, 4.01, Double.NaN).stream()
                        .map(bands::judge))
                .containsExactly(
                        Verdict.STOP,
                        Verdict.WATCH,
                        Verdict.WATCH,
                        Verdict.PASS,
                        Verdict.PASS,
                        Verdict.WATCH,
                        Verdict.WATCH,
                        Verdict.STOP,
                        Verdict.STOP);
    }

    @Test
    void worstVerdictWins() {
        assertThat(Verdict.PASS.and(Verdict.WATCH)).isEqualTo(Verdict.WATCH);
        assertThat(Verdict.STOP.and(Verdict.PASS)).isEqualTo(Verdict.STOP);
        assertThat(Verdict.worstOf(List.of())).isEqualTo(Verdict.PASS);
    }
}
