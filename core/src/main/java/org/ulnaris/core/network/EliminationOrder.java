package org.ulnaris.core.network;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The order in which the nodes of a part are eliminated: always the one with the fewest neighbours left, so that a network that is
 * nearly a tree, as wiring is, makes next to no fill (minimum degree).
 */
final class EliminationOrder {
    private EliminationOrder() {}

    private record Degree(int neighbours, String node) implements Comparable<Degree> {
        @Override
        public int compareTo(Degree other) {
            int byNeighbours = Integer.compare(neighbours, other.neighbours);
            return byNeighbours != 0 ? byNeighbours : node.compareTo(other.node);
        }
    }

    /** All nodes of {@code part}, {@code reference} last. */
    static List<String> of(List<Element> part, String reference) {
        Map<String, Set<String>> neighbours = new TreeMap<>();
        for (Element element : part) {
            join(neighbours, element.branch().from(), element.branch().to());
            join(neighbours, element.branch().to(), element.branch().from());
        }
        neighbours.remove(reference);
        neighbours.values().forEach(set -> set.remove(reference));
        TreeSet<Degree> queue = new TreeSet<>();
        neighbours.forEach((node, set) -> queue.add(new Degree(set.size(), node)));
        List<String> order = new ArrayList<>(queue.size() + 1);
        while (!queue.isEmpty()) {
            String node = queue.pollFirst().node;
            order.add(node);
            Set<String> left = requireNonNull(neighbours.remove(node));
            for (String neighbour : left) {
                Set<String> others = requireNonNull(neighbours.get(neighbour));
                queue.remove(new Degree(others.size(), neighbour));
                others.remove(node);
                others.addAll(left);
                others.remove(neighbour);
                queue.add(new Degree(others.size(), neighbour));
            }
        }
        order.add(reference);
        return order;
    }

    private static void join(Map<String, Set<String>> neighbours, String node, String other) {
        neighbours.computeIfAbsent(node, n -> new HashSet<>()).add(other);
    }
}
