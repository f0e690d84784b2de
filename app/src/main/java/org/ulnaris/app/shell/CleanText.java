package org.ulnaris.app.shell;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Text that can be shown, printed and kept: without control characters, halves of characters, code points that Unicode keeps for no
 * character, and marks that turn the direction of what follows.
 */
public final class CleanText {
    private static final Pattern UNCLEAN = Pattern.compile(
            "[\\p{Cntrl}\\p{Cs}\\u2028\\u2029\\u200e\\u200f\\u202a-\\u202e\\u2066-\\u2069\\ufdd0-\\ufdef\\p{Co}]"
                    + "|[\\x{fffe}\\x{ffff}\\x{1fffe}\\x{1ffff}\\x{2fffe}\\x{2ffff}\\x{3fffe}\\x{3ffff}\\x{10fffe}\\x{10ffff}]");

    private CleanText() {}

    /** One line of clean text: what can't be kept becomes a space. */
    public static String line(String text) {
        return UNCLEAN.matcher(text).replaceAll(" ").strip();
    }

    /** The first character that can't be kept, by its code point; empty for clean text. */
    public static Optional<String> unclean(String text) {
        return UNCLEAN.matcher(text)
                .results()
                .findFirst()
                .map(found -> String.format("U+%04X", found.group().codePointAt(0)));
    }
}
