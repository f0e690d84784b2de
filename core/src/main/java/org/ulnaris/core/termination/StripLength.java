package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Explanation;

/**
 * How much insulation comes off: insertion depth, + {@value #GROWTH_ALLOWANCE_MM} mm where the barrel will grow by at least
 * {@value #GROWS_FROM_MM} mm in the crimp. The gap to the insulation that may show afterwards is that growth.
 */
public final class StripLength {
    static final double GROWTH_ALLOWANCE_MM = 1;
    static final double GROWS_FROM_MM = 0.5;

    private StripLength() {}

    /** How the strip length comes about. */
    public static Explanation explanation(Barrel barrel, double growthMm) {
        double allowance = stripMm(barrel, growthMm) - barrel.depthMm();
        return Explanation.of(
                term("s", stripMm(barrel, growthMm), "mm"),
                term("d", barrel.depthMm(), "mm").plus(term("g_allowed", allowance, "mm")));
    }

    /** Strip length in mm for {@code barrel} that grows by {@code growthMm}. */
    public static double stripMm(Barrel barrel, double growthMm) {
        return barrel.depthMm() + (growthMm >= GROWS_FROM_MM ? GROWTH_ALLOWANCE_MM : 0);
    }
}
