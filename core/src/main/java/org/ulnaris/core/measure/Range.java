package org.ulnaris.core.measure;

/**
 * The values that an input may take.
 *
 * @param above lower bound
 * @param upTo inclusive upper bound
 * @param closed whether the lower bound itself belongs to it
 */
public record Range(double above, double upTo, boolean closed) {
    public Range {
        if (!(above < upTo)) {
            throw new IllegalArgumentException("empty range: above " + above + " up to " + upTo);
        }
    }

    /** Above {@code above}, at most {@code upTo}. */
    public Range(double above, double upTo) {
        this(above, upTo, false);
    }

    /** From {@code least} to {@code upTo}, both included. */
    public static Range from(double least, double upTo) {
        return new Range(least, upTo, true);
    }

    /** Whether {@code value} lies in it; false for NaN and infinities. */
    public boolean contains(double value) {
        return (closed ? value >= above : value > above) && value <= upTo;
    }

    /**
     * The value itself when it lies in the range.
     *
     * @throws IllegalArgumentException otherwise
     */
    public double check(String name, double value) {
        if (!contains(value)) {
            throw new IllegalArgumentException(
                    name + " must be " + (closed ? "from " + above + " to " : "above " + above + " and at most ") + upTo
                            + "; have " + value);
        }
        return value;
    }
}
