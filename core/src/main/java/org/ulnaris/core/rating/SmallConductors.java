package org.ulnaris.core.rating;

import java.util.Map;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;

/**
 * The largest fuse before a small conductor under the land code, whatever its ampacity: NEC 240.4(D), recalled. A metric size is held to
 * the largest gauge that is not above it.
 */
public final class SmallConductors {
    /** Largest fuse by gauge, A. */
    private static final Map<Integer, Integer> COPPER = Map.of(18, 7, 16, 10, 14, 15, 12, 20, 10, 30);

    private static final Map<Integer, Integer> ALUMINIUM = Map.of(12, 15, 10, 25);

    private SmallConductors() {}

    /** The largest fuse before {@code size} of {@code metal}, A; empty where the rule does not speak of it. */
    public static OptionalDouble fuseA(RuleSet rules, ConductorSize size, ConductorMetal metal) {
        if (!rules.isLand()) {
            return OptionalDouble.empty();
        }
        Map<Integer, Integer> table = metal.isCopper() ? COPPER : ALUMINIUM;
        return ConductorSizes.of(SizeSeries.AWG).stream()
                .filter(gauge -> gauge.areaMm2() <= size.areaMm2() * (1 + 1e-6))
                .reduce((thin, thick) -> thick)
                .filter(gauge -> gauge.name().matches("\\d+"))
                .map(gauge -> table.get(Integer.valueOf(gauge.name())))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
