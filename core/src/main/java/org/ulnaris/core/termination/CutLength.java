package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Explanation.term;

import org.ulnaris.core.finding.Explanation;

/**
 * Length to cut a cable to.
 *
 * <p>L_cut = L − c_A − c_B + d_A + d_B + slack; L stud to stud along the centre line, c hole centre to barrel mouth, d
 * insertion depth. A redone end costs d + c + saw cut.
 *
 * @param routeMm stud to stud along the centre line, mm
 * @param slackMm spare, mm
 * @param a lug of the A end
 * @param b lug of the B end
 */
public record CutLength(double routeMm, double slackMm, Lug a, Lug b) {
    /** Width of a cut, mm. */
    public static final double SAW_CUT_MM = 3;

    /** Length to cut, mm. */
    public double cutMm() {
        return routeMm
                - a.holeToMouthMm()
                - b.holeToMouthMm()
                + a.barrel().depthMm()
                + b.barrel().depthMm()
                + slackMm;
    }

    /** What redoing an end with {@code lug} costs, mm. */
    public static double redoCostMm(Lug lug) {
        return lug.barrel().depthMm() + lug.holeToMouthMm() + SAW_CUT_MM;
    }

    /** How the cut length comes about. */
    public Explanation explanation() {
        return Explanation.of(
                term("L_cut", cutMm(), "mm"),
                "L − c_A − c_B + d_A + d_B + slack",
                term("L", routeMm, "mm"),
                term("c_A", a.holeToMouthMm(), "mm"),
                term("c_B", b.holeToMouthMm(), "mm"),
                term("d_A", a.barrel().depthMm(), "mm"),
                term("d_B", b.barrel().depthMm(), "mm"),
                term("slack", slackMm, "mm"));
    }
}
