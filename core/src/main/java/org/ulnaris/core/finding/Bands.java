package org.ulnaris.core.finding;

/**
 * Two nested ranges: inside the inner one passes, inside the outer one is to be watched, outside of it stops.
 *
 * @param stopBelow lower end of the outer range
 * @param passFrom lower end of the inner range
 * @param passTo upper end of the inner range
 * @param stopAbove upper end of the outer range
 */
public record Bands(double stopBelow, double passFrom, double passTo, double stopAbove) {
    public Bands {
        if (!(stopBelow <= passFrom && passFrom <= passTo && passTo <= stopAbove)) {
            throw new IllegalArgumentException("ranges must be nested");
        }
    }

    /** Pass, watch or stop; a value that is not a number stops. */
    public Verdict judge(double value) {
        if (value >= passFrom && value <= passTo) {
            return Verdict.PASS;
        }
        return value >= stopBelow && value <= stopAbove ? Verdict.WATCH : Verdict.STOP;
    }
}
