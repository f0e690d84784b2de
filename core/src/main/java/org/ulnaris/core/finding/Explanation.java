package org.ulnaris.core.finding;

import java.util.List;
import org.ulnaris.core.measure.Figures;

/**
 * How a figure came about: the formula in symbols and the same formula with the numbers put in.
 *
 * @param formula right-hand side in symbols, e.g. {@code I_t · f_a}; each {@link Term#symbol} in it is replaced by its
 *     value
 * @param terms the symbols, values and units
 * @param result symbol, value and unit of the left-hand side
 */
public record Explanation(String formula, List<Term> terms, Term result) {
    /**
     * A named value in a formula.
     *
     * @param symbol as it stands in the formula
     * @param value the number
     * @param unit its unit; empty for a pure number
     */
    public record Term(String symbol, double value, String unit) {
        String withUnit() {
            String number = Figures.significant(value, 4);
            return unit.isEmpty() ? number : number + " " + unit;
        }
    }

    public static Term term(String symbol, double value, String unit) {
        return new Term(symbol, value, unit);
    }

    public static Explanation of(Term result, String formula, Term... terms) {
        return new Explanation(formula, List.of(terms), result);
    }

    /** A reason that no formula stands behind. */
    public static Explanation words(String reason) {
        return new Explanation(reason, List.of(), term("", 0, ""));
    }

    /** The right-hand side with the numbers put in. */
    public String withNumbers() {
        StringBuilder text = new StringBuilder();
        int at = 0;
        while (at < formula.length()) {
            Term hit = longestTermAt(at);
            if (hit == null) {
                text.append(formula.charAt(at++));
            } else {
                text.append(hit.withUnit());
                at += hit.symbol().length();
            }
        }
        return text.toString();
    }

    private @org.jspecify.annotations.Nullable Term longestTermAt(int at) {
        if (at > 0 && isSymbolPart(formula.charAt(at - 1))) {
            return null;
        }
        Term hit = null;
        for (Term term : terms) {
            int end = at + term.symbol().length();
            boolean whole = end >= formula.length() || !isSymbolPart(formula.charAt(end));
            if (formula.startsWith(term.symbol(), at) && whole) {
                hit = hit == null || term.symbol().length() > hit.symbol().length() ? term : hit;
            }
        }
        return hit;
    }

    private static boolean isSymbolPart(char c) {
        return Character.isLetter(c) || c == '_';
    }

    /** The whole line: {@code I_z = I_t · f_a = 210 A · 0.97 = 203.7 A}. */
    public String text() {
        if (result.symbol().isEmpty()) {
            return formula;
        }
        String numbers = withNumbers();
        String head = result.symbol() + " = " + formula;
        String middle = numbers.equals(formula) ? "" : " = " + numbers;
        String end = numbers.equals(result.withUnit()) ? "" : " = " + result.withUnit();
        return head + middle + end;
    }
}
