package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.worked.EndPart;

/**
 * Draws a cable as a ribbon: its A end at the left, its B end at the right, both to one scale from their dimensions, the run
 * broken in the middle with its length.
 */
public final class RibbonDrawer {
    private static final double RUN_MM = 44;
    private static final double TAIL_MM = 8;
    private static final double BARE_END_MM = 40;
    private static final double BARE_STRIP_MM = 12;
    private static final double SHOWN_CABLE_MM = 30;
    private static final double SEAM_MM = 0.4;
    private static final double MARGIN_MM = 2;

    /** Half of a label such as "Ø8.4 mm". */
    private static final double HALF_LABEL_MM = 10;

    private static final double LABEL_GAP_MM = 4;

    private static final double WINDOW_MM = 1.3;
    private static final double BELL_MM = 0.8;
    private static final double DIM_TOP_MM = 17;
    private static final double DIM_BOTTOM_MM = 21;

    private final CablePlan plan;
    private final String size;
    private final Fmt fmt;
    private final String polarityCss;
    private final boolean dimensions;

    /**
     * @param polarityCss class of the shrink bands
     * @param dimensions whether dimension lines and words are drawn
     */
    public RibbonDrawer(CablePlan plan, String size, Fmt fmt, String polarityCss, boolean dimensions) {
        this.plan = plan;
        this.size = size;
        this.fmt = fmt;
        this.polarityCss = polarityCss;
        this.dimensions = dimensions;
    }

    /** The whole cable. */
    public Drawing ribbon(String label) {
        double lengthA = endLengthMm(plan.a());
        double lengthB = endLengthMm(plan.b());
        double sheet = 2 * MARGIN_MM + lengthA + RUN_MM + lengthB;
        Pen a = new Pen(sheet, false);
        Pen b = new Pen(sheet, true);
        drawEnd(a, plan.a(), lengthA);
        drawEnd(b, plan.b(), lengthB);
        drawRun(a, MARGIN_MM + lengthA, RUN_MM);
        List<Mark> marks = new ArrayList<>(a.marks());
        marks.addAll(b.marks());
        return new Drawing(sheet, heightMm(), label, css(), marks);
    }

    /** One end on its own, larger: A opens to the right, B to the left. */
    public Drawing end(Side side, String label) {
        EndPlan end = plan.end(side);
        double length = endLengthMm(end);
        double sheet = 2 * MARGIN_MM + length;
        Pen pen = new Pen(sheet, side == Side.B);
        drawEnd(pen, end, length);
        return new Drawing(sheet, heightMm(), label, css(), pen.marks());
    }

    /** Classes of the whole drawing. */
    String css() {
        boolean aluminium = plan.cable().conductor().metal() == ConductorMetal.ALUMINIUM;
        return "ribbon " + polarityCss + (aluminium ? " of-aluminium" : "");
    }

    /** One end with {@code pen}, its outside at 0. */
    void draw(Side side, Pen pen) {
        drawEnd(pen, plan.end(side), endLengthMm(plan.end(side)));
    }

    /** The run with the pen of the A end, {@code length} mm as it is drawn. */
    void drawRun(Pen pen, double length) {
        drawRun(pen, lengthMm(Side.A), length);
    }

    /** What an end takes along the sheet, mm. */
    double lengthMm(Side side) {
        return MARGIN_MM + endLengthMm(plan.end(side));
    }

    /** Where a place of an end begins and ends along the cable, mm; empty where it has none. */
    Optional<Span> span(Side side, EndPart part) {
        EndPlan end = plan.end(side);
        MatchedContact contact = end.contact();
        MatchedLug match = end.match();
        if (contact != null) {
            return Optional.of(span(contact, part));
        }
        if (match == null) {
            return part == EndPart.STRIP || part == EndPart.LUG
                    ? Optional.of(new Span(MARGIN_MM, MARGIN_MM + BARE_STRIP_MM))
                    : Optional.empty();
        }
        Lug lug = match.lug();
        double mouth = MARGIN_MM + lug.overallMm();
        double barrel = mouth - lug.barrel().depthMm();
        double insulation = mouth + match.gapMm();
        double hole = lug.pad().holeMm() / 2;
        return Optional.of(
                switch (part) {
                    case STUD -> new Span(MARGIN_MM + lug.pad().widthMm() / 2 - hole, holeMm(lug) + hole);
                    case LUG -> new Span(holeMm(lug) + hole, barrel);
                    case CRIMP -> new Span(barrel, mouth);
                    case STRIP -> new Span(mouth - 1, insulation + 1);
                    case SLEEVE ->
                        new Span(insulation, insulation + match.shrink().cover().overlapMm());
                });
    }

