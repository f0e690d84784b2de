package org.ulnaris.core.overcurrent;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.ulnaris.core.feed.Feeds;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.feed.Wires.Part;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.Placement;

/** What a conductor that a bank feeds without any fuse is for. */
final class UnfusedKind {
    /** So short is what joins the posts of batteries that stand side by side, m (common practice). */
    private static final double LONGEST_JUMPER_M = 0.5;

    private final Feeds feeds;
    private final Nets nets;
    private final Installation installation;

    UnfusedKind(Feeds feeds, Nets nets, Installation installation) {
        this.feeds = feeds;
        this.nets = nets;
        this.installation = installation;
    }

    UnfusedRun.Kind of(Fed one) {
        Run run = one.run();
        Part near = feeds.part(run, one.near());
        Part far = feeds.part(run, one.far());
        if (seriesLink(run)) {
            return link(wayM(one, this::isPost));
        }
        if (bankPlus(near) && bankPlus(far)) {
            return isJumper(one) ? UnfusedRun.Kind.JUMPER : UnfusedRun.Kind.MISSING;
        }
        if (starter(far::contains)) {
            return UnfusedRun.Kind.CRANKING;
        }
        List<Device> beyond = feeds.poles(far);
        boolean alternator = !beyond.isEmpty()
                && beyond.stream().allMatch(device -> device instanceof Device.Charger source && source.alternator());
        return alternator && starter(one.near()::equals) ? UnfusedRun.Kind.ENGINE : UnfusedRun.Kind.MISSING;
    }

    /** The whole way from post to post counts, in one piece or in many; with a switch or a relay in it it is no jumper. */
    private boolean isJumper(Fed one) {
        Set<String> posts = nets.sources().stream()
                .filter(Nets.Source::isBank)
                .map(Nets.Source::plus)
                .collect(Collectors.toSet());
        return wayM(one, posts::contains) <= LONGEST_JUMPER_M;
    }

    private boolean isPost(String node) {
        return nets.sources().stream()
                .filter(Nets.Source::isBank)
                .anyMatch(bank -> bank.plus().equals(node) || bank.minus().equals(node));
    }

    /** All cable from post to post, in one piece or in many, m; infinity where a switch, a relay or a fuse lies in it. */
    private double wayM(Fed one, Predicate<String> posts) {
        OptionalDouble near = feeds.cableTo(one.run(), one.near(), posts);
        OptionalDouble far = feeds.cableTo(one.run(), one.far(), posts);
        return near.isPresent() && far.isPresent()
                ? near.getAsDouble() + one.run().cutM() + far.getAsDouble()
                : Double.POSITIVE_INFINITY;
    }

    /** A link is short; a longer one is looked at, and one beyond the sheathed distance from a battery is a conductor like any other. */
    private UnfusedRun.Kind link(double lengthM) {
        if (lengthM <= LONGEST_JUMPER_M) {
            return UnfusedRun.Kind.SERIES_LINK;
        }
        double sheathedMm = Placement.limitMm(
                installation.system().house().placement(installation.system().ruleSet()),
                Placement.Run.SHEATHED_FROM_BATTERY);
        return 1000 * lengthM <= sheathedMm ? UnfusedRun.Kind.LONG_LINK : UnfusedRun.Kind.MISSING;
    }

    /** From the minus of a bank to the plus of another, and nothing else on that net but what evens the two out. */
    private boolean seriesLink(Run run) {
        String node = run.from().node();
        boolean minus = nets.sources().stream().anyMatch(source -> source.isBank() && nets.same(source.minus(), node));
        boolean others = installation.devices().stream()
                .filter(device -> device.isAppliance() && !(device instanceof Device.Consumer load && load.balances()))
                .flatMap(device -> device.terminals().stream())
                .anyMatch(terminal -> nets.same(terminal.node(), node));
        return minus && !others;
    }

    private boolean bankPlus(Part part) {
        return nets.sources().stream().anyMatch(source -> source.isBank() && part.contains(source.plus()));
    }

    private boolean starter(Predicate<String> nodes) {
        return installation.devices().stream()
                .filter(device -> device instanceof Device.Consumer load && load.cranking())
                .anyMatch(device -> nodes.test(device.at(Port.PLUS).node()));
    }
}
