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
}
