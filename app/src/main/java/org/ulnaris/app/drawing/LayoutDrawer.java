package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.ulnaris.core.finding.Verdict;

/**
 * Draws a job's network as it was laid out: boxes for equipment, bars in copper, lines for cables, their weight by the conductor's area.
 */
public final class LayoutDrawer {
    /** Height of letters, and from line to line. */
    private static final double LETTERS = 13;

    private static final double LINE = 16;
    private static final double PAD = 6;
    private static final double PITCH = 1.4;
    private static final double WIDE_PITCH = 2;
    private static final double BAR = 18;
    private static final double LEAST_BOX = 46;
    /** Room for words grows by steps: a figure or a verdict that changes moves nothing. */
    private static final double STEP = 16;

    private static final double DOT = 4.5;
    /** Half of what a finger or the rim of a pointer may miss. */
    private static final double REACH = 13;

    /** Height of a number at an end. */
    private static final double NUMBER = 18;

    private static final double MARK = 5;
    private static final int HEAVIEST = 8;

    private LayoutDrawer() {}

    /**
     * A piece of equipment.
     *
     * @param id name by which leads find it
     * @param shape how it is drawn
     * @param css class of its look
     * @param lines what stands in it, first the tag
     * @param terminals its terminals; at a bar the one that stands for all its studs
     * @param mark what is drawn at it and where it leads
     */
    public record Piece(
            String id, Shape shape, String css, List<String> lines, List<Terminal> terminals, Marked mark) {}

    /** How a piece is drawn. */
    public enum Shape {
        BOX,
        /** A box that current passes through, with its element. */
        FUSE,
        BAR
    }

    /**
     * A terminal.
     *
     * @param port its port on the box
     * @param right whether it is on the right side
     * @param css class of its look
     * @param link what a press on it leads to
     */
    public record Terminal(String port, boolean right, String css, Mark.Link link) {}

    /**
     * What is said of a piece or a cable, drawn at it.
     *
     * @param verdict its verdict; a pass has no mark
     * @param link what a press leads to
     */
    public record Marked(Verdict verdict, Mark.Link link) {}

    /**
     * A cable.
     *
     * @param from end nearer to the source
     * @param to end farther from it
     * @param css class of its look
     * @param areaMm2 conductor area, mm²
     * @param tag what stands above it
     * @param figures what stands below it, line by line
     */
    public record Lead(
            String id,
            NetworkLayout.End from,
            NetworkLayout.End to,
            String css,
            double areaMm2,
            String tag,
            List<String> figures,
            Marked mark) {}

    /**
     * The number of an end.
     *
     * @param lead the cable
     * @param from whether it is the end nearer to the source
     * @param text the number; several where lugs share a stud
     * @param css class of its look
     * @param link what a press leads to
     */
    public record Numbered(String lead, boolean from, String text, String css, Mark.Link link) {
        double width() {
            return Math.max(NUMBER, Lettering.BOLD.width(text, LETTERS) + 2 * PAD);
        }
    }

    private static NetworkLayout.Result sheet(List<Piece> pieces, List<Lead> leads) {
        return NetworkLayout.of(
                pieces.stream().map(piece -> box(piece, PITCH, 0)).toList(),
                leads.stream().map(LayoutDrawer::line).toList());
    }

    /** The drawing with a number at each end in place of the terminals. */
    public static Drawing numbered(List<Piece> pieces, List<Lead> leads, List<Numbered> numbers, String label) {
        double widest = numbers.stream().mapToDouble(Numbered::width).max().orElse(0);
        NetworkLayout.Result sheet = NetworkLayout.of(
                pieces.stream().map(piece -> box(piece, WIDE_PITCH, NUMBER / 2)).toList(),
                leads.stream().map(LayoutDrawer::line).toList(),
                new NetworkLayout.Room(widest + PAD, NUMBER + 2));
        List<Mark> marks = new ArrayList<>();
        leads.forEach(lead -> draw(lead, sheet, marks));
        pieces.forEach(piece -> drawBox(piece, sheet, NUMBER / 2, marks));
        for (Numbered number : numbers) {
            List<NetworkLayout.Corner> corners =
                    Objects.requireNonNull(sheet.lines().get(number.lead()));
            int at = number.from() ? 0 : corners.size() - 1;
            NetworkLayout.Corner end = corners.get(at);
            NetworkLayout.Corner next = corners.get(number.from() ? at + 1 : at - 1);
            double wide = number.width();
            double x = end.x() + (next.x() < end.x() ? -wide - PAD / 2 : PAD / 2);
            Pen pen = new Pen(sheet.width(), false);
            pen.pill("number " + number.css(), x, end.y() - NUMBER / 2, wide, NUMBER);
            pen.words("number-text " + number.css(), x + wide / 2, end.y() + 0.35 * LETTERS, number.text());
            pen.marks().forEach(mark -> marks.add(mark.to(number.link())));
        }
        return new Drawing(sheet.width(), sheet.height(), label, "layout landing", marks);
    }

