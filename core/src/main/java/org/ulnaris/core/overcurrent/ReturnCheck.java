package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;

/**
 * What a return may have to carry when a load behind it fails: as much as the fuse before that load lets through, and the sum where all
 * behind it draw what their fuses let through.
 */
final class ReturnCheck {
    private static final Source RULE =
            Source.practice("a return carries what the fuse of its outgoing cable lets through");
    private static final String SINGLE = "what the fuse before a load that returns here lets through";

    private final Feeds feeds;
    private final Nets nets;
    private final List<Device> loads;

    /** Where nodes on which a conductor ends that is not protected are {@code unprotected}: what is behind them is stopped for itself. */
    ReturnCheck(Feeds feeds, Nets nets, List<Device> devices, Set<String> unprotected) {
        this.feeds = feeds;
        this.nets = nets;
        this.loads = devices.stream()
                .filter(device -> device instanceof Device.Consumer || device instanceof Device.Charger)
                .filter(device -> !unprotected.contains(device.at(Port.PLUS).node()))
                .toList();
    }

    /**
     * What drives a return.
     *
     * @param limitA what flows for good, A
     * @param through tags of the fuses that let it through
     */
    private record Driven(double limitA, String through) {
        static final Driven NOTHING = new Driven(0, "");

        static Driven of(Feeds.Feed feed) {
            String tags = feed.fuses().stream().map(Device::tag).collect(Collectors.joining(", "));
            return new Driven(feed.limitA(), tags);
        }

        static Driven larger(Driven a, Driven b) {
            return a.limitA() >= b.limitA() ? a : b;
        }
    }

    /**
     * What is said of {@code run}; empty where no load that is fed returns through it.
     *
     * @param ampacityA what it may carry, with all that lie beside it, A
     * @param overAmpacity rating ÷ ampacity, at most, where no standard rating lies between
     */
    Optional<Finding> finding(Run run, double ampacityA, double overAmpacity) {
        Set<Run> taken = new HashSet<>(feeds.bundle(run));
        Set<String> from = feeds.reach(run.from().node(), taken);
        if (from.contains(run.to().node())) {
            return single(from, from)
                    .map(driven -> said(
                            driven.limitA() > ampacityA * Feeds.EQUAL ? Verdict.OPEN : Verdict.PASS,
                            driven,
                            ampacityA,
                            SINGLE));
        }
        Set<String> to = feeds.reach(run.to().node(), taken);
        Optional<Driven> single = Stream.of(single(from, to), single(to, from))
                .flatMap(Optional::stream)
                .reduce(Driven::larger);
        Driven sum = Driven.larger(sum(from, to), sum(to, from));
        return single.map(driven -> judge(driven, sum, ampacityA, overAmpacity));
    }

    /** The most that a load with its minus in {@code here} can be fed by the banks that have theirs in {@code there}. */
    private Optional<Driven> single(Set<String> here, Set<String> there) {
        Set<Nets.Source> banks = banks(there);
        return returning(here, banks).stream()
                .map(node -> feeds.into(Set.of(node), banks))
                .map(Driven::of)
                .reduce(Driven::larger);
    }

    /** What all of them can be fed together. */
    private Driven sum(Set<String> here, Set<String> there) {
        Set<Nets.Source> banks = banks(there);
        Set<String> plus = returning(here, banks);
        return plus.isEmpty() ? Driven.NOTHING : Driven.of(feeds.into(plus, banks));
    }

    private Set<Nets.Source> banks(Set<String> part) {
        return nets.sources().stream()
                .filter(source -> source.isBank() && part.contains(source.minus()))
                .collect(Collectors.toSet());
    }

    /** Plus of the loads that return through {@code part}; without those that nothing limits, which are stopped for themselves. */
    private Set<String> returning(Set<String> part, Set<Nets.Source> banks) {
        return banks.isEmpty()
                ? Set.of()
                : loads.stream()
                        .filter(load -> part.contains(load.at(Port.MINUS).node()))
                        .map(load -> load.at(Port.PLUS).node())
                        .filter(node -> {
                            Feeds.Feed feed = feeds.into(Set.of(node), banks);
                            return feed.limitA() > 0 && !feed.unlimited();
                        })
                        .collect(Collectors.toSet());
    }

    private static Finding judge(Driven single, Driven sum, double ampacityA, double overAmpacity) {
        if (single.limitA() > ampacityA * Feeds.EQUAL) {
            boolean far = single.limitA() > overAmpacity * ampacityA * Feeds.EQUAL;
            return said(far ? Verdict.STOP : Verdict.WATCH, single, ampacityA, SINGLE);
        }
        return sum.limitA() > ampacityA * Feeds.EQUAL
                ? said(
                        Verdict.WATCH,
                        sum,
                        ampacityA,
                        "what the fuses before all loads that return here let through together")
                : said(Verdict.PASS, single, ampacityA, SINGLE);
    }

    private static Finding said(Verdict verdict, Driven driven, double ampacityA, String reason) {
        return new Finding(
                FindingCode.RETURN_FUSE,
                verdict,
                driven.limitA(),
                ampacityA,
                "A",
                Explanation.read(reason, term("I", driven.limitA(), "A"), term("I_z", ampacityA, "A")),
                RULE,
                driven.through());
    }
}
