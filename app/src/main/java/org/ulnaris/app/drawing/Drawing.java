package org.ulnaris.app.drawing;

import java.util.List;

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

    /** Markup, ready to stand in a page. */
    public String svg() {
        return Svg.of(this);
    }

    /** A file of its own, one unit a millimetre, drawn in outline. */
    public String atScale() {
        String size = "<svg width=\"" + number(widthMm) + "mm\" height=\"" + number(heightMm)
                + "mm\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"";
        return svg().replaceFirst("<svg", size);
    }

    /** A coordinate to a hundredth of a millimetre. */
    static String number(double value) {
        StringBuilder text = new StringBuilder(12);
        number(text, value);
        return text.toString();
    }

    /** The same at the end of {@code text}. */
    static void number(StringBuilder text, double value) {
        long hundredths = Math.round(Math.abs(value) * 100);
        if (value < 0 && hundredths > 0) {
            text.append('-');
        }
        text.append(hundredths / 100);
        int rest = (int) (hundredths % 100);
        if (rest > 0) {
            text.append('.').append((char) ('0' + rest / 10));
            if (rest % 10 > 0) {
                text.append((char) ('0' + rest % 10));
            }
        }
    }
}
