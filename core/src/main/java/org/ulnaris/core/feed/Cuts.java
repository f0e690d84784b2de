package org.ulnaris.core.feed;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Predicate;
import org.ulnaris.core.feed.Wires.Edge;

/**
 * Which edges alone hold what is on their two sides together, and whether a source lies on a side: depth first, with the earliest node
 * that each subtree reaches back to (Tarjan 1974). One walk answers for all edges.
 */
final class Cuts {
    private static final int NONE = -1;

    private final Wires wires;
    private final Predicate<Edge> open;
    private final int[] order;
    private final int[] low;
    private final int[] sources;
    private final int[] island;
    private final int[] islandSources;
    /** The node below each edge of the walk; {@link #NONE} of all other edges. */
    private final int[] below;

    private final boolean[] bridge;

    /**
     * Over the edges that are {@code open}.
     *
     * @param marks how many sources each node has
     */
    Cuts(Wires wires, Predicate<Edge> open, Map<String, Integer> marks) {
        this.wires = wires;
        this.open = open;
        int n = wires.size();
        this.order = new int[n];
        this.low = new int[n];
        this.sources = new int[n];
        this.island = new int[n];
        this.islandSources = new int[n];
        this.below = new int[wires.edges().size()];
        this.bridge = new boolean[below.length];
        Arrays.fill(order, NONE);
        Arrays.fill(below, NONE);
        marks.forEach((node, count) -> {
            if (wires.index(node) >= 0) {
                sources[wires.index(node)] = count;
            }
        });
        int visited = 0;
        for (String node : wires.nodes()) {
            int root = wires.index(node);
            if (order[root] == NONE) {
                visited = walk(root, NONE, root, visited);
                islandSources[root] = sources[root];
            }
        }
    }

    /** Walks on from {@code node}, the {@code visited}-th; how many are visited then. */
    private int walk(int node, int through, int root, int visited) {
        int count = visited + 1;
        order[node] = visited;
        low[node] = visited;
        island[node] = root;
        for (Edge edge : wires.from(node)) {
            if (edge.id() == through || !open.test(edge)) {
                continue;
            }
            int next = wires.index(edge.a()) == node ? wires.index(edge.b()) : wires.index(edge.a());
            if (order[next] == NONE) {
                count = walk(next, edge.id(), root, count);
                low[node] = Math.min(low[node], low[next]);
                sources[node] += sources[next];
                below[edge.id()] = next;
                bridge[edge.id()] = low[next] > order[node];
            } else {
                low[node] = Math.min(low[node], order[next]);
            }
        }
        return count;
    }

    /** Whether nothing but {@code edge} joins its two sides. */
    boolean bridge(Edge edge) {
        return bridge[edge.id()];
    }

    /** Whether a source is reached from {@code node}, an end of {@code edge}, without that edge. */
    boolean fed(Edge edge, String node) {
        int own = wires.index(node);
        int all = islandSources[island[own]];
        if (!bridge[edge.id()]) {
            return all > 0;
        }
        int beyond = sources[below[edge.id()]];
        return (own == below[edge.id()] ? beyond : all - beyond) > 0;
    }
}
