package org.ulnaris.core.overcurrent;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.alg.flow.EdmondsKarpMFImpl;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;

/**
 * From which sources a conductor can be fed at each of its ends, and how much may flow into it for good before something opens: the
 * least cut between all sources and that end with the conductor itself taken out. A bank gives any current, a charger its rated one, a
 * fuse lets pass its rating. Fuses side by side so add up, of fuses one behind the other the smallest counts, and no order of lists
 * matters (max-flow min-cut theorem, Ford and Fulkerson 1956).
 */
final class Feeds {
    /** Figures that differ by less are equal. */
    static final double EQUAL = 1 + 1e-9;

    private static final String SOURCES = "";
    private static final String SINK = " ";

    private final Installation installation;
    private final Nets nets;
    private final Map<String, List<Way>> ways = new HashMap<>();
    private final Map<String, String> zones = new HashMap<>();
    private final Map<Asked, Feed> feeds = new HashMap<>();

    Feeds(Installation installation, Nets nets) {
        this.installation = installation;
        this.nets = nets;
        for (Run run : installation.runs()) {
            join(run.from().node(), run.to().node(), run, null);
        }
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse || device instanceof Device.Link) {
                join(
                        device.at(Port.IN).node(),
                        device.at(Port.OUT).node(),
                        null,
                        device instanceof Device.Fuse fuse ? fuse : null);
            }
            device.terminals().forEach(terminal -> ways.computeIfAbsent(terminal.node(), node -> new ArrayList<>()));
        }
        for (String node : ways.keySet()) {
            if (!zones.containsKey(node)) {
                part(node, Set.of()).forEach(one -> zones.put(one, node));
            }
        }
    }

    /** One way on from a node: along a run, through a fuse, or through a switch or shunt. */
    record Way(String to, @Nullable Run run, Device.@Nullable Fuse fuse) {
        boolean without(Set<Run> taken) {
            return run == null || !taken.contains(run);
        }
    }

    /**
     * What can flow into an end of a conductor.
     *
     * @param limitA for good, A; infinity where a bank feeds it and nothing opens
     * @param fuses the fuses that open first, by their tags; their ratings are in the limit
     * @param chargers the chargers that can give no more than what is in the limit
     */
    record Feed(double limitA, List<Device.Fuse> fuses, List<Device.Charger> chargers) {
        static final Feed NONE = new Feed(0, List.of(), List.of());
        static final Feed UNLIMITED = new Feed(Double.POSITIVE_INFINITY, List.of(), List.of());

        boolean unlimited() {
            return limitA == Double.POSITIVE_INFINITY;
        }
    }

    /**
     * What can flow into a conductor.
     *
     * @param run the conductor
     * @param atFrom at its from end
     * @param atTo at its to end
     */
    record Fed(Run run, Feed atFrom, Feed atTo) {
        /** The larger of both. */
        Feed worst() {
            return atFrom.limitA() >= atTo.limitA() ? atFrom : atTo;
        }

        boolean reached() {
            return worst().limitA() > 0;
        }

        /** What can flow in at one of its ends. */
        Feed at(String node) {
            return node.equals(run.from().node()) ? atFrom : atTo;
        }

        /** The node through which the worst comes in. */
        String near() {
            return worst() == atFrom ? run.from().node() : run.to().node();
        }

        /** The other one. */
        String far() {
            return worst() == atFrom ? run.to().node() : run.from().node();
        }
    }

    private void join(String a, String b, @Nullable Run run, Device.@Nullable Fuse fuse) {
        if (!a.equals(b)) {
            ways.computeIfAbsent(a, node -> new ArrayList<>()).add(new Way(b, run, fuse));
            ways.computeIfAbsent(b, node -> new ArrayList<>()).add(new Way(a, run, fuse));
        }
    }

    List<Way> from(String node) {
        return ways.getOrDefault(node, List.of());
    }

    /** What is reached from {@code node} without a fuse and without {@code runs}. */
    Set<String> part(String node, Set<Run> runs) {
        return flood(node, way -> way.fuse() == null && way.without(runs));
    }

    private Set<String> flood(String node, Predicate<Way> open) {
        Set<String> seen = new HashSet<>(Set.of(node));
        Deque<String> queue = new ArrayDeque<>(seen);
        while (!queue.isEmpty()) {
            for (Way way : from(queue.remove())) {
                if (open.test(way) && seen.add(way.to())) {
                    queue.add(way.to());
                }
            }
        }
        return seen;
    }

    /** A conductor with all that lie beside it between the same two terminals: they carry and are fed as one. */
    List<Run> bundle(Run run) {
        return from(run.from().node()).stream()
                .filter(way -> way.run() != null && way.to().equals(run.to().node()))
                .map(Way::run)
                .toList();
    }

    /** What can flow into {@code run}. */
    Fed of(Run run) {
        Set<Run> taken = new HashSet<>(bundle(run));
        String from = run.from().node();
        String to = run.to().node();
        boolean atFrom = fed(from, taken);
        boolean atTo = fed(to, taken);
        Set<String> partFrom = part(from, taken);
        if (partFrom.contains(to)) {
            return new Fed(run, into(from), into(to));
        }
        if (atFrom && atTo) {
            Set<String> partTo = part(to, taken);
            return new Fed(run, into(partFrom, partTo, "from"), into(partTo, partFrom, "to"));
        }
        return new Fed(run, atFrom ? into(from) : Feed.NONE, atTo ? into(to) : Feed.NONE);
    }

    /** Whether any source reaches {@code node} without {@code taken}, through fuses as well. */
    private boolean fed(String node, Set<Run> taken) {
        Set<String> reached = reach(node, taken);
        return nets.sources().stream().anyMatch(source -> reached.contains(source.plus()));
    }

    /** All that is reached from {@code node} without {@code taken}, through fuses as well. */
    Set<String> reach(String node, Set<Run> taken) {
        return flood(node, way -> way.without(taken));
    }

    /** A question that was answered before: into which zones, from which sources. */
    private record Asked(Set<String> zones, Set<Nets.Source> from) {}

    /** What can flow into the terminal {@code node}: into a load that fails, or into a bar. */
    Feed into(String node) {
        return into(Set.of(node), Set.copyOf(nets.sources()));
    }

    /** What can flow together into all of {@code nodes}, each through its own fuses, from {@code from} alone. */
    Feed into(Set<String> nodes, Set<Nets.Source> from) {
        Set<String> sinks = nodes.stream().map(this::zone).collect(Collectors.toSet());
        return feeds.computeIfAbsent(new Asked(sinks, from), asked -> flow(this::zone, sinks, from));
    }

    private String zone(String node) {
        return zones.getOrDefault(node, node);
    }

    /** What can flow into {@code part} of a zone of which {@code rest} is cut off. */
    private Feed into(Set<String> part, Set<String> rest, String name) {
        return flow(
                node -> part.contains(node) ? name : rest.contains(node) ? name + "'" : zone(node),
                Set.of(name),
                Set.copyOf(nets.sources()));
    }

    /** The least cut between {@code from} and the zones {@code sinks}; of several the one next to the sinks. */
    private Feed flow(UnaryOperator<String> zone, Set<String> sinks, Set<Nets.Source> from) {
        Set<String> banks = from.stream()
                .filter(Nets.Source::isBank)
                .map(source -> zone.apply(source.plus()))
                .collect(Collectors.toSet());
        if (sinks.stream().anyMatch(banks::contains)) {
            return Feed.UNLIMITED;
        }
        UnaryOperator<String> vertex = node -> {
            String own = zone.apply(node);
            return banks.contains(own) ? SOURCES : sinks.contains(own) ? SINK : own;
        };
        Limits limits = new Limits();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse fuse
                    && !nets.returns(fuse.at(Port.IN).node())) {
                limits.add(
                        fuse,
                        fuse.ratingA(),
                        vertex.apply(fuse.at(Port.IN).node()),
                        vertex.apply(fuse.at(Port.OUT).node()));
            }
        }
        for (Nets.Source source : from) {
            if (source.device() instanceof Device.Charger charger) {
                limits.add(charger, charger.maxA(), SOURCES, vertex.apply(source.plus()));
            }
        }
        return limits.least();
    }

    /** Zones with what limits the current between them. */
    private static final class Limits {
        private final SimpleWeightedGraph<String, DefaultWeightedEdge> graph =
                new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        private final Map<DefaultWeightedEdge, List<Device>> devices = new HashMap<>();

        Limits() {
            graph.addVertex(SOURCES);
            graph.addVertex(SINK);
        }

        void add(Device device, double limitA, String a, String b) {
            if (a.equals(b)) {
                return;
            }
            graph.addVertex(a);
            graph.addVertex(b);
            DefaultWeightedEdge known = graph.getEdge(a, b);
            DefaultWeightedEdge edge = known == null ? graph.addEdge(a, b) : known;
            graph.setEdgeWeight(edge, limitA + (known == null ? 0 : graph.getEdgeWeight(edge)));
            devices.computeIfAbsent(edge, missing -> new ArrayList<>()).add(device);
        }

        Feed least() {
            EdmondsKarpMFImpl<String, DefaultWeightedEdge> flow = new EdmondsKarpMFImpl<>(graph);
            double limit = flow.calculateMinCut(SINK, SOURCES);
            List<Device> cut = flow.getCutEdges().stream()
                    .flatMap(edge -> devices.getOrDefault(edge, List.of()).stream())
                    .sorted(Comparator.comparing(Device::tag))
                    .toList();
            return new Feed(
                    limit,
                    cut.stream()
                            .filter(Device.Fuse.class::isInstance)
                            .map(Device.Fuse.class::cast)
                            .toList(),
                    cut.stream()
                            .filter(Device.Charger.class::isInstance)
                            .map(Device.Charger.class::cast)
                            .toList());
        }
    }

    /** The fuses that stand at the border of {@code part}, outwards. */
    List<Device.Fuse> border(Set<String> part) {
        return part.stream()
                .flatMap(node -> from(node).stream())
                .filter(way -> way.fuse() != null && !part.contains(way.to()))
                .map(Way::fuse)
                .distinct()
                .sorted(Comparator.comparing(Device::tag))
                .toList();
    }

    /** The devices other than fuses, switches and bars with a terminal in {@code part}. */
    List<Device> poles(Set<String> part) {
        return installation.devices().stream()
                .filter(device -> device instanceof Device.Bank
                        || device instanceof Device.Charger
                        || device instanceof Device.Consumer)
                .filter(device -> part.contains(device.at(Port.PLUS).node())
                        || part.contains(device.at(Port.MINUS).node()))
                .toList();
    }

    /**
     * An end of a way.
     *
     * @param node where it ends
     * @param metres its length, m
     */
    record Reached(String node, double metres) {}

    /** The nearest of {@code ends} from {@code node} without a fuse, over runs that {@code counts} allows to be walked to a node. */
    Optional<Reached> nearest(String node, Predicate<String> ends, BiPredicate<Run, String> counts) {
        PriorityQueue<Reached> open =
                new PriorityQueue<>(Comparator.comparingDouble(Reached::metres).thenComparing(Reached::node));
        open.add(new Reached(node, 0));
        Set<String> done = new HashSet<>();
        while (!open.isEmpty()) {
            Reached at = open.remove();
            if (!done.add(at.node())) {
                continue;
            }
            if (ends.test(at.node())) {
                return Optional.of(at);
            }
            for (Way way : from(at.node())) {
                if (way.fuse() == null && (way.run() == null || counts.test(way.run(), way.to()))) {
                    open.add(new Reached(
                            way.to(),
                            at.metres() + (way.run() == null ? 0 : way.run().lengthM())));
                }
            }
        }
        return Optional.empty();
    }

    /** Whether a source feeds {@code node} through {@code fuse}. */
    boolean feeds(Device.Fuse fuse, String node) {
        return fedBeside(fuse, across(fuse, node));
    }

    /** Whether a source feeds {@code node} other than through {@code fuse}. */
    boolean fedBeside(Device.Fuse fuse, String node) {
        Set<String> reached = flood(node, way -> !fuse.equals(way.fuse()));
        return nets.sources().stream().anyMatch(source -> reached.contains(source.plus()));
    }

    private static String across(Device.Fuse fuse, String node) {
        String in = fuse.at(Port.IN).node();
        return node.equals(in) ? fuse.at(Port.OUT).node() : in;
    }

    /** The side of {@code fuse} from which most can flow; empty where no source reaches it. */
    Optional<FuseSide> side(Device.Fuse fuse) {
        return Stream.of(Port.IN, Port.OUT)
                .map(port -> fuse.at(port).node())
                .filter(node -> !nets.live(node) || fedBeside(fuse, node))
                .map(node -> new FuseSide(fuse, node, into(node)))
                .filter(side -> nets.levelV(side.near()).isPresent())
                .max(Comparator.comparingDouble(side -> side.feed().limitA()));
    }
}