    private static Span span(MatchedContact matched, EndPart part) {
        double mouth = MARGIN_MM + matched.reach().c();
        double barrel = mouth - matched.reach().d();
        return switch (part) {
            case STUD -> new Span(MARGIN_MM, (MARGIN_MM + barrel) / 2);
            case LUG -> new Span((MARGIN_MM + barrel) / 2, barrel);
            case CRIMP -> new Span(barrel, mouth);
            case STRIP -> new Span(mouth - 1, mouth + 2);
            case SLEEVE -> new Span(mouth + 2, mouth + SHOWN_CABLE_MM / 2);
        };
    }

    /** What the figure of a place measures along the cable; empty where it measures nothing along it. */
    Optional<Span> measured(Side side, EndPart part) {
        EndPlan end = plan.end(side);
        MatchedContact contact = end.contact();
        MatchedLug match = end.match();
        if (contact != null) {
            double barrel = MARGIN_MM + contact.reach().c() - contact.reach().d();
            return part == EndPart.STRIP
                    ? Optional.of(new Span(barrel, barrel + contact.contact().stripMm()))
                    : Optional.empty();
        }
        if (match == null) {
            return Optional.empty();
        }
        double mouth = MARGIN_MM + match.lug().overallMm();
        double barrel = mouth - match.lug().barrel().depthMm();
        double insulation = mouth + match.gapMm();
        boolean sleeved = match.shrink().tube() != null;
        return switch (part) {
            case STRIP -> Optional.of(new Span(barrel, insulation));
            case SLEEVE ->
                sleeved
                        ? Optional.of(new Span(
                                barrel, insulation + match.shrink().cover().overlapMm()))
                        : Optional.empty();
            case STUD, LUG, CRIMP -> Optional.empty();
        };
    }

    /** The hole whose nut is turned to a torque; empty where none is. */
    Optional<Span> turned(Side side) {
        EndPlan end = plan.end(side);
        return end.match() == null || end.torque() == null ? Optional.empty() : span(side, EndPart.STUD);
    }

    /** A length along the cable, mm from the edge of the sheet at its end. */
    record Span(double from, double to) {
        double middle() {
            return (from + to) / 2;
        }
    }

    private double thickestMm() {
        return Stream.of(plan.a().termination(), plan.b().termination())
                .filter(java.util.Objects::nonNull)
                .mapToDouble(Termination::widestMm)
                .reduce(plan.cable().outerMm(), Math::max);
    }

    double heightMm() {
        return thickestMm() + (dimensions ? DIM_TOP_MM + DIM_BOTTOM_MM : 2 * MARGIN_MM);
    }

    double axisMm() {
        return (dimensions ? DIM_TOP_MM : MARGIN_MM) + thickestMm() / 2;
    }

    private double endLengthMm(EndPlan end) {
        MatchedLug match = end.match();
        MatchedContact contact = end.contact();
        if (contact != null) {
            return contact.reach().c() + SHOWN_CABLE_MM;
        }
        if (match == null) {
            return BARE_END_MM;
        }
        return match.lug().overallMm() + match.gapMm() + match.shrink().cover().overlapMm() + TAIL_MM;
    }

    private void drawRun(Pen pen, double from, double length) {
        double r = plan.cable().outerMm() / 2;
        double y = axisMm();
        double middle = from + length / 2;
        double gap = 3;
        sheath(pen, new double[] {from - SEAM_MM, from - SEAM_MM}, new double[] {middle - gap, middle - gap - 2}, r);
        sheath(
                pen,
                new double[] {middle + gap, middle + gap - 2},
                new double[] {from + length + SEAM_MM, from + length + SEAM_MM},
                r);
        pen.line("break", middle - gap + 0.6, y - r - 2, middle - gap - 2.6, y + r + 2);
        pen.line("break", middle + gap + 0.6, y - r - 2, middle + gap - 2.6, y + r + 2);
        if (dimensions) {
            pen.words("run-text", middle, y - r - 5, fmt.route(plan.route().lengthMm() / 1000));
            pen.words("run-sub", middle, y + r + 7, size);
        }
    }

    /** A length of insulation without lines across it, so that its pieces read as one cable. */
    private void sheath(Pen pen, double[] left, double[] right, double r) {
        double y = axisMm();
        pen.polygon("sheath part-cable", left[0], y - r, right[0], y - r, right[1], y + r, left[1], y + r);
        pen.line("insulation part-cable", left[0], y - r, right[0], y - r);
        pen.line("insulation part-cable", left[1], y + r, right[1], y + r);
    }

