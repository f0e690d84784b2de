package org.ulnaris.core.sizing;

import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/** One rule that a size stands for or not: what it uses of its limit, how that is judged, and why. */
public interface SizeCheck {
    FindingCode code();

    /** Used ÷ allowed; infinity when nothing is allowed. */
    double use();

    /** Stop beyond the limit, watch close to it. */
    default Verdict verdict() {
        double use = use();
        if (use <= Rung.WATCH_ABOVE_USE) {
            return Verdict.PASS;
        }
        return use <= 1 ? Verdict.WATCH : Verdict.STOP;
    }

    /** The outcome with its reason. Built when asked, so that sizing itself stays quick. */
    Finding finding();
}
