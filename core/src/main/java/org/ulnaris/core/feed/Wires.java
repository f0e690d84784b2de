package org.ulnaris.core.feed;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.WeightedPseudograph;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;

/** The conductors of an installation as a graph: cables between the same two nodes are one edge, each fuse, switch and shunt is one. */
public final class Wires {
    private final Map<String, Integer> index = new HashMap<>();
    private final List<List<Edge>> at = new ArrayList<>();
    private final List<Edge> edges = new ArrayList<>();
    private final Map<String, Edge> byRun = new HashMap<>();
    private final Map<String, Edge> byDevice = new HashMap<>();

    public Wires(Installation installation) {
        for (Device device : installation.devices()) {
            device.terminals().forEach(terminal -> node(terminal.node()));
        }
        Map<String, List<Run>> bundles = new HashMap<>();
        for (Run run : installation.runs()) {
            String a = run.from().node();
            String b = run.to().node();
            bundles.computeIfAbsent(a.compareTo(b) <= 0 ? a + "\n" + b : b + "\n" + a, missing -> new ArrayList<>())
                    .add(run);
        }
        bundles.values().forEach(bundle -> {
            Run first = bundle.get(0);
            Edge edge = join(first.from().node(), first.to().node(), List.copyOf(bundle), null);
            bundle.forEach(run -> byRun.put(run.tag(), edge));
        });
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse || device instanceof Device.Link) {
                byDevice.put(
                        device.tag(),
                        join(
                                device.at(Port.IN).node(),
                                device.at(Port.OUT).node(),
                                List.of(),
                                device instanceof Device.Fuse fuse ? fuse : null));
            }
        }
    }

    /**
     * What joins two nodes.
     *
     * @param id its place among all edges
     * @param from number of the node {@code a}
     * @param to number of the node {@code b}
     * @param runs the cables, side by side; none of a fuse, switch or shunt
     * @param fuse the fuse; null of all else
     */
    public record Edge(int id, int from, int to, String a, String b, List<Run> runs, Device.@Nullable Fuse fuse) {
        public String across(String node) {
            return node.equals(a) ? b : a;
        }

        int across(int node) {
            return node == from ? to : from;
        }

        /** The shortest of its cables, m; 0 of a fuse, switch or shunt. */
        public double metres() {
            return runs.stream().mapToDouble(Run::cutM).min().orElse(0);
        }
    }

    /** Nodes that hang together. */
    public final class Part {
        private final BitSet nodes = new BitSet();

        /** Whether it holds any of {@code marked}, by their numbers. */
        boolean holdsAny(BitSet marked) {
            return nodes.intersects(marked);
        }

        public boolean contains(String node) {
            Integer own = index.get(node);
            return own != null && nodes.get(own);
        }
    }

    private int node(String name) {
        return index.computeIfAbsent(name, missing -> {
            at.add(new ArrayList<>());
            return at.size() - 1;
        });
    }

    private Edge join(String a, String b, List<Run> runs, Device.@Nullable Fuse fuse) {
        Edge edge = new Edge(edges.size(), node(a), node(b), a, b, runs, fuse);
        edges.add(edge);
        if (edge.from() != edge.to()) {
            at.get(edge.from()).add(edge);
            at.get(edge.to()).add(edge);
        }
        return edge;
    }

    int size() {
        return at.size();
    }

    /** The number of a node; -1 of what is none. */
    int index(String node) {
        return index.getOrDefault(node, -1);
    }

    Iterable<String> nodes() {
        return index.keySet();
    }

    List<Edge> edges() {
        return edges;
    }

    /** All edges at a node. */
    public List<Edge> from(String node) {
        int own = index(node);
        return own < 0 ? List.of() : at.get(own);
    }

    List<Edge> from(int node) {
        return at.get(node);
    }

    /** The edge of a cable, with all that lie beside it. */
    Edge of(Run run) {
        return Objects.requireNonNull(byRun.get(run.tag()), run.tag());
    }

    /** The edge of a fuse, switch or shunt. */
    Edge of(Device device) {
        return Objects.requireNonNull(byDevice.get(device.tag()), device.tag());
    }

    /** The shortest way from {@code node} to one of {@code goals} over edges that are {@code open}, m of cable; empty where there is none. */
    OptionalDouble metres(String node, Predicate<String> goals, Predicate<Edge> open) {
        WeightedPseudograph<String, Edge> graph = new WeightedPseudograph<>(Edge.class);
        nodes().forEach(graph::addVertex);
        edges.stream().filter(open).forEach(edge -> {
            graph.addEdge(edge.a(), edge.b(), edge);
            graph.setEdgeWeight(edge, edge.metres());
        });
        ShortestPathAlgorithm.SingleSourcePaths<String, Edge> ways = new DijkstraShortestPath<>(graph).getPaths(node);
        return index.keySet().stream()
                .filter(goals)
                .mapToDouble(ways::getWeight)
                .filter(metres -> metres < Double.POSITIVE_INFINITY)
                .min();
    }

    /** The edges of a way of fewest pieces from {@code node} to one of {@code goals}; none where none leads there. */
    List<Edge> way(String node, Predicate<String> goals) {
        Map<String, Edge> arrived = new HashMap<>();
        Deque<String> queue = new ArrayDeque<>(List.of(node));
        Set<String> seen = new HashSet<>(queue);
        while (!queue.isEmpty()) {
            String here = queue.remove();
            if (goals.test(here)) {
                List<Edge> way = new ArrayList<>();
                for (String at = here;
                        arrived.containsKey(at);
                        at = way.get(way.size() - 1).across(at)) {
                    way.add(Objects.requireNonNull(arrived.get(at)));
                }
                return way;
            }
            for (Edge edge : from(here)) {
                String there = edge.across(here);
                if (seen.add(there)) {
                    arrived.put(there, edge);
                    queue.add(there);
                }
            }
        }
        return List.of();
    }

    /** What is reached from {@code node} over edges that are {@code open}. */
    Part flood(String node, Predicate<Edge> open) {
        Part part = new Part();
        int first = node(node);
        int[] reached = new int[size()];
        int count = 0;
        reached[count++] = first;
        part.nodes.set(first);
        for (int i = 0; i < count; i++) {
            int here = reached[i];
            for (Edge edge : from(here)) {
                int there = edge.across(here);
                if (!part.nodes.get(there) && open.test(edge)) {
                    part.nodes.set(there);
                    reached[count++] = there;
                }
            }
        }
        return part;
    }
}
