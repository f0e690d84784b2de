package org.ulnaris.core.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Expression.Term;

/**
 * How a figure came about: a formula with what it yields, further values that it was read from or held against, and a note in prose.
 * Each may be missing, but not all of them.
 *
 * @param equation what was computed; null where a figure was read, not computed
 * @param given further values, in the order in which they are said
 * @param note prose; empty for none
 */
public record Explanation(@Nullable Equation equation, List<Term> given, String note) {
    /**
     * A formula and its outcome.
     *
     * @param result symbol, value and unit of the left-hand side
     * @param formula the right-hand side
     */
    public record Equation(Term result, Expression formula) {
        /** The right-hand side in symbols. */
        public String symbols() {
            return formula.in(new PlainText(false));
        }

        /** The right-hand side with numbers and units. */
        public String numbers() {
            return formula.in(new PlainText(true));
        }

        /** The outcome with its unit. */
        public String outcome() {
            return result.text();
        }

        String text() {
            return result.symbol() + " = " + symbols() + " = " + numbers() + " = " + outcome();
        }
    }

    public Explanation {
        given = List.copyOf(given);
    }

    /** {@code result} by {@code formula}. */
    public static Explanation of(Term result, Expression formula) {
        return new Explanation(new Equation(result, formula), List.of(), "");
    }

    /** Figures that were read and not computed, with what they are. */
    public static Explanation read(String note, Term... given) {
        return new Explanation(null, List.of(given), note);
    }

    /** A reason that no figure stands behind. */
    public static Explanation words(String reason) {
        return new Explanation(null, List.of(), reason);
    }

    /** The same with a note in prose. */
    public Explanation noted(String words) {
        return new Explanation(equation, given, words);
    }

    /** The same with further values. */
    public Explanation with(Term... further) {
        return new Explanation(equation, List.of(further), note);
    }

    /** The further values: {@code L_1 = 1.2 m, L_2 = 0.9 m}; empty for none. */
    public String givenText() {
        return given.stream().map(term -> term.symbol() + " = " + term.text()).collect(Collectors.joining(", "));
    }

    /** All on one line: {@code I_z = I_t · f = 210 A · 0.97 = 203.7 A; by the table}. */
    public String text() {
        if (equation == null) {
            return given.isEmpty() ? note : note + ": " + givenText();
        }
        List<String> parts = new ArrayList<>(List.of(equation.text(), givenText(), note));
        parts.removeIf(String::isEmpty);
        return String.join("; ", parts);
    }
}
