package org.ulnaris.core.sizing;

import java.util.Optional;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

/**
 * Two thinner cables in parallel in place of one.
 *
 * @param single the one cable; empty where no single size passes
 * @param each one of the pair: half the current, the loaded conductors of the bundle doubled
 * @param allowed whether the rule set allows the pair
 */
public record ParallelPair(Optional<Rung> single, Rung each, Allowed allowed) {
    /** From here on conductors may be run in parallel, mm² (1/0 AWG; NEC 310.10(G)). */
    public static final double PARALLEL_FROM_MM2 = 53.4;

    /** What the rules say of a pair. */
    public enum Allowed {
        /** Allowed, under the same conditions for both. */
        YES,
        /** Only where each of the pair is protected on its own (marine practice). */
        EACH_PROTECTED,
        /** The conductors are thinner than 1/0 AWG (NEC 310.10(G)). */
        TOO_THIN
    }

    /** The pair for {@code demand}; empty where even two of the thickest don't pass. */
    public static Optional<ParallelPair> of(CableDemand demand) {
        Optional<Rung> single = CableSizer.size(demand).chosen();
        AmpacityConditions alone = demand.conditions();
        int bundled = alone.bundledConductors() == 1 ? 2 : 2 * alone.bundledConductors();
        CableDemand half = new CableDemand(
                new CableDemand.Load(
                        demand.load().currentA() / 2,
                        demand.load().oneWayLengthM(),
                        demand.load().systemVoltageV(),
                        demand.load().drop()),
                alone.bundled((int) Math.min(bundled, AmpacityConditions.BUNDLED.upTo())),
                demand.terminal(),
                demand.ruleSet(),
                demand.series(),
                demand.metal(),
                demand.policy(),
                null,
                demand.spells() == null ? null : demand.spells().share(0.5));
        return CableSizer.size(half)
                .chosen()
                .map(each -> new ParallelPair(single, each, allowed(demand.ruleSet(), each)));
    }

    private static Allowed allowed(RuleSet rules, Rung each) {
        if (!rules.isLand()) {
            return Allowed.EACH_PROTECTED;
        }
        return each.size().areaMm2() >= PARALLEL_FROM_MM2 ? Allowed.YES : Allowed.TOO_THIN;
    }

    /** Copper of the pair ÷ copper of the one; NaN without one. */
    public double copperRatio() {
        return single.map(one -> 2 * each.size().areaMm2() / one.size().areaMm2())
                .orElse(Double.NaN);
    }

    /** By how much the currents of the pair differ when one is longer by {@code percent}, % of their mean. */
    public static double imbalancePercent(double percent) {
        double longer = 1 + percent / 100;
        return 200 * (longer - 1) / (longer + 1);
    }
}
