package org.ulnaris.app.undo;

import org.jspecify.annotations.Nullable;

/**
 * One thing of a step.
 *
 * @param kind what kind of thing, as its {@link Undoes} calls it
 * @param key which one
 * @param before as it was, in JSON; null where it was not there
 * @param after as the step left it, in JSON; null where it was removed
 */
public record Change(
        String kind,
        String key,
        @Nullable String before,
        @Nullable String after) {
    /** A thing that stands otherwise than before; null where it was not, or is no longer. */
    public static Change of(String kind, String key, @Nullable Object before, @Nullable Object after) {
        return new Change(
                kind,
                key,
                before == null ? null : LastSteps.json(before),
                after == null ? null : LastSteps.json(after));
    }

    /** A thing that was not there before. */
    public static Change made(String kind, String key, Object thing) {
        return of(kind, key, null, thing);
    }
}
