package org.ulnaris.app.pack;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Font;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A sign that the paper's fonts lack is printed as #: no reason, unit, symbol or message may hold one. */
class PaperFontTest {
    private static final Path CORE = Path.of("../core/src/main/java");
    /** Signs that are understood in what is typed, not printed. */
    private static final List<Path> READ =
            List.of(CORE.resolve("org/ulnaris/core/measure"), CORE.resolve("org/ulnaris/core/ask"));

    private static final Path MESSAGES = Path.of("src/main/resources/messages.properties");
    private static final Pattern LITERAL = Pattern.compile("\"(?:[^\"\\\\\n]|\\\\.)*\"");

    @ParameterizedTest
    @ValueSource(strings = {"AtkinsonNext-Regular", "AtkinsonNext-Bold", "AtkinsonMono-Regular"})
    void printsEveryCharacterThatIsSaid(String name) throws Exception {
        Font font;
        try (InputStream ttf = Files.newInputStream(Path.of("src/main/resources/fonts/" + name + ".ttf"))) {
            font = Font.createFont(Font.TRUETYPE_FONT, ttf);
        }
        Set<String> lacking = new TreeSet<>();
        said().forEach(text -> text.codePoints()
                .filter(c -> c >= ' ' && !font.canDisplay(c))
                .forEach(c -> lacking.add(Character.toString(c) + " in " + text)));
        assertThat(lacking).isEmpty();
    }

    private static Stream<String> said() throws IOException {
        Properties messages = new Properties();
        messages.load(Files.newBufferedReader(MESSAGES));
        return Stream.concat(messages.values().stream().map(String::valueOf), literals().stream());
    }

    private static Set<String> literals() throws IOException {
        Set<String> literals = new TreeSet<>();
        try (Stream<Path> files = Files.walk(CORE)) {
            for (Path file : files.filter(path ->
                            path.toString().endsWith(".java") && READ.stream().noneMatch(path::startsWith))
                    .toList()) {
                LITERAL.matcher(Files.readString(file)).results().forEach(found -> literals.add(found.group()));
            }
        }
        return literals;
    }
}
