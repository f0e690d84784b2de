package org.ulnaris.core.sizing;

import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/** One rule that a size stands for or not: what it uses of its limit, how that is judged, and why. */
public interface SizeCheck {
    /** A figure that meets its limit is within it, whatever the last digits of a quotient say. */
    double EQUAL = 1 + 1e-9;

    FindingCode code();

    /** Used ÷ allowed; infinity when nothing is allowed. */
    double use();

    /** Use in terms of the current, by which checks are compared with one another. */
    default double strain() {
        return use();
    }

    /** The size that is held against the rule. */
    Rung rung();

    /** Stop beyond the limit, watch where less is left than the house keeps. */
    default Verdict verdict() {
        return rung().demand().policy().verdict(use());
    }

    /** The outcome with its reason. Built when asked, so that sizing itself stays quick. */
    Finding finding();
}
