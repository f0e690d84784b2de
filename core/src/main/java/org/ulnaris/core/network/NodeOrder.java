package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * An order of elimination for all networks that one wiring gives: whatever is switched on, the graph is a part of the whole, and what makes
 * little fill in the whole makes no more in a part.
 */
public final class NodeOrder {
    private final List<String> nodes;
    private final Map<String, Integer> rank = new HashMap<>();

    private NodeOrder(Collection<Branch> branches) {
        this.nodes = EliminationOrder.of(List.copyOf(branches), "");
        nodes.forEach(node -> rank.put(node, rank.size()));
    }

    /** The order for networks of no other branches than these. */
    public static NodeOrder of(Collection<Branch> branches) {
        return new NodeOrder(branches);
    }

    /** All nodes of {@code part}, {@code reference} last. */
    List<String> of(List<Element> part, String reference) {
        BitSet ranks = new BitSet(nodes.size());
        for (Element element : part) {
            ranks.set(rank(element.branch().from()));
            ranks.set(rank(element.branch().to()));
        }
        ranks.clear(rank(reference));
        List<String> order = new ArrayList<>(ranks.cardinality() + 1);
        ranks.stream().forEach(place -> order.add(nodes.get(place)));
        order.add(reference);
        return order;
    }

    /** As {@link NetworkSolver} parts a network: elements by connected part, in the order in which the parts appear. */
    List<List<Element>> parts(List<Element> elements) {
        int[] parent = new int[nodes.size()];
        Arrays.setAll(parent, node -> node);
        for (Element element : elements) {
            if (NetworkSolver.joins(element)) {
                parent[root(parent, rank(element.branch().from()))] =
                        root(parent, rank(element.branch().to()));
            }
        }
        Map<Integer, List<Element>> joined = new HashMap<>();
        List<List<Element>> parts = new ArrayList<>();
        for (Element element : elements) {
            int from = root(parent, rank(element.branch().from()));
            int to = root(parent, rank(element.branch().to()));
            if (from == to) {
                joined.computeIfAbsent(from, missing -> {
                            List<Element> part = new ArrayList<>();
                            parts.add(part);
                            return part;
                        })
                        .add(element);
            } else {
                parts.add(List.of(element));
            }
        }
        return parts;
    }

    private static int root(int[] parent, int node) {
        int at = node;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    private int rank(String node) {
        Integer place = rank.get(node);
        if (place == null) {
            throw new IllegalArgumentException("no branch of the order ends at '" + node + "'");
        }
        return place;
    }
}