    /** The same drawing by its strokes alone, to know a job by; what stops stands out. */
    public static Drawing sketch(List<Piece> pieces, List<Lead> leads, String label) {
        NetworkLayout.Result sheet = sheet(pieces, leads);
        Pen pen = new Pen(sheet.width(), false);
        for (Lead lead : leads) {
            pen.line(look(lead), xy(lead, sheet));
        }
        for (Piece piece : pieces) {
            NetworkLayout.Place place = Objects.requireNonNull(sheet.boxes().get(piece.id()));
            pen.rect("piece " + piece.css(), place.x(), place.y(), place.width(), place.height());
        }
        return new Drawing(sheet.width(), sheet.height(), label, "layout sketch", pen.marks());
    }

    private static String look(Lead lead) {
        boolean stops = lead.mark().verdict() == Verdict.STOP;
        return "lead weight-" + weight(lead.areaMm2()) + " " + lead.css() + (stops ? " stop" : "");
    }

    private static double[] xy(Lead lead, NetworkLayout.Result sheet) {
        List<NetworkLayout.Corner> corners =
                Objects.requireNonNull(sheet.lines().get(lead.id()));
        double[] xy = new double[2 * corners.size()];
        for (int i = 0; i < corners.size(); i++) {
            xy[2 * i] = corners.get(i).x();
            xy[2 * i + 1] = corners.get(i).y();
        }
        return xy;
    }

    /** The drawing; {@code label} says what it shows. */
    public static Drawing draw(List<Piece> pieces, List<Lead> leads, String label) {
        NetworkLayout.Result sheet = sheet(pieces, leads);
        List<Mark> marks = new ArrayList<>();
        leads.forEach(lead -> draw(lead, sheet, marks));
        pieces.forEach(piece -> draw(piece, sheet, marks));
        return new Drawing(sheet.width(), sheet.height(), label, "layout", marks);
    }

    /** A piece with {@code pitch} lines of height for each terminal of a side, the name of a bar {@code above} so far from it. */
    private static NetworkLayout.Box box(Piece piece, double pitch, double above) {
        double wide = room(
                piece.lines().get(0), piece.lines().subList(1, piece.lines().size()));
        if (piece.shape() == Shape.BAR) {
            NetworkLayout.Size name =
                    new NetworkLayout.Size(wide + PAD, piece.lines().size() * LINE + above);
            return new NetworkLayout.Box(piece.id(), new NetworkLayout.Size(BAR, 3 * LINE), List.of(), name);
        }
        double high = Math.max(
                piece.lines().size(),
                pitch * Math.max(side(piece, true).size(), side(piece, false).size()));
        NetworkLayout.Size size = new NetworkLayout.Size(
                Math.max(LEAST_BOX, wide + 2 * PAD + (piece.shape() == Shape.FUSE ? PAD : 0)), high * LINE + PAD);
        List<NetworkLayout.Port> ports = piece.terminals().stream()
                .map(terminal -> new NetworkLayout.Port(terminal.port(), terminal.right()))
                .toList();
        return new NetworkLayout.Box(piece.id(), size, ports, new NetworkLayout.Size(0, 0));
    }

    private static List<Terminal> side(Piece piece, boolean right) {
        return piece.terminals().stream()
                .filter(terminal -> terminal.right() == right)
                .toList();
    }

    private static NetworkLayout.Line line(Lead lead) {
        return new NetworkLayout.Line(
                lead.id(),
                lead.from(),
                lead.to(),
                new NetworkLayout.Size(room(lead.tag(), lead.figures()) + PAD, 2 * below(lead)));
    }

    /** What a cable's words take below its line; above it as much is left free, so that the line stays in the middle. */
    private static double below(Lead lead) {
        return lead.figures().size() * LINE + 0.3 * LINE;
    }

