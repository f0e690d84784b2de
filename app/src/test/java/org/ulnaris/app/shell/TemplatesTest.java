package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
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

    @ParameterizedTest
    @MethodSource("templates")
    void noLineIsWide(Path template) throws IOException {
        assertThat(Files.readAllLines(template))
                .allSatisfy(line -> assertThat(line.length()).as(line).isLessThanOrEqualTo(WIDEST));
    }
}
