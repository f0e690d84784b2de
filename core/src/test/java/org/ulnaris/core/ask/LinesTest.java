package org.ulnaris.core.ask;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.measure.Figures;

/** Whole lines as people of the trade write them, each with all that it must be understood as; see ask/lines.txt. */
class LinesTest {
    static Stream<String> lines() {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(LinesTest.class.getResourceAsStream("/ask/lines.txt")),
                StandardCharsets.UTF_8))) {
            List<String> all = reader.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("--"))
                    .toList();
            return all.stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("lines")
    void isUnderstoodAsItIsMeant(String row) {
        String[] parts = row.split(" => ");
        assertThat(understood(parts[0])).isEqualTo(parts[1].strip());
    }

    /** Words that are taken with their figures, then words that are asked back with the reason. */
    private static String understood(String line) {
        List<Word> words = Line.read(line).words();
        String taken = words.stream()
                .filter(Word::taken)
                .map(word -> word.meaning()
                        + (word.name().isEmpty()
                                ? word.figure() == 0 ? "" : " " + Figures.significant(word.figure(), 6)
                                : " " + word.name()))
                .collect(Collectors.joining(", "));
        String asked = words.stream()
                .filter(word -> word.doubt() != Word.Doubt.NONE)
                .map(word -> "“" + word.text() + "” " + word.doubt())
                .collect(Collectors.joining(", "));
        return Stream.of(taken, asked).filter(part -> !part.isEmpty()).collect(Collectors.joining("; "));
    }

    @Test
    void thereAreEnoughOfThem() {
        assertThat(lines()).hasSizeGreaterThan(100).doesNotHaveDuplicates();
    }
}
