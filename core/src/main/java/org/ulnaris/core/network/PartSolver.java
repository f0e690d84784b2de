package org.ulnaris.core.network;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.CommonOps_DSCC;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import org.jspecify.annotations.Nullable;

/**
 * Solves one connected part. Nodal analysis G·v = i with the minus of the first source as reference; sources as Norton
 * equivalents; constant power by Newton's method, I(V) ≈ 2P/V_k − (P/V_k²)·V, from the voltages without loads; conductor
 * temperatures are carried along as a fixed point, damped where a warmer wire lets so much less through that it would swing. On the
 * branch where the voltage holds, G stays positive definite: where its Cholesky factor fails, the part collapses; and so it does where a
 * load of constant current is left without a voltage. What rounding leaves of Kirchhoff's current law is given back to the branches.
 */
final class PartSolver {
    private static final int MOST_ITERATIONS = 400;
    private static final int MOST_MODE_CHANGES = 60;
    private static final double RELATIVE_V = 1e-12;
    private static final double TEMPERATURE_K = 1e-9;
    private static final int BISECTIONS = 30;
    /** Sum of currents at a node over the largest of them, at most. */
    private static final double KIRCHHOFF = 1e-10;

    private static final int MOST_REFINEMENTS = 6;

    /** What a limited source does. */
    private enum Mode {
        HOLDS,
        LIMITED,
        OFF
    }

    private final Element[] elements;
    private final int[] from;
    private final int[] to;
    private final List<String> nodes;
    private final Mode[] modes;
    private final double[] temperatureC;
    private final double[] damping;
    private final double[] offBeforeK;
    private final double[] v;
    private final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> factor =
            LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
    private final boolean forced;

    private PartSolver(Element[] elements, List<String> nodes, Map<String, Integer> index, boolean forced) {
        this.elements = elements;
        this.forced = forced;
        this.nodes = nodes;
        this.from = Arrays.stream(elements)
                .mapToInt(e -> index.getOrDefault(e.branch().from(), -1))
                .toArray();
        this.to = Arrays.stream(elements)
                .mapToInt(e -> index.getOrDefault(e.branch().to(), -1))
                .toArray();
        this.modes = new Mode[elements.length];
        this.temperatureC = new double[elements.length];
        this.damping = new double[elements.length];
        this.offBeforeK = new double[elements.length];
        this.v = new double[nodes.size() - 1];
    }

    /**
     * A solver for {@code part}, loads of constant current {@code forced} whatever their voltage, nodes in {@code order} where one is
     * known; null when it has no source.
     */
    static @Nullable PartSolver of(List<Element> part, boolean forced, @Nullable NodeOrder order) {
        String reference = part.stream()
                .filter(element -> element instanceof Element.Source || element instanceof Element.LimitedSource)
                .map(element -> element.branch().from())
                .findFirst()
                .orElse(null);
        if (reference == null) {
            return null;
        }
        List<String> nodes = order == null
                ? EliminationOrder.of(part.stream().map(Element::branch).toList(), reference)
                : order.of(part, reference);
        Map<String, Integer> index = new LinkedHashMap<>();
        for (int i = 0; i < nodes.size() - 1; i++) {
            index.put(nodes.get(i), i);
        }
        return new PartSolver(part.toArray(Element[]::new), nodes, index, forced);
    }

    /** Solves with all loads of power and current scaled by {@code share}; false on collapse. */
    boolean solve(double share) {
        for (int e = 0; e < elements.length; e++) {
            modes[e] = Mode.HOLDS;
            temperatureC[e] =
                    elements[e] instanceof Element.Wire wire ? wire.warmth().ambientC() : Double.NaN;
        }
        Arrays.fill(v, 0);
        if (!step(0, false)) {
            return false;
        }
        for (int change = 0; change < MOST_MODE_CHANGES; change++) {
            if (!iterate(share)) {
                return false;
            }
            if (!switchModes()) {
                return forced || IntStream.range(0, elements.length).noneMatch(e -> starves(e, share));
            }
        }
        return false;
    }

    private boolean starves(int e, double share) {
        return elements[e] instanceof Element.CurrentLoad load && share * load.currentA() > 0 && !(voltage(e) > 0);
    }

    private boolean iterate(double share) {
        Arrays.fill(damping, 1);
        Arrays.fill(offBeforeK, 0);
        double[] last = v.clone();
        for (int k = 0; k < MOST_ITERATIONS; k++) {
            if (!step(share, true)) {
                return false;
            }
            double warming = warm();
            double moved = 0;
            double highest = 0;
            for (int i = 0; i < v.length; i++) {
                moved = Math.max(moved, Math.abs(v[i] - last[i]));
                highest = Math.max(highest, Math.abs(v[i]));
            }
            if (moved <= RELATIVE_V * highest && warming <= TEMPERATURE_K) {
                return true;
            }
            System.arraycopy(v, 0, last, 0, v.length);
        }
        return false;
    }

