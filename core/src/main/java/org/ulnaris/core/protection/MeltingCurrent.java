package org.ulnaris.core.protection;

/** Currents that melt a bare wire, to show what a missing fuse means. */
public final class MeltingCurrent {
    private static final double PREECE_COPPER = 80.0;
    private static final double ONDERDONK_SLOPE = 33;
    private static final double MM2_PER_CMIL = 5.06707e-4;
    private static final double COPPER_MELTS_C = 1083;

    private MeltingCurrent() {}

    /** Preece: I = 80·d^1.5, d in mm, A: copper in still air for long. */
    public static double preeceA(double diameterMm) {
        return PREECE_COPPER * Math.pow(diameterMm, 1.5);
    }

    /** Onderdonk: I = A·√(log₁₀((1083 − T_a)/(234 + T_a) + 1)/(33·t)), A in circular mils: copper within seconds. */
    public static double onderdonkA(double areaMm2, double seconds, double ambientC) {
        double cmil = areaMm2 / MM2_PER_CMIL;
        double rise = Math.log10((COPPER_MELTS_C - ambientC) / (234 + ambientC) + 1);
        return cmil * Math.sqrt(rise / (ONDERDONK_SLOPE * seconds));
    }
}
