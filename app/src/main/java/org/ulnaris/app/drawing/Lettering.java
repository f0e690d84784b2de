package org.ulnaris.app.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide words are in the text face, by its own advance widths. */
enum Lettering {
    REGULAR("AtkinsonNext-Regular"),
    BOLD("AtkinsonNext-Bold");

    private final TrueTypeFont font;
    private final CmapLookup glyphs;

    Lettering(String name) {
        try (InputStream file =
                Objects.requireNonNull(Lettering.class.getResourceAsStream("/fonts/" + name + ".ttf"))) {
            font = new TTFParser().parse(new RandomAccessReadBuffer(file));
            glyphs = font.getUnicodeCmapLookup();
            font.getHorizontalMetrics();
            font.getHeader();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Width of {@code words} at letters {@code size} high, in the unit of {@code size}. */
    double width(String words, double size) {
        return words.codePoints().mapToDouble(letter -> em(letter) * size).sum();
    }

    private double em(int letter) {
        try {
            return (double) font.getAdvanceWidth(glyphs.getGlyphId(letter)) / font.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
