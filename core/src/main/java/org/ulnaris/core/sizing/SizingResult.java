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
 * @param chosenIndex the proposal: the smallest that is a clean pass, else the smallest that nothing stops, else the thickest that
 *     waits only for what nobody has said; −1 when none stands
 */
public record SizingResult(CableDemand demand, List<Rung> rungs, int chosenIndex) {
    /** The proposal. */
    public Optional<Rung> chosen() {
        return chosenIndex < 0 ? Optional.empty() : Optional.of(rungs.get(chosenIndex));
    }

    /** The size just below the chosen one; the thickest when nothing stands. */
    public Optional<Rung> nextSmaller() {
        int index = (chosenIndex < 0 ? rungs.size() : chosenIndex) - 1;
        return index < 0 ? Optional.empty() : Optional.of(rungs.get(index));
    }

    /**
     * The check that decided: the one that the next smaller size fails worst; where the thinnest is proposed, the one closest to
     * its limit; where nothing stands, the one that the thickest fails worst.
     */
    public FindingCode decidedBy() {
        return nextSmaller().orElseGet(() -> rungs.get(0)).decidingCheck();
    }

    /** The smallest size by drop alone: what a chart would answer. */
    public Optional<Rung> byDropAlone() {
        return rungs.stream().filter(rung -> rung.use(FindingCode.DROP) <= 1).findFirst();
    }

    /** What would be proposed whatever feeds it: the size that a fuse of its own would have to protect. */
    public Optional<Rung> alone() {
        Optional<Rung> clean = demand.policy().cleanPass()
                ? rungs.stream().filter(Rung::cleanAlone).findFirst()
                : Optional.empty();
        return clean.or(() -> rungs.stream().filter(Rung::standsAlone).findFirst());
    }

    /** The rung of {@code size}. */
    public Optional<Rung> rung(ConductorSize size) {
        return rungs.stream().filter(rung -> rung.size().equals(size)).findFirst();
    }
}
