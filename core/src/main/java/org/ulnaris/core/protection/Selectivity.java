package org.ulnaris.core.protection;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/**
 * Whether the branch's fuse opens before the main's: at every current up to the branch's short circuit the slowest time of the
 * branch lies below the fastest of the main.
 *
 * @param main towards the source
 * @param branch towards the load
 * @param faultA greatest short-circuit current behind the branch's fuse, A
 */
public record Selectivity(FuseCurve main, FuseCurve branch, double faultA) {
    private static final int STEPS = 60;

    /** Lowest current from which the order is no longer certain, A; infinity when it always is. */
    public double uncertainFromA() {
        double first = branch.gates().get(0).multiple() * branch.ratingA();
        for (int i = 0; i <= STEPS; i++) {
            double current = first * Math.pow(Math.max(1, faultA / first), (double) i / STEPS);
            double slowest = branch.slowestS(current);
            boolean opens = slowest < Double.POSITIVE_INFINITY;
            if (opens && slowest >= main.fastestS(current)) {
                return current;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Pass when the branch opens first up to the full fault; else good to know: the wrong fuse opening is a nuisance, no hazard. */
    public Finding finding() {
        double from = uncertainFromA();
        Verdict verdict = from > faultA ? Verdict.PASS : Verdict.NOTE;
        Explanation explanation = Explanation.read(
                note("Selectivity.up-to-there"),
                term("I", Math.min(from, faultA), "A"),
                term("I_branch", branch.ratingA(), "A"),
                term("I_main", main.ratingA(), "A"));
        return new Finding(
                FindingCode.FUSE_SELECTIVITY,
                verdict,
                Math.min(from, faultA),
                faultA,
                "A",
                explanation,
                FuseFamily.gateSource());
    }
}
