package org.ulnaris.core.finding;

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

class NotesTest {
    private static final Path SOURCES = Path.of("src/main/java/org/ulnaris/core");
    private static final Pattern KEY = Pattern.compile("note\\(\\s*\"([\\w.-]+)\"");
    /** What is told to a programmer: the message of an exception, of a range that is checked, of a value that is missing. */
    private static final Pattern PROGRAMMERS = Pattern.compile("Exception\\(|\\.check\\($|\\bhave |super\\(");
    /** Codes of parts and places, units, examples of entries, and the lines of a netlist: text, but not in any language. */
    private static final Set<String> CODES = Set.of(
            "measure/Dimension",
            "measure/Unit",
            "parts/Part",
            "ask/Offers",
            "contact/ContactCatalogue",
            "conductor/ConductorSize",
            "conductor/ConductorSizes",
            "rating/TabulatedAmpacity",
            "proving/PullTable",
            "network/Element",
            "network/ParallelStrings",
            "network/SpiceNetlist");

    private static final ResourceBundle BUNDLE =
            ResourceBundle.getBundle("org.ulnaris.core.finding.notes", Locale.ROOT);

    private static List<Path> sources() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            return files.filter(file -> file.toString().endsWith(".java")).toList();
        }
    }

    private static String code(Path file) {
        try {
            return English.uncommented(Files.readString(file));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Sentences stand in the bundle; a rule says which. */
    @Test
    void noSentenceStandsInTheCode() throws IOException {
        assertThat(sources().stream()
                        .filter(file -> !CODES.contains(
                                SOURCES.relativize(file).toString().replace(".java", "")))
                        .flatMap(file -> sentences(code(file)).map(found -> file.getFileName() + ": " + found)))
                .isEmpty();
    }

    private static Stream<String> sentences(String code) {
        return English.sentences(code, PROGRAMMERS);
    }

    @Test
    void theSearchFindsASentence() {
        assertThat(sentences("x = Source.practice(\"a die fits its jaw\");")).hasSize(1);
        assertThat(sentences("throw new IllegalStateException(\"a die fits its jaw\");"))
                .isEmpty();
        assertThat(sentences("term(\"I_max\", amps, \"A\");")).isEmpty();
    }

    /** No key without words, no words that nothing says. */
    @Test
    void everyKeyHasItsWordsAndIsSaid() throws IOException {
        Set<String> said = new TreeSet<>(Set.of(
                "HeatBalanceCheck.free", "HeatBalanceCheck.conduit", "HeatBalanceCheck.wall", "HeatBalanceCheck.both"));
        for (Path file : sources()) {
            KEY.matcher(code(file))
                    .results()
                    .map(found -> found.group(1))
                    .filter(key -> !key.endsWith("."))
                    .forEach(said::add);
        }
        assertThat(BUNDLE.keySet()).containsExactlyInAnyOrderElementsOf(said).hasSizeGreaterThan(200);
        assertThat(Notes.note("CableRoute.leg", "3")).isEqualTo("leg 3");
    }
}
