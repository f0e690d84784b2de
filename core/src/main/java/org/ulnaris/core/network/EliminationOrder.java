package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeSet;

/**
 * The order in which the nodes of a part are eliminated: always the one with the fewest neighbours left, so that a network that is
 * nearly a tree, as wiring is, makes next to no fill (minimum degree). Of several the first by name.
 */
final class EliminationOrder {
    private final List<String> names;
    private final List<Set<Integer>> neighbours = new ArrayList<>();

    private EliminationOrder(List<Branch> part, String reference) {
        Set<String> nodes = new TreeSet<>();
        for (Branch branch : part) {
            nodes.add(branch.from());
            nodes.add(branch.to());
        }
        nodes.remove(reference);
        this.names = new ArrayList<>(nodes);
        Map<String, Integer> index = new HashMap<>(2 * names.size());
        for (String name : names) {
            index.put(name, neighbours.size());
            neighbours.add(new HashSet<>(8));
        }
        for (Branch branch : part) {
            Integer a = index.get(branch.from());
            Integer b = index.get(branch.to());
            if (a != null && b != null && !a.equals(b)) {
                neighbours.get(a).add(b);
                neighbours.get(b).add(a);
            }
        }
    }

    /** A node with as many neighbours as it had when it was put in; left where it has other ones by now. */
    private record Degree(int neighbours, int node) implements Comparable<Degree> {
        @Override
        public int compareTo(Degree other) {
            int byNeighbours = Integer.compare(neighbours, other.neighbours);
            return byNeighbours != 0 ? byNeighbours : Integer.compare(node, other.node);
        }
    }

    /** All nodes of {@code part}, {@code reference} last. */
    static List<String> of(List<Branch> part, String reference) {
        List<String> order = new EliminationOrder(part, reference).order();
        order.add(reference);
        return order;
    }

    private List<String> order() {
        PriorityQueue<Degree> queue = new PriorityQueue<>();
        for (int node = 0; node < names.size(); node++) {
            queue.add(new Degree(neighbours.get(node).size(), node));
        }
        List<String> order = new ArrayList<>(names.size() + 1);
        boolean[] done = new boolean[names.size()];
        while (!queue.isEmpty()) {
            Degree least = queue.remove();
            int node = least.node();
            Set<Integer> left = neighbours.get(node);
            if (done[node] || left.size() != least.neighbours()) {
                continue;
            }
            done[node] = true;
            order.add(names.get(node));
            for (int neighbour : left) {
                Set<Integer> others = neighbours.get(neighbour);
                int before = others.size();
                others.remove(node);
                others.addAll(left);
                others.remove(neighbour);
                if (others.size() != before) {
                    queue.add(new Degree(others.size(), neighbour));
                }
            }
        }
        return order;
    }
}
