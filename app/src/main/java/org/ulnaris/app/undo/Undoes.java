package org.ulnaris.app.undo;

import org.jspecify.annotations.Nullable;

/** One kind of thing that steps change. */
public interface Undoes {
    /** Name of the kind. */
    String kind();

    /** A thing as it stands, in JSON; null where it is not there. */
    @Nullable
    String now(String key);

    /** Makes a thing as it is told, in JSON, or takes it away; false where that can't be done. */
    boolean set(String key, @Nullable String thing);
}
