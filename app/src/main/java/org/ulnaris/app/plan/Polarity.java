package org.ulnaris.app.plan;

import java.util.Locale;

/** Which pole a cable belongs to. */
public enum Polarity {
    POSITIVE,
    NEGATIVE,
    OTHER;

    /** Class of its colour in drawings. */
    public String css() {
        return "pole-" + name().toLowerCase(Locale.ROOT);
    }
}
