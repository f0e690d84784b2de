package org.ulnaris.core.feed;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.alg.flow.EdmondsKarpMFImpl;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.ulnaris.core.feed.Wires.Edge;
import org.ulnaris.core.feed.Wires.Part;
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
 *
 * <p>A zone is what hangs together without a fuse: all of it is fed alike. Several threads may ask at once.
 */
public final class Feeds {
    /** Figures that differ by less are equal. */
    public static final double EQUAL = 1 + 1e-9;

    private static final String SOURCES = "";
    private static final String SINK = " ";

    private final Installation installation;
    private final Nets nets;
    private final Wires wires;
    private final Cuts inZone;
    private final Map<String, String> zones = new HashMap<>();
    private final Map<String, List<Edge>> borders = new HashMap<>();
    private final Map<Set<String>, Scope> scopes = new ConcurrentHashMap<>();
    private final BitSet poles;
    private final Scope all;

    public Feeds(Installation installation, Nets nets) {
        this.installation = installation;
        this.nets = nets;
        this.wires = new Wires(installation);
        this.inZone = new Cuts(wires, edge -> edge.fuse() == null, Map.of());
        for (String node : wires.nodes()) {
            if (!zones.containsKey(node)) {
                zone(node, node);
            }
        }
        for (Edge edge : wires.edges()) {
            if (edge.fuse() != null && !zone(edge.a()).equals(zone(edge.b()))) {
                borders.computeIfAbsent(zone(edge.a()), missing -> new ArrayList<>())
                        .add(edge);
                borders.computeIfAbsent(zone(edge.b()), missing -> new ArrayList<>())
                        .add(edge);
            }
        }
        this.poles = poles();
        this.all = new Scope(nets.sources());
    }

    private void zone(String node, String name) {
        List<String> open = new ArrayList<>(List.of(node));
        while (!open.isEmpty()) {
            String here = open.remove(open.size() - 1);
            if (zones.putIfAbsent(here, name) == null) {
                wires.from(here).stream()
                        .filter(edge -> edge.fuse() == null)
                        .forEach(edge -> open.add(edge.across(here)));
            }
        }
    }

    private String zone(String node) {
        return zones.getOrDefault(node, node);
    }

    /**
     * What can flow into an end of a conductor.
     *
     * @param limitA for good, A; infinity where a bank feeds it and nothing opens
     * @param fuses the fuses that open first, by their tags; their ratings are in the limit
     * @param chargers the chargers that can give no more than what is in the limit
     */
    public record Feed(double limitA, List<Device.Fuse> fuses, List<Device.Charger> chargers) {
        static final Feed NONE = new Feed(0, List.of(), List.of());
        static final Feed UNLIMITED = new Feed(Double.POSITIVE_INFINITY, List.of(), List.of());

        /** Rating of the circuit, A: of the fuses that open first; of chargers alone what they give. */
        public double circuitA() {
            return fuses.isEmpty()
                    ? limitA
                    : Math.min(
                            limitA,
                            fuses.stream().mapToDouble(Device.Fuse::ratingA).sum());
        }

