package org.ulnaris.core.measure;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** The one place where figures are rounded: at output. Half rounds away from zero. */
public final class Figures {
    /** A double tells no more. */
    private static final int MOST_DIGITS = 15;

    private Figures() {}

    /** {@code value} with exactly {@code decimals} decimals and a decimal point; "—" if it is not finite. */
    public static String fixed(double value, int decimals) {
        if (!isFinite(value)) {
            return "—";
        }
        String text = BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString();
        return text.startsWith("-") && text.matches("-[0.]+") ? text.substring(1) : text;
    }

    /** {@code value} with at most {@code decimals} decimals: none that says nothing; "—" if it is not finite. */
    public static String atMost(double value, int decimals) {
        return isFinite(value)
                ? significant(
                        BigDecimal.valueOf(value)
                                .setScale(decimals, RoundingMode.HALF_UP)
                                .doubleValue(),
                        MOST_DIGITS)
                : "—";
    }

    /** {@code value} to {@code digits} significant digits, whole numbers kept whole, no exponent. */
    public static String significant(double value, int digits) {
        if (!isFinite(value)) {
            return "—";
        }
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(digits, RoundingMode.HALF_UP));
        if (rounded.signum() == 0) {
            return "0";
        }
        return rounded.stripTrailingZeros().toPlainString();
    }

    /** {@code value} rounded to {@code digits} significant digits, for data formats. */
    public static double rounded(double value, int digits) {
        return isFinite(value)
                ? BigDecimal.valueOf(value)
                        .round(new MathContext(digits, RoundingMode.HALF_UP))
                        .doubleValue()
                : value;
    }

    private static boolean isFinite(double value) {
        return Math.abs(value) <= Double.MAX_VALUE;
    }
}
