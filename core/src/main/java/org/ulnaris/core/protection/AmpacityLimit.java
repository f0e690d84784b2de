package org.ulnaris.core.protection;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * A rating against what a cable may carry. It may be above it where no standard rating of any family lies between what the load asks for
 * and it.
 *
 * @param ratingA rating, A
 * @param ampacityA what the cable may carry, A
 * @param leastA least rating that the load asks for, A
 * @param overAmpacity rating ÷ ampacity, at most
 */
public record AmpacityLimit(double ratingA, double ampacityA, double leastA, double overAmpacity) {
    static final Source SOURCE = Source.practice(note("AmpacityLimit.rating-and-ampacity"));

    /** A rating that meets its limit is within it, whatever the last digits of a quotient say. */
    private static final double EQUAL = 1 + 1e-9;

    /** The outcome, said of the fuse {@code tag}. */
    public Finding finding(String tag) {
        Explanation explanation = Explanation.of(
                term("u", 100 * ratingA / ampacityA, "%"),
                term("I_n", ratingA, "A").over(term("I_z", ampacityA, "A")));
        return new Finding(FindingCode.FUSE_AMPACITY, verdict(), ratingA, ampacityA, "A", explanation, SOURCE, tag);
    }

    private Verdict verdict() {
        if (ratingA <= ampacityA * EQUAL) {
            return Verdict.PASS;
        }
        return ratingA <= overAmpacity * ampacityA * EQUAL && nextStandard() ? Verdict.WATCH : Verdict.STOP;
    }

    private boolean nextStandard() {
        return FuseFamily.COMMON.stream()
                .flatMap(family -> family.ratingsA().stream())
                .noneMatch(rating -> rating < ratingA && rating >= leastA);
    }
}