    /** One linear solution into {@link #v}; false when the matrix is not positive definite or a power load has no voltage. */
    private boolean step(double share, boolean loads) {
        int n = v.length;
        DMatrixSparseTriplet g = new DMatrixSparseTriplet(n, n, 4 * elements.length);
        DMatrixRMaj i = new DMatrixRMaj(n, 1);
        for (int e = 0; e < elements.length; e++) {
            if (!stamp(e, share, loads, g, i)) {
                return false;
            }
        }
        DMatrixSparseCSC matrix = DConvertMatrixStruct.convert(g, (DMatrixSparseCSC) null);
        CommonOps_DSCC.duplicatesAdd(matrix, null);
        if (!factor.setA(matrix)) {
            return false;
        }
        DMatrixRMaj x = new DMatrixRMaj(n, 1);
        factor.solve(i, x);
        System.arraycopy(x.data, 0, v, 0, n);
        return Arrays.stream(v).allMatch(value -> Math.abs(value) <= Double.MAX_VALUE);
    }

    private boolean stamp(int e, double share, boolean loads, DMatrixSparseTriplet g, DMatrixRMaj i) {
        Element element = elements[e];
        if (element instanceof Element.PowerLoad load) {
            double volt = voltage(e);
            double power = load.powerW() * share;
            if (!loads || power == 0) {
                return true;
            }
            if (!(volt > 0)) {
                return false;
            }
            conductance(e, -power / (volt * volt), g);
            current(e, 2 * power / volt, i);
        } else if (element instanceof Element.CurrentLoad load) {
            current(e, loads ? share * load.currentA() : 0, i);
        } else if (element instanceof Element.LimitedSource source && modes[e] != Mode.HOLDS) {
            current(e, modes[e] == Mode.LIMITED ? source.maxA() : 0, i);
        } else {
            conductance(e, 1 / ohm(e), g);
            current(e, openV(element) / ohm(e), i);
        }
        return true;
    }

    private void conductance(int e, double siemens, DMatrixSparseTriplet g) {
        if (from[e] >= 0) {
            g.addItem(from[e], from[e], siemens);
        }
        if (to[e] >= 0) {
            g.addItem(to[e], to[e], siemens);
        }
        if (from[e] >= 0 && to[e] >= 0) {
            g.addItem(from[e], to[e], -siemens);
            g.addItem(to[e], from[e], -siemens);
        }
    }

    private void current(int e, double ampere, DMatrixRMaj i) {
        if (from[e] >= 0) {
            i.data[from[e]] -= ampere;
        }
        if (to[e] >= 0) {
            i.data[to[e]] += ampere;
        }
    }

    private static double openV(Element element) {
        if (element instanceof Element.Source source) {
            return source.openV();
        }
        return element instanceof Element.LimitedSource limited ? limited.setV() : 0;
    }

    private double ohm(int e) {
        Element element = elements[e];
        if (element instanceof Element.Wire wire) {
            return wire.ohmAt20() * (1 + wire.alphaPerK() * (temperatureC[e] - 20));
        }
        if (element instanceof Element.Resistor resistor) {
            return resistor.ohm();
        }
        if (element instanceof Element.ResistiveLoad load) {
            return load.ohm();
        }
        if (element instanceof Element.Source source) {
            return source.ohm();
        }
        return element instanceof Element.LimitedSource limited && modes[e] == Mode.HOLDS ? limited.ohm() : Double.NaN;
    }

    private double voltage(int e) {
        return (from[e] < 0 ? 0 : v[from[e]]) - (to[e] < 0 ? 0 : v[to[e]]);
    }

    private double currentA(int e) {
        Element element = elements[e];
        if (element instanceof Element.PowerLoad load) {
            return load.powerW() == 0 ? 0 : load.powerW() / voltage(e);
        }
        if (element instanceof Element.CurrentLoad load) {
            return load.currentA();
        }
        if (element instanceof Element.LimitedSource source && modes[e] != Mode.HOLDS) {
            return modes[e] == Mode.LIMITED ? source.maxA() : 0;
        }
        return (voltage(e) + openV(element)) / ohm(e);
    }

    /**
     * Brings the wires towards the temperatures of their currents, each by as much as its last step says (secant): a step of its full
     * length swings for good where a warmer wire lets much less through. What the furthest is off, K.
     */
    private double warm() {
        double most = 0;
        for (int e = 0; e < elements.length; e++) {
            if (elements[e] instanceof Element.Wire wire) {
                double offK = wire.warmth().temperatureC(currentA(e)) - temperatureC[e];
                most = Math.max(most, Math.abs(offK));
                double gainedK = offBeforeK[e] - offK;
                boolean measured = gainedK * offBeforeK[e] > 0;
                damping[e] = measured ? Math.min(1, damping[e] * offBeforeK[e] / gainedK) : 1;
                temperatureC[e] += damping[e] * offK;
                offBeforeK[e] = offK;
            }
        }
        return most;
    }

