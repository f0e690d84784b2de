package org.ulnaris.core.feed;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.core.feed.Wires.Part;
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
public final class ReturnDrive {
    private static final Source RULE = Source.practice(note("ReturnDrive.a-return-carries"));
    private static final String SINGLE = note("ReturnDrive.what-the-fuse");
    private static final String SUM = note("ReturnDrive.what-the-fuses");

    private final Feeds feeds;
    private final Nets nets;
    private final List<Poles> loads;

    /** The nodes of a load or charger. */
    private record Poles(String plus, String minus) {}

    /** Where nodes on which a conductor ends that is not protected are {@code unprotected}: what is behind them is stopped for itself. */
    ReturnDrive(Feeds feeds, Nets nets, List<Device> devices, Set<String> unprotected) {
        this.feeds = feeds;
        this.nets = nets;
        this.loads = devices.stream()
                .filter(device -> device.isAppliance())
                .map(device -> new Poles(
                        device.at(Port.PLUS).node(), device.at(Port.MINUS).node()))
                .filter(load -> !unprotected.contains(load.plus()))
                .toList();
    }

    /**
     * What flows back.
     *
     * @param limitA what flows for good, A
     * @param circuitA rating of the circuit, A: of the fuses alone
     * @param through tags of the fuses that let it through
     */
    public record Driven(double limitA, double circuitA, String through) {
        static final Driven NOTHING = new Driven(0, 0, "");

        static Driven of(Feeds.Feed feed) {
            String tags = feed.fuses().stream().map(Device::tag).collect(Collectors.joining(", "));
            return new Driven(feed.limitA(), feed.circuitA(), tags);
        }

        /** Of equal ones the first by its fuses. */
        static Driven larger(Driven a, Driven b) {
            int byLimit = Double.compare(a.limitA(), b.limitA());
            return byLimit > 0 || byLimit == 0 && a.through().compareTo(b.through()) <= 0 ? a : b;
        }
    }

    /**
     * What drives a return.
     *
     * @param single the most that one load behind it is fed
     * @param sum what all of them are fed together
     * @param shared whether another way leads back as well: how much of it comes here is not known
     */
    public record Drive(Driven single, Driven sum, boolean shared) {
        /** Rating of the circuit that comes back, A. */
        public double circuitA() {
            return single.circuitA();
        }

        /**
         * Held against what the return may carry.
         *
         * @param ampacityA with all that lie beside it, A
         * @param overAmpacity rating ÷ ampacity, at most, where no standard rating lies between
         */
        public Finding finding(double ampacityA, double overAmpacity) {
            double allowedA = ampacityA * Feeds.EQUAL;
            if (shared) {
                return said(single.limitA() > allowedA ? Verdict.OPEN : Verdict.PASS, single, ampacityA, SINGLE);
            }
            if (single.limitA() > allowedA) {
                boolean far = single.limitA() > overAmpacity * allowedA;
                return said(far ? Verdict.STOP : Verdict.WATCH, single, ampacityA, SINGLE);
            }
            return sum.limitA() > allowedA
                    ? said(Verdict.WATCH, sum, ampacityA, SUM)
                    : said(Verdict.PASS, single, ampacityA, SINGLE);
        }
    }

    /** What drives {@code run}; empty where no load that is fed returns through it. */
    Optional<Drive> of(Run run) {
        Part from = feeds.reach(run, run.from().node());
        if (from.contains(run.to().node())) {
            return new Driving(from, from).single().map(single -> new Drive(single, single, true));
        }
        Part to = feeds.reach(run, run.to().node());
        Driving forth = new Driving(from, to);
        Driving back = new Driving(to, from);
        return Stream.of(forth.single(), back.single())
                .flatMap(Optional::stream)
                .reduce(Driven::larger)
                .map(single -> new Drive(single, Driven.larger(forth.sum(), back.sum()), false));
    }

    /** What the banks with their minus on one side drive through the loads with theirs on the other. */
    private final class Driving {
        private final Feeds.Scope banks;
        private final Set<String> plus;

        Driving(Part loadSide, Part bankSide) {
            List<Nets.Source> sources = nets.sources().stream()
                    .filter(source -> source.isBank() && bankSide.contains(source.minus()))
                    .toList();
            this.banks = feeds.only(sources);
            this.plus = sources.isEmpty() ? Set.of() : plus(loadSide);
        }

        /** Plus of the loads; without those that nothing limits, which are stopped for themselves. */
        private Set<String> plus(Part loadSide) {
            return loads.stream()
                    .filter(load -> loadSide.contains(load.minus()))
                    .map(Poles::plus)
                    .filter(node -> {
                        Feeds.Feed feed = banks.at(node);
                        return feed.limitA() > 0 && !feed.unlimited();
                    })
                    .collect(Collectors.toSet());
        }

        /** The most that one of them is fed. */
        Optional<Driven> single() {
            return plus.stream().map(banks::at).map(Driven::of).reduce(Driven::larger);
        }

        /** What all of them are fed together. */
        Driven sum() {
            return plus.isEmpty() ? Driven.NOTHING : Driven.of(banks.atAll(plus));
        }
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
