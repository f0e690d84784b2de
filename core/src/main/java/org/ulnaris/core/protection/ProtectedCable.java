package org.ulnaris.core.protection;

import org.ulnaris.core.measure.Range;

/**
 * What a fuse has to protect, and what it has to let pass.
 *
 * @param cable the conductor that it protects
 * @param load the current that passes it
 * @param supply what a short circuit would draw from
 * @param margins how far the rating stays from load and ampacity
 */
public record ProtectedCable(Cable cable, Load load, Supply supply, Margins margins) {
    /** With the usual margins. */
    public ProtectedCable(Cable cable, Load load, Supply supply) {
        this(cable, load, supply, Margins.USUAL);
    }

    /** The share of it that one of several fuses side by side guards, 0 to 1. */
    public ProtectedCable share(double share) {
        return new ProtectedCable(
                new Cable(share * cable.areaMm2(), share * cable.ampacityA(), cable.k()),
                load,
                new Supply(
                        supply.highestV(),
                        share * supply.faultNearA(),
                        share * supply.faultFarA(),
                        share * supply.faultFarMostA(),
                        supply.typical()),
                margins);
    }

    /**
     * How far a rating stays from load and ampacity.
     *
     * @param overLoad rating ÷ continuous current, at least (usual: 1.25; NEC 210.20 and marine practice)
     * @param overAmpacity rating ÷ ampacity, at most, where no standard rating lies between load and ampacity (usual: 1.5; marine
     *     practice)
     */
    public record Margins(double overLoad, double overAmpacity) {
        public static final Range OVER_LOAD_PERCENT = new Range(99.999, 200);
        public static final Range OVER_AMPACITY_PERCENT = new Range(99.999, 200);
        public static final Margins USUAL = new Margins(1.25, 1.5);

        public Margins {
            OVER_LOAD_PERCENT.check("overLoad", 100 * overLoad);
            OVER_AMPACITY_PERCENT.check("overAmpacity", 100 * overAmpacity);
        }
    }

    /**
     * The conductor.
     *
     * @param areaMm2 its area, mm²
     * @param ampacityA what it may carry, A
     * @param k short-circuit factor, A·√s/mm²
     */
    public record Cable(double areaMm2, double ampacityA, double k) {
        public Cable {
            POSITIVE.check("areaMm2", areaMm2);
            POSITIVE.check("ampacityA", ampacityA);
            POSITIVE.check("k", k);
        }
    }

    /**
     * The current in service.
     *
     * @param continuousA for good, A
     * @param surgeA for a while, A; the continuous current where there is no surge
     * @param surgeS how long, s
     * @param aroundC the air around the fuse, °C
     */
    public record Load(double continuousA, double surgeA, double surgeS, double aroundC) {
        /** In air as the tables have it. */
        public Load(double continuousA, double surgeA, double surgeS) {
            this(continuousA, surgeA, surgeS, FuseFamily.RATED_C);
        }

        public Load {
            AROUND_C.check("aroundC", aroundC);
            POSITIVE.check("continuousA", continuousA);
            POSITIVE.check("surgeA", surgeA);
            if (!(surgeS >= 0 && surgeS <= 86_400)) {
                throw new IllegalArgumentException("surgeS must be 0 to 86400; have " + surgeS);
            }
        }

        /** Without a surge. */
        public static Load steady(double continuousA) {
            return new Load(continuousA, continuousA, 0);
        }
    }

    /**
     * The source side.
     *
     * @param highestV highest charging voltage, V
     * @param faultNearA short-circuit current just behind the fuse, A
     * @param faultFarA least short-circuit current at the far end of the cable, A
     * @param faultFarMostA greatest short-circuit current there, A
     * @param typical whether they come from a battery whose resistance is only what its kind usually has
     */
    public record Supply(double highestV, double faultNearA, double faultFarA, double faultFarMostA, boolean typical) {
        /** Of batteries whose resistance is known. */
        public Supply(double highestV, double faultNearA, double faultFarA) {
            this(highestV, faultNearA, faultFarA, faultFarA, false);
        }

        /** With one current at the far end. */
        public Supply(double highestV, double faultNearA, double faultFarA, boolean typical) {
            this(highestV, faultNearA, faultFarA, faultFarA, typical);
        }

        public Supply {
            POSITIVE.check("highestV", highestV);
            POSITIVE.check("faultNearA", faultNearA);
            POSITIVE.check("faultFarA", faultFarA);
            POSITIVE.check("faultFarMostA", faultFarMostA);
        }
    }

    private static final Range AROUND_C = new Range(-100, 300);
    private static final Range POSITIVE = new Range(0, 1e9);

    /** Short-circuit current of a source of {@code openV} over its own and the loop's resistance, A. */
    public static double faultA(double openV, double sourceOhm, double loopOhm) {
        return openV / (sourceOhm + loopOhm);
    }
}
