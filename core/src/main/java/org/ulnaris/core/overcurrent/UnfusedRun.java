package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.solving.RunResult;

/**
 * A conductor that a bank feeds while nothing opens.
 *
 * @param run the conductor
 * @param kind what it is for
 * @param feeders tags of the banks that feed it
 */
record UnfusedRun(RunResult run, Kind kind, String feeders) {
    /** Why a conductor may go without a fuse, or why not. */
    enum Kind {
        CRANKING(
                Verdict.PASS,
                "supply of a starter motor, no fuse is asked for",
                new Source("33 CFR 183.455", "supply of cranking motors is exempt", Confidence.RECALLED_MEDIUM)),
        ENGINE(
                Verdict.NOTE,
                "from the post of a starter motor to a charger: a part of the engine's own wiring",
                Source.practice("an alternator on the starter's post is wired with the engine")),
        SERIES_LINK(
                Verdict.PASS,
                "joins two units of a string: the fuse at the end of the string counts",
                Source.practice("links between the units of a bank are a part of it")),
        JUMPER(
                Verdict.NOTE,
                "short, between the posts of batteries: counts as a part of the bank",
                Source.practice("links between the units of a bank are a part of it")),
        MISSING(
                Verdict.STOP,
                "a battery feeds this conductor and nothing opens",
                Source.practice("every conductor is protected at its source end"));

        private final Verdict verdict;
        private final String reason;
        private final Source source;

        Kind(Verdict verdict, String reason, Source source) {
            this.verdict = verdict;
            this.reason = reason;
            this.source = source;
        }
    }

    Finding finding() {
        double ampacityA = run.inUse().ampacityA();
        return new Finding(
                FindingCode.FUSE_MISSING,
                kind.verdict,
                run.continuousA(),
                ampacityA,
                "A",
                Explanation.read(kind.reason, term("I_z", ampacityA, "A")),
                kind.source,
                feeders);
    }
}
