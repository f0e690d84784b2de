package org.ulnaris.core.rules;

import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Range;

/**
 * How a house chooses a size.
 *
 * @param heatBalanceDecides whether the heat balance may refuse a size that the table allows
 * @param margin share of a limit that a clean pass leaves free, 0 to 0.5: small errors of length, current and ambient need it
 * @param cleanPass whether a proposal is a clean pass of every check; else the thinnest size that nothing stops
 */
public record SizePolicy(boolean heatBalanceDecides, double margin, boolean cleanPass) {
    public static final Range MARGIN_PERCENT = Range.from(0, 50);

    /** Figures that differ by less are equal. */
    private static final double EQUAL = 1 + 1e-9;

    /** A tenth kept of every limit (ours: the usual uncertainty of length and current in a plan). */
    public static final SizePolicy USUAL = new SizePolicy(true, 0.1, true);

    /** As a table is read: the thinnest that stands. */
    public static final SizePolicy BARE = new SizePolicy(true, 0, false);

    public SizePolicy {
        MARGIN_PERCENT.check("margin", 100 * margin);
    }

    /** Use of a limit, used ÷ allowed, up to which a pass is clean. */
    public double cleanUse() {
        return 1 - margin;
    }

    /** What {@code use} of a limit means: used ÷ allowed, infinity where nothing is allowed. */
    public Verdict verdict(double use) {
        if (use <= cleanUse() * EQUAL) {
            return Verdict.PASS;
        }
        return use <= EQUAL ? Verdict.WATCH : Verdict.STOP;
    }
}
