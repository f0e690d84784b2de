package org.ulnaris.app.undo;

import org.jspecify.annotations.Nullable;

/**
 * One thing of a step.
 *
 * @param kind what kind of thing, as its {@link Undoes} calls it
 * @param key which one
 * @param before as it was, in JSON; null where it was not there
 * @param after as the step left it, in JSON
 */
public record Change(String kind, String key, @Nullable String before, String after) {
    /** A thing that was not there before. */
    public static Change made(String kind, String key, Object thing) {
        return new Change(kind, key, null, LastSteps.json(thing));
    }

    /** Whether {@code thing} is as the step left it. */
    public boolean left(Object thing) {
        return LastSteps.json(thing).equals(after);
    }
}
