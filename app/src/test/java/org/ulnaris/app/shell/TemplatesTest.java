package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Templates are read by people, too. */
class TemplatesTest {
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final int WIDEST = 160;

    static List<Path> templates() throws IOException {
        try (Stream<Path> files = Files.walk(TEMPLATES)) {
            return files.filter(file -> file.toString().endsWith(".html")).toList();
        }
    }

    /** A rule that is left open swallows all that follows. */
    @Test
    void everyRuleOfTheStyleSheetIsClosed() throws IOException {
        int depth = 0;
        for (String line : Files.readAllLines(Path.of("src/main/resources/static/css/app.css"))) {
            depth += (int) (line.chars().filter(c -> c == '{').count()
                    - line.chars().filter(c -> c == '}').count());
            assertThat(depth).as(line).isBetween(0, 2);
            assertThat(line.endsWith("{") && !line.startsWith(" ") ? depth : 1)
                    .as("begins " + line)
                    .isEqualTo(1);
        }
        assertThat(depth).isZero();
    }

    @ParameterizedTest
    @MethodSource("templates")
    void noLineIsWide(Path template) throws IOException {
        assertThat(Files.readAllLines(template))
                .allSatisfy(line -> assertThat(line.length()).as(line).isLessThanOrEqualTo(WIDEST));
    }
}
