package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.CleanText;

/**
 * Lines of a list, "12 DIN 70 · M8 ≥ 5". A name is found as it stands; failing that, whatever dots, dashes and blanks are in it, where only
 * one part is meant. One that looks like the rest of a line stands in quotes.
 */
final class PartNames {
    private static final String QUOTE = "\"";
    private static final Pattern QUOTED = Pattern.compile(
            "(?<pieces>[0-9]{1,6})\\s+\"(?<part>(?:[^\"]|\"\"){1,160})\"(?:\\s*(?:≥|>=)\\s*(?<least>[0-9]{1,6}))?");
    private static final Pattern LINE =
            Pattern.compile("(?<pieces>[0-9]{1,6})\\s+(?<part>.{1,80}?)(?:\\s*(?:≥|>=)\\s*(?<least>[0-9]{1,6}))?");
    private static final Pattern ODD = Pattern.compile("≥|>=|\"");

    private final Map<String, String> exact = new LinkedHashMap<>();
    private final Map<String, List<String>> bare = new LinkedHashMap<>();

    PartNames(Stream<String> codes) {
        codes.distinct().forEach(code -> {
            exact.put(CleanText.line(code), code);
            bare.computeIfAbsent(bare(code), key -> new ArrayList<>()).add(code);
        });
    }

    /**
     * A line that was read.
     *
     * @param codes the parts that may be meant: one, or several where the name is not plain enough
     */
    record Read(List<String> codes, int pieces, int least) {}

    /** What a line says; empty where it names no part. */
    Optional<Read> read(String line) {
        Matcher quoted = QUOTED.matcher(line);
        if (quoted.matches()) {
            String name = quoted.group("part").replace(QUOTE + QUOTE, QUOTE);
            return Optional.ofNullable(exact.get(CleanText.line(name)))
                    .map(code ->
                            new Read(List.of(code), number(quoted.group("pieces")), number(quoted.group("least"))));
        }
        Matcher plain = LINE.matcher(line);
        if (!plain.matches()) {
            return Optional.empty();
        }
        int pieces = number(plain.group("pieces"));
        List<String> codes = named(plain.group("part"));
        return codes.isEmpty()
                ? Optional.of(named(line.replaceFirst("[0-9]+\\s+", "")))
                        .filter(whole -> !whole.isEmpty())
                        .map(whole -> new Read(whole, pieces, 0))
                : Optional.of(new Read(codes, pieces, number(plain.group("least"))));
    }

    private List<String> named(String name) {
        String code = exact.get(name);
        return code == null ? bare.getOrDefault(bare(name), List.of()) : List.of(code);
    }

    /** The line that says so, to be read again by {@link #read}. */
    static String line(String code, int pieces, int least) {
        String name = ODD.matcher(code).find() ? QUOTE + code.replace(QUOTE, QUOTE + QUOTE) + QUOTE : code;
        return pieces + " " + name + (least > 0 ? " ≥ " + least : "");
    }

    private static int number(@Nullable String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }

    private static String bare(String code) {
        return code.toLowerCase(Locale.ROOT).replace('²', '2').replaceAll("[^\\p{L}\\p{N}/#,×–.]|\\.(?!\\d)", "");
    }
}
