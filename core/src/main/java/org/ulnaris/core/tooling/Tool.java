package org.ulnaris.core.tooling;

import java.util.Locale;
import java.util.Objects;
import java.util.OptionalDouble;
import org.ulnaris.core.measure.Range;

/**
 * A tool of the crib.
 *
 * @param tag its number
 * @param kind what it is
 * @param dieFamily the dies that its jaw takes, by name; empty for none
 * @param forceKn what it presses with, kN; empty when not known
 * @param fullCycle whether it opens only after the full stroke
 */
public record Tool(String tag, ToolKind kind, String dieFamily, OptionalDouble forceKn, boolean fullCycle) {
    public static final Range FORCE_KN = new Range(0, 1000);

    public Tool {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(kind, "kind");
        forceKn.ifPresent(force -> FORCE_KN.check("forceKn", force));
    }

    /** Whether dies of {@code family} go into its jaw; capitals and spaces make no difference. */
    public boolean takes(String family) {
        return kind.use() == ToolKind.Use.CRIMP
                && !family.isBlank()
                && plain(family).equals(plain(dieFamily));
    }

    private static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }
}
