package org.ulnaris.app.drawing;

/**
 * One stroke or word of a drawing, in millimetres.
 *
 * @param css class that gives it its colour and line
 * @param path SVG path data; empty for words
 * @param text words; empty for strokes
 * @param x where the words stand
 * @param y where the words stand
 * @param link what a press on it leads to
 */
public record Mark(String css, String path, String text, double x, double y, Link link) {
    /**
     * What a press leads to.
     *
     * @param address where to; empty for nowhere
     * @param says what it is, for people who can't see it; empty where the words in it say so
     * @param current whether it is what the page is about
     */
    public record Link(String address, String says, boolean current) {
        static final Link NONE = new Link("", "", false);

        boolean leads() {
            return !address.isEmpty();
        }
    }

    static Mark path(String css, String path) {
        return new Mark(css, path, "", 0, 0, Link.NONE);
    }

    static Mark words(String css, double x, double y, String text) {
        return new Mark(css, "", text, x, y, Link.NONE);
    }

    /** The same, as a part of a link. */
    Mark to(Link other) {
        return new Mark(css, path, text, x, y, other);
    }

    public boolean isText() {
        return !text.isEmpty();
    }
}
