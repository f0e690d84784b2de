package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.EndPart;

/**
 * Draws a cable as its own navigation: the ribbon with what there is to know of each place written at it, each place a link. At the desk
 * it lies across the sheet; on a phone it stands upright, its A end at the top. The sheet is in pixels, the cable to one scale on it.
 */
public final class RibbonMap {
    private static final double LETTERS = 16;
    private static final double SMALL = 14.5;
    private static final double LINE = 20;
    private static final double GAP = 18;
    private static final double MARK = 5;
    private static final double EDGE = 14;
    private static final double OUT = 7;
    private static final double TICK = 4;
    private static final int ARC_POINTS = 25;

    private static final double WIDE = 1200;
    private static final double RUN = 330;
    private static final double HEAD = 76;
    private static final double FOOT = 96;
    private static final double THICKEST = 108;

    /** What the words of an end may take of the sheet, all of them and each. */
    private static final double OWN = WIDE / 2 - 125;

    private static final double MOST = 230;
    private static final double LEAST = 64;

    private static final double FINEST = 4.4;

    private static final double TALL_WIDE = 372;
    private static final double AXIS = 62;
    private static final double WORDS = 146;
    private static final double ROW = 58;
    private static final double TALL_THICKEST = 82;
    private static final double TALL_FINEST = 2.2;
    private static final double TALL_RUN = 44;
    private static final int FEW = 3;

    private final RibbonDrawer ribbon;

    public RibbonMap(RibbonDrawer ribbon) {
        this.ribbon = ribbon;
    }

    /**
     * What stands at a place.
     *
     * @param first what it is
     * @param sub what else to know of it; may be empty
     * @param verdict what is said of it; a pass or a note has no mark
     */
    public record Label(String first, String sub, Verdict verdict, Mark.Link link) {}

    /**
     * One end.
     *
     * @param name the end as a whole
     * @param places its places, from the outside inwards; none of those that are as at the other end
     * @param same what is said once for both ends; empty where they differ
     * @param chosen whether it is the end that is pressed
     */
    public record End(Label name, Map<EndPart, Label> places, String same, boolean chosen) {
        public End {
            places = new EnumMap<>(places);
        }
    }

    /**
     * The cable between its ends.
     *
     * @param label what it is
     * @param subs what else to know, a line each
     */
    public record Run(Label label, List<String> subs) {}

    /** The cable with all that is written at it. */
    public record Told(String label, End a, End b, Run run) {
        End end(Side side) {
            return side == Side.A ? a : b;
        }
    }

    /** Lying across the sheet: what belongs to the outside and the sleeve above it, the rest below. */
    public Drawing across(Told told) {
        double both = ribbon.lengthMm(Side.A) + ribbon.lengthMm(Side.B);
        double scale = Math.min(FINEST, Math.min(THICKEST / ribbon.heightMm(), (WIDE - 2 * EDGE - RUN) / both));
        double thick = scale * ribbon.heightMm();
        double height = HEAD + thick + FOOT;
        Sheet sheet = new Sheet(scale, HEAD + scale * ribbon.axisMm(), HEAD + thick);
        List<Mark> marks = new ArrayList<>();
        for (Side side : Side.values()) {
            if (told.end(side).chosen()) {
                Pen ground = new Pen(WIDE, side == Side.B);
                ground.rect("chosen-end", 0, 0, EDGE + scale * ribbon.lengthMm(side) + 2 * GAP, height);
                ground.rect("chosen-edge", 0, 0, 4, height);
                marks.addAll(ground.marks());
            }
        }
        Pen a = Pen.across(scale, EDGE, HEAD, false);
        Pen b = Pen.across(scale, WIDE - EDGE, HEAD, true);
        ribbon.draw(Side.A, a);
        ribbon.draw(Side.B, b);
        ribbon.drawRun(a, (WIDE - 2 * EDGE) / scale - both);
        marks.addAll(a.marks());
        marks.addAll(b.marks());
        for (Side side : Side.values()) {
            acrossEnd(marks, sheet, side, told.end(side));
        }
        acrossRun(marks, sheet, told.run());
        return new Drawing(WIDE, height, told.label(), ribbon.css() + " map", marks);
    }

    /** Where the cable lies on the sheet: its scale, its axis, its lower edge. */
    private record Sheet(double scale, double axis, double under) {}

