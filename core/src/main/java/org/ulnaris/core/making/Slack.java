package org.ulnaris.core.making;

/**
 * How much cable a run has to spare. Between pieces that stay where they are a short run needs none: it would stand as a loop. What
 * moves with an engine needs more than a second try (common practice; the bound is ours).
 */
public enum Slack {
    NONE,
    USUAL,
    MOVING;

    /** Up to this length a run between two fixed pieces has nothing to spare, m. */
    public static final double SHORT_M = 1;

    /** What an end goes to. */
    public enum Mount {
        /** A battery, bar, fuse, switch or shunt, bolted down. */
        FIXED,
        /** An engine's starter or alternator, a motor. */
        MOVING,
        OTHER
    }

    /** Of a run of {@code lengthM} between two mounts. */
    public static Slack of(Mount a, Mount b, double lengthM) {
        if (a == Mount.MOVING || b == Mount.MOVING) {
            return MOVING;
        }
        boolean fixed = a == Mount.FIXED && b == Mount.FIXED;
        return fixed && lengthM <= SHORT_M ? NONE : USUAL;
    }
}
