package org.ulnaris.core.protection;

import java.util.List;

/**
 * The band within which a fuse opens, from gates of its standard: between gates straight lines on log-log paper; beyond the
 * last gate the time falls with the square of the current, since the melting integral I²t does not grow with it.
 *
 * @param ratingA rating, A
 * @param gates by rising multiple of the rating
 */
public record FuseCurve(double ratingA, List<Gate> gates) {
    /**
     * Times within which a fuse opens at a multiple of its rating.
     *
     * @param multiple current ÷ rating
     * @param minS it holds at least so long, s; 0 where the standard sets none
     * @param maxS it opens at the latest then, s; infinity where it sets none
     */
    public record Gate(double multiple, double minS, double maxS) {}

    public FuseCurve {
        gates = List.copyOf(gates);
        if (gates.isEmpty()) {
            throw new IllegalArgumentException("no gates for a rating of " + ratingA + " A");
        }
    }

    /** It opens at {@code currentA} at the latest after so long, s; infinity where nothing says that it does. */
    public double slowestS(double currentA) {
        double multiple = currentA / ratingA;
        Gate before = null;
        for (Gate gate : gates) {
            if (!(gate.maxS() < Double.POSITIVE_INFINITY)) {
                continue;
            }
            if (multiple < gate.multiple()) {
                return before == null
                        ? Double.POSITIVE_INFINITY
                        : logLog(multiple, before.multiple(), before.maxS(), gate.multiple(), gate.maxS());
            }
            before = gate;
        }
        return before == null ? Double.POSITIVE_INFINITY : squared(before.maxS(), multiple / before.multiple());
    }

    /** The least current at which something says that it opens, A; infinity where nothing does. */
    public double opensFromA() {
        return gates.stream()
                .filter(gate -> gate.maxS() < Double.POSITIVE_INFINITY)
                .mapToDouble(gate -> gate.multiple() * ratingA)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** It holds {@code currentA} at least so long, s; 0 where nothing says that it does. */
    public double fastestS(double currentA) {
        double multiple = currentA / ratingA;
        Gate before = null;
        for (Gate gate : gates) {
            if (!(gate.minS() > 0)) {
                continue;
            }
            if (multiple <= gate.multiple()) {
                return before == null
                        ? gate.minS()
                        : logLog(multiple, before.multiple(), before.minS(), gate.multiple(), gate.minS());
            }
            before = gate;
        }
        boolean last = before == gates.get(gates.size() - 1);
        return before != null && last ? squared(before.minS(), multiple / before.multiple()) : 0;
    }

    private static double squared(double seconds, double beyond) {
        return seconds / (beyond * beyond);
    }

    private static double logLog(double x, double x1, double y1, double x2, double y2) {
        double share = Math.log(x / x1) / Math.log(x2 / x1);
        return Math.exp(Math.log(y1) + share * (Math.log(y2) - Math.log(y1)));
    }
}
