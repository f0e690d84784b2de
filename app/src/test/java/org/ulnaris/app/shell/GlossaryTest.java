package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One name a thing: no text of the program uses a word that docs/glossary.md has another for. */
class GlossaryTest {
    private static final Path ROOT = Files.exists(Path.of("docs")) ? Path.of("") : Path.of("..");
    private static final List<String> BUNDLES = List.of(
            "app/src/main/resources/messages.properties",
            "core/src/main/resources/org/ulnaris/core/finding/notes.properties");

    /** The words of the last column. */
    private static List<String> avoided() throws IOException {
        return Files.readAllLines(ROOT.resolve("docs/glossary.md")).stream()
                .filter(line -> line.startsWith("| ") && !line.startsWith("| ---") && !line.startsWith("| word"))
                .map(line -> line.split("\\|")[3])
                .flatMap(cell -> Stream.of(cell.split(",")))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private static List<String> uses(String text, List<String> words) {
        return words.stream()
                .filter(word -> Pattern.compile(
                                "(?<![\\p{L}-])" + Pattern.quote(word.toLowerCase(Locale.ROOT)) + "(?![\\p{L}-])")
                        .matcher(text.toLowerCase(Locale.ROOT))
                        .find())
                .toList();
    }

    @Test
    void everyThingHasOneName() throws IOException {
        List<String> words = avoided();
        assertThat(words).hasSizeGreaterThan(40);
        List<String> found = new ArrayList<>();
        for (String bundle : BUNDLES) {
            Properties texts = new Properties();
            try (var in = Files.newBufferedReader(ROOT.resolve(bundle))) {
                texts.load(in);
            }
            texts.forEach((key, text) -> uses(text.toString(), words).forEach(word -> found.add(key + ": " + word)));
        }
        assertThat(found).isEmpty();
    }

    @Test
    void theTestSeesAWordThatIsAvoided() {
        assertThat(uses("Mend the plan first", List.of("mend"))).containsExactly("mend");
        assertThat(uses("recommended by its maker", List.of("mend"))).isEmpty();
        assertThat(uses("begin the end anew.", List.of("anew", "may carry"))).containsExactly("anew");
    }
}
