package org.ulnaris.app.drawing;

import static org.ulnaris.app.drawing.Drawing.number;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.core.finding.Verdict;

/**
 * Draws into a list of marks, in millimetres along and across the thing. Mirrored, it draws the same from the other end; upright, along
 * goes down the sheet; words stay upright.
 */
final class Pen {
    private final List<Mark> marks = new ArrayList<>();
    private final Way way;

    /** How what is drawn comes onto the sheet. */
    private record Way(double scale, double along, double across, boolean back, boolean upright) {
        double x(double x, double y) {
            return upright ? across + scale * y : run(x);
        }

        double y(double x, double y) {
            return upright ? run(x) : across + scale * y;
        }

        private double run(double x) {
            return along + (back ? -scale : scale) * x;
        }
    }

    private Pen(Way way) {
        this.way = way;
    }

    Pen(double sheetMm, boolean mirrored) {
        this(new Way(1, mirrored ? sheetMm : 0, 0, mirrored, false));
    }

    /** A pen that draws to {@code scale} from left to right; from right to left where {@code back}. */
    static Pen across(double scale, double fromX, double fromY, boolean back) {
        return new Pen(new Way(scale, fromX, fromY, back, false));
    }

    /** A pen that draws to {@code scale} downwards; upwards where {@code back}. */
    static Pen upright(double scale, double fromX, double fromY, boolean back) {
        return new Pen(new Way(scale, fromY, fromX, back, true));
    }

    List<Mark> marks() {
        return marks;
    }

    void polygon(String css, double... xy) {
        marks.add(Mark.path(css, polyline(xy).append(" Z").toString()));
    }

    void line(String css, double... xy) {
        marks.add(Mark.path(css, polyline(xy).toString()));
    }

    /** A path in the words of SVG; it is not mirrored. */
    void path(String css, String d) {
        marks.add(Mark.path(css, d));
    }

    private StringBuilder polyline(double... xy) {
        StringBuilder path = new StringBuilder(16 * xy.length).append("M ");
        for (int i = 0; i < xy.length; i += 2) {
            if (i > 0) {
                path.append(" L ");
            }
            number(path, way.x(xy[i], xy[i + 1]));
            path.append(' ');
            number(path, way.y(xy[i], xy[i + 1]));
        }
        return path;
    }

    void rect(String css, double x, double y, double width, double height) {
        polygon(css, x, y, x + width, y, x + width, y + height, x, y + height);
    }

    void circle(String css, double x, double y, double radius) {
        double r = way.scale() * radius;
        String arc = " a " + number(r) + " " + number(r) + " 0 1 0 ";
        marks.add(Mark.path(
                css,
                "M " + number(way.x(x, y) - r) + " " + number(way.y(x, y)) + arc + number(2 * r) + " 0" + arc
                        + number(-2 * r) + " 0 Z"));
    }

    /** A bar with round ends. */
    void pill(String css, double x, double y, double width, double height) {
        double r = way.scale() * height / 2;
        double straight = way.scale() * width - 2 * r;
        marks.add(Mark.path(
                css,
                "M " + number(way.x(x, y) + r) + " " + number(way.y(x, y)) + " h " + number(straight) + " a "
                        + number(r)
                        + " " + number(r) + " 0 0 1 0 " + number(2 * r) + " h " + number(-straight) + " a " + number(r)
                        + " " + number(r) + " 0 0 1 0 " + number(-2 * r) + " Z"));
    }

    void words(String css, double x, double y, String text) {
        marks.add(Mark.words(css, way.x(x, y), way.y(x, y), text));
    }

    /** The shape of a verdict around a point: square, triangle, or a ring for what is not known. */
    void verdict(Verdict verdict, double x, double y, double half) {
        String css = "mark mark-" + verdict;
        switch (verdict) {
            case STOP -> rect(css, x - half, y - half, 2 * half, 2 * half);
            case WATCH -> polygon(css, x - 1.15 * half, y + half, x + 1.15 * half, y + half, x, y - half);
            default -> circle(css, x, y, 0.9 * half);
        }
    }

    /** A dimension line from x1 to x2 with its extension lines down from {@code fromY} and its figure above it. */
    void dimension(String css, double[] span, double fromY, double y, String text) {
        double x1 = span[0];
        double x2 = span[1];
        double beyond = y > fromY ? 1 : -1;
        line(css + " dim", x1, fromY, x1, y + beyond);
        line(css + " dim", x2, fromY, x2, y + beyond);
        line(css + " dim", x1, y, x2, y);
        double tick = Math.min(1.1, Math.abs(x2 - x1) / 3);
        line(css + " dim tick", x1 - tick, y + tick, x1 + tick, y - tick);
        line(css + " dim tick", x2 - tick, y + tick, x2 + tick, y - tick);
        words(css + " dim-text", (x1 + x2) / 2, y - 1.2, text);
    }
}
