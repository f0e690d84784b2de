package org.ulnaris.core.budget;

import java.util.List;
import java.util.Map;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.solving.InstallationResult;

/**
 * Sizes that keep every path's allowance at the least copper or cost.
 *
 * @param before the job as it was
 * @param after the job with the new sizes, solved anew
 * @param sizes size of every cable that was free, by tag
 * @param paths one a load and case
 * @param proven whether no lighter choice exists within what was free: the search ended, currents stand, no allowance was tightened
 * @param nodes choices visited
 */
public record BudgetPlan(
        InstallationResult before,
        InstallationResult after,
        Map<String, ConductorSize> sizes,
        List<PathUse> paths,
        boolean proven,
        long nodes) {
    public BudgetPlan {
        sizes = Map.copyOf(sizes);
        paths = List.copyOf(paths);
    }

    /**
     * A path before and after.
     *
     * @param load its load
     * @param caseName its case
     * @param beforePercent drop before, % of nominal
     * @param afterPercent drop after, % of nominal
     * @param allowedPercent allowance, % of nominal
     */
    public record PathUse(
            String load, String caseName, double beforePercent, double afterPercent, double allowedPercent) {
        /** Whether the allowance is kept. */
        public boolean kept() {
            return afterPercent <= allowedPercent * (1 + 1e-9);
        }
    }

    /** Whether every path keeps its allowance. */
    public boolean kept() {
        return paths.stream().allMatch(PathUse::kept);
    }
}
