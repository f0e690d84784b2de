package org.ulnaris.core.installation;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Terminal.Port;

/** The way of the current from the plus of every bank, breadth first: by which fuse each conductor and each fuse is reached. */
final class ProtectionWalk {
    private final Installation installation;
    private final Map<String, List<Way>> ways = new HashMap<>();
    private final Map<String, Reach> nodes = new LinkedHashMap<>();
    private final Map<String, Reach> runs = new LinkedHashMap<>();
    private final Map<Device.Fuse, Reach> fuses = new LinkedHashMap<>();

    ProtectionWalk(Installation installation) {
        this.installation = installation;
        layOut();
        walk();
    }

    private record Way(String tag, String to, @Nullable Run run, Device.@Nullable Fuse fuse) {}

    /**
     * How a place was reached.
     *
     * @param fuse the last fuse on the way; null for none
     * @param from its far side, else the plus of the bank
     * @param unfusedMm length walked since the bank while no fuse was met, mm
     */
    record Reach(Device.@Nullable Fuse fuse, String from, double unfusedMm) {}

    /** How each conductor was reached, by its tag, in the order in which they are met. */
    Map<String, Reach> runs() {
        return runs;
    }

    /** How the near side of each fuse was reached, in the order in which they are met. */
    Map<Device.Fuse, Reach> fuses() {
        return fuses;
    }

    /** The end of a run that is reached later. */
    String farEnd(Run run) {
        List<String> order = List.copyOf(nodes.keySet());
        String from = run.from().node();
        String to = run.to().node();
        return order.indexOf(from) > order.indexOf(to) ? from : to;
    }

    private void layOut() {
        for (Run run : installation.runs()) {
            join(new Way(run.tag(), run.to().node(), run, null), run.from().node());
            join(new Way(run.tag(), run.from().node(), run, null), run.to().node());
        }
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse fuse) {
                through(fuse, fuse);
            } else if (device instanceof Device.Link link) {
                through(link, null);
            }
        }
    }

    /** Both ways through a device with two sides. */
    private void through(Device device, Device.@Nullable Fuse fuse) {
        for (Port port : Device.SIDES) {
            join(
                    new Way(device.tag(), device.at(port.across()).node(), null, fuse),
                    device.at(port).node());
        }
    }

    private void join(Way way, String from) {
        ways.computeIfAbsent(from, node -> new ArrayList<>()).add(way);
    }

    private List<Way> from(String node) {
        return ways.getOrDefault(node, List.of());
    }

    private void walk() {
        Deque<String> queue = new ArrayDeque<>();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Bank) {
                String plus = device.at(Port.PLUS).node();
                nodes.put(plus, new Reach(null, plus, 0));
                queue.add(plus);
            }
        }
        while (!queue.isEmpty()) {
            String node = queue.remove();
            Reach here = nodes.get(node);
            for (Way way : from(node)) {
                if (here == null || runs.containsKey(way.tag())) {
                    continue;
                }
                Reach there = step(here, way);
                if (way.run() != null) {
                    runs.put(way.tag(), here.fuse() == null ? there : here);
                }
                if (nodes.putIfAbsent(way.to(), there) == null) {
                    queue.add(way.to());
                }
            }
        }
    }

    private Reach step(Reach here, Way way) {
        Device.Fuse fuse = way.fuse();
        if (fuse != null && !nodes.containsKey(way.to())) {
            fuses.put(fuse, here);
            return new Reach(fuse, way.to(), 0);
        }
        Run run = way.run();
        double walked = run == null || here.fuse() != null ? 0 : 1000 * run.lengthM();
        return new Reach(here.fuse(), here.from(), here.unfusedMm() + walked);
    }

    /** Whether an unfused run does nothing but lead to fuses: then the placement of those is what counts. */
    boolean leadsToAFuse(Run run) {
        return Stream.of(run.from(), run.to()).map(Terminal::node).anyMatch(node -> {
            List<Way> onward = from(node).stream()
                    .filter(way -> !way.tag().equals(run.tag()))
                    .toList();
            return !isPlusOfABank(node) && !onward.isEmpty() && onward.stream().allMatch(way -> way.fuse() != null);
        });
    }

    private boolean isPlusOfABank(String node) {
        return Optional.ofNullable(nodes.get(node))
                .filter(reach -> reach.fuse() == null && reach.from().equals(node))
                .isPresent();
    }

    /** Whether everything beyond an unfused run is starter motors. */
    boolean onlyCranks(Run run) {
        Deque<String> queue = new ArrayDeque<>(List.of(farEnd(run)));
        Set<String> seen = new HashSet<>(List.of(run.from().node(), run.to().node()));
        boolean cranks = false;
        while (!queue.isEmpty()) {
            String node = queue.remove();
            for (Way way : from(node)) {
                if (seen.add(way.to())) {
                    queue.add(way.to());
                }
            }
            for (Device device : installation.devices()) {
                if (node.startsWith(device.tag() + ".")) {
                    boolean cranking = device instanceof Device.Consumer consumer && consumer.cranking();
                    if (!cranking && !(device instanceof Device.Link)) {
                        return false;
                    }
                    cranks |= cranking;
                }
            }
        }
        return cranks;
    }
}
