package org.ulnaris.app.drawing;

import static org.ulnaris.app.drawing.Drawing.number;

import java.util.ArrayList;
import java.util.List;

/**
 * Draws into a list of marks; a mirrored pen draws the same thing from the right edge of the sheet, words upright.
 */
final class Pen {
    private final List<Mark> marks = new ArrayList<>();
    private final double sheetMm;
    private final boolean mirrored;

    Pen(double sheetMm, boolean mirrored) {
        this.sheetMm = sheetMm;
        this.mirrored = mirrored;
    }

    List<Mark> marks() {
        return marks;
    }

    private double at(double x) {
        return mirrored ? sheetMm - x : x;
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
            number(path, at(xy[i]));
            path.append(' ');
            number(path, xy[i + 1]);
        }
        return path;
    }

    void rect(String css, double x, double y, double width, double height) {
        polygon(css, x, y, x + width, y, x + width, y + height, x, y + height);
    }

    void circle(String css, double x, double y, double radius) {
        String arc = " a " + number(radius) + " " + number(radius) + " 0 1 0 ";
        marks.add(Mark.path(
                css,
                "M " + number(at(x) - radius) + " " + number(y) + arc + number(2 * radius) + " 0" + arc
                        + number(-2 * radius) + " 0 Z"));
    }

    void words(String css, double x, double y, String text) {
        marks.add(Mark.words(css, at(x), y, text));
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
