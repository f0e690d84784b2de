package org.ulnaris.app.drawing;

/**
 * One stroke or word of a drawing, in millimetres.
 *
 * @param css class that gives it its colour and line
 * @param path SVG path data; empty for words
 * @param text words; empty for strokes
 * @param x where the words stand
 * @param y where the words stand
 * @param link address that a press on it leads to; empty when none
 */
public record Mark(String css, String path, String text, double x, double y, String link) {
    static Mark path(String css, String path) {
        return new Mark(css, path, "", 0, 0, "");
    }

    static Mark words(String css, double x, double y, String text) {
        return new Mark(css, "", text, x, y, "");
    }

    /** The same, leading to {@code address}. */
    Mark to(String address) {
        return new Mark(css, path, text, x, y, address);
    }

    public boolean isText() {
        return !text.isEmpty();
    }
}
