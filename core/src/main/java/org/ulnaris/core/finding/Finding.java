package org.ulnaris.core.finding;

import java.util.Objects;

/**
 * The outcome of one check with its reason.
 *
 * @param code what was checked
 * @param verdict how it came out
 * @param figure what was computed or measured
 * @param limit what it was held against
 * @param unit unit of figure and limit; empty for a ratio
 * @param explanation how the figure came about
 * @param source where the rule comes from
 */
public record Finding(
        FindingCode code,
        Verdict verdict,
        double figure,
        double limit,
        String unit,
        Explanation explanation,
        Source source) {
    public Finding {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(verdict, "verdict");
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(explanation, "explanation");
        Objects.requireNonNull(source, "source");
    }

    /** Whether the check stands in the way. */
    public boolean stops() {
        return verdict == Verdict.STOP;
    }
}
