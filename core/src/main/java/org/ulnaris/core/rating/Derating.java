package org.ulnaris.core.rating;

/**
 * The corrections that hold for every size under the same conditions.
 *
 * @param columnTempC the table's temperature column in use, °C; NaN when the insulation is below every column
 * @param ambientFactor √((T_col − T_a)/(T_col − T_ref)); 0 when the ambient reaches the column
 * @param bundleFactor for conductors bundled together
 * @param engineFactor for an engine space; 1 outside
 * @param localAmbientC the ambient that the factors stand for, °C
 */
public record Derating(
        double columnTempC, double ambientFactor, double bundleFactor, double engineFactor, double localAmbientC) {
    /** Product of all factors. */
    public double factor() {
        return ambientFactor * bundleFactor * engineFactor;
    }

    /** Whether the method has a column for this insulation. */
    public boolean hasColumn() {
        return columnTempC > 0;
    }
}
