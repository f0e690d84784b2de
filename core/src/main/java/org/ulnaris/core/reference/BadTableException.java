package org.ulnaris.core.reference;

/** A shipped table that can't be used; says which file, which line and what stands there. */
public final class BadTableException extends IllegalStateException {
    private static final long serialVersionUID = 1L;

    public BadTableException(String table, int line, String problem) {
        super("reference/" + table + " line " + line + ": " + problem);
    }
}