        public boolean unlimited() {
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
    public record Fed(Run run, Feed atFrom, Feed atTo) {
        /** The larger of both. */
        public Feed worst() {
            return atFrom.limitA() >= atTo.limitA() ? atFrom : atTo;
        }

        public boolean reached() {
            return worst().limitA() > 0;
        }

        /** What can flow in at one of its ends. */
        public Feed at(String node) {
            return node.equals(run.from().node()) ? atFrom : atTo;
        }

        /** The node through which the worst comes in. */
        public String near() {
            return worst() == atFrom ? run.from().node() : run.to().node();
        }

        /** The other one. */
        public String far() {
            return worst() == atFrom ? run.to().node() : run.from().node();
        }
    }

    public Wires wires() {
        return wires;
    }

    /** A conductor with all that lie beside it between the same two terminals: they carry and are fed as one. */
    public List<Run> bundle(Run run) {
        return wires.of(run).runs();
    }

    /** What is reached from {@code node}, an end of {@code run}, without that run and without a fuse. */
    public Part part(Run run, String node) {
        Edge own = wires.of(run);
        return wires.flood(node, edge -> edge != own && edge.fuse() == null);
    }

    /**
     * How much cable lies between {@code node}, an end of {@code run}, and the nearest of {@code goals}, without that run, a fuse, a switch
     * or a relay, m; empty where there is no such way.
     */
    public OptionalDouble cableTo(Run run, String node, Predicate<String> goals) {
        Edge own = wires.of(run);
        return wires.metres(node, goals, edge -> edge != own && !edge.runs().isEmpty());
    }

    /** Whether two nodes hang together without a fuse. */
    public boolean together(String a, String b) {
        return zone(a).equals(zone(b));
    }

    /** What is reached from {@code node}, an end of {@code run}, without that run, through fuses as well. */
    public Part reach(Run run, String node) {
        Edge own = wires.of(run);
        return wires.flood(node, edge -> edge != own);
    }

    /** Whether no other way leads from one end of {@code run} to the other. */
    boolean alone(Run run) {
        return !reach(run, run.from().node()).contains(run.to().node());
    }

    /** What can flow into {@code run}. */
    public Fed of(Run run) {
        Edge edge = wires.of(run);
        String from = run.from().node();
        String to = run.to().node();
        if (!inZone.bridge(edge)) {
            return new Fed(run, into(from), into(to));
        }
        boolean atFrom = all.cuts.fed(edge, from);
        boolean atTo = all.cuts.fed(edge, to);
        if (atFrom && atTo) {
            Part partFrom = part(run, from);
            Part partTo = part(run, to);
            return new Fed(run, all.into(partFrom, partTo), all.into(partTo, partFrom));
        }
        return new Fed(run, atFrom ? into(from) : Feed.NONE, atTo ? into(to) : Feed.NONE);
    }

    /** What can flow into the terminal {@code node}: into a load that fails, or into a bar. */
    public Feed into(String node) {
        return all.into(zone(node));
    }

    /** The feeds of some of the sources alone. */
    public Scope only(List<Nets.Source> sources) {
        Set<String> tags = sources.stream().map(source -> source.device().tag()).collect(Collectors.toSet());
        return scopes.computeIfAbsent(tags, missing -> new Scope(sources));
    }

    /** Some of the sources, with what was answered of them before. */
    public final class Scope {
        private final List<Nets.Source> from;
        private final Cuts cuts;
        private final Map<String, Feed> known = new ConcurrentHashMap<>();

        Scope(List<Nets.Source> from) {
            this.from = from;
            Map<String, Integer> marks = new HashMap<>();
            from.forEach(source -> marks.merge(source.plus(), 1, Integer::sum));
            this.cuts = new Cuts(wires, edge -> true, marks);
        }

        /** What can flow into the terminal {@code node}. */
        public Feed at(String node) {
            return into(zone(node));
        }

        /** What can flow together into all of {@code nodes}, each through its own fuses. */
        public Feed atAll(Set<String> nodes) {
            Set<String> sinks = nodes.stream().map(Feeds.this::zone).collect(Collectors.toSet());
            return sinks.size() == 1 ? into(sinks.iterator().next()) : flow(Feeds.this::zone, sinks);
        }

        private Feed into(String zone) {
            Feed answered = known.get(zone);
            if (answered == null) {
                answered = find(zone);
                known.put(zone, answered);
            }
            return answered;
        }

        /** Of a zone without a source that a single fuse feeds: that fuse, or what limits the zone before it. */
        private Feed find(String zone) {
            if (from.stream().anyMatch(source -> zone(source.plus()).equals(zone))) {
                return flow(Feeds.this::zone, Set.of(zone));
            }
            List<Edge> feeding = borders.getOrDefault(zone, List.of()).stream()
                    .filter(edge -> cuts.fed(edge, outer(edge, zone)))
                    .toList();
            if (feeding.isEmpty()) {
                return Feed.NONE;
            }
            Device.Fuse fuse = feeding.get(0).fuse();
            if (feeding.size() > 1 || fuse == null) {
                return flow(Feeds.this::zone, Set.of(zone));
            }
            Feed before = into(zone(outer(feeding.get(0), zone)));
            return fuse.ratingA() <= before.limitA() ? new Feed(fuse.ratingA(), List.of(fuse), List.of()) : before;
        }

        private String outer(Edge edge, String zone) {
            return zone(edge.a()).equals(zone) ? edge.b() : edge.a();
        }

        /** What can flow into {@code part} of a zone of which {@code rest} is cut off. */
        private Feed into(Part part, Part rest) {
            return flow(
                    node -> part.contains(node) ? "part" : rest.contains(node) ? "rest" : zone(node), Set.of("part"));
        }

        /** The least cut between the sources and the zones {@code sinks}; of several the one next to the sinks. */
        private Feed flow(UnaryOperator<String> zone, Set<String> sinks) {
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
            for (Edge edge : wires.edges()) {
                if (edge.fuse() != null && !nets.returns(edge.a())) {
                    limits.add(edge.fuse(), edge.fuse().ratingA(), vertex.apply(edge.a()), vertex.apply(edge.b()));
                }
            }
            for (Nets.Source source : from) {
                if (source.device() instanceof Device.Charger charger) {
                    limits.add(charger, charger.maxA(), SOURCES, vertex.apply(source.plus()));
                }
            }
            return limits.least();
        }
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
            return new Feed(limit, only(cut, Device.Fuse.class), only(cut, Device.Charger.class));
        }

        private static <T> List<T> only(List<Device> devices, Class<T> kind) {
            return devices.stream().filter(kind::isInstance).map(kind::cast).toList();
        }
    }

