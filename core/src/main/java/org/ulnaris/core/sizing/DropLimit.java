package org.ulnaris.core.sizing;

import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rules.SizePolicy;

/**
 * What may be lost on the way, % of the nominal voltage.
 *
 * @param percent the most, %
 * @param assumed whether nobody gave it: what is beyond it asks, and never stops
 */
public record DropLimit(double percent, boolean assumed) {
    /** As somebody gave it. */
    public static DropLimit given(double percent) {
        return new DropLimit(percent, false);
    }

    /** What is usual, where nobody gave it. */
    public static DropLimit usual(double percent) {
        return new DropLimit(percent, true);
    }

    /** What losing {@code lostPercent} of the nominal voltage means. */
    public Verdict verdict(double lostPercent, SizePolicy policy) {
        Verdict strict = policy.verdict(lostPercent / percent);
        return assumed && strict == Verdict.STOP ? Verdict.OPEN : strict;
    }
}
