package org.ulnaris.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ulnaris.core.finding.Expression.exp;
import static org.ulnaris.core.finding.Expression.term;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.finding.Expression.Term;

class ExplanationTest {
    @Test
    void putsTheNumbersIntoTheFormula() {
        Explanation explanation = Explanation.of(
                        term("I_z", 208.7, "A"),
                        term("I_t", 210, "A").times(term("f_a", 0.97, "")).plus(term("I", 5, "A")))
                .with(term("n", 2, ""))
                .noted("by the table");
        assertThat(explanation.text())
                .isEqualTo("I_z = I_t · f_a + I = 210 A · 0.97 + 5 A = 208.7 A; n = 2; by the table");
    }

    @Test
    void whatIsNotComputedIsSaidWithItsFigures() {
        assertThat(Explanation.read("lugs on one stud", term("n", 5, ""), term("n_max", 4, ""))
                        .text())
                .isEqualTo("lugs on one stud: n = 5, n_max = 4");
        assertThat(Explanation.words("seen at the bench").text()).isEqualTo("seen at the bench");
    }

    /** A line of text says by brackets what stacked signs show: one that is left out changes the outcome. */
    @Test
    void bracketsStandWhereTheLineCouldBeReadOtherwise() {
        Term a = term("a", 6.5, "mm");
        Term b = term("b", -2, "mm");
        Term r = term("r", 0.0005, "Ω/m");
        assertThat(numbers(a.squared())).isEqualTo("(6.5 mm)²");
        assertThat(numbers(term("x", 3, "").squared())).isEqualTo("3²");
        assertThat(numbers(a.minus(b))).isEqualTo("6.5 mm − (−2 mm)");
        assertThat(numbers(b.plus(a))).isEqualTo("−2 mm + 6.5 mm");
        assertThat(numbers(a.over(a.times(a)))).isEqualTo("6.5 mm / (6.5 mm · 6.5 mm)");
        assertThat(numbers(a.minus(a.minus(a)))).isEqualTo("6.5 mm − (6.5 mm − 6.5 mm)");
        assertThat(numbers(a.plus(a).times(r))).isEqualTo("(6.5 mm + 6.5 mm) · (0.0005 Ω/m)");
        assertThat(numbers(exp(a.plus(a).negative().over(a)))).isEqualTo("e^(−(6.5 mm + 6.5 mm) / 6.5 mm)");
        assertThat(numbers(term("k", 0.00393, "/K").times(a))).isEqualTo("(0.00393/K) · 6.5 mm");
        assertThat(a.times(b).over(a).in(new PlainText(false))).isEqualTo("a · b / a");
    }

    private static String numbers(Expression formula) {
        return formula.in(new PlainText(true));
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
