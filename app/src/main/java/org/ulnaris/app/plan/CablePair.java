package org.ulnaris.app.plan;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The return of a cable that runs from plus to plus: the same way back, from minus to minus. */
final class CablePair {
    private CablePair() {}

    /** The return of {@code out}; null where its ends have no minus beside them. */
    static @Nullable CableDetails back(CableDetails out, Set<String> terminals) {
        String from = minus(out.toPoint());
        String to = minus(out.fromPoint());
        if (!terminals.contains(from) || !terminals.contains(to)) {
            return null;
        }
        String stem = out.tag().replaceFirst("[+−-]$", "");
        return out.tagged(stem + "−").returning(from, to);
    }

    private static String minus(String point) {
        return point.replaceFirst("\\.plus$", ".minus");
    }
}
