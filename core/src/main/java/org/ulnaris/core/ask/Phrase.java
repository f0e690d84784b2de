package org.ulnaris.core.ask;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Unit;

/**
 * Words of the trade that belong together, with what they stand for; phrases.txt beside this class holds them, a row each.
 *
 * @param pattern what is written, in any case; a group {@code n} is its figure
 * @param meaning what it stands for
 * @param unit of its figure where none is written; null where it has no figure
 * @param name what it names; empty where it names nothing
 * @param doubt why it is not taken; {@link Word.Doubt#NONE} where it is
 */
record Phrase(Pattern pattern, Meaning meaning, @Nullable Unit unit, String name, Word.Doubt doubt) {
    private static final int COLUMNS = 4;
    private static final String LOADS = Stream.of(LoadWord.values())
            .flatMap(kind -> kind.words().stream())
            .map(Pattern::quote)
            .collect(Collectors.joining("|", "(?:", ")"));

    /** Every phrase, in the order of the file. */
    static final List<Phrase> ALL = load("phrases.txt");

    private static List<Phrase> load(String file) {
        try (InputStream in = Objects.requireNonNull(Phrase.class.getResourceAsStream(file), file);
                BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return reader.lines()
                    .filter(row -> !row.isBlank() && !row.startsWith("#"))
                    .map(row -> row(file, row))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Phrase row(String file, String row) {
        String[] cells = row.split("\\s*;\\s*", COLUMNS);
        if (cells.length < COLUMNS) {
            throw new IllegalStateException(file + ": four cells parted by ' ; ' in '" + row + "'");
        }
        boolean asks = cells[0].startsWith("?");
        return new Phrase(
                whole(cells[COLUMNS - 1]),
                asks ? Meaning.UNKNOWN : Meaning.valueOf(cells[0]),
                cells[1].isBlank() ? null : Unit.valueOf(cells[1].strip()),
                cells[2].strip(),
                asks ? Word.Doubt.valueOf(cells[0].substring(1)) : Word.Doubt.NONE);
    }

    /** A blank stands for any white space, also where it may be left out. */
    private static Pattern whole(String written) {
        String pattern = written.replace("{n}", "(?<n>\\d+(?:[.,]\\d+)?)")
                .replace("{many}", "(?:[2-9]|\\d\\d|two|three|four|five|six)")
                .replace("{load}", LOADS)
                .replace(" ?", "\\s*")
                .replace(" ", "\\s+");
        return Pattern.compile("(?:" + pattern + ")(?![\\p{L}\\d])", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** The word of {@code line} from {@code at} on; empty where this phrase does not stand there. */
    Optional<Word> read(String line, int at) {
        Matcher matcher = pattern.matcher(line).region(at, line.length()).useTransparentBounds(true);
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        Word.Typed typed = new Word.Typed(at, matcher.group());
        if (doubt != Word.Doubt.NONE) {
            return Optional.of(Word.doubtful(typed, doubt));
        }
        return Optional.of(
                unit == null ? Word.named(typed, meaning, name) : Word.read(typed, meaning, matcher.group("n"), unit));
    }

    /** Single words that phrases are made of and names of loads, for what is mistyped. */
    static List<String> vocabulary() {
        return Stream.concat(
                        ALL.stream()
                                .flatMap(phrase ->
                                        Stream.of(phrase.pattern().pattern().split("[^a-z]+")))
                                .filter(word -> word.length() > COLUMNS),
                        Stream.of(LoadWord.values()).flatMap(kind -> kind.words().stream()))
                .distinct()
                .toList();
    }
}
