package org.ulnaris.core.feed;

import java.util.List;

/**
 * What cables side by side may carry together: they share a current by their conductances, and the first that is full is the limit,
 * I = min(I_z · ΣG / G) (Kirchhoff's laws; G = 1 / R).
 */
public final class SideBySide {
    private SideBySide() {}

    /**
     * One of them.
     *
     * @param ampacityA what it may carry by itself, A
     * @param ohm its resistance, Ω
     */
    public record Carrier(double ampacityA, double ohm) {}

    /** What they may carry together, A; 0 for none. */
    public static double ampacityA(List<Carrier> carriers) {
        double siemens =
                carriers.stream().mapToDouble(carrier -> 1 / carrier.ohm()).sum();
        return carriers.stream()
                .mapToDouble(carrier -> carrier.ampacityA() * siemens * carrier.ohm())
                .min()
                .orElse(0);
    }
}
