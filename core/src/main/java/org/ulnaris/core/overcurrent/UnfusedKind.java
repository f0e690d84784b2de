package org.ulnaris.core.overcurrent;

import java.util.List;
import java.util.function.Predicate;
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
            return UnfusedRun.Kind.SERIES_LINK;
        }
        if (bankPlus(near) && bankPlus(far)) {
            return 1000 * run.lengthM() <= jumperMm() ? UnfusedRun.Kind.JUMPER : UnfusedRun.Kind.MISSING;
        }
        if (starter(far::contains)) {
            return UnfusedRun.Kind.CRANKING;
        }
        List<Device> beyond = feeds.poles(far);
        boolean charger = !beyond.isEmpty() && beyond.stream().allMatch(Device.Charger.class::isInstance);
        return charger && starter(one.near()::equals) ? UnfusedRun.Kind.ENGINE : UnfusedRun.Kind.MISSING;
    }

    private double jumperMm() {
        return Placement.limitMm(
                installation.system().house().placement(installation.system().ruleSet()),
                Placement.Run.SHEATHED_FROM_BATTERY);
    }

    /** From the minus of a bank to the plus of another, and nothing else on that net. */
    private boolean seriesLink(Run run) {
        String node = run.from().node();
        boolean minus = nets.sources().stream().anyMatch(source -> source.isBank() && nets.same(source.minus(), node));
        boolean others = installation.devices().stream()
                .filter(device -> device instanceof Device.Consumer || device instanceof Device.Charger)
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