    private static double room(String tag, List<String> lines) {
        double caption = Lettering.BOLD.width(tag, LETTERS) + 3 * MARK;
        double widest = lines.stream()
                .mapToDouble(line -> Lettering.REGULAR.width(line, LETTERS))
                .reduce(caption, Math::max);
        return STEP * Math.ceil(widest / STEP);
    }

    private static void draw(Lead lead, NetworkLayout.Result sheet, List<Mark> marks) {
        double[] xy = xy(lead, sheet);
        Pen pen = new Pen(sheet.width(), false);
        NetworkLayout.Place place = Objects.requireNonNull(sheet.labels().get(lead.id()));
        pen.rect("ground", place.x(), place.y(), place.width(), place.height());
        pen.line("reach", xy);
        pen.line(look(lead), xy);
        double middle = place.x() + place.width() / 2;
        double y = place.y() + place.height() / 2;
        caption(pen, lead.mark().verdict(), middle, y - 0.4 * LINE, lead.tag());
        for (int i = 0; i < lead.figures().size(); i++) {
            pen.words("lead-text", middle, y + (i + 1) * LINE, lead.figures().get(i));
        }
        pen.marks().forEach(mark -> marks.add(mark.to(lead.mark().link())));
    }

    private static void draw(Piece piece, NetworkLayout.Result sheet, List<Mark> marks) {
        drawBox(piece, sheet, 0, marks);
        piece.terminals().forEach(terminal -> draw(piece, terminal, sheet, marks));
    }

    /** A piece; of a bar its name {@code above} so far from it. */
    private static void drawBox(Piece piece, NetworkLayout.Result sheet, double above, List<Mark> marks) {
        NetworkLayout.Place place = Objects.requireNonNull(sheet.boxes().get(piece.id()));
        Pen pen = new Pen(sheet.width(), false);
        pen.rect("piece " + piece.css(), place.x(), place.y(), place.width(), place.height());
        double middle = place.x() + place.width() / 2;
        double y = place.y() + (place.height() - piece.lines().size() * LINE) / 2 + 0.75 * LINE;
        if (piece.shape() == Shape.BAR) {
            y = place.y() - (piece.lines().size() - 1) * LINE - 0.4 * LINE - above;
        } else if (piece.shape() == Shape.FUSE) {
            for (double x : new double[] {place.x() + PAD / 1.6, place.x() + place.width() - PAD / 1.6}) {
                pen.line("piece-line", x, place.y(), x, place.y() + place.height());
            }
        }
        caption(pen, piece.mark().verdict(), middle, y, piece.lines().get(0));
        for (int i = 1; i < piece.lines().size(); i++) {
            pen.words("piece-text", middle, y + i * LINE, piece.lines().get(i));
        }
        pen.marks().forEach(mark -> marks.add(mark.to(piece.mark().link())));
    }

    private static void draw(Piece piece, Terminal terminal, NetworkLayout.Result sheet, List<Mark> marks) {
        Pen pen = new Pen(sheet.width(), false);
        if (piece.shape() == Shape.BAR) {
            NetworkLayout.Place place = Objects.requireNonNull(sheet.boxes().get(piece.id()));
            double x = place.x() + place.width() / 2;
            double y = place.y() + place.height() - BAR / 2;
            pen.circle("reach-dot", x, y, REACH);
            pen.circle("dot " + terminal.css(), x, y, DOT);
        } else {
            NetworkLayout.Corner at =
                    Objects.requireNonNull(sheet.ports().get(new NetworkLayout.End(piece.id(), terminal.port())));
            pen.circle("reach-dot", at.x(), at.y(), REACH);
            pen.circle("dot " + terminal.css(), at.x(), at.y(), DOT);
        }
        pen.marks().forEach(mark -> marks.add(mark.to(terminal.link())));
    }

    /** A tag with the mark of its verdict before it. */
    private static void caption(Pen pen, Verdict verdict, double middle, double y, String tag) {
        boolean marked = verdict.asks();
        double shift = marked ? 1.5 * MARK : 0;
        if (marked) {
            double x = middle + shift - Lettering.BOLD.width(tag, LETTERS) / 2 - 2 * MARK;
            pen.verdict(verdict, x, y - 0.33 * LETTERS, MARK);
        }
        pen.words("first", middle + shift, y, tag);
    }

    /** Line weight 1 to 8, in proportion to the diameter: 2 at 16 mm², 5 at 95 mm². */
    static int weight(double areaMm2) {
        return (int) Math.max(1, Math.min(HEAVIEST, Math.round(Math.sqrt(areaMm2) / 2)));
    }
}