    private void acrossEnd(List<Mark> marks, Sheet sheet, Side side, End end) {
        double free = 0;
        double above = 0;
        for (EndPart part : List.of(EndPart.STUD, EndPart.SLEEVE, EndPart.LUG, EndPart.CRIMP, EndPart.STRIP)) {
            Label whole = end.places().get(part);
            if (whole == null) {
                continue;
            }
            boolean top = part == EndPart.STUD || part == EndPart.SLEEVE;
            Label label = fitted(whole, Math.max(LEAST, Math.min(MOST, OWN - (top ? above : free))));
            double wide = wide(label);
            RibbonDrawer.Span span = ribbon.span(side, part).orElse(new RibbonDrawer.Span(0, 0));
            double middle = EDGE + sheet.scale() * span.middle();
            double from = Math.max(
                    top ? above : free, part == EndPart.STUD || part == EndPart.LUG ? EDGE : middle - wide / 2);
            Pen pen = new Pen(WIDE, side == Side.B);
            hit(pen, sheet, span);
            double y = top ? 24 : sheet.under() + 38;
            dimension(pen, sheet, side, part);
            leader(pen, sheet, part, middle, from + wide / 2);
            caption(pen, label, from, y, wide, side == Side.B);
            pen.marks().forEach(mark -> marks.add(mark.to(label.link())));
            if (top) {
                above = from + wide + GAP;
            } else {
                free = from + wide + GAP;
            }
        }
        Pen name = new Pen(WIDE, side == Side.B);
        double y = sheet.under() + FOOT - 12;
        caption(name, end.name(), EDGE, y, wide(end.name()), side == Side.B);
        name.marks().forEach(mark -> marks.add(mark.to(end.name().link())));
        if (!end.same().isEmpty()) {
            Pen same = new Pen(WIDE, side == Side.B);
            double half = Lettering.REGULAR.width(end.same(), SMALL) / 2;
            same.words("sub", Math.max(EDGE, free) + half, sheet.under() + 38, end.same());
            marks.addAll(same.marks());
        }
    }

    private static void hit(Pen pen, Sheet sheet, RibbonDrawer.Span span) {
        if (span.to() > span.from()) {
            pen.rect(
                    "hit",
                    EDGE + sheet.scale() * span.from(),
                    HEAD,
                    sheet.scale() * (span.to() - span.from()),
                    sheet.under() - HEAD);
        }
    }

    /** The line of what a figure measures, which its leader starts from; round the hole the way that its nut is turned. */
    private void dimension(Pen pen, Sheet sheet, Side side, EndPart part) {
        ribbon.measured(side, part).ifPresent(span -> {
            boolean top = part == EndPart.SLEEVE;
            double from = EDGE + sheet.scale() * span.from();
            double to = EDGE + sheet.scale() * span.to();
            double y = top ? HEAD - OUT : sheet.under() + OUT;
            double edge = top ? HEAD + OUT : sheet.under() - OUT;
            for (double x : new double[] {from, to}) {
                pen.line("dim", x, edge, x, y + (top ? -TICK : TICK));
                pen.line("dim tick", x - TICK, y + TICK, x + TICK, y - TICK);
            }
            pen.line("dim", from, y, to, y);
        });
        if (part == EndPart.STUD) {
            ribbon.turned(side).ifPresent(hole -> turn(pen, sheet, side, hole));
        }
    }

    /** Clockwise at either end, three quarters around the hole. */
    private static void turn(Pen pen, Sheet sheet, Side side, RibbonDrawer.Span hole) {
        double x = EDGE + sheet.scale() * hole.middle();
        double radius = sheet.scale() * (hole.to() - hole.from()) / 2 + OUT;
        double way = side == Side.A ? 1 : -1;
        double[] arc = new double[2 * ARC_POINTS];
        for (int i = 0; i < ARC_POINTS; i++) {
            double angle = Math.PI * (1.5 * i / (ARC_POINTS - 1) - 1.25);
            arc[2 * i] = x + way * radius * Math.cos(angle);
            arc[2 * i + 1] = sheet.axis() + radius * Math.sin(angle);
        }
        pen.line("dim", arc);
        double tipX = arc[arc.length - 2];
        double tipY = arc[arc.length - 1];
        pen.line("dim", tipX + way * 1.7 * TICK, tipY + 0.3 * TICK, tipX, tipY, tipX, tipY - 1.8 * TICK);
    }

