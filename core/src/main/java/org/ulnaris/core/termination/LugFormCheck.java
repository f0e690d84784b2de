package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * What a lug's form means for its end: angle, holes, metals, plating, window, conductors in the barrel, neighbours and headroom. Only what
 * bears on the end is said.
 */
final class LugFormCheck {
    /** Between two bare lugs, mm (ours): less is tight, for a nut turns the lug a little. */
    static final double GAP_MM = 3;
    /** Tightest bend that a house still passes with a watch ÷ its good one. */
    static final double TIGHTEST = 0.8;
    /** How far two studs may lie off the pitch of a lug's holes, mm (ours; the play of two close holes). */
    static final double PITCH_PLAY_MM = 0.8;

    private static final Source METAL = Source.practice(note("LugFormCheck.aluminium-brush-the"));
    private static final Source PAD = Source.practice(note("LugFormCheck.a-bimetal-lug"));
    private static final Source FINISH = Source.practice(note("LugFormCheck.tinned-lugs-resist"));
    private static final Source WINDOW = Source.practice(note("LugFormCheck.no-window-in"));

    private final Lug lug;
    private final LugDemand demand;
    private final Landing.Around around;

    LugFormCheck(Lug lug, LugDemand demand) {
        this.lug = lug;
        this.demand = demand;
        this.around = demand.landing().around();
    }

    Verdict verdict() {
        Verdict worst = conductors()
                .and(holes())
                .and(angle())
                .and(metal())
                .and(pad())
                .and(finish())
                .and(window());
        if (around.neighbourMm().isPresent()) {
            worst = worst.and(neighbour());
        }
        return around.headroomMm().isPresent() ? worst.and(headroom()) : worst;
    }

    /** Steps away from the form that the end asks for: flat unless the cable leaves otherwise, copper, as many holes as studs. */
    int missed() {
        return (lug.form().angleDeg() == around.angleDeg().orElse(0) ? 0 : 1)
                + (metal() == Verdict.PASS ? 0 : 1)
                + (pad() == Verdict.PASS ? 0 : 1)
                + (holes() == Verdict.PASS ? 0 : 1);
    }

    List<Finding> findings() {
        List<Finding> checks = new ArrayList<>();
        if (demand.conductors() > 1) {
            checks.add(conductorsFinding());
        }
        if (twoHoles() || around.secondStudMm().isPresent()) {
            checks.add(holesFinding());
        }
        if (around.angleDeg().isPresent()) {
            checks.add(angleFinding());
        }
        if (metal() != Verdict.PASS) {
            checks.add(said(
                    FindingCode.LUG_METAL,
                    metal(),
                    demand.isCopper()
                            ? note("LugFormCheck.aluminium-on-copper")
                            : note("LugFormCheck.copper-on-aluminium"),
                    METAL));
        }
        if (pad() != Verdict.PASS) {
            checks.add(said(FindingCode.LUG_PAD, pad(), note("LugFormCheck.aluminium-pad-on"), PAD));
        }
        if (finish() != Verdict.PASS) {
            checks.add(said(FindingCode.LUG_FINISH, finish(), note("LugFormCheck.bare-copper-where"), FINISH));
        }
        if (window() != Verdict.PASS) {
            checks.add(said(FindingCode.LUG_WINDOW, window(), "window", WINDOW));
        }
        around.neighbourMm().ifPresent(neighbourMm -> checks.add(neighbourFinding(neighbourMm)));
        around.headroomMm().ifPresent(roomMm -> checks.add(headroomFinding(roomMm)));
        return checks;
    }

    private static Finding said(FindingCode code, Verdict verdict, String words, Source source) {
        return new Finding(code, verdict, 0, 0, "", Explanation.words(words), source);
    }

    private Verdict conductors() {
        return demand.conductors() <= lug.form().conductors() ? Verdict.PASS : Verdict.STOP;
    }

    private Finding conductorsFinding() {
        return new Finding(
                FindingCode.LUG_CONDUCTORS,
                conductors(),
                demand.conductors(),
                lug.form().conductors(),
                "",
                Explanation.read(
                        note("LugFormCheck.conductors-in-one"),
                        term("n", demand.conductors(), ""),
                        term("n_rated", lug.form().conductors(), "")),
                Source.practice(note("LugFormCheck.one-conductor-a")));
    }

    private boolean twoHoles() {
        return lug.form().holes().pitchMm().isPresent();
    }

    private Verdict holes() {
        if (!twoHoles()) {
            return around.secondStudMm().isPresent() ? Verdict.WATCH : Verdict.PASS;
        }
        boolean meets = around.secondStudMm().isPresent()
                && Math.abs(around.secondStudMm().getAsDouble() - lug.pitchMm()) <= PITCH_PLAY_MM;
        return meets ? Verdict.PASS : Verdict.STOP;
    }

