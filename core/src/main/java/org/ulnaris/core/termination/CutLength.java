package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;

/**
 * Length to cut a cable to.
 *
 * <p>L_cut = L − c_A − c_B + d_A + d_B + slack; L stud to stud along the centre line, c hole centre to barrel mouth, d
 * insertion depth. A redone end costs d + c + saw cut.
 *
 * @param routeMm stud to stud along the centre line, mm
 * @param slackMm spare, mm
 * @param a what the A end adds and takes
 * @param b what the B end adds and takes
 */
public record CutLength(double routeMm, double slackMm, Reach a, Reach b) {
    /** Width of a cut, mm. */
    public static final double SAW_CUT_MM = 3;

    /** Cable between two barrels that still gives a little, outside diameters (ours). */
    private static final double BENDS_DIAMETERS = 1;

    /**
     * An end as it counts in the length.
     *
     * @param c centre of the hole, or mating face, to the mouth of the barrel, mm
     * @param d how deep the conductor goes in, mm
     */
    public record Reach(double c, double d) {
        /** Of a tube lug. */
        public static Reach of(Lug lug) {
            return new Reach(lug.holeToMouthMm(), lug.barrel().depthMm());
        }
    }

    /** Length to cut, mm. */
    public double cutMm() {
        return routeMm - a.c() - b.c() + a.d() + b.d() + slackMm;
    }

    /** What redoing an end costs, mm. */
    public static double redoCostMm(Reach end) {
        return end.d() + end.c() + SAW_CUT_MM;
    }

    /**
     * Whether there is room for cable between both barrels: none at all stops, less than it takes to bend it a little is to be watched.
     *
     * @param outerMm outside diameter of the cable, mm
     */
    public Finding room(double outerMm) {
        double roomMm = routeMm - a.c() - b.c();
        double bendsMm = BENDS_DIAMETERS * outerMm;
        return new Finding(
                FindingCode.LINK_LENGTH,
                new Bands(0, bendsMm, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY).judge(roomMm),
                roomMm,
                bendsMm,
                "mm",
                Explanation.of(
                        term("room", roomMm, "mm"),
                        term("L", routeMm, "mm").minus(term("c_A", a.c(), "mm")).minus(term("c_B", b.c(), "mm"))),
                Source.practice(note("CutLength.a-bar-instead")));
    }

    /** How the cut length comes about. */
    public Explanation explanation() {
        return Explanation.of(
                term("L_cut", cutMm(), "mm"),
                term("L", routeMm, "mm")
                        .minus(term("c_A", a.c(), "mm"))
                        .minus(term("c_B", b.c(), "mm"))
                        .plus(term("d_A", a.d(), "mm"))
                        .plus(term("d_B", b.d(), "mm"))
                        .plus(term("slack", slackMm, "mm")));
    }
}