    private static void leader(Pen pen, Sheet sheet, EndPart part, double at, double to) {
        double under = sheet.under() + 38 - LETTERS;
        switch (part) {
            case STUD -> pen.line("dim", to, 24 + LINE + 6, at, sheet.axis());
            case SLEEVE -> pen.line("dim", to, 24 + LINE + 6, at, HEAD - OUT);
            case STRIP -> pen.line("dim", at, sheet.under() + OUT, to, under);
            case LUG, CRIMP -> pen.line("dim", at, sheet.under() - OUT, to, under);
        }
    }

    private static void acrossRun(List<Mark> marks, Sheet sheet, Run run) {
        Pen pen = new Pen(WIDE, false);
        double middle = WIDE / 2;
        double wide = wide(run.label());
        pen.rect("hit", middle - RUN / 4, HEAD, RUN / 2, sheet.under() - HEAD);
        caption(pen, run.label(), middle - wide / 2, 24, wide, false);
        double y = sheet.under() + 32;
        for (String sub : run.subs()) {
            pen.words("sub", middle, y, sub);
            y += LINE;
        }
        pen.marks().forEach(mark -> marks.add(mark.to(run.label().link())));
    }

    private static Label fitted(Label label, double room) {
        double mark = label.verdict().asks() ? 3 * MARK : 0;
        return new Label(
                Lettering.BOLD.fitted(label.first(), LETTERS, room - mark),
                Lettering.REGULAR.fitted(label.sub(), SMALL, room),
                label.verdict(),
                label.link());
    }

    private static double wide(Label label) {
        double mark = label.verdict().asks() ? 3 * MARK : 0;
        return Math.max(
                Lettering.BOLD.width(label.first(), LETTERS) + mark, Lettering.REGULAR.width(label.sub(), SMALL));
    }

    /** Two lines in a box; flush with the outside of the end. */
    private static void caption(Pen pen, Label label, double from, double y, double wide, boolean back) {
        double first = Lettering.BOLD.width(label.first(), LETTERS);
        double mark = label.verdict().asks() ? 3 * MARK : 0;
        double text = back ? from + first / 2 : from + mark + first / 2;
        if (mark > 0) {
            pen.verdict(label.verdict(), back ? from + first + 2 * MARK : from + MARK, y - 0.33 * LETTERS, MARK);
        }
        pen.rect("hit", from - 4, y - LETTERS, wide + 8, label.sub().isEmpty() ? LINE : 2 * LINE);
        pen.words("first said-" + label.verdict(), text, y, label.first());
        if (!label.sub().isEmpty()) {
            pen.words(
                    "sub said-" + label.verdict(),
                    from + Lettering.REGULAR.width(label.sub(), SMALL) / 2,
                    y + LINE,
                    label.sub());
        }
    }

