package org.ulnaris.app.plan;

import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/**
 * How a cable can be made otherwise, in words: a fuse where it begins, or a thicker cable all the way, where its protection decides; where
 * no size stands its heat, to say how long its load works.
 */
public final class WaysOut {
    private WaysOut() {}

    /** The ways out for {@code cable}; empty where none is known, or none is asked for. */
    public static String of(WorkedJob job, WorkedCable cable, Fmt fmt, Words words) {
        String rest = cable.isTooHotForGood() ? words.of("ways.rest") + " " : "";
        return (rest + protection(job, cable, fmt, words)).strip();
    }

    /** Those of its protection; empty where neither a stop nor its size comes from it. */
    public static String protection(WorkedJob job, WorkedCable cable, Fmt fmt, Words words) {
        return job.protection().stream()
                .flatMap(report -> report.proposals().stream())
                .filter(proposal -> proposal.tag().equals(cable.tag()))
                .findFirst()
                .map(proposal -> said(proposal, cable, fmt, words))
                .orElse("");
    }

    private static String said(ProtectionCheck.Proposal proposal, WorkedCable cable, Fmt fmt, Words words) {
        FuseCheck best = proposal.ranked().get(0);
        String fuse = words.name(best.family()) + " " + fmt.current(best.ratingA());
        String size = proposal.allTheWay(cable.size().result())
                .map(Rung::size)
                .map(ConductorSize::designation)
                .orElse("");
        boolean fits = best.verdict() != Verdict.STOP;
        if (!proposal.stopped()) {
            String thick = cable.size().inUse().size().designation();
            String thin = proposal.thinnest().size().designation();
            return fits
                    ? words.of(
                            "ways.thinner", fuse, fmt.figure(proposal.withinMm(), "mm"), thick, proposal.from(), thin)
                    : "";
        }
        String within = fmt.figure(proposal.withinMm(), "mm");
        String key = fits ? size.isEmpty() ? "ways.fuse" : "ways.both" : size.isEmpty() ? "ways.none" : "ways.size";
        return words.of(key, fuse, within, proposal.from(), size);
    }
}
