package org.ulnaris.core.conductor;

/**
 * How far a cable forgives a wrong angle between its two lugs (ours, after common practice: short cables punish errors in lug angle): a
 * flexible cable takes {@value #DEGREES_PER_DIAMETER}° for each outside diameter of its length.
 */
public final class Twist {
    static final double DEGREES_PER_DIAMETER = 1.5;
    private static final double MOST_DEGREES = 180;

    private Twist() {}

    /** Angle that a cable of {@code lengthMm} takes without standing against its studs, °; at most 180. */
    public static double forgivenDegrees(double lengthMm, double outerMm) {
        return Math.min(MOST_DEGREES, DEGREES_PER_DIAMETER * lengthMm / outerMm);
    }
}
