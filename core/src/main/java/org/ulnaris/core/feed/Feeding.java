package org.ulnaris.core.feed;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.ProtectedCable;

/** How an installation is fed, whatever the sizes of its conductors. Several threads may ask at once. */
public final class Feeding {
    private final Installation installation;
    private final Nets nets;
    private final Feeds feeds;
    private final Map<String, FedCable> cables = new LinkedHashMap<>();
    private final Map<String, List<FedCable>> through = new HashMap<>();
    private final Map<Set<String>, Map<String, ReturnDrive.Drive>> drives = new ConcurrentHashMap<>();

    public Feeding(Installation installation, Nets nets) {
        this.installation = installation;
        this.nets = nets;
        this.feeds = new Feeds(installation, nets);
        for (Run run : installation.runs()) {
            if (nets.live(run.from().node())) {
                Fed one = feeds.of(run);
                if (one.reached()) {
                    cables.put(run.tag(), FedCable.of(feeds, one, installation.system()));
                }
            }
        }
        for (Device device : installation.devices()) {
            if (device.isAppliance()) {
                returning(device);
            }
        }
    }

    /** Each return that lies on the only way from a piece to all its batteries carries a fault between its poles. */
    private void returning(Device device) {
        String plus = device.at(Port.PLUS).node();
        List<FedCable> feeding = cables.values().stream()
                .filter(one ->
                        one.fed().far().equals(plus) && !one.fed().worst().unlimited())
                .toList();
        List<Nets.Source> banks =
                nets.lifting(plus).stream().filter(Nets.Source::isBank).toList();
        if (feeding.isEmpty() || banks.isEmpty()) {
            return;
        }
        String minus = device.at(Port.MINUS).node();
        List<List<Wires.Edge>> ways = banks.stream()
                .map(bank -> feeds.wires().way(minus, bank.minus()::equals))
                .toList();
        for (Wires.Edge edge : ways.get(0)) {
            boolean shared = ways.stream().allMatch(way -> way.stream().anyMatch(one -> one.id() == edge.id()));
            if (shared && edge.runs().size() == 1 && alone(edge.runs().get(0))) {
                through.computeIfAbsent(edge.runs().get(0).tag(), none -> new ArrayList<>())
                        .addAll(feeding);
            }
        }
    }

    /** Asked once for a return that many pieces share. */
    private boolean alone(Run run) {
        return through.containsKey(run.tag()) || feeds.alone(run);
    }

    /**
     * Whether the return {@code run} stands a short circuit at every piece whose current comes back through it alone, until the fuse of the
     * outgoing cable opens; the worst of them, empty where there is none.
     *
     * @param cable the return in a size
     * @param unprotected nodes on which an outgoing cable ends that is not protected: it is stopped for itself
     */
    public Optional<Finding> withstand(
            Run run, ProtectedCable.Cable cable, ShortCircuits shorts, Set<String> unprotected) {
        return through.getOrDefault(run.tag(), List.of()).stream()
                .filter(out -> !unprotected.contains(out.fed().far()))
                .flatMap(out -> shorts
                        .back(out.fed())
                        .flatMap(supply -> out.withstand(
                                new ProtectedCable(cable, ProtectedCable.Load.steady(1), supply, out.margins())))
                        .stream())
                .max(Comparator.comparing(Finding::verdict)
                        .thenComparingDouble(finding -> finding.figure() / finding.limit()));
    }

    public Nets nets() {
        return nets;
    }

    public Feeds feeds() {
        return feeds;
    }

    /** The conductors on the side of plus that a source feeds, by their tags in the order of the installation. */
    public Map<String, FedCable> cables() {
        return Collections.unmodifiableMap(cables);
    }

    /** Whether {@code run} lies on the side of minus. */
    public boolean isReturn(Run run) {
        return nets.returns(run.from().node());
    }

    /** What drives each return, by its tag, where conductors that are not protected end on the nodes {@code unprotected}. */
    public Map<String, ReturnDrive.Drive> drives(Set<String> unprotected) {
        return drives.computeIfAbsent(unprotected, nodes -> {
            ReturnDrive drive = new ReturnDrive(feeds, nets, installation.devices(), nodes);
            Map<String, ReturnDrive.Drive> driven = new ConcurrentHashMap<>();
            installation.runs().parallelStream()
                    .filter(this::isReturn)
                    .forEach(run -> drive.of(run).ifPresent(found -> driven.put(run.tag(), found)));
            return driven;
        });
    }
}
