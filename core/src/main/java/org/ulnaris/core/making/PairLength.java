package org.ulnaris.core.making;

import static org.ulnaris.core.finding.Expression.magnitude;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * The two conductors of a pair of stackable connectors (common practice: both the same length). Of unequal ones the shorter carries the
 * pull: up to {@value #PASS_MM} mm nobody notices, beyond {@value #WATCH_MM} mm the pair does not lie together (ours).
 */
public final class PairLength {
    static final double PASS_MM = 3;
    static final double WATCH_MM = 15;

    private PairLength() {}

    /** Judges two conductors by their length between the connectors' faces, mm. */
    public static Finding finding(double firstMm, double secondMm) {
        double apart = Math.abs(firstMm - secondMm);
        Verdict verdict = Verdict.STOP;
        if (apart <= PASS_MM) {
            verdict = Verdict.PASS;
        } else if (apart <= WATCH_MM) {
            verdict = Verdict.WATCH;
        }
        return new Finding(
                FindingCode.PAIR_LENGTH,
                verdict,
                apart,
                PASS_MM,
                "mm",
                Explanation.of(
                        term("apart", apart, "mm"),
                        magnitude(term("L_1", firstMm, "mm").minus(term("L_2", secondMm, "mm")))),
                Source.practice(note("PairLength.both-contacts-of")));
    }
}
