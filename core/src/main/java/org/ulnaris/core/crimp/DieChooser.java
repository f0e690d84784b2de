package org.ulnaris.core.crimp;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;

/** Ranks the dies of a crib for a conductor in a barrel. */
public final class DieChooser {
    /** Middle of the sound band. */
    static final double BEST_COMPACTION = (CrimpBand.HARD_BELOW + CrimpBand.LIGHT_ABOVE) / 2;

    private DieChooser() {}

    /** Every die for lugs with what it would do, best first. */
    public static List<Crimp> rank(Collection<Die> dies, double conductorAreaMm2, Barrel barrel) {
        return rank(dies, conductorAreaMm2, barrel, MarkRule.MARKS);
    }

    /** The same under the house's rule on marks; dies that bear the lug's mark come first among equals. */
    public static List<Crimp> rank(Collection<Die> dies, double conductorAreaMm2, Barrel barrel, MarkRule rule) {
        return dies.stream()
                .filter(die -> die.shape().forLugs())
                .map(die -> new Crimp(conductorAreaMm2, barrel, die, rule))
                .map(crimp -> new Ranked(crimp, dieVerdict(crimp)))
                .sorted(Comparator.comparing(Ranked::verdict)
                        .thenComparing(ranked ->
                                rule == MarkRule.COMPUTED || !ranked.crimp().marksBelong())
                        .thenComparingDouble(ranked -> Math.abs(ranked.crimp().compaction() - BEST_COMPACTION)))
                .map(Ranked::crimp)
                .toList();
    }

    /** Whether the dies make a sound crimp, by compaction or by marks as the house's rule goes. */
    public static boolean isSound(Crimp crimp) {
        return !dieVerdict(crimp).asks();
    }

    private record Ranked(Crimp crimp, Verdict verdict) {}

    /** Verdict of what the die decides: compaction, room and material, not how the lug fits the conductor. */
    public static Verdict dieVerdict(Crimp crimp) {
        return crimp.compactionVerdict().and(crimp.countVerdict()).and(crimp.materialVerdict());
    }
}
