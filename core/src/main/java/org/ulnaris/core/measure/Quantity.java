package org.ulnaris.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A measured value, kept in the SI unit of its dimension.
 *
 * @param si the value in {@link Dimension#siSymbol()}; finite
 * @param dimension what it measures
 */
public record Quantity(double si, Dimension dimension) {
    private static final Pattern PART = Pattern.compile(
            "\\s*(?<number>\\d+\\s+\\d+/\\d+|\\d+/\\d+|(?:\\d+(?:[.,]\\d+)?|[.,]\\d+)(?:[eE][+-]?\\d{1,2})?)"
                    + "(?<unit>[^\\d,]*)");

    public Quantity {
        Objects.requireNonNull(dimension, "dimension");
        if (!(Math.abs(si) <= Double.MAX_VALUE)) {
            throw new IllegalArgumentException("value must be finite; have " + si);
        }
    }

    /** {@code value} in {@code unit}. */
    public static Quantity of(double value, Unit unit) {
        return new Quantity(unit.toSi(value), unit.dimension());
    }

    /**
     * Reads what a person wrote: a number with a decimal point or comma, a fraction ({@code 1 1/2 in}), feet and inches
     * ({@code 3 ft 4 in}), with or without unit.
     *
     * @param text as typed
     * @param assumed the unit meant when none is written; also gives the dimension expected
     * @throws MeasureException when it can't be understood without guessing
     */
    public static Quantity parse(String text, Unit assumed) {
        String entry = Typed.plain(text);
        if (entry.isEmpty()) {
            throw new MeasureException(MeasureException.Reason.EMPTY, text, assumed.dimension());
        }
        if (entry.length() > Typed.LONGEST) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
        }
        boolean negative = entry.startsWith("-") || entry.startsWith("−");
        String unsigned = negative || entry.startsWith("+") ? entry.substring(1) : entry;
        List<Quantity> parts = parts(unsigned, negative ? -1 : 1, text, assumed);
        if (parts.size() > 1 && (assumed.dimension() != Dimension.LENGTH || parts.size() > 2)) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
        }
        double si = parts.stream().mapToDouble(Quantity::si).sum();
        if (!(Math.abs(si) <= Double.MAX_VALUE)) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
        }
        return new Quantity(si, assumed.dimension());
    }

    /** The sign belongs to the figure as it is written: −20 °C is no −(68 °F). */
    private static List<Quantity> parts(String entry, int sign, String text, Unit assumed) {
        List<Quantity> parts = new ArrayList<>();
        Matcher matcher = PART.matcher(entry);
        int at = 0;
        while (at < entry.length()) {
            if (!matcher.find(at) || matcher.start() != at) {
                throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
            }
            at = matcher.end();
            String unitText = matcher.group("unit").strip();
            boolean compound = !parts.isEmpty() || at < entry.length();
            Unit unit = unit(unitText, text, assumed, compound);
            parts.add(of(sign * number(matcher.group("number"), text, unit), unit));
        }
        return parts;
    }

    private static Unit unit(String unitText, String text, Unit assumed, boolean compound) {
        if (unitText.isEmpty()) {
            if (compound) {
                throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
            }
            return assumed;
        }
        Optional<Unit> unit = Unit.named(unitText);
        if (unitText.matches("[.\\s]+")) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
        }
        if (unit.isEmpty()) {
            throw new MeasureException(MeasureException.Reason.UNKNOWN_UNIT, text, assumed.dimension());
        }
        if (unit.get().dimension() != assumed.dimension()) {
            throw new MeasureException(MeasureException.Reason.OTHER_DIMENSION, text, assumed.dimension());
        }
        return unit.get();
    }

    private static double number(String number, String text, Unit assumed) {
        String[] words = number.strip().split("\\s+");
        double sum = 0;
        for (String word : words) {
            int slash = word.indexOf('/');
            if (slash < 0) {
                Thousands.in(word, assumed).ifPresent(either -> {
                    throw new MeasureException(MeasureException.Reason.THOUSANDS, text, either.question());
                });
                sum += Double.parseDouble(word.replace(',', '.'));
            } else {
                double divisor = Double.parseDouble(word.substring(slash + 1));
                if (divisor == 0) {
                    throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, assumed.dimension());
                }
                sum += Double.parseDouble(word.substring(0, slash)) / divisor;
            }
        }
        return sum;
    }

    /**
     * The value in {@code unit}.
     *
     * @throws IllegalArgumentException when the unit measures something else
     */
    public double in(Unit unit) {
        if (unit.dimension() != dimension) {
            throw new IllegalArgumentException(unit + " does not measure " + dimension);
        }
        return unit.fromSi(si);
    }
}
