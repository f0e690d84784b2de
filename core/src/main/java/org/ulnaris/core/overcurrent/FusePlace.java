package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Comparator;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.protection.Placement;

/**
 * How far a fuse sits from what feeds it, by the school in force.
 *
 * @param school whose rule
 * @param unfusedMm length along the conductor, mm
 * @param from what feeds it: the tag of a bank, or of the last conductor that is protected
 * @param battery whether that is the terminal of a battery; else a step down in size
 */
record FusePlace(Placement.School school, double unfusedMm, String from, boolean battery) {
    /** Of several the last is the worst. */
    static final Comparator<FusePlace> BEST_FIRST =
            Comparator.comparing(FusePlace::verdict).thenComparingDouble(FusePlace::unfusedMm);

    private static final double EQUAL_MM = 1e-6;

    private double bareMm() {
        return Placement.limitMm(school, Placement.Run.OPEN);
    }

    private Placement.Run sheathed() {
        return battery ? Placement.Run.SHEATHED_FROM_BATTERY : Placement.Run.SHEATHED;
    }

    private double sheathedMm() {
        return Placement.limitMm(school, sheathed());
    }

    Verdict verdict() {
        if (unfusedMm <= bareMm() + EQUAL_MM) {
            return Verdict.PASS;
        }
        return unfusedMm <= sheathedMm() + EQUAL_MM ? Verdict.WATCH : Verdict.STOP;
    }

    Finding finding() {
        Verdict verdict = verdict();
        Placement.Run run = verdict == Verdict.PASS ? Placement.Run.OPEN : sheathed();
        return new Finding(
                FindingCode.FUSE_POSITION,
                verdict,
                unfusedMm,
                verdict == Verdict.STOP ? sheathedMm() : bareMm(),
                "mm",
                Explanation.read(
                        note("FusePlace.along-the-conductor"),
                        term("L", unfusedMm, "mm"),
                        term("L_bare", bareMm(), "mm"),
                        term("L_sheath", sheathedMm(), "mm")),
                Placement.source(school, run),
                from);
    }
}
