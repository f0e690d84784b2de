package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** Draws a job's network as it was laid out: boxes for equipment, lines for cables, their weight by the conductor's area. */
public final class LayoutDrawer {
    private static final double CHARACTER = 7.4;
    private static final double LINE = 16;
    private static final double PAD = 10;
    private static final int HEAVIEST = 8;

    private LayoutDrawer() {}

    /**
     * A piece of equipment.
     *
     * @param id name by which leads find it
     * @param css class of its look
     * @param lines what stands in it, first the tag
     */
    public record Piece(String id, String css, List<String> lines) {}

    /**
     * A cable.
     *
     * @param from piece nearer to the source
     * @param to piece farther from it
     * @param css class of its look
     * @param areaMm2 conductor area, mm²
     * @param lines what stands beside it, first the tag
     * @param link page of the cable
     */
    public record Lead(
            String id, String from, String to, String css, double areaMm2, List<String> lines, String link) {}

    /** The drawing; {@code label} says what it shows. */
    public static Drawing draw(List<Piece> pieces, List<Lead> leads, String label) {
        NetworkLayout.Result sheet = NetworkLayout.of(
                pieces.stream()
                        .map(piece -> new NetworkLayout.Box(piece.id(), size(piece.lines(), 2 * PAD)))
                        .toList(),
                leads.stream()
                        .map(lead -> new NetworkLayout.Line(lead.id(), lead.from(), lead.to(), size(lead.lines(), 4)))
                        .toList());
        List<Mark> marks = new ArrayList<>();
        for (Lead lead : leads) {
            draw(lead, sheet, marks);
        }
        for (Piece piece : pieces) {
            NetworkLayout.Place place = Objects.requireNonNull(sheet.boxes().get(piece.id()));
            Pen pen = new Pen(sheet.width(), false);
            pen.rect("piece " + piece.css(), place.x(), place.y(), place.width(), place.height());
            marks.addAll(pen.marks());
            words(piece.lines(), place, "piece-text", "", marks);
        }
        return new Drawing(sheet.width(), sheet.height(), label, "layout", marks);
    }

    private static NetworkLayout.Size size(List<String> lines, double pad) {
        int longest = lines.stream().mapToInt(String::length).max().orElse(0);
        return new NetworkLayout.Size(longest * CHARACTER + pad, lines.size() * LINE + pad / 2);
    }

    private static void draw(Lead lead, NetworkLayout.Result sheet, List<Mark> marks) {
        List<NetworkLayout.Corner> corners =
                Objects.requireNonNull(sheet.lines().get(lead.id()));
        double[] xy = new double[2 * corners.size()];
        for (int i = 0; i < corners.size(); i++) {
            xy[2 * i] = corners.get(i).x();
            xy[2 * i + 1] = corners.get(i).y();
        }
        Pen pen = new Pen(sheet.width(), false);
        pen.line("lead weight-" + weight(lead.areaMm2()) + " " + lead.css(), xy);
        NetworkLayout.Place place = Objects.requireNonNull(sheet.labels().get(lead.id()));
        pen.rect("lead-ground", place.x(), place.y(), place.width(), place.height());
        pen.marks().forEach(mark -> marks.add(mark.to(lead.link())));
        words(lead.lines(), place, "lead-text", lead.link(), marks);
    }

    /** Line weight 1 to 8, in proportion to the diameter: 2 at 16 mm², 5 at 95 mm². */
    static int weight(double areaMm2) {
        return (int) Math.max(1, Math.min(HEAVIEST, Math.round(Math.sqrt(areaMm2) / 2)));
    }

    private static void words(
            List<String> lines, NetworkLayout.Place place, String css, String link, List<Mark> marks) {
        double y = place.y() + (place.height() - lines.size() * LINE) / 2 + 0.75 * LINE;
        for (int i = 0; i < lines.size(); i++) {
            String look = i == 0 ? css + " first" : css;
            marks.add(Mark.words(look, place.x() + place.width() / 2, y + i * LINE, lines.get(i))
                    .to(link));
        }
    }
}