    /** Standing upright: the cable at the left, a row a place at its right. */
    public Drawing upright(Told told) {
        List<Row> rows = rows(told);
        double both = ribbon.lengthMm(Side.A) + ribbon.lengthMm(Side.B);
        double asked = rows.size() * ROW;
        double scale = Math.min(
                TALL_FINEST,
                Math.min(
                        TALL_THICKEST / ribbon.heightMm(),
                        (Math.max(asked, (rows.size() > FEW ? 9 : 5) * ROW) - TALL_RUN) / both));
        double tall = Math.max(asked, scale * both + TALL_RUN);
        double edge = AXIS - scale * ribbon.axisMm();
        Pen a = Pen.upright(scale, edge, 0, false);
        Pen b = Pen.upright(scale, edge, tall, true);
        ribbon.draw(Side.A, a);
        ribbon.draw(Side.B, b);
        ribbon.drawRun(a, tall / scale - both);
        List<Mark> marks = new ArrayList<>();
        double each = tall / rows.size();
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).label().link().current()) {
                Pen ground = new Pen(TALL_WIDE, false);
                ground.rect("chosen-row", WORDS - 14, i * each + 1, TALL_WIDE - WORDS + 14, each - 2);
                marks.addAll(ground.marks());
            }
        }
        marks.addAll(a.marks());
        marks.addAll(b.marks());
        for (int i = 0; i < rows.size(); i++) {
            row(marks, rows.get(i), i * each, each, new Stand(scale, tall));
        }
        return new Drawing(TALL_WIDE, tall, told.label(), ribbon.css() + " map", marks);
    }

    /** How the cable stands: its scale, and how tall the sheet is. */
    private record Stand(double scale, double tall) {}

    /** A line beside the cable; {@code part} is null where it speaks of all of an end, {@code side} too where it speaks of the run. */
    private record Row(@Nullable Side side, @Nullable EndPart part, Label label) {}

    private static List<Row> rows(Told told) {
        List<Row> rows = new ArrayList<>();
        told.a().places().forEach((part, label) -> rows.add(new Row(Side.A, part, label)));
        if (rows.isEmpty()) {
            rows.add(new Row(Side.A, null, told.a().name()));
        }
        rows.add(new Row(null, null, told.run().label()));
        List<Row> b = new ArrayList<>();
        told.b().places().forEach((part, label) -> b.add(0, new Row(Side.B, part, label)));
        if (!told.b().same().isEmpty()) {
            b.add(
                    0,
                    new Row(
                            Side.B,
                            EndPart.CRIMP,
                            new Label(
                                    told.b().name().first(),
                                    told.b().same(),
                                    Verdict.PASS,
                                    told.b().name().link())));
        }
        if (b.isEmpty()) {
            b.add(new Row(Side.B, null, told.b().name()));
        }
        rows.addAll(b);
        return rows;
    }

    private void row(List<Mark> marks, Row row, double top, double each, Stand stand) {
        Pen pen = new Pen(TALL_WIDE, false);
        Label label = row.label();
        double y = top + each / 2;
        double at = at(row, stand);
        pen.rect("hit", WORDS - 14, top + 1, TALL_WIDE - WORDS + 14, each - 2);
        double from = uprightDimension(pen, row, stand).orElse(AXIS + 20);
        pen.line("dim", from, at, WORDS - 26, y, WORDS - 8, y);
        double mark = label.verdict().asks() ? 3 * MARK : 0;
        double room = TALL_WIDE - WORDS - 16;
        if (mark > 0) {
            pen.verdict(label.verdict(), WORDS + MARK, (label.sub().isEmpty() ? y : y - 2 - LETTERS / 3), MARK);
        }
        String first = Lettering.BOLD.fitted(label.first(), LETTERS, room - mark);
        double line = label.sub().isEmpty() ? y + LETTERS / 3 : y - 2;
        pen.words(
                "first said-" + label.verdict(), WORDS + mark + Lettering.BOLD.width(first, LETTERS) / 2, line, first);
        String sub = Lettering.REGULAR.fitted(label.sub(), SMALL, room);
        pen.words("sub said-" + label.verdict(), WORDS + Lettering.REGULAR.width(sub, SMALL) / 2, y + LINE - 2, sub);
        pen.line("chevron", TALL_WIDE - 10, y - 6, TALL_WIDE - 4, y, TALL_WIDE - 10, y + 6);
        pen.marks().forEach(one -> marks.add(one.to(label.link())));
    }

    /** The line of what a figure measures beside the standing cable: its distance from the left; empty where it measures nothing. */
    private OptionalDouble uprightDimension(Pen pen, Row row, Stand stand) {
        Side side = row.side();
        EndPart part = row.part();
        Optional<RibbonDrawer.Span> measured =
                side == null || part == null ? Optional.empty() : ribbon.measured(side, part);
        if (measured.isEmpty()) {
            return OptionalDouble.empty();
        }
        double from = down(side, stand.scale() * measured.get().from(), stand);
        double to = down(side, stand.scale() * measured.get().to(), stand);
        double x = AXIS + stand.scale() * ribbon.heightMm() / 2 + (part == EndPart.STRIP ? 0 : 1.5 * TICK);
        pen.line("dim", x, from, x, to);
        for (double y : new double[] {from, to}) {
            pen.line("dim tick", x - TICK / 2, y + TICK / 2, x + TICK / 2, y - TICK / 2);
        }
        return OptionalDouble.of(x);
    }

    /** How far down the sheet a place of an end is that is {@code along} from its outside. */
    private static double down(@Nullable Side side, double along, Stand stand) {
        return side == Side.A ? along : stand.tall() - along;
    }

    private double at(Row row, Stand stand) {
        Side side = row.side();
        EndPart part = row.part();
        if (side == null) {
            double a = stand.scale() * ribbon.lengthMm(Side.A);
            return (a + stand.tall() - stand.scale() * ribbon.lengthMm(Side.B)) / 2;
        }
        double middle = part == null
                ? ribbon.lengthMm(side) / 2
                : ribbon.span(side, part).map(RibbonDrawer.Span::middle).orElse(0.0);
        double along = stand.scale() * middle;
        return down(side, along, stand);
    }
}
