package org.ulnaris.core.overcurrent;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.overcurrent.Feeds.Fed;
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
        Set<Run> taken = new HashSet<>(feeds.bundle(run));
        Set<String> near = feeds.part(one.near(), taken);
        Set<String> far = feeds.part(one.far(), taken);
        if (seriesLink(run)) {
            return UnfusedRun.Kind.SERIES_LINK;
        }
        if (bankPlus(near) && bankPlus(far)) {
            return 1000 * run.lengthM() <= jumperMm() ? UnfusedRun.Kind.JUMPER : UnfusedRun.Kind.MISSING;
        }
        if (pole(far, Port.PLUS, UnfusedKind::cranks)) {
            return UnfusedRun.Kind.CRANKING;
        }
        List<Device> beyond = feeds.poles(far);
        boolean charger = !beyond.isEmpty() && beyond.stream().allMatch(Device.Charger.class::isInstance);
        return charger && onStarter(one.near()) ? UnfusedRun.Kind.ENGINE : UnfusedRun.Kind.MISSING;
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

    private boolean bankPlus(Set<String> part) {
        return nets.sources().stream().anyMatch(source -> source.isBank() && part.contains(source.plus()));
    }

    private static boolean cranks(Device device) {
        return device instanceof Device.Consumer consumer && consumer.cranking();
    }

    private boolean pole(Set<String> part, Port port, Predicate<Device> kind) {
        return installation.devices().stream()
                .filter(kind)
                .anyMatch(device -> part.contains(device.at(port).node()));
    }

    private boolean onStarter(String node) {
        return pole(Set.of(node), Port.PLUS, UnfusedKind::cranks);
    }
}
