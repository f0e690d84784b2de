package org.ulnaris.core.rating;

/**
 * The corrections that hold for every size under the same conditions.
 *
 * @param columnTempC the table's temperature column in use, °C; NaN when the insulation is below every column
 * @param ambientFactor √((T_col − T_a)/(T_col − T_ref)); 0 when the ambient reaches the column
 * @param bundleFactor for conductors bundled together
 * @param engineFactor for an engine space; 1 outside
 * @param wallFactor for the insulation of a wall around it; 1 without
 * @param localAmbientC the ambient that the factors stand for, °C
 */
public record Derating(
        double columnTempC,
        double ambientFactor,
        double bundleFactor,
        double engineFactor,
        double wallFactor,
        double localAmbientC) {
    /** A cable that is surrounded by thermal insulation for more than half a metre carries half (BS 7671 523.9, recalled). */
    public static final double WALL = 0.5;

    /** Product of all factors. */
    public double factor() {
        return ambientFactor * bundleFactor * engineFactor * wallFactor;
    }

    /** Whether the method has a column for this insulation. */
    public boolean hasColumn() {
        return columnTempC > 0;
    }
}
