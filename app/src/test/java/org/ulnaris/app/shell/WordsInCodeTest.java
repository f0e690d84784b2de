package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.finding.English;

/** What a person reads stands in the bundle, not in the code; what an entry should have been stands there under "expected". */
class WordsInCodeTest {
    private static final Path SOURCES = Path.of("src/main/java/org/ulnaris/app");
    /** Names in made-up jobs; what is said on the terminal and in the log before there is a bundle; classes of a drawing's marks. */
    private static final Set<String> PACKAGES = Set.of("demo", "store", "drawing");
    /** Names of headers and families of dies, classes of marks, units, a pattern of dates; what REST tells programmers. */
    private static final Set<String> CODES = Set.of(
            "UlnarisApplication",
            "shell/Connector",
            "shell/Faults",
            "shell/Edits",
            "shell/Reason",
            "shell/SecurityConfig",
            "undo/LastSteps",
            "crib/CribService",
            "picture/PictureDrawing",
            "exchange/ApiController",
            "exchange/ApiModel",
            "exchange/EndsApiController",
            "exchange/JsonEntries",
            "exchange/NetworkApiController",
            "exchange/PartsApiController");
    /** What is told to programmers: exceptions, the log, notes of the REST schema, queries. */
    private static final Pattern PROGRAMMERS = Pattern.compile(
            "Exception\\(|super\\(|\\bLOG\\.|getLogger\\(\\)|@(Operation|ApiResponse|Query)\\(|requireNonNull\\(|ofPattern\\(|prepareStatement\\(");

    private static final Pattern UNITS = Pattern.compile("\" ?(Nm|Wh|Ah|mm²?)\"");
    /** Words that a drawing would be given here. */
    private static final Pattern DRAWN = Pattern.compile("pen\\.(?:words|dimension)\\([^;]*, \"\\p{L}{2,}[^\"]*\"\\);");

    private static final Pattern EXPECTED =
            Pattern.compile("Expected\\.of\\(\\s*(?:[^\";]*\\? )?\"([\\w.-]+)\"(?:\\s*: \"([\\w.-]+)\")?");

    static List<Path> sources() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            return files.filter(file -> file.toString().endsWith(".java"))
                    .filter(file -> !PACKAGES.contains(
                            SOURCES.relativize(file).getName(0).toString()))
                    .toList();
        }
    }

    private static boolean ofCodes(Path file) {
        Path place = SOURCES.relativize(file);
        return PACKAGES.contains(place.getName(0).toString())
                || CODES.contains(place.toString().replace(".java", ""));
    }

    @ParameterizedTest
    @MethodSource("sources")
    void noSentenceStandsInTheCode(Path file) throws IOException {
        String code = English.uncommented(Files.readString(file));
        assertThat(DRAWN.matcher(code).results()).isEmpty();
        if (!ofCodes(file)) {
            assertThat(English.sentences(code, PROGRAMMERS)
                            .filter(literal -> !UNITS.matcher(literal).matches()))
                    .as(file.toString())
                    .isEmpty();
        }
    }

    @Test
    void allThatIsExpectedHasWordsAndIsSaid() throws IOException {
        Set<String> said = new TreeSet<>();
        for (Path file : sources()) {
            EXPECTED.matcher(Files.readString(file))
                    .results()
                    .flatMap(found -> Stream.of(found.group(1), found.group(2)))
                    .filter(key -> key != null)
                    .forEach(said::add);
        }
        assertThat(ResourceBundle.getBundle("messages", Locale.ROOT).keySet().stream()
                        .filter(key -> key.startsWith("expected."))
                        .map(key -> key.substring("expected.".length())))
                .containsExactlyInAnyOrderElementsOf(said)
                .hasSizeGreaterThan(50);
    }
}
