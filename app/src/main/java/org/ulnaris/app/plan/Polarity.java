package org.ulnaris.app.plan;

import java.util.Locale;
import org.ulnaris.core.job.Pole;

/** Which pole a cable belongs to. */
public enum Polarity {
    POSITIVE,
    NEGATIVE,
    OTHER;

    /** As the core knows it. */
    public Pole pole() {
        return Pole.valueOf(name());
    }

    /** Class of its colour in drawings. */
    public String css() {
        return "pole-" + name().toLowerCase(Locale.ROOT);
    }
}
