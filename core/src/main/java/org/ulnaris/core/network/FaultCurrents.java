package org.ulnaris.core.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * Short-circuit currents of a network of sources and resistances, from any node to any other: I = U_open / (R_th + R_fault), by
 * Thévenin's theorem. The conductance matrix is factored once; each node then costs one substitution. Several threads may ask at once.
 */
public final class FaultCurrents {
    private final Map<String, Integer> index = new LinkedHashMap<>();
    private final String reference;
    private final Map<String, Double> resistance = new HashMap<>();
    private final Map<String, double[]> columns = new HashMap<>();
    private final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
            LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
    private final DMatrixRMaj open;

    private FaultCurrents(List<Element> part, String reference) {
        this.reference = reference;
        List<String> nodes =
                EliminationOrder.of(part.stream().map(Element::branch).toList(), reference);
        for (int i = 0; i < nodes.size() - 1; i++) {
            index.put(nodes.get(i), i);
        }
        int n = index.size();
        this.open = new DMatrixRMaj(n, 1);
        DMatrixSparseTriplet triplets = new DMatrixSparseTriplet(n, n, 4 * part.size());
        DMatrixRMaj injected = new DMatrixRMaj(n, 1);
        Map<Long, Double> entries = new HashMap<>();
        for (Element element : part) {
            int a = index.getOrDefault(element.branch().from(), -1);
            int b = index.getOrDefault(element.branch().to(), -1);
            double conductance = 1 / ohm(element);
            stamp(entries, a, b, conductance);
            if (element instanceof Element.Source source) {
                add(injected, b, source.openV() * conductance);
                add(injected, a, -source.openV() * conductance);
            }
        }
        entries.forEach((key, value) -> triplets.addItem((int) (key >> 32), (int) (long) key, value));
        solver.setA(DConvertMatrixStruct.convert(triplets, (DMatrixSparseCSC) null));
        solver.solve(injected, open);
    }

    /**
     * Currents into faults of what hangs together with {@code reference}.
     *
     * @param elements sources and resistors; others are refused
     * @throws IllegalArgumentException for an element that is neither
     */
    public static FaultCurrents of(List<Element> elements, String reference) {
        elements.forEach(FaultCurrents::ohm);
        return new FaultCurrents(joined(elements, reference), reference);
    }

    private static double ohm(Element element) {
        if (element instanceof Element.Source source) {
            return source.ohm();
        }
        if (element instanceof Element.Resistor resistor) {
            return resistor.ohm();
        }
        throw new IllegalArgumentException(
                "sources and resistors only; have " + element.branch().id());
    }

    /** The elements that hang together with the reference. */
    private static List<Element> joined(List<Element> elements, String reference) {
        Map<String, List<Element>> at = new HashMap<>();
        for (Element element : elements) {
            at.computeIfAbsent(element.branch().from(), node -> new ArrayList<>())
                    .add(element);
            at.computeIfAbsent(element.branch().to(), node -> new ArrayList<>()).add(element);
        }
        Set<String> seen = new HashSet<>(Set.of(reference));
        Deque<String> queue = new ArrayDeque<>(seen);
        while (!queue.isEmpty()) {
            for (Element element : at.getOrDefault(queue.remove(), List.of())) {
                for (String node :
                        List.of(element.branch().from(), element.branch().to())) {
                    if (seen.add(node)) {
                        queue.add(node);
                    }
                }
            }
        }
        return elements.stream()
                .filter(element -> seen.contains(element.branch().from()))
                .toList();
    }

    private static void stamp(Map<Long, Double> entries, int a, int b, double conductance) {
        if (a >= 0) {
            entries.merge(key(a, a), conductance, Double::sum);
        }
        if (b >= 0) {
            entries.merge(key(b, b), conductance, Double::sum);
        }
        if (a >= 0 && b >= 0) {
            entries.merge(key(a, b), -conductance, Double::sum);
            entries.merge(key(b, a), -conductance, Double::sum);
        }
    }

    private static long key(int row, int column) {
        return ((long) row << 32) | column;
    }

    private static void add(DMatrixRMaj vector, int row, double value) {
        if (row >= 0) {
            vector.add(row, 0, value);
        }
    }

    /**
     * Current from {@code node} through {@code faultOhm} to {@code sink}, A; 0 where no way leads there.
     *
     * @param sink the reference or any other node
     */
    public synchronized double currentA(String node, String sink, double faultOhm) {
        if (!knows(node) || !knows(sink)) {
            return 0;
        }
        double[] fromSink = columns.computeIfAbsent(sink, this::column);
        double ohm = resistance.computeIfAbsent(node, this::ohmOf) + at(fromSink, sink) - 2 * at(fromSink, node);
        double volt = Math.abs(at(open.data, node) - at(open.data, sink));
        return volt / (Math.max(0, ohm) + faultOhm);
    }

    /** Whether it hangs together with {@code node}. */
    public boolean knows(String node) {
        return node.equals(reference) || index.containsKey(node);
    }

    private double at(double[] vector, String node) {
        Integer row = index.get(node);
        return row == null ? 0 : vector[row];
    }

    /** Resistance of the network between a node and the reference, its sources still, Ω. */
    private double ohmOf(String node) {
        return at(column(node), node);
    }

    /** Voltages of all nodes when 1 A goes in at {@code node} and out at the reference, V. */
    private double[] column(String node) {
        DMatrixRMaj unit = new DMatrixRMaj(index.size(), 1);
        DMatrixRMaj volt = new DMatrixRMaj(index.size(), 1);
        Integer row = index.get(node);
        if (row != null) {
            unit.set(row, 0, 1);
            solver.solve(unit, volt);
        }
        return volt.data;
    }
}
