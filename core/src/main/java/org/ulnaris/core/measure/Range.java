package org.ulnaris.core.measure;

/**
 * The values that an input may take.
 *
 * @param above exclusive lower bound
 * @param upTo inclusive upper bound
 */
public record Range(double above, double upTo) {
    public Range {
        if (!(above < upTo)) {
            throw new IllegalArgumentException("empty range: above " + above + " up to " + upTo);
        }
    }

    /** Whether {@code value} lies in it; false for NaN and infinities. */
    public boolean contains(double value) {
        return value > above && value <= upTo;
    }

    /**
     * The value itself when it lies in the range.
     *
     * @throws IllegalArgumentException otherwise
     */
    public double check(String name, double value) {
        if (!contains(value)) {
            throw new IllegalArgumentException(
                    name + " must be above " + above + " and at most " + upTo + "; have " + value);
        }
        return value;
    }
}