    private Finding holesFinding() {
        return new Finding(
                FindingCode.LUG_HOLES,
                holes(),
                lug.pitchMm(),
                around.secondStudMm().orElse(0),
                "mm",
                Explanation.read(
                        note("LugFormCheck.hole-to-hole"),
                        term("P", lug.pitchMm(), "mm"),
                        term("P_studs", around.secondStudMm().orElse(0), "mm")),
                Source.practice(note("LugFormCheck.a-second-hole")));
    }

    private Verdict angle() {
        return around.angleDeg().isEmpty()
                        || around.angleDeg().getAsInt() == lug.form().angleDeg()
                ? Verdict.PASS
                : Verdict.WATCH;
    }

    private Finding angleFinding() {
        int leaves = around.angleDeg().orElse(0);
        return new Finding(
                FindingCode.LUG_ANGLE,
                angle(),
                lug.form().angleDeg(),
                leaves,
                "°",
                Explanation.read(
                        note("LugFormCheck.barrel-to-pad"),
                        term("a", lug.form().angleDeg(), "°"),
                        term("a_cable", leaves, "°")),
                Source.practice(note("LugFormCheck.a-cable-does")));
    }

    /** Copper does not follow aluminium when it creeps, and wet it eats it: no copper barrel on aluminium strands. */
    private Verdict metal() {
        boolean copperBarrel = lug.barrel().material() == LugMaterial.COPPER;
        if (!demand.isCopper()) {
            return copperBarrel ? Verdict.STOP : Verdict.PASS;
        }
        return copperBarrel ? Verdict.PASS : Verdict.WATCH;
    }

    /** Studs are of copper, brass or steel: an aluminium lug wants a pad of copper there, or a clad washer. */
    private Verdict pad() {
        return !demand.isCopper() && lug.form().body().pad() == LugMaterial.ALUMINIUM ? Verdict.WATCH : Verdict.PASS;
    }

    private Verdict finish() {
        boolean bare = !lug.form().body().tinned() && lug.form().body().pad() == LugMaterial.COPPER;
        return bare && demand.place().moves() ? Verdict.WATCH : Verdict.PASS;
    }

    private Verdict window() {
        return lug.form().body().window() && lug.barrel().material() == LugMaterial.ALUMINIUM
                ? Verdict.STOP
                : Verdict.PASS;
    }

    private Verdict neighbour() {
        double neighbourMm = around.neighbourMm().orElseThrow();
        if (straightGapMm(neighbourMm) >= GAP_MM && around.leaveDeg() == 0) {
            return Verdict.PASS;
        }
        double gap = gapMm(neighbourMm);
        return gap >= GAP_MM ? Verdict.PASS : gap > 0 ? Verdict.WATCH : Verdict.STOP;
    }

    private double straightGapMm(double neighbourMm) {
        return neighbourMm - Math.max(lug.pad().widthMm(), lug.barrel().outerMm() + 2 * Footprint.SLEEVE_MM);
    }

    private double gapMm(double neighbourMm) {
        return new Footprint(lug, around.leaveDeg()).gapMm(neighbourMm);
    }

    private Finding neighbourFinding(double neighbourMm) {
        double gap = gapMm(neighbourMm);
        return new Finding(
                FindingCode.NEIGHBOUR_GAP,
                neighbour(),
                gap,
                GAP_MM,
                "mm",
                Explanation.read(
                        note("LugFormCheck.between-two-such"),
                        term("gap", gap, "mm"),
                        term("P", neighbourMm, "mm"),
                        term("turn", around.leaveDeg(), "°")),
                Source.own(note("LugFormCheck.plan-of-pad")));
    }

    /** Of a bent lug its own height and the turn of the cable, else the lug lies flat. */
    private double neededHeadroomMm() {
        double radiusMm = TIGHTEST * demand.bendDiameters() * demand.cable().outerMm();
        double turn = lug.form().angleDeg() == 90 ? radiusMm : 0;
        double slanted = lug.form().angleDeg() == 45 ? radiusMm * (1 - Math.sqrt(0.5)) : 0;
        return lug.heightMm() + turn + slanted;
    }

    private Verdict headroom() {
        return neededHeadroomMm() <= around.headroomMm().orElseThrow() ? Verdict.PASS : Verdict.STOP;
    }

    private Finding headroomFinding(double roomMm) {
        return new Finding(
                FindingCode.HEADROOM,
                headroom(),
                neededHeadroomMm(),
                roomMm,
                "mm",
                Explanation.read(
                        note("LugFormCheck.height-of-the"),
                        term("h", neededHeadroomMm(), "mm"),
                        term("h_lug", lug.heightMm(), "mm"),
                        term(
                                "r_bend",
                                TIGHTEST
                                        * demand.bendDiameters()
                                        * demand.cable().outerMm(),
                                "mm")),
                Source.practice(note("LugFormCheck.a-flexible-cable")));
    }
}
