package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.finding.English;

/** Templates are read by people, too. */
class TemplatesTest {
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final int WIDEST = 160;
    private static final Pattern TAG = Pattern.compile("<!?/?[a-zA-Z](?:[^>\"]|\"[^\"]*\")*>");
    private static final Pattern READ_ATTRIBUTE =
            Pattern.compile("(?<![\\w:-])(?:aria-label|title|placeholder|alt|data-name)=\"([^\"]*)\"");
    private static final Pattern EXPRESSION = Pattern.compile("(th:[\\w:-]+)=\"([^\"]*)\"");
    /** Attributes of which nobody reads the value. */
    private static final Set<String> UNREAD =
            Set.of("th:class", "th:classappend", "th:style", "th:href", "th:src", "th:action");

    private static final Pattern LITERAL = Pattern.compile("'([^']*)'|\\|([^|]*)\\|");
    private static final Pattern KEY = Pattern.compile("#\\{([\\w.-]+)");
    private static final Pattern TWO_LETTERS = Pattern.compile("\\p{L}{2,}");
    /** A single word that an expression chooses to be read. */
    private static final Pattern CHOSEN = Pattern.compile("th:text=\"[^\"]*[?:] '\\p{L}{3,}'");
    /** How often a page asks again, as htmx wants it said. */
    private static final Pattern POLLING = Pattern.compile("every \\d+m?s");

    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("messages", Locale.ROOT);

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

    /** What a person reads stands in the bundle; a template says only where. */
    @ParameterizedTest
    @MethodSource("templates")
    void noWordsStandInATemplate(Path template) throws IOException {
        String text = Files.readString(template)
                .replaceAll("(?s)<!--.*?-->", "")
                .replaceAll("(?s)<(style|script)\\b.*?</\\1>", "");
        assertThat(TAG.matcher(text)
                        .replaceAll(" ")
                        .replaceAll("\\[\\[.*?]]|&[a-z]+;", " ")
                        .lines())
                .filteredOn(line -> TWO_LETTERS.matcher(line).find())
                .isEmpty();
        assertThat(READ_ATTRIBUTE.matcher(text).results().map(found -> found.group(1)))
                .filteredOn(value -> TWO_LETTERS.matcher(value).find())
                .isEmpty();
        assertThat(CHOSEN.matcher(text).results()).isEmpty();
        assertThat(EXPRESSION
                        .matcher(text)
                        .results()
                        .filter(found -> !UNREAD.contains(found.group(1)))
                        .flatMap(found -> LITERAL.matcher(found.group(2)).results())
                        .map(found -> found.group().replaceAll("^.|.$", "")))
                .filteredOn(literal ->
                        English.in(literal) && !POLLING.matcher(literal).matches())
                .isEmpty();
    }

    /** A script says what its page gives it to say. */
    @Test
    void noWordsStandInAScript() throws IOException {
        String script = Files.readString(Path.of("src/main/resources/static/js/app.js"));
        assertThat(Pattern.compile("textContent = [\"`']").matcher(script).find())
                .isFalse();
        assertThat(Pattern.compile("[\"`'](\\p{Lu}\\p{Ll}+ \\p{Ll}[^\"`']*)[\"`']")
                        .matcher(script)
                        .results())
                .isEmpty();
    }

    @ParameterizedTest
    @MethodSource("templates")
    void everyKeyOfATemplateHasWords(Path template) throws IOException {
        assertThat(KEY.matcher(Files.readString(template)).results().map(found -> found.group(1)))
                .allMatch(BUNDLE::containsKey);
    }
}
