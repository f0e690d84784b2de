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

    /** {@code words} as far as they have room, with an ellipsis where they are cut. */
    String fitted(String words, double size, double room) {
        if (width(words, size) <= room) {
            return words;
        }
        int end = words.length();
        while (end > 1 && width(words.substring(0, end).stripTrailing() + "…", size) > room) {
            end = words.offsetByCodePoints(end, -1);
        }
        return words.substring(0, end).stripTrailing() + "…";
    }

    private double em(int letter) {
        try {
            return (double) font.getAdvanceWidth(glyphs.getGlyphId(letter)) / font.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