    private void drawEnd(Pen pen, EndPlan end, double length) {
        MatchedLug match = end.match();
        MatchedContact contact = end.contact();
        if (contact != null) {
            drawContact(pen, contact, length);
            return;
        }
        double r = plan.cable().outerMm() / 2;
        double y = axisMm();
        if (match == null) {
            double bare = MARGIN_MM + BARE_STRIP_MM;
            double core = plan.cable().bundleMm() / 2;
            pen.rect("copper part-strip", MARGIN_MM, y - core, bare - MARGIN_MM, 2 * core);
            insulation(pen, bare, MARGIN_MM + length, r);
            return;
        }
        drawCable(pen, match, length);
        LugShape.draw(pen, match.lug(), MARGIN_MM, axisMm());
        drawForm(pen, match.lug());
        drawCrimps(pen, match);
        drawShrink(pen, match);
        if (dimensions) {
            drawDimensions(pen, match);
        }
    }

    /** Mating face at the outside; the contact's barrel shows through the shell. */
    private void drawContact(Pen pen, MatchedContact matched, double length) {
        Contact contact = matched.contact();
        double y = axisMm();
        double mouth = MARGIN_MM + matched.reach().c();
        double barrel = mouth - matched.reach().d();
        double core = plan.cable().bundleMm() / 2;
        double half = matched.widestMm() / 2;
        double r = plan.cable().outerMm() / 2;
        boolean shell = contact.family().mates();
        insulation(pen, mouth, MARGIN_MM + length, r);
        if (shell) {
            double entry = Math.min(half, r + 2);
            ContactShape.shell(pen, new double[] {MARGIN_MM, barrel, mouth}, new double[] {half, entry}, y);
            pen.rect("polarity part-shrink", barrel - 5, y - half, 4, 2 * half);
        }
        double tongue = Math.min(half * 0.5, core + 1);
        pen.rect(
                "lug part-pad",
                MARGIN_MM + (shell ? 2 : 0),
                y - tongue / 2,
                barrel - MARGIN_MM - (shell ? 2 : 0),
                tongue);
        pen.rect("lug part-barrel", barrel, y - core - 1, mouth - barrel, 2 * core + 2);
        pen.rect("crimp part-crimp", barrel + 1, y - core - 0.6, Math.max(1, mouth - barrel - 2), 2 * core + 1.2);
        pen.rect(
                "copper part-strip",
                mouth - 0.4,
                y - core,
                Math.max(0, contact.stripMm() - matched.reach().d()) + 0.4,
                2 * core);
        if (dimensions) {
            double bottom = y + thickestMm() / 2 + 1;
            double top = y - thickestMm() / 2 - 1;
            pen.dimension(
                    "part-pad",
                    new double[] {MARGIN_MM, mouth},
                    top,
                    top - 9,
                    fmt.small(matched.reach().c()));
            double[] strip = {barrel, barrel + contact.stripMm()};
            pen.dimension("part-strip", strip, bottom, bottom + 5, "");
            pen.words("part-strip dim-text", (strip[0] + strip[1]) / 2, bottom + 12, fmt.bench(contact.stripMm()));
        }
    }

    private void drawCable(Pen pen, MatchedLug match, double length) {
        double y = axisMm();
        double mouth = MARGIN_MM + match.lug().overallMm();
        double insulation = mouth + match.gapMm();
        double core = Math.min(plan.cable().bundleMm(), match.lug().barrel().boreMm()) / 2;
        double r = plan.cable().outerMm() / 2;
        pen.rect("copper part-strip", mouth - 0.5, y - core, match.gapMm() + 1, 2 * core);
        insulation(pen, insulation, MARGIN_MM + length, r);
    }

    private void insulation(Pen pen, double from, double to, double r) {
        sheath(pen, new double[] {from, from}, new double[] {to, to}, r);
        pen.line("insulation part-cable", from, axisMm() - r, from, axisMm() + r);
    }

    /** Centre of the hole that is nearest the cable, on the sheet. */
    private static double holeMm(Lug lug) {
        return MARGIN_MM + LugShape.holeMm(lug);
    }

