package org.ulnaris.app.stock;

import java.util.Set;
import org.ulnaris.app.shell.Entries;

/** A part as it is entered, field by field. */
interface EnteredPart<T> {
    String code();

    /** Marks what no such part can be, and codes {@code taken}, folded. */
    void check(Entries entries, Set<String> taken);

    /** The part of one that has passed its checks. */
    T part();
}
