package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.List;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.WeightedMultigraph;

/**
 * The drop from a source's terminals to a load's, out and back, with the share of each element on the way.
 *
 * @param sourceV voltage at the source's terminals, V
 * @param loadV voltage at the load, V
 * @param shares elements in the order in which the current passes them, the load between out and back
 */
public record PathDrop(double sourceV, double loadV, List<Share> shares) {
    /**
     * What one element eats.
     *
     * @param id the element
     * @param dropV its drop along the path, V
     * @param back whether it lies on the way back
     */
    public record Share(String id, double dropV, boolean back) {}

    /** Out and back together, V. */
    public double dropV() {
        return sourceV - loadV;
    }

    /**
     * The path of least resistance from {@code source} to {@code load}: between two nodes every path has the same drop.
     *
     * @throws IllegalArgumentException when either is unknown or no path of wires and resistors joins them
     */
    public static PathDrop of(NetworkSolution solution, String source, String load) {
        Branch at = branch(solution.network(), source);
        Branch of = branch(solution.network(), load);
        List<Share> shares = new ArrayList<>(walk(solution, at.to(), of.from(), false));
        shares.addAll(walk(solution, of.to(), at.from(), true));
        double sourceV = -solution.state(source).voltageV();
        return new PathDrop(sourceV, solution.state(load).voltageV(), List.copyOf(shares));
    }

    /** Whether wires and resistors join both terminals of {@code source} with those of {@code load}. */
    public static boolean joined(NetworkSolution solution, String source, String load) {
        Branch at = branch(solution.network(), source);
        Branch of = branch(solution.network(), load);
        WeightedMultigraph<String, Branch> graph = graph(solution);
        ConnectivityInspector<String, Branch> parts = new ConnectivityInspector<>(graph);
        return joined(graph, parts, at.to(), of.from()) && joined(graph, parts, of.to(), at.from());
    }

    private static boolean joined(
            WeightedMultigraph<String, Branch> graph,
            ConnectivityInspector<String, Branch> parts,
            String start,
            String end) {
        return start.equals(end)
                || (graph.containsVertex(start) && graph.containsVertex(end) && parts.pathExists(start, end));
    }

    private static WeightedMultigraph<String, Branch> graph(NetworkSolution solution) {
        WeightedMultigraph<String, Branch> graph = new WeightedMultigraph<>(Branch.class);
        for (Element element : solution.network().elements()) {
            Branch branch = element.branch();
            ElementState state = solution.states().get(branch.id());
            if (state != null && element.isWay()) {
                graph.addVertex(branch.from());
                graph.addVertex(branch.to());
                graph.addEdge(branch.from(), branch.to(), branch);
                graph.setEdgeWeight(branch, state.ohm());
            }
        }
        return graph;
    }

    private static Branch branch(Network network, String id) {
        return network.elements().stream()
                .map(Element::branch)
                .filter(branch -> branch.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no element '" + id + "'"));
    }

    private static List<Share> walk(NetworkSolution solution, String start, String end, boolean back) {
        if (start.equals(end)) {
            return List.of();
        }
        WeightedMultigraph<String, Branch> graph = graph(solution);
        boolean known = graph.containsVertex(start) && graph.containsVertex(end);
        var path = known ? DijkstraShortestPath.findPathBetween(graph, start, end) : null;
        if (path == null) {
            throw new IllegalArgumentException("no path from '" + start + "' to '" + end + "'");
        }
        List<Share> shares = new ArrayList<>();
        String node = start;
        for (Branch branch : path.getEdgeList()) {
            boolean along = branch.from().equals(node);
            double drop = solution.state(branch.id()).voltageV() * (along ? 1 : -1);
            shares.add(new Share(branch.id(), drop, back));
            node = along ? branch.to() : branch.from();
        }
        return shares;
    }
}
