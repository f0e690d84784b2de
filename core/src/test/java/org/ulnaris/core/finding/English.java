package org.ulnaris.core.finding;

import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Tells words that a person reads from codes, units and names of fields. */
public final class English {
    /** Two words side by side, a word before or after a blank, or one that begins large. */
    private static final Pattern WORDS = Pattern.compile(
            "\\p{Ll}{2,},? \\p{L}|^ ?\\p{Ll}{2,} |^ \\p{Ll}{2,}(?![-\\p{L}])|^\\p{Lu}\\p{Ll}+(?![.\\p{L}])");

    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/|(?m)(?<=^|\\s)//.*$");
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");

    private English() {}

    /** Whether a literal is something to read. */
    public static boolean in(String literal) {
        return WORDS.matcher(literal).find();
    }

    /** Code without its comments. */
    public static String uncommented(String code) {
        return COMMENT.matcher(code).replaceAll("");
    }

    /** Literals of a person's words in code without comments, but for those in statements that {@code spared} finds up to them. */
    public static Stream<String> sentences(String code, Pattern spared) {
        return LITERAL.matcher(code)
                .results()
                .filter(literal -> in(literal.group(1)))
                .filter(literal ->
                        !spared.matcher(statementBefore(code, literal)).find())
                .map(MatchResult::group);
    }

    private static String statementBefore(String code, MatchResult literal) {
        int from = Stream.of(';', '{', '}')
                .mapToInt(end -> code.lastIndexOf(end, literal.start()))
                .max()
                .orElseThrow();
        return code.substring(from + 1, literal.start());
    }
}
