package org.ulnaris.core.finding;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** What the core says in words, by key: {@code notes.properties} beside this class holds the sentences, by the class that says them. */
public final class Notes {
    private static final ResourceBundle SENTENCES =
            ResourceBundle.getBundle("org.ulnaris.core.finding.notes", Locale.ROOT);

    private Notes() {}

    /**
     * The words of {@code key}.
     *
     * @throws java.util.MissingResourceException if there are none
     */
    public static String note(String key) {
        return SENTENCES.getString(key);
    }

    /** The words of {@code key} around {@code parts}, which are texts. */
    public static String note(String key, String... parts) {
        return new MessageFormat(note(key), Locale.ROOT).format(parts);
    }
}
