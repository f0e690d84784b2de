package org.ulnaris.core.network;

import org.ulnaris.core.measure.Range;

/**
 * What a conductor's temperature follows: T = T_a + (T_max − T_a)·(I/I_z)², at most T_max (IEC practice).
 *
 * @param ambientC temperature of the air around it, °C
 * @param maxC highest temperature that it may have, °C
 * @param ampacityA current that brings it there, A
 */
public record Warmth(double ambientC, double maxC, double ampacityA) {
    private static final Range TEMPERATURE_C = new Range(-90, 400);
    private static final Range AMPACITY_A = new Range(0, 1e6);

    public Warmth {
        TEMPERATURE_C.check("ambientC", ambientC);
        TEMPERATURE_C.check("maxC", maxC);
        AMPACITY_A.check("ampacityA", ampacityA);
        if (!(maxC >= ambientC)) {
            throw new IllegalArgumentException("maxC must be at least ambientC " + ambientC + "; have " + maxC);
        }
    }

    /** Temperature at {@code currentA}, °C. */
    public double temperatureC(double currentA) {
        double share = currentA / ampacityA;
        return Math.min(maxC, ambientC + (maxC - ambientC) * share * share);
    }
}
