package org.ulnaris.core.finding;

import java.util.regex.Pattern;

/** Tells words that a person reads from codes, units and names of fields. */
public final class English {
    /** Two words side by side, a word before or after a blank, or one that begins large. */
    private static final Pattern WORDS = Pattern.compile(
            "\\p{Ll}{2,},? \\p{L}|^ ?\\p{Ll}{2,} |^ \\p{Ll}{2,}(?![-\\p{L}])|^\\p{Lu}\\p{Ll}+(?![.\\p{L}])");

    private English() {}

    /** Whether a literal is something to read. */
    public static boolean in(String literal) {
        return WORDS.matcher(literal).find();
    }
}
