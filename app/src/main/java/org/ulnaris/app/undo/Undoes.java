package org.ulnaris.app.undo;

/** Brings one kind of thing back to what it was. */
public interface Undoes {
    /** Name of the kind. */
    String kind();

    /** Brings a thing back; false where it is no longer as the step left it. */
    boolean undo(Change change);
}
