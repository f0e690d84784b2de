package org.ulnaris.core.measure;

/** What a person typed or copied, ready to be read. */
public final class Typed {
    /** Longest entry that means a figure, a size or a name of a part; longer ones are refused before they are looked at. */
    public static final int LONGEST = 60;
    /** Longest way of a cable, leg by leg. */
    public static final int LONGEST_ROUTE = 200;

    private static final String NO_BREAK_SPACES = "\u00a0\u2007\u202f\u2060\ufeff";

    private Typed() {}

    /** The text with plain spaces where a page or a table put spaces that do not break, without blanks around it. */
    public static String plain(String text) {
        String plain = text;
        for (char space : NO_BREAK_SPACES.toCharArray()) {
            plain = plain.replace(space, ' ');
        }
        return plain.strip();
    }

    /** Whether {@code text} is longer than {@code longest}, blanks around it not counted. */
    public static boolean tooLong(String text, int longest) {
        return text.length() > longest && text.strip().length() > longest;
    }
}