    /** What sets a lug's tube off: a window at the end of its bore, a widened mouth; of a bent lug its angle. */
    private void drawForm(Pen pen, Lug lug) {
        double y = axisMm();
        double mouth = MARGIN_MM + lug.overallMm();
        double r = lug.barrel().outerMm() / 2;
        if (lug.form().body().window()) {
            pen.circle("void part-barrel", mouth - lug.barrel().depthMm() + 2, y, WINDOW_MM);
        }
        if (lug.form().body().bellMouth()) {
            pen.polygon(
                    "lug part-barrel",
                    mouth - 2,
                    y - r,
                    mouth,
                    y - r - BELL_MM,
                    mouth,
                    y + r + BELL_MM,
                    mouth - 2,
                    y + r);
        }
        if (lug.form().angleDeg() != 0) {
            pen.words(
                    "dim-text part-pad",
                    holeMm(lug),
                    y + WINDOW_MM,
                    Fmt.turn(lug.form().angleDeg()));
        }
    }

    private void drawCrimps(Pen pen, MatchedLug match) {
        Crimp crimp = match.crimp();
        if (crimp == null) {
            return;
        }
        double y = axisMm();
        double mouth = MARGIN_MM + match.lug().overallMm();
        double half = crimp.die().acrossFlatsMm() / 2;
        double barrel = match.lug().barrel().outerMm() / 2;
        double width = crimp.die().widthMm();
        for (double at : crimp.positionsMm()) {
            double x = mouth - at - width / 2;
            double shoulder = Math.min(width / 6, 1);
            pen.rect("cut-away", x, y - barrel - 0.2, width, 2 * barrel + 0.4);
            pen.polygon(
                    "crimp part-crimp",
                    x,
                    y - barrel,
                    x + shoulder,
                    y - half,
                    x + width - shoulder,
                    y - half,
                    x + width,
                    y - barrel,
                    x + width,
                    y + barrel,
                    x + width - shoulder,
                    y + half,
                    x + shoulder,
                    y + half,
                    x,
                    y + barrel);
            pen.line("crimp-edge part-crimp", x + shoulder, y - half / 2, x + width - shoulder, y - half / 2);
            pen.line("crimp-edge part-crimp", x + shoulder, y + half / 2, x + width - shoulder, y + half / 2);
        }
    }

    private void drawShrink(Pen pen, MatchedLug match) {
        ShrinkChoice shrink = match.shrink();
        if (shrink.tube() == null) {
            return;
        }
        double y = axisMm();
        double mouth = MARGIN_MM + match.lug().overallMm();
        double from = mouth - match.lug().barrel().depthMm();
        double insulation = mouth + match.gapMm();
        double to = insulation + shrink.cover().overlapMm();
        double wall = Math.max(0.5, shrink.tube().wallMm() * 0.6);
        double barrel = match.lug().barrel().outerMm() / 2 + wall;
        double cable = plan.cable().outerMm() / 2 + wall;
        double blend = Math.min(3, match.gapMm() / 2 + 1.5);
        pen.polygon(
                "shrink part-shrink",
                from,
                y - barrel,
                mouth,
                y - barrel,
                insulation + blend,
                y - cable,
                to,
                y - cable,
                to,
                y + cable,
                insulation + blend,
                y + cable,
                mouth,
                y + barrel,
                from,
                y + barrel);
        pen.rect("polarity part-shrink", to - 7, y - cable, 5, 2 * cable);
    }

    private void drawDimensions(Pen pen, MatchedLug match) {
        Lug lug = match.lug();
        double y = axisMm();
        double top = y - thickestMm() / 2 - 1;
        double bottom = y + thickestMm() / 2 + 1;
        double mouth = MARGIN_MM + lug.overallMm();
        double hole = holeMm(lug);
        double insulation = mouth + match.gapMm();
        pen.dimension("part-pad", new double[] {hole, mouth}, top, top - 9, fmt.small(lug.holeToMouthMm()));
        pen.dimension(
                "part-shrink",
                new double[] {
                    mouth - lug.barrel().depthMm(),
                    insulation + match.shrink().cover().overlapMm()
                },
                bottom,
                bottom + 17,
                fmt.bench(match.shrink().cover().cutLengthMm()));
        pen.dimension(
                "part-strip",
                new double[] {mouth - lug.barrel().depthMm(), insulation},
                bottom,
                bottom + 8,
                fmt.bench(match.stripMm()));
        double across = Math.max(hole, MARGIN_MM + HALF_LABEL_MM);
        double strip = (mouth - lug.barrel().depthMm() + insulation) / 2;
        boolean besideStrip = strip - across > 2 * HALF_LABEL_MM + LABEL_GAP_MM;
        pen.words(
                "dim-text part-hole",
                across,
                bottom + (besideStrip ? 6.8 : 15.8),
                "Ø" + fmt.small(lug.pad().holeMm()));
    }
}
