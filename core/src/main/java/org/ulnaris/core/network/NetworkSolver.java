package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Solves direct-current networks by nodal analysis, each connected part by itself: parts without a source and parts whose
 * voltage collapses become {@link NetworkFault}s, the rest is solved.
 */
public final class NetworkSolver {
    private NetworkSolver() {}

    /** Voltages, currents and temperatures of {@code network}. */
    public static NetworkSolution solve(Network network) {
        return solve(network, false, null);
    }

    /** The same with an order of elimination that is known. */
    public static NetworkSolution solve(Network network, NodeOrder order) {
        return solve(network, false, order);
    }

    /** The same with every load of constant current fed, even where its voltage is gone: what conductors would have to carry. */
    public static NetworkSolution forced(Network network) {
        return solve(network, true, null);
    }

    /** The same with an order of elimination that is known. */
    public static NetworkSolution forced(Network network, NodeOrder order) {
        return solve(network, true, order);
    }

    private static NetworkSolution solve(Network network, boolean forced, @Nullable NodeOrder order) {
        Set<String> references = new HashSet<>();
        Map<String, Double> nodeV = new HashMap<>();
        Map<String, ElementState> states = new HashMap<>();
        List<NetworkFault> faults = new ArrayList<>();
        for (List<Element> part : order == null ? parts(network) : order.parts(network.elements())) {
            PartSolver solver = PartSolver.of(part, forced, order);
            if (solver == null) {
                List<String> loads = loads(part);
                if (!loads.isEmpty()) {
                    faults.add(new NetworkFault(NetworkFault.Kind.NO_SOURCE, loads, 0));
                }
            } else if (solver.solve(1) && solver.report(nodeV, states)) {
                references.add(solver.reference());
            } else {
                faults.add(solver.fault());
            }
        }
        return new NetworkSolution(network, references, nodeV, states, faults);
    }

    static List<String> loads(List<Element> part) {
        return part.stream()
                .filter(Element::isLoad)
                .map(element -> element.branch().id())
                .toList();
    }

    /**
     * Elements by connected part, in the order in which the parts appear. Loads of current or power join nothing: one whose ends lie in
     * two parts is a part of its own, without a source.
     */
    private static List<List<Element>> parts(Network network) {
        Map<String, String> parent = new HashMap<>();
        for (Element element : network.elements()) {
            if (joins(element)) {
                parent.put(
                        root(parent, element.branch().from()),
                        root(parent, element.branch().to()));
            }
        }
        Map<String, List<Element>> parts = new LinkedHashMap<>();
        for (Element element : network.elements()) {
            String from = root(parent, element.branch().from());
            String to = root(parent, element.branch().to());
            String part = from.equals(to) ? from : from + "|" + element.branch().id();
            parts.computeIfAbsent(part, root -> new ArrayList<>()).add(element);
        }
        return List.copyOf(parts.values());
    }

    static boolean joins(Element element) {
        return !(element instanceof Element.CurrentLoad || element instanceof Element.PowerLoad);
    }

    private static String root(Map<String, String> parent, String node) {
        String at = node;
        String up = parent.getOrDefault(at, at);
        while (!up.equals(at)) {
            String above = parent.getOrDefault(up, up);
            parent.put(at, above);
            at = up;
            up = above;
        }
        return at;
    }
}
