package org.ulnaris.core.ask;

import java.util.OptionalDouble;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.Rung;

/** What the cables of a circuit may lose when fuse and post have taken theirs. */
public final class CableShare {
    private CableShare() {}

    /**
     * The drop to size both cables for so that the whole path keeps the house's margin, %, in hundredths; empty where the path asks for
     * nothing, or nothing is left.
     *
     * @param path drop of the whole path against its allowance, %
     * @param cables the cables in use
     * @param policy how the house chooses
     */
    public static OptionalDouble percent(Finding path, Rung cables, SizePolicy policy) {
        double elsewhere = Math.max(0, path.figure() - cables.dropPercent());
        double left = Math.floor(100 * (path.limit() - elsewhere / (1 - policy.margin()))) / 100;
        return path.verdict().asks() && left > 0 ? OptionalDouble.of(left) : OptionalDouble.empty();
    }
}