    /** Switches the limited source that breaks its bounds worst; false when all keep them. */
    private boolean switchModes() {
        int worst = -1;
        double excess = 1e-9;
        Mode next = Mode.HOLDS;
        for (int e = 0; e < elements.length; e++) {
            if (!(elements[e] instanceof Element.LimitedSource source)) {
                continue;
            }
            double wouldGive = (source.setV() + voltage(e)) / source.ohm();
            double beyond;
            Mode mode;
            if (modes[e] == Mode.HOLDS) {
                beyond = Math.max(wouldGive - source.maxA(), -wouldGive);
                mode = wouldGive < 0 ? Mode.OFF : Mode.LIMITED;
            } else {
                beyond = modes[e] == Mode.OFF ? wouldGive : source.maxA() - wouldGive;
                mode = Mode.HOLDS;
            }
            if (beyond / source.maxA() > excess) {
                worst = e;
                excess = beyond / source.maxA();
                next = mode;
            }
        }
        if (worst >= 0) {
            modes[worst] = next;
        }
        return worst >= 0;
    }

    /** Why it can't be solved: how much of the power loads can be fed, and which of them starve first. */
    NetworkFault fault() {
        return solve(0) && currents() != null ? collapse() : apart();
    }

    private NetworkFault apart() {
        List<String> loads = IntStream.range(0, elements.length)
                .filter(e -> elements[e].isLoad())
                .mapToObj(e -> elements[e].branch().id())
                .toList();
        return new NetworkFault(NetworkFault.Kind.TOO_FAR_APART, loads, 0);
    }

    private NetworkFault collapse() {
        double fed = 0;
        double refused = 1;
        for (int k = 0; k < BISECTIONS; k++) {
            double share = (fed + refused) / 2;
            if (solve(share)) {
                fed = share;
            } else {
                refused = share;
            }
        }
        boolean solved = solve(fed);
        List<Integer> loads = IntStream.range(0, elements.length)
                .filter(e -> elements[e].isLoad())
                .boxed()
                .sorted(Comparator.comparingDouble(e -> solved ? voltage(e) : 0))
                .toList();
        return new NetworkFault(
                NetworkFault.Kind.COLLAPSE,
                loads.stream().map(e -> elements[e].branch().id()).toList(),
                fed);
    }

    /** The node that counts as 0 V. */
    String reference() {
        return nodes.get(v.length);
    }

    /**
     * Currents of all elements, A. Across a wire of next to no resistance the voltage is the difference of two near figures: what that
     * leaves of the sum at each node is solved for once more and added to the branches that conduct. Null where no sum can be brought
     * to nought.
     */
    private double @Nullable [] currents() {
        double[] ampere = new double[elements.length];
        double largest = 0;
        for (int e = 0; e < elements.length; e++) {
            ampere[e] = currentA(e);
            largest = Math.max(largest, Math.abs(ampere[e]));
        }
        double limit = KIRCHHOFF * largest;
        for (int k = 0; k < MOST_REFINEMENTS; k++) {
            DMatrixRMaj left = new DMatrixRMaj(v.length, 1);
            for (int e = 0; e < elements.length; e++) {
                current(e, ampere[e], left);
            }
            if (Arrays.stream(left.data).allMatch(sum -> Math.abs(sum) <= limit)) {
                return ampere;
            }
            DMatrixRMaj shift = new DMatrixRMaj(v.length, 1);
            factor.solve(left, shift);
            for (int e = 0; e < elements.length; e++) {
                double ohm = ohm(e);
                if (!Double.isNaN(ohm)) {
                    double a = from[e] < 0 ? 0 : shift.data[from[e]];
                    double b = to[e] < 0 ? 0 : shift.data[to[e]];
                    ampere[e] += (a - b) / ohm;
                }
            }
        }
        return null;
    }

    /** Writes the solution; false where rounding leaves none that keeps Kirchhoff's laws. */
    boolean report(Map<String, Double> nodeV, Map<String, ElementState> states) {
        double[] ampere = currents();
        if (ampere == null) {
            return false;
        }
        for (int i = 0; i < v.length; i++) {
            nodeV.put(nodes.get(i), v[i]);
        }
        nodeV.put(reference(), 0.0);
        for (int e = 0; e < elements.length; e++) {
            states.put(elements[e].branch().id(), new ElementState(ampere[e], voltage(e), ohm(e), temperatureC[e]));
        }
        return true;
    }
}
