package org.ulnaris.core.rating;

/**
 * Engine space where a code has no factor of its own (ours): an ambient of {@value #AMBIENT_C} °C instead of the
 * reference, √((T − 50)/(T − 30)), which reproduces the factors of 33 CFR 183.425.
 */
final class EngineSpace {
    static final double AMBIENT_C = 50;

    private EngineSpace() {}

    static double factorByAmbient(double columnTempC) {
        return Math.sqrt(Math.max(0, columnTempC - AMBIENT_C) / (columnTempC - TabulatedAmpacity.REFERENCE_AMBIENT_C));
    }
}
