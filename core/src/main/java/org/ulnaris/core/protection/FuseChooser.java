package org.ulnaris.core.protection;

import java.util.Comparator;
import java.util.List;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;

/** Ranks every standard rating of each family for a cable. */
public final class FuseChooser {
    private FuseChooser() {}

    /** Of the families of circuits that batteries feed. */
    public static List<FuseCheck> rank(ProtectedCable guarded) {
        return rank(guarded, FuseFamily.COMMON);
    }

    /**
     * Best first: verdict, then the fewest stops, then the fewest other doubts, then the smallest rating, then figures that are
     * certain, then the lowest interrupting rating that is enough.
     */
    public static List<FuseCheck> rank(ProtectedCable guarded, List<FuseFamily> families) {
        record Ranked(FuseCheck check, Verdict verdict, long stops, long asking) {}
        return families.stream()
                .flatMap(family -> family.ratingsA().stream().map(rating -> new FuseCheck(family, rating, guarded)))
                .map(check -> {
                    List<Finding> findings = check.findings();
                    return new Ranked(
                            check,
                            Verdict.worstOf(findings),
                            findings.stream().filter(Finding::stops).count(),
                            findings.stream()
                                    .filter(finding -> finding.verdict().asks())
                                    .count());
                })
                .sorted(Comparator.comparing(Ranked::verdict)
                        .thenComparingLong(Ranked::stops)
                        .thenComparingLong(Ranked::asking)
                        .thenComparingDouble(ranked -> ranked.check().ratingA())
                        .thenComparing(ranked -> ranked.check().family().isUncertain())
                        .thenComparingDouble(ranked -> ranked.check().family().interruptingA()))
                .map(Ranked::check)
                .toList();
    }
}
