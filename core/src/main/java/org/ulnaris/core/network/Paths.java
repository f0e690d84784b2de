package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.WeightedMultigraph;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.network.PathDrop.Share;

/**
 * The ways of least resistance from the terminals of one source to everything that it feeds. Between two nodes every way has the same
 * drop; the one of least resistance carries most.
 */
public final class Paths {
    private final NetworkSolution solution;
    private final Map<String, Branch> branches = new HashMap<>();
    private final String source;
    private final @Nullable SingleSourcePaths<String, Branch> out;
    private final @Nullable SingleSourcePaths<String, Branch> back;

    private Paths(NetworkSolution solution, String source) {
        this.solution = solution;
        this.source = source;
        WeightedMultigraph<String, Branch> graph = new WeightedMultigraph<>(Branch.class);
        for (Element element : solution.network().elements()) {
            Branch branch = element.branch();
            branches.put(branch.id(), branch);
            ElementState state = solution.states().get(branch.id());
            if (state != null && element.isWay()) {
                graph.addVertex(branch.from());
                graph.addVertex(branch.to());
                graph.addEdge(branch.from(), branch.to(), branch);
                graph.setEdgeWeight(branch, state.ohm());
            }
        }
        DijkstraShortestPath<String, Branch> shortest = new DijkstraShortestPath<>(graph);
        Branch at = branch(source);
        this.out = graph.containsVertex(at.to()) ? shortest.getPaths(at.to()) : null;
        this.back = graph.containsVertex(at.from()) ? shortest.getPaths(at.from()) : null;
    }

    /**
     * The ways from {@code source}.
     *
     * @throws IllegalArgumentException when it is unknown
     */
    public static Paths from(NetworkSolution solution, String source) {
        return new Paths(solution, source);
    }

    private Branch branch(String id) {
        Branch branch = branches.get(id);
        if (branch == null) {
            throw new IllegalArgumentException("no element '" + id + "'");
        }
        return branch;
    }

    /**
     * The way to {@code load} and back; empty when none of wires and resistors joins both terminals.
     *
     * @throws IllegalArgumentException when the load is unknown
     */
    public Optional<PathDrop> to(String load) {
        Branch at = branch(source);
        Branch of = branch(load);
        List<Share> there = walk(out, at.to(), of.from());
        List<Share> home = walk(back, at.from(), of.to());
        if (there == null || home == null || !solution.states().containsKey(load)) {
            return Optional.empty();
        }
        List<Share> shares = new ArrayList<>(there);
        for (int i = home.size() - 1; i >= 0; i--) {
            shares.add(new Share(home.get(i).id(), -home.get(i).dropV(), true));
        }
        double sourceV = -solution.state(source).voltageV();
        return Optional.of(new PathDrop(source, sourceV, solution.state(load).voltageV(), List.copyOf(shares)));
    }

    private @Nullable List<Share> walk(@Nullable SingleSourcePaths<String, Branch> paths, String start, String end) {
        if (start.equals(end)) {
            return List.of();
        }
        if (paths == null || !paths.getGraph().containsVertex(end)) {
            return null;
        }
        var path = paths.getPath(end);
        if (path == null) {
            return null;
        }
        List<Share> shares = new ArrayList<>();
        String node = start;
        for (Branch branch : path.getEdgeList()) {
            boolean along = branch.from().equals(node);
            shares.add(new Share(branch.id(), solution.state(branch.id()).voltageV() * (along ? 1 : -1), false));
            node = along ? branch.to() : branch.from();
        }
        return shares;
    }
}
