package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

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
                note("UnfusedRun.supply-of-a"),
                new Source("33 CFR 183.455", note("UnfusedRun.supply-of-cranking"), Confidence.RECALLED_MEDIUM)),
        ENGINE(Verdict.NOTE, note("UnfusedRun.from-the-post"), Source.practice(note("UnfusedRun.an-alternator-on"))),
        SERIES_LINK(
                Verdict.PASS,
                note("UnfusedRun.joins-two-units"),
                Source.practice(note("UnfusedRun.links-between-the"))),
        LONG_LINK(Verdict.WATCH, note("UnfusedRun.a-long-link"), Source.practice(note("UnfusedRun.links-between-the"))),
        JUMPER(
                Verdict.NOTE,
                note("UnfusedRun.short-between-the"),
                Source.practice(note("UnfusedRun.links-between-the"))),
        MISSING(
                Verdict.STOP,
                note("UnfusedRun.a-battery-feeds"),
                Source.practice(note("UnfusedRun.every-conductor-is")));

        private final Verdict verdict;
        private final String reason;
        private final Source source;

        Kind(Verdict verdict, String reason, Source source) {
            this.verdict = verdict;
            this.reason = reason;
            this.source = source;
        }
    }

    /** Whether it joins two batteries of one string. */
    boolean isLink() {
        return kind == Kind.SERIES_LINK || kind == Kind.LONG_LINK;
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
