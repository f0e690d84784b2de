package org.ulnaris.core.feed;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.protection.AmpacityLimit;

/**
 * Whether what can flow into a conductor for good is within what it may carry. One fuse may be of the next standard rating above, by the
 * house's margin; several side by side may not. Where only chargers beside a fuse that is small enough push it above, somebody decides:
 * it takes a load that fails at just that current while all of them give theirs.
 *
 * @param feed what can flow
 * @param ampacityA what the conductor may carry, A
 * @param leastA least rating that its load asks for, A
 * @param overAmpacity rating ÷ ampacity of one fuse, at most, where no standard rating lies between
 */
record ConductorLimit(Feed feed, double ampacityA, double leastA, double overAmpacity) {
    private static final Source RULE = Source.practice(note("ConductorLimit.what-can-flow"));

    Finding finding() {
        if (alone() && feed.chargers().isEmpty()) {
            return single();
        }
        return new Finding(
                FindingCode.FUSE_AMPACITY,
                verdict(ampacityA * Feeds.EQUAL),
                feed.limitA(),
                ampacityA,
                "A",
                Explanation.of(
                                term("u", 100 * feed.limitA() / ampacityA, "%"),
                                term("I", feed.limitA(), "A").over(term("I_z", ampacityA, "A")))
                        .noted(note("ConductorLimit.all-that-the")),
                RULE,
                tags());
    }

    private boolean alone() {
        return feed.fuses().size() == 1;
    }

    private Finding single() {
        Device.Fuse fuse = feed.fuses().get(0);
        return new AmpacityLimit(fuse.ratingA(), ampacityA, leastA, overAmpacity).finding(fuse.tag());
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
