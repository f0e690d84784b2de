package org.ulnaris.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Widths against those that the Java platform's own text engine measures with the same font files. */
class LetteringTest {
    @ParameterizedTest
    @ValueSource(strings = {"INV+", "70 mm²", "west string and…", "153 A", "iiii", "WWWW", "Ö−&/7"})
    void isAsWideAsItIsSet(String words) throws Exception {
        for (Lettering face : Lettering.values()) {
            String file = face == Lettering.BOLD ? "AtkinsonNext-Bold" : "AtkinsonNext-Regular";
            try (InputStream ttf = Files.newInputStream(Path.of("src/main/resources/fonts/" + file + ".ttf"))) {
                Font font = Font.createFont(Font.TRUETYPE_FONT, ttf).deriveFont(100f);
                double set = font.getStringBounds(words, new FontRenderContext(null, true, true))
                        .getWidth();
                assertThat(face.width(words, 100)).as(file).isCloseTo(set, Percentage.withPercentage(1));
            }
        }
    }
}
