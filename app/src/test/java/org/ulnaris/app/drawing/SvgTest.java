package org.ulnaris.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class SvgTest {
    @Test
    void wordsAndLabelsAreEscaped() {
        Drawing drawing = new Drawing(
                10,
                5,
                "\"><script>",
                "ribbon",
                List.of(Mark.words("note", 1, 2.5, "<script>alert('x')</script>"), Mark.path("lug", "M 0 0 L 1 1")));
        assertThat(drawing.svg())
                .doesNotContain("<script")
                .contains("aria-label=\"&quot;&gt;&lt;script&gt;\"", "viewBox=\"0 0 10 5\"")
                .contains(
                        ">&lt;script&gt;alert(&#39;x&#39;)&lt;/script&gt;</text>",
                        "<path class=\"lug\" d=\"M 0 0 L 1 1\"/>");
        assertThat(Svg.bar("v-PASS", 40, "<b>")).contains("aria-label=\"&lt;b&gt;\"", "width=\"40.0\"");
    }

    /** Who speaks to the machine says what they see: the name of a link begins with what is written there (WCAG 2.2, 2.5.3). */
    @Test
    void aLinkIsCalledWhatIsWrittenThere() {
        Mark.Link lug = new Mark.Link("/a", "End A, lug", false);
        Mark.Link said = new Mark.Link("/b", "INV+ 70 mm², Watch", false);
        Drawing drawing = new Drawing(
                10,
                5,
                "a ribbon",
                "ribbon",
                List.of(
                        Mark.path("lug", "M 0 0 L 1 1").to(lug),
                        Mark.words("note", 1, 1, "DIN 70").to(lug),
                        Mark.words("note", 1, 2, "M8").to(lug),
                        Mark.words("note", 1, 3, "INV+ 70 mm²").to(said),
                        Mark.words("note", 1, 4, "M8").to(lug)));
        assertThat(drawing.svg())
                .contains("href=\"/a\" aria-label=\"DIN 70 M8, End A, lug\"")
                .contains("href=\"/b\" aria-label=\"INV+ 70 mm², Watch\"")
                .contains("href=\"/a\" aria-label=\"M8, End A, lug\"");
    }
}
