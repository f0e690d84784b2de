package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.feed.FedCable;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.finding.Bands;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.RunResult;

/**
 * Switches, shunts, bars and blocks against what flows through them, of a bar the sum of what flows in; and loads against the fuse that
 * feeds them.
 */
public final class PartRatings {
    /** From here on a part whose rating nobody gave is asked for, A (ours). */
    static final double ASKED_FROM_A = 50;

    /** Heat in a switch or shunt: a hand feels it from some 25 W on, plastic suffers beyond 60 W (ours). */
    static final Bands HEAT_W = new Bands(0, 0, 25, 60);

    /** A fuse up to this rating is small enough for any load, A (ours). */
    static final double SMALL_FUSE_A = 15;

    /** A stalled motor draws about so many times its current: a larger fuse does not see it (common practice: three to six times). */
    static final double STALL = 5;

    private static final double LEAST_A = 0.001;
    private static final double EQUAL = 1 + 1e-9;
    private static final Source RULE = Source.practice(note("PartRatings.a-part-carries"));

    private PartRatings() {}

    /** What is said of each part that carries anything. */
    public static List<ProtectionCheck.Subject> check(InstallationResult result) {
        List<ProtectionCheck.Subject> said = new ArrayList<>();
        Map<String, Double> letThroughA = letThroughA(result);
        for (Device device : result.installation().devices()) {
            double throughA = result.through(device.tag()).continuousA();
            double letA = device.terminals().stream()
                    .mapToDouble(terminal -> letThroughA.getOrDefault(terminal.node(), 0.0))
                    .max()
                    .orElse(0);
            if (device instanceof Device.Link link) {
                finding(throughA, letA, link.ratingA())
                        .ifPresent(finding -> said.add(new ProtectionCheck.Subject(link.tag(), finding)));
                if (throughA > 0) {
                    said.add(new ProtectionCheck.Subject(link.tag(), heat(throughA, link.ohm())));
                }
            } else if (device instanceof Device.Consumer load && stalls(load)) {
                fuse(result, load).ifPresent(finding -> said.add(new ProtectionCheck.Subject(load.tag(), finding)));
            } else if (device instanceof Device.Bar bar) {
                finding(throughA, letA, bar.ratingA())
                        .ifPresent(finding -> said.add(new ProtectionCheck.Subject(bar.tag(), finding)));
            }
        }
        return List.copyOf(said);
    }

    /** Motors and what draws like them; an inverter and a heater do not stall, a starter has no fuse. */
    private static boolean stalls(Device.Consumer load) {
        return load.draw().kind() == Device.DrawKind.CURRENT && !load.cranking();
    }

    private static Finding heat(double throughA, double ohm) {
        double watt = throughA * throughA * ohm;
        return new Finding(
                FindingCode.PART_HEAT,
                HEAT_W.judge(watt),
                watt,
                HEAT_W.stopAbove(),
                "W",
                Explanation.of(
                        term("P", watt, "W"), term("I", throughA, "A").squared().times(term("R", ohm, "Ω"))),
                Source.own(note("PartRatings.heat-in-a-switch")));
    }

    /** A load that stalls behind a fuse which feeds much more: it burns before the fuse opens. */
    private static Optional<Finding> fuse(InstallationResult result, Device.Consumer load) {
        String plus = load.at(Port.PLUS).node();
        double letA = result.feeding().cables().values().stream()
                .filter(cable -> cable.fed().far().equals(plus) && isProtected(result, cable))
                .map(cable -> cable.fed().worst())
                .filter(feed -> !feed.fuses().isEmpty())
                .mapToDouble(Feed::limitA)
                .max()
                .orElse(0);
        double seenA = Math.max(SMALL_FUSE_A, STALL * load.draw().sizingA(true));
        return letA <= seenA * EQUAL
                ? Optional.empty()
                : Optional.of(new Finding(
                        FindingCode.LOAD_FUSE,
                        Verdict.WATCH,
                        letA,
                        seenA,
                        "A",
                        Explanation.read(
                                note("PartRatings.stalled"),
                                term("I_n", letA, "A"),
                                term("I", load.draw().sizingA(true), "A")),
                        Source.practice(note("PartRatings.a-fuse-of-its-own"))));
    }

    /** A cable that no fuse protects is stopped for itself. */
    private static boolean isProtected(InstallationResult result, FedCable cable) {
        if (cable.fed().worst().unlimited()) {
            return false;
        }
        RunResult run = result.run(cable.fed().run().tag());
        return !cable.in(run.inUse())
                .limit(Math.max(LEAST_A, run.inUse().protectableA()), run.load().continuousA())
                .stops();
    }

    /** What fuses let flow for good into a conductor that ends at each node, A; nothing where none is limited by fuses. */
    private static Map<String, Double> letThroughA(InstallationResult result) {
        Map<String, Double> most = new HashMap<>();
        for (FedCable cable : result.feeding().cables().values()) {
            Feed feed = cable.fed().worst();
            if (!feed.unlimited() && !feed.fuses().isEmpty()) {
                most.merge(cable.fed().near(), feed.limitA(), Math::max);
                most.merge(cable.fed().far(), feed.limitA(), Math::max);
            }
        }
        return most;
    }

    private static Optional<Finding> finding(double throughA, double letA, @Nullable Double ratingA) {
        if (ratingA == null) {
            return throughA < ASKED_FROM_A
                    ? Optional.empty()
                    : Optional.of(new Finding(
                            FindingCode.PART_RATING,
                            Verdict.OPEN,
                            throughA,
                            ASKED_FROM_A,
                            "A",
                            Explanation.read(note("PartRatings.what-it-carries"), term("I", throughA, "A")),
                            RULE));
        }
        if (throughA <= ratingA * EQUAL && letA > ratingA * EQUAL) {
            return Optional.of(new Finding(
                    FindingCode.PART_RATING,
                    Verdict.WATCH,
                    letA,
                    ratingA,
                    "A",
                    Explanation.read(note("PartRatings.let-through"), term("I", letA, "A"), term("I_n", ratingA, "A")),
                    RULE));
        }
        return Optional.of(new Finding(
                FindingCode.PART_RATING,
                throughA <= ratingA * EQUAL ? Verdict.PASS : Verdict.STOP,
                throughA,
                ratingA,
                "A",
                Explanation.read(note("PartRatings.worst-of-all"), term("I", throughA, "A"), term("I_n", ratingA, "A")),
                RULE));
    }
}
