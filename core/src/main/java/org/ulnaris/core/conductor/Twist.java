package org.ulnaris.core.conductor;

import static org.ulnaris.core.finding.Expression.min;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * How far a cable forgives a wrong angle between its two lugs (ours, after common practice: short cables punish errors in lug angle): a
 * flexible cable takes {@value #DEGREES_PER_DIAMETER}° for each outside diameter of its length.
 */
public final class Twist {
    static final double DEGREES_PER_DIAMETER = 1.5;
    private static final double MOST_DEGREES = 180;
    /** As well as a pen line is turned by eye (ours). */
    private static final double BY_EYE_DEGREES = 15;

    private Twist() {}

    /** Whether a cable forgives enough for its lugs to be clocked by eye. */
    public static Finding finding(double lengthMm, double outerMm) {
        double forgiven = forgivenDegrees(lengthMm, outerMm);
        return new Finding(
                FindingCode.CLOCK_TWIST,
                forgiven >= BY_EYE_DEGREES ? Verdict.PASS : Verdict.NOTE,
                forgiven,
                BY_EYE_DEGREES,
                "°",
                Explanation.of(
                        term("twist", forgiven, "°"),
                        min(
                                term("most", MOST_DEGREES, "°"),
                                term("n", DEGREES_PER_DIAMETER, "°")
                                        .times(term("L", lengthMm, "mm"))
                                        .over(term("OD", outerMm, "mm")))),
                Source.own(note("Twist.a-short-stiff")));
    }

    /** Angle that a cable of {@code lengthMm} takes without standing against its studs, °; at most 180. */
    public static double forgivenDegrees(double lengthMm, double outerMm) {
        return Math.min(MOST_DEGREES, DEGREES_PER_DIAMETER * lengthMm / outerMm);
    }
}
