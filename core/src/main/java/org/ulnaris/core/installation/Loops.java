package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.BiconnectivityInspector;
import org.jgrapht.alg.util.UnionFind;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;

/**
 * Cables that close a ring without any device in between, or lie side by side and are not alike: what flows in them follows from their
 * resistances, and where one opens the others carry all.
 */
final class Loops {
    /** Lengths of a pair that differ by no more than this are one length (common practice: equal lengths). */
    private static final double SAME_LENGTH = 0.10;

    private Loops() {}

    /** The rings of {@code runs}, each the tags of its cables in alphabetical order. */
    static List<List<String>> of(List<Run> runs) {
        Graph<String, DefaultEdge> graph = new SimpleGraph<>(DefaultEdge.class);
        Map<DefaultEdge, List<Run>> sides = new LinkedHashMap<>();
        for (Run run : runs) {
            String from = run.from().node();
            String to = run.to().node();
            if (from.equals(to)) {
                continue;
            }
            graph.addVertex(from);
            graph.addVertex(to);
            DefaultEdge fresh = graph.addEdge(from, to);
            sides.computeIfAbsent(fresh == null ? graph.getEdge(from, to) : fresh, edge -> new ArrayList<>())
                    .add(run);
        }
        Set<DefaultEdge> bridges = new BiconnectivityInspector<>(graph).getBridges();
        UnionFind<String> rings = new UnionFind<>(graph.vertexSet());
        Map<String, Set<String>> tags = new TreeMap<>();
        sides.forEach((edge, side) -> {
            if (!bridges.contains(edge)) {
                rings.union(graph.getEdgeSource(edge), graph.getEdgeTarget(edge));
            }
        });
        List<List<String>> found = new ArrayList<>();
        sides.forEach((edge, side) -> {
            List<String> names = side.stream().map(Run::tag).sorted().toList();
            if (!bridges.contains(edge)) {
                tags.computeIfAbsent(rings.find(graph.getEdgeSource(edge)), ring -> new TreeSet<>())
                        .addAll(names);
            } else if (!alike(side)) {
                found.add(names);
            }
        });
        tags.values().forEach(ring -> found.add(List.copyOf(ring)));
        return List.copyOf(found);
    }

    private static boolean alike(List<Run> side) {
        double longest = side.stream().mapToDouble(Run::lengthM).max().orElse(0);
        double shortest = side.stream().mapToDouble(Run::lengthM).min().orElse(0);
        boolean oneSize = side.stream().map(Run::fixed).distinct().count() == 1
                && side.stream().map(run -> run.laying().metal()).distinct().count() == 1;
        return longest <= (1 + SAME_LENGTH) * shortest && oneSize;
    }
}
