package org.ulnaris.core.sizing;

import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/**
 * A check of protection on the ladder: whether what feeds the cable suits the size.
 *
 * @param code under which it is drawn
 * @param finding what the protection says of the size
 */
record GuardCheck(FindingCode code, Rung rung, Finding finding) implements SizeCheck {
    @Override
    public double use() {
        boolean blind = finding.code() == FindingCode.FUSE_BLIND;
        double allowed = blind ? rung.ampacityA() : finding.limit();
        return allowed > 0 ? finding.figure() / allowed : Double.POSITIVE_INFINITY;
    }

    @Override
    public Verdict verdict() {
        return finding.verdict();
    }

    /** The time that a conductor stands goes with the square of the current. */
    @Override
    public double strain() {
        return finding.code() == FindingCode.FUSE_WITHSTAND ? Math.sqrt(use()) : use();
    }
}