    /**
     * A fuse at the border of what hangs together.
     *
     * @param node its terminal within
     */
    public record Border(Device.Fuse fuse, String node) {}

    /** The fuses that stand at the border of {@code part}. */
    public List<Border> border(Part part) {
        List<Border> borders = new ArrayList<>();
        for (Edge edge : wires.edges()) {
            if (edge.fuse() != null && part.contains(edge.a()) != part.contains(edge.b())) {
                borders.add(new Border(edge.fuse(), part.contains(edge.a()) ? edge.a() : edge.b()));
            }
        }
        return borders;
    }

    /** The fuses at the far end of a piece that leads to nothing else; none where it leads to anything else. */
    public List<Border> ahead(Fed one) {
        Part beyond = part(one.run(), one.far());
        boolean toFuses = !beyond.contains(one.near()) && !hasPoles(beyond);
        return toFuses ? border(beyond) : List.of();
    }

    /** The devices other than fuses, switches and bars with a terminal in {@code part}. */
    public List<Device> poles(Part part) {
        return installation.devices().stream()
                .filter(Feeds::hasPoles)
                .filter(device -> part.contains(device.at(Port.PLUS).node())
                        || part.contains(device.at(Port.MINUS).node()))
                .toList();
    }

    /**
     * What its fuses let flow out of the string of batteries of which {@code node} is an inner net; empty where its plus feeds anything
     * without a fuse.
     */
    public Optional<Feed> outOfString(String node) {
        String top = node;
        for (int i = 0; i < nets.sources().size(); i++) {
            String here = top;
            top = nets.sources().stream()
                    .filter(source -> source.isBank() && nets.same(source.minus(), here))
                    .findFirst()
                    .map(Nets.Source::plus)
                    .orElse(here);
        }
        Part part = wires.flood(top, edge -> edge.fuse() == null);
        if (!poles(part).stream().allMatch(Device.Bank.class::isInstance)) {
            return Optional.empty();
        }
        List<Device.Fuse> fuses = border(part).stream()
                .map(Border::fuse)
                .sorted(Comparator.comparing(Device::tag))
                .toList();
        return Optional.of(
                new Feed(fuses.stream().mapToDouble(Device.Fuse::ratingA).sum(), fuses, List.of()));
    }

    private static boolean hasPoles(Device device) {
        return device instanceof Device.Bank || device.isAppliance();
    }

    /** Whether a pole of a bank, charger or load lies in {@code part}. */
    private boolean hasPoles(Part part) {
        return part.holdsAny(poles);
    }

    private BitSet poles() {
        BitSet nodes = new BitSet();
        installation.devices().stream()
                .filter(Feeds::hasPoles)
                .flatMap(device -> device.terminals().stream())
                .forEach(terminal -> nodes.set(wires.index(terminal.node())));
        return nodes;
    }

    /**
     * An end of a way.
     *
     * @param node where it ends
     * @param metres its length, m
     */
    public record Reached(String node, double metres) {}

    /** The nearest of {@code ends} from {@code node} without a fuse, over cables that {@code counts} allows to be walked to a node. */
    public Optional<Reached> nearest(String node, Predicate<String> ends, BiPredicate<Run, String> counts) {
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
            for (Edge edge : wires.from(at.node())) {
                String to = edge.across(at.node());
                if (edge.fuse() == null && edge.runs().stream().allMatch(run -> counts.test(run, to))) {
                    open.add(new Reached(to, at.metres() + edge.metres()));
                }
            }
        }
        return Optional.empty();
    }

    /** Whether a battery lifts {@code node}. */
    boolean byBattery(String node) {
        return nets.lifting(node).stream().anyMatch(Nets.Source::isBank);
    }

    /** Whether a source feeds {@code node} through {@code fuse}. */
    public boolean feeds(Device.Fuse fuse, String node) {
        return fedBeside(fuse, wires.of(fuse).across(node));
    }

    /** Whether a source feeds {@code node}, a terminal of {@code fuse}, other than through it. */
    public boolean fedBeside(Device.Fuse fuse, String node) {
        return all.cuts.fed(wires.of(fuse), node);
    }

    /** The side of {@code fuse} from which most can flow; empty where no source reaches it. */
    public Optional<FuseSide> side(Device.Fuse fuse) {
        return Stream.of(Port.IN, Port.OUT)
                .map(port -> fuse.at(port).node())
                .filter(node -> !nets.live(node) || fedBeside(fuse, node))
                .map(node -> new FuseSide(fuse, node, into(node)))
                .filter(side -> nets.levelV(side.near()).isPresent())
                .max(Comparator.comparingDouble(side -> side.feed().limitA()));
    }
}
