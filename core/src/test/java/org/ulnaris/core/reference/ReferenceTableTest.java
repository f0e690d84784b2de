package org.ulnaris.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ReferenceTableTest {
    private static final String HEADER = """
            # source: S
            # clause: C
            # units: U
            # confidence: high
            """;

    static Stream<String> shipped() throws Exception {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/reference"))) {
            return files.map(file -> file.getFileName().toString()).toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void everyShippedTableIsWhole(String name) {
        ReferenceTable table = ReferenceTable.load(name);
        assertThat(table.rows()).isNotEmpty();
        assertThat(table.source().text()).isNotBlank();
    }

    @Test
    void namesFileAndLineOfWhatIsWrong() {
        assertThatThrownBy(() -> read("size,a\n1,2\n3\n"))
                .hasMessageContaining("t.csv line 7")
                .hasMessageContaining("3");
        assertThatThrownBy(() -> read("size,a\n1,x\n").rows().get(0).number("a"))
                .isInstanceOf(BadTableException.class)
                .hasMessageContaining("line 6")
                .hasMessageContaining("'x'");
        assertThatThrownBy(() -> read("size,a\n1,\n").rows().get(0).number("a")).hasMessageContaining("empty cell");
        assertThatThrownBy(() -> read("size,a\n1,NaN\n").rows().get(0).number("a"))
                .hasMessageContaining("not a number");
        assertThatThrownBy(() -> read("size,a\n1,2\n").rows().get(0).text("b")).hasMessageContaining("no column 'b'");
        assertThatThrownBy(() -> read("size,a\n")).hasMessageContaining("no rows");
        assertThatThrownBy(() -> parse("size,a\n1,2\n"))
                .hasMessageContaining("line 1")
                .hasMessageContaining("source");
        assertThatThrownBy(() -> ReferenceTable.load("nowhere.csv")).hasMessageContaining("no such table");
    }

    private static ReferenceTable read(String body) throws Exception {
        return parse(HEADER + body);
    }

    private static ReferenceTable parse(String text) throws Exception {
        return ReferenceTable.read(
                "t.csv",
                new InputStreamReader(
                        new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), StandardCharsets.UTF_8));
    }
}
