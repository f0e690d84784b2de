package org.ulnaris.core.rating;

import org.ulnaris.core.measure.Range;

/**
 * Where and how a cable runs.
 *
 * @param insulationTempC temperature rating of the insulation, °C
 * @param ambientC temperature of the air around it, outside of an engine space, °C
 * @param engineSpace whether it runs in an engine space
 * @param bundledConductors current-carrying conductors bundled together, itself included
 * @param conduit whether it lies in a conduit; the tables for small craft have no row for it, the heat balance does
 * @param walled whether the insulation of a wall or hull surrounds it
 */
public record AmpacityConditions(
        double insulationTempC,
        double ambientC,
        boolean engineSpace,
        int bundledConductors,
        boolean conduit,
        boolean walled) {
    public static final Range INSULATION_TEMP_C = new Range(59.999, 260);
    public static final Range AMBIENT_C = new Range(-60, 150);
    public static final Range BUNDLED = Range.from(1, 200);

    public AmpacityConditions {
        INSULATION_TEMP_C.check("insulationTempC", insulationTempC);
        AMBIENT_C.check("ambientC", ambientC);
        BUNDLED.check("bundledConductors", bundledConductors);
    }

    /** The same among {@code conductors} in one bundle. */
    public AmpacityConditions bundled(int conductors) {
        return new AmpacityConditions(insulationTempC, ambientC, engineSpace, conductors, conduit, walled);
    }

    /** Not surrounded by the insulation of a wall. */
    public AmpacityConditions(
            double insulationTempC, double ambientC, boolean engineSpace, int bundledConductors, boolean conduit) {
        this(insulationTempC, ambientC, engineSpace, bundledConductors, conduit, false);
    }

    /** In free air. */
    public AmpacityConditions(double insulationTempC, double ambientC, boolean engineSpace, int bundledConductors) {
        this(insulationTempC, ambientC, engineSpace, bundledConductors, false);
    }

    /** The air where it lies, °C: warm in an engine space. */
    public double localAmbientC() {
        return engineSpace ? Math.max(ambientC, EngineSpace.AMBIENT_C) : ambientC;
    }
}
