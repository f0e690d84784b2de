package org.ulnaris.core.sizing;

import java.util.List;
import java.util.Optional;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.FindingCode;

/**
 * The ladder of sizes for a demand, thin to thick.
 *
 * @param demand what was asked
 * @param rungs one a size
 * @param chosenIndex the smallest that passes every check; −1 when none does
 */
public record SizingResult(CableDemand demand, List<Rung> rungs, int chosenIndex) {
    /** The smallest size that passes every check. */
    public Optional<Rung> chosen() {
        return chosenIndex < 0 ? Optional.empty() : Optional.of(rungs.get(chosenIndex));
    }

    /** The size just below the chosen one; the thickest when nothing passes. */
    public Optional<Rung> nextSmaller() {
        int index = (chosenIndex < 0 ? rungs.size() : chosenIndex) - 1;
        return index < 0 ? Optional.empty() : Optional.of(rungs.get(index));
    }

    /**
     * The check that decided: the one that the next smaller size fails worst; where the thinnest passes, the one closest to
     * its limit; where nothing passes, the one that the thickest fails worst. The heat balance decided where the next smaller
     * passes all others.
     */
    public FindingCode decidedBy() {
        Rung other = nextSmaller().orElseGet(() -> rungs.get(0));
        return other.passes() && !other.passesHeatBalance() ? FindingCode.HEAT_BALANCE : other.worstCheck();
    }

    /** The smallest size by drop alone: what a chart would answer. */
    public Optional<Rung> byDropAlone() {
        return rungs.stream().filter(rung -> rung.use(FindingCode.DROP) <= 1).findFirst();
    }

    /** The rung of {@code size}. */
    public Optional<Rung> rung(ConductorSize size) {
        return rungs.stream().filter(rung -> rung.size().equals(size)).findFirst();
    }
}
