package org.ulnaris.core.finding;

import java.util.Comparator;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.objecthunter.exp4j.ExpressionBuilder;
import net.objecthunter.exp4j.function.Function;

/**
 * A printed formula read as a stranger would read it: numbers with their units, nothing known of the program that printed them. The
 * arithmetic is exp4j's.
 */
final class Printed {
    /** What a unit is in coherent SI units; temperatures only ever count by their differences or shares. */
    private static final Map<String, Double> SI = Map.ofEntries(
            Map.entry("mm", 1e-3),
            Map.entry("mm²", 1e-6),
            Map.entry("W", 1.0),
            Map.entry("m", 1.0),
            Map.entry("A", 1.0),
            Map.entry("V", 1.0),
            Map.entry("s", 1.0),
            Map.entry("N", 1.0),
            Map.entry("kN", 1e3),
            Map.entry("N·m", 1.0),
            Map.entry("MPa", 1e6),
            Map.entry("Ω/m", 1.0),
            Map.entry("mΩ", 1e-3),
            Map.entry("Ω", 1.0),
            Map.entry("A·√s/mm²", 1e6),
            Map.entry("/K", 1.0),
            Map.entry("°C", 1.0),
            Map.entry("°", Math.PI / 180),
            Map.entry("%", 0.01));

    private static final Pattern QUANTITY = Pattern.compile("(?<![\\w.])(\\d+(?:\\.\\d+)?)(?: ?("
            + SI.keySet().stream()
                    .sorted(Comparator.comparing(String::length).reversed())
                    .map(Pattern::quote)
                    .collect(Collectors.joining("|"))
            + ")(?![\\w²]))?");

    private static final Function MIN = new Function("min", 2) {
        @Override
        public double apply(double... args) {
            return Math.min(args[0], args[1]);
        }
    };

    private Printed() {}

    /** Value of {@code text} in SI units. */
    static double value(String text) {
        return evaluate(text, number -> number);
    }

    /** By how much {@code text} may be off since each of its numbers was rounded when it was printed. */
    static double slack(String text) {
        double exact = value(text);
        double slack = 0;
        for (int at = 0; at < QUANTITY.matcher(text).results().count(); at++) {
            slack += Math.abs(evaluateOne(text, at) - exact);
        }
        return slack;
    }

    private static double evaluate(String text, DoubleUnaryOperator change) {
        return arithmetic(QUANTITY.matcher(text).replaceAll(found -> inSi(found, change)));
    }

    /** With one number larger by the most that rounding to four digits, at least to tenths, can have taken from it. */
    private static double evaluateOne(String text, int which) {
        int[] seen = {0};
        return evaluate(text, number -> {
            double fourth = Math.pow(10, Math.floor(Math.log10(Math.max(1e-300, number))) - 3);
            return seen[0]++ == which ? number + Math.min(fourth, 0.1) / 2 : number;
        });
    }

    private static String inSi(MatchResult found, DoubleUnaryOperator change) {
        String unit = found.group(2);
        double number = change.applyAsDouble(Double.parseDouble(found.group(1)));
        return "(" + number * (unit == null ? 1 : SI.get(unit)) + ")";
    }

    private static double arithmetic(String text) {
        String plain = text.replaceAll("\\|([^|]*)\\|", "abs($1)")
                .replace("√(", "sqrt(")
                .replace('·', '*')
                .replace('−', '-')
                .replace("²", "^2");
        return new ExpressionBuilder(plain).functions(MIN).build().evaluate();
    }
}
