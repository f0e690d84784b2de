package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * A conductor without a fuse on its way from the bank: a stop, unless it does nothing but crank an engine.
 *
 * @param onlyCranks whether all that hangs on it is starter motors
 */
record UnfusedRun(RunResult run, boolean onlyCranks) {
    private static final Source RULE = Source.practice("every conductor is protected at its source end");
    private static final Source EXEMPT =
            new Source("33 CFR 183.455", "supply of cranking motors is exempt", Confidence.RECALLED_MEDIUM);

    Finding finding() {
        double ampacityA = run.inUse().ampacityA();
        String reason = onlyCranks
                ? "supply of a starter motor, no fuse is asked for"
                : "no fuse between the battery and this conductor";
        return new Finding(
                FindingCode.FUSE_MISSING,
                onlyCranks ? Verdict.PASS : Verdict.STOP,
                run.continuousA(),
                ampacityA,
                "A",
                Explanation.read(reason, term("I_z", ampacityA, "A")),
                onlyCranks ? EXEMPT : RULE);
    }
}
