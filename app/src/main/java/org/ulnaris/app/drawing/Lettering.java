package org.ulnaris.app.drawing;

/** How wide words are in the text face: near enough to leave room for them. */
final class Lettering {
    private static final String NARROW = "iIljrtf.,:;'|!()[] \u00a0\u202f·-–1";
    private static final String WIDE = "mwMW@%—→";

    private Lettering() {}

    /** Width of {@code words} at letters {@code size} high. */
    static double width(String words, double size) {
        return size * words.codePoints().mapToDouble(Lettering::em).sum();
    }

    private static double em(int letter) {
        if (NARROW.indexOf(letter) >= 0) {
            return 0.32;
        }
        if (WIDE.indexOf(letter) >= 0) {
            return 0.82;
        }
        return Character.isUpperCase(letter) ? 0.64 : 0.54;
    }
}
