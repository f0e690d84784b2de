package org.ulnaris.core.feed;

import static org.ulnaris.core.finding.Expression.term;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.ProtectedCable;

/**
 * Whether what can flow into a conductor for good is within what it may carry. One fuse may be of the next standard rating above, by the
 * house's margin; several side by side may not. Where only chargers beside a fuse that is small enough push it above, somebody decides:
 * it takes a load that fails at just that current while all of them give theirs.
 *
 * @param feed what can flow
 * @param guarded the conductor
 * @param nextStandard whether the exception of the next standard rating may hold
 */
public record ConductorLimit(Feed feed, ProtectedCable guarded, boolean nextStandard) {
    private static final Source RULE =
            Source.practice("what can flow into a conductor for good is at most what it may carry");

    public Finding finding() {
        if (alone() && feed.chargers().isEmpty()) {
            return single();
        }
        double ampacityA = guarded.cable().ampacityA();
        return new Finding(
                FindingCode.FUSE_AMPACITY,
                verdict(ampacityA * Feeds.EQUAL),
                feed.limitA(),
                ampacityA,
                "A",
                Explanation.of(
                                term("u", 100 * feed.limitA() / ampacityA, "%"),
                                term("I", feed.limitA(), "A").over(term("I_z", ampacityA, "A")))
                        .noted("all that the fuses and chargers side by side let through"),
                RULE,
                tags());
    }

    private boolean alone() {
        return nextStandard && feed.fuses().size() == 1;
    }

    private Finding single() {
        Device.Fuse fuse = feed.fuses().get(0);
        return new FuseCheck(fuse.family(), fuse.ratingA(), guarded).ampacityFinding(fuse.tag());
    }

    private Verdict verdict(double allowedA) {
        double chargersA =
                feed.chargers().stream().mapToDouble(Device.Charger::maxA).sum();
        double fusesA = feed.fuses().stream().mapToDouble(Device.Fuse::ratingA).sum();
        boolean fusesStop = alone() ? single().stops() : Math.min(fusesA, feed.limitA()) > allowedA;
        if (fusesStop || chargersA > allowedA) {
            return Verdict.STOP;
        }
        return feed.limitA() > allowedA ? Verdict.WATCH : Verdict.PASS;
    }

    private String tags() {
        return Stream.<Device>concat(feed.fuses().stream(), feed.chargers().stream())
                .map(Device::tag)
                .collect(Collectors.joining(" + "));
    }
}
