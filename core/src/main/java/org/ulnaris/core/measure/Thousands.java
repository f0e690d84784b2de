package org.ulnaris.core.measure;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A figure that half of the world reads a thousand times larger than the other half: {@code 2,000}, {@code 3.000}. It is asked back, never
 * guessed.
 *
 * @param decimal the figure where the mark is a decimal mark
 * @param whole the figure where it parts thousands
 */
public record Thousands(double decimal, double whole) {
    private static final Pattern COMMA = Pattern.compile("[1-9]\\d{0,2}(?:,\\d{3})+");
    private static final Pattern POINT = Pattern.compile("[1-9]\\d{0,2}\\.\\d{3}");
    /** In these nobody counts thousands, or a point is always a decimal point. */
    private static final Set<Unit> POINT_IS_DECIMAL =
            EnumSet.of(Unit.M, Unit.INCH, Unit.FOOT, Unit.VOLT, Unit.KILOWATT, Unit.KILOAMPERE, Unit.OHM);

    /**
     * Both figures that {@code number} may mean; empty where it means one. A comma before three digits may always part thousands; a point
     * may where a person of another country writes a round figure so, or a power.
     *
     * @param unit of the figure; null for a bare count
     */
    public static Optional<Thousands> in(String number, @Nullable Unit unit) {
        String text = number.strip();
        if (COMMA.matcher(text).matches()) {
            return Optional.of(of(text, ','));
        }
        boolean round = text.endsWith("0") || unit != null && unit.dimension() == Dimension.POWER;
        boolean parts = round && (unit == null || !POINT_IS_DECIMAL.contains(unit));
        return parts && POINT.matcher(text).matches() ? Optional.of(of(text, '.')) : Optional.empty();
    }

    private static Thousands of(String text, char mark) {
        int first = text.indexOf(mark);
        String decimals = text.substring(first + 1).replace(String.valueOf(mark), "");
        return new Thousands(
                Double.parseDouble(text.substring(0, first) + "." + decimals),
                Double.parseDouble(text.replace(String.valueOf(mark), "")));
    }

    /** What to ask: one figure or the other. */
    public String question() {
        return Figures.significant(decimal, 9) + " / " + Figures.significant(whole, 9);
    }
}
