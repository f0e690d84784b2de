package org.ulnaris.app.drawing;

import java.util.List;
import java.util.Locale;

/**
 * A drawing to one scale: the view box is in millimetres.
 *
 * @param widthMm width of the sheet
 * @param heightMm height of the sheet
 * @param label what it shows, for people who can't see it
 * @param css classes of the whole drawing
 * @param marks what is drawn, back to front
 */
public record Drawing(double widthMm, double heightMm, String label, String css, List<Mark> marks) {
    public Drawing {
        marks = List.copyOf(marks);
    }

    /** View box attribute. */
    public String viewBox() {
        return "0 0 " + number(widthMm) + " " + number(heightMm);
    }

    /** The same drawing with further classes, to light a part of it. */
    public Drawing with(String moreCss) {
        return new Drawing(widthMm, heightMm, label, (css + " " + moreCss).strip(), marks);
    }

    static String number(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
