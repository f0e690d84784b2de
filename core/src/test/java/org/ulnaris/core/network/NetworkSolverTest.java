package org.ulnaris.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.network.Element.CurrentLoad;
import org.ulnaris.core.network.Element.LimitedSource;
import org.ulnaris.core.network.Element.PowerLoad;
import org.ulnaris.core.network.Element.ResistiveLoad;
import org.ulnaris.core.network.Element.Resistor;
import org.ulnaris.core.network.Element.Source;
import org.ulnaris.core.network.Element.Wire;

class NetworkSolverTest {
    @Test
    @CheckedAgainst(value = "Ohm's and Kirchhoff's laws, worked by hand", how = "exact")
    void aBatteryACableAHeater() {
        NetworkSolution solution = NetworkSolver.solve(new Network(
                List.of(battery("bank", 12.6, 0.01), wire("plus", "b+", "h+", 0.02), heater("h+", "b-", 1.23))));
        double expected = 12.6 / (0.01 + 0.02 + 1.23);
        assertThat(solution.state("plus").currentA()).isCloseTo(expected, within(1e-11));
        assertThat(solution.state("bank").currentA()).isCloseTo(expected, within(1e-11));
        assertThat(solution.state("bank").powerW()).isNegative();
        assertThat(solution.nodeV().get("b-")).isZero();
        assertThat(solution.lossW()).isCloseTo(expected * expected * 0.02, within(1e-9));
        assertThat(solution.fed()).isTrue();
    }

    /** P over R behind U: V = U/2 + √(U²/4 − P·R). */
    @ParameterizedTest
    @CheckedAgainst(value = "constant power behind a resistance: quadratic formula", how = "exact")
    @CsvSource({"24,0.02,3000", "12.8,0.005,2000", "48,0.1,5000", "12,0.0359,1000"})
    void constantPowerFollowsTheQuadratic(double volt, double ohm, double watt) {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                battery("bank", volt, ohm / 2), wire("plus", "b+", "i+", ohm / 2), inverter("i+", "b-", watt))));
        double expected = volt / 2 + Math.sqrt(volt * volt / 4 - watt * ohm);
        assertThat(solution.state("inverter").voltageV()).isCloseTo(expected, within(1e-9));
    }

    /** No more than U²/4R can be had. */
    @Test
    @CheckedAgainst(value = "maximum power transfer: P = U²/4R", how = "exact")
    void whatCannotBeFedIsSaidWithItsShare() {
        NetworkSolution solution = NetworkSolver.solve(new Network(
                List.of(battery("bank", 12, 0.02), wire("plus", "b+", "i+", 0.02), inverter("i+", "b-", 2000))));
        NetworkFault fault = solution.faults().get(0);
        assertThat(fault.kind()).isEqualTo(NetworkFault.Kind.COLLAPSE);
        assertThat(fault.elements()).containsExactly("inverter");
        assertThat(fault.feedableShare()).isCloseTo(12.0 * 12 / (4 * 0.04) / 2000, within(1e-4));
        assertThat(solution.states()).isEmpty();
    }

    /** No more than U/R can be had of a current; it is no negative voltage. */
    @Test
    @CheckedAgainst(value = "Ohm's law: short-circuit current I = U/R", how = "exact")
    void aCurrentBeyondWhatTheSourceGivesIsACollapse() {
        Network network = new Network(List.of(
                battery("bank", 12, 0.02),
                wire("plus", "b+", "w+", 0.02),
                new CurrentLoad(new Branch("winch", "w+", "b-"), 400)));
        NetworkFault fault = NetworkSolver.solve(network).faults().get(0);
        assertThat(fault.kind()).isEqualTo(NetworkFault.Kind.COLLAPSE);
        assertThat(fault.elements()).containsExactly("winch");
        assertThat(fault.feedableShare()).isCloseTo(0.75, within(1e-4));
        assertThat(NetworkSolver.forced(network).state("plus").currentA()).isCloseTo(400, within(1e-6));
    }

    @Test
    void aPartWithoutASourceIsNamedAndTheRestIsSolved() {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                battery("bank", 12, 0.01),
                heater("b+", "b-", 1),
                wire("stray", "x", "y", 0.1),
                new CurrentLoad(new Branch("lamp", "y", "x"), 2))));
        assertThat(solution.faults()).singleElement().satisfies(fault -> {
            assertThat(fault.kind()).isEqualTo(NetworkFault.Kind.NO_SOURCE);
            assertThat(fault.elements()).containsExactly("lamp");
        });
        assertThat(solution.state("heater").voltageV()).isPositive();
        assertThatThrownBy(() -> solution.state("lamp")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aWarmConductorResistsMore() {
        Wire wire = new Wire(new Branch("plus", "b+", "l+"), 0.01, new Warmth(30, 105, 200));
        NetworkSolution solution = NetworkSolver.solve(new Network(
                List.of(battery("bank", 24, 0.001), wire, new CurrentLoad(new Branch("load", "l+", "b-"), 150))));
        ElementState state = solution.state("plus");
        assertThat(state.temperatureC()).isCloseTo(30 + 75 * 0.5625, within(1e-9));
        assertThat(state.voltageV()).isCloseTo(150 * 0.01 * (1 + 0.00393 * (state.temperatureC() - 20)), within(1e-9));
        assertThat(solution.tooHot()).isEmpty();
        assertThat(NetworkSolver.solve(new Network(List.of(
                                battery("bank", 24, 0.001),
                                wire,
                                new CurrentLoad(new Branch("load", "l+", "b-"), 201))))
                        .tooHot())
                .containsExactly("plus");
        assertThat(wire.warmth().temperatureC(900))
                .as("never beyond what the table allows")
                .isEqualTo(105);
    }

    @ParameterizedTest
    @CsvSource({"60,60,29.2", "150,100,0", "-20,0,0"})
    void aChargerHoldsItsVoltageOrItsCurrentAndTakesNoneBack(double load, double charger, double voltage) {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                new LimitedSource(new Branch("charger", "b-", "b+"), 29.2, 1e-6, 100),
                new Source(new Branch("bank", "b-", "bank+"), 25.6, 0.2),
                new Resistor(new Branch("blocked", "bank+", "b+"), 1e6),
                new CurrentLoad(new Branch("load", "b+", "b-"), load))));
        if (load <= 100) {
            assertThat(solution.state("charger").currentA()).isCloseTo(charger, within(1e-3));
        }
        if (voltage > 0) {
            assertThat(solution.state("load").voltageV()).isCloseTo(voltage, within(1e-3));
        }
    }

    @Test
    void aChargerAtItsLimitSharesWithTheBank() {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                new LimitedSource(new Branch("charger", "b-", "b+"), 29.2, 0.001, 100),
                battery("bank", 25.6, 0.01),
                new CurrentLoad(new Branch("load", "b+", "b-"), 150))));
        assertThat(solution.state("charger").currentA()).isEqualTo(100);
        assertThat(solution.state("bank").currentA()).isCloseTo(50, within(1e-9));
    }

    @Test
    void oneEndWorksTheFirstStringHardest() {
        ParallelStrings bank = new ParallelStrings(4, 25.6, 0.004, 0.0005);
        List<Double> oneEnd = bank.sharesA(StringTap.ONE_END, 200);
        List<Double> opposite = bank.sharesA(StringTap.OPPOSITE_ENDS, 200);
        List<Double> equal = bank.sharesA(StringTap.EQUAL_LEADS, 200);
        assertThat(oneEnd).isSortedAccordingTo(Collections.reverseOrder());
        assertThat(opposite.get(0)).isCloseTo(opposite.get(3), within(1e-9));
        assertThat(equal).allSatisfy(share -> assertThat(share).isCloseTo(50, within(1e-9)));
        assertThat(ParallelStrings.imbalancePercent(oneEnd)).isGreaterThan(ParallelStrings.imbalancePercent(opposite));
        assertThat(oneEnd.stream().mapToDouble(Double::doubleValue).sum()).isCloseTo(200, within(1e-9));
    }

    /** Two strings, one link each way: the second has 2·R_link more before it. */
    @Test
    @CheckedAgainst(value = "current divider of two branches, by hand", how = "exact")
    void twoStringsDivideLikeTwoResistors() {
        List<Double> shares = new ParallelStrings(2, 12.8, 0.01, 0.001).sharesA(StringTap.ONE_END, 100);
        assertThat(shares.get(0)).isCloseTo(100 * 0.012 / 0.022, within(1e-9));
        List<Double> across = new ParallelStrings(2, 12.8, 0.01, 0.001).sharesA(StringTap.OPPOSITE_ENDS, 100);
        assertThat(across.get(0)).isCloseTo(50, within(1e-9));
    }

    @Test
    void aPathTellsWhoEatsTheDrop() {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                battery("bank", 12.6, 0.01),
                new Resistor(new Branch("fuse", "b+", "f"), 0.001),
                wire("plus", "f", "h+", 0.02),
                wire("minus", "b-", "h-", 0.015),
                heater("h+", "h-", 1))));
        PathDrop path = Paths.from(solution, "bank").to("heater").orElseThrow();
        assertThat(path.shares()).extracting(PathDrop.Share::id).containsExactly("fuse", "plus", "minus");
        assertThat(path.shares()).extracting(PathDrop.Share::back).containsExactly(false, false, true);
        double sum = path.shares().stream().mapToDouble(PathDrop.Share::dropV).sum();
        assertThat(path.dropV()).isCloseTo(sum, within(1e-12)).isPositive();
        assertThatThrownBy(() -> Paths.from(solution, "bank").to("nothing"))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    @CheckedAgainst(value = "Kirchhoff's laws to 1e-9 in random meshed networks", how = "exact")
    void kirchhoffHolds(long seed) {
        Network network = random(new Random(seed), 40, 12);
        NetworkSolution solution = NetworkSolver.solve(network);
        assertThat(solution.faults()).isEmpty();
        double largest = assertKirchhoff(network, solution);
        double power = network.elements().stream()
                .mapToDouble(element -> balance(element, solution))
                .sum();
        assertThat(power).isCloseTo(0, within(1e-8 * largest * 24));
    }

    /** Resistances from the least to the greatest that is accepted, in one network: solved, or said that it is not. */
    @Test
    @CheckedAgainst(value = "Kirchhoff's laws to 1e-9 over 18 decades of resistance", how = "exact")
    void kirchhoffHoldsForAllThatIsAccepted() {
        int fed = 0;
        for (long seed = 0; seed < 200; seed++) {
            Network network = apart(new Random(seed));
            NetworkSolution solution = NetworkSolver.solve(network);
            if (solution.fed()) {
                fed++;
                assertKirchhoff(network, solution);
            } else {
                assertThat(solution.states()).isEmpty();
                assertThat(solution.faults())
                        .extracting(NetworkFault::kind)
                        .containsExactly(NetworkFault.Kind.TOO_FAR_APART);
            }
        }
        assertThat(fed).isBetween(190, 199);
    }

    private static Network apart(Random random) {
        List<Element> elements = new ArrayList<>();
        elements.add(new Source(new Branch("bank", "0", "n0"), 25.6, spread(random)));
        for (int i = 1; i < 30; i++) {
            elements.add(wire("w" + i, "n" + random.nextInt(i), "n" + i, spread(random)));
            if (i % 3 == 0) {
                elements.add(wire("m" + i, "n" + random.nextInt(i), "n" + i, spread(random)));
                elements.add(new ResistiveLoad(new Branch("load" + i, "n" + i, "0"), spread(random)));
            }
        }
        return new Network(elements);
    }

    private static double spread(Random random) {
        return Element.OHM.check("ohm", Math.pow(10, -8.999 + 17.9 * random.nextDouble()));
    }

    /** The largest current. */
    private static double assertKirchhoff(Network network, NetworkSolution solution) {
        Map<String, Double> sums = new HashMap<>();
        double largest = 0;
        for (Element element : network.elements()) {
            double current = solution.state(element.branch().id()).currentA();
            sums.merge(element.branch().from(), -current, Double::sum);
            sums.merge(element.branch().to(), current, Double::sum);
            largest = Math.max(largest, Math.abs(current));
        }
        double limit = 1e-9 * largest;
        assertThat(sums.values()).allSatisfy(sum -> assertThat(Math.abs(sum)).isLessThan(limit));
        return largest;
    }

    /** Short-circuited, a thin wire is so much better when cold that each full step would swing back. */
    @ParameterizedTest
    @CsvSource({"10,0.01,0.001", "20,0.002,0.0005", "200,0.001,0.0001", "60,0.004,0.004"})
    @CheckedAgainst(value = "root of U = I·(R_i + R20·(1 + α·(T(I) − 20))), by bisection", how = "exact")
    void aWireThatSwingsIsSolved(double ampacityA, double ohmAt20, double bankOhm) {
        Warmth warmth = new Warmth(30, 400, ampacityA);
        Network network = new Network(List.of(
                battery("bank", 2 * ampacityA * ohmAt20, bankOhm),
                new Wire(new Branch("shorted", "b+", "b-"), ohmAt20, warmth)));
        double low = 0;
        double high = 1e6;
        for (int i = 0; i < 200; i++) {
            double current = (low + high) / 2;
            double ohm = ohmAt20 * (1 + 0.00393 * (warmth.temperatureC(current) - 20));
            if (current * (bankOhm + ohm) < 2 * ampacityA * ohmAt20) {
                low = current;
            } else {
                high = current;
            }
        }
        NetworkSolution solution = NetworkSolver.solve(network);
        assertThat(solution.faults()).isEmpty();
        assertThat(solution.state("shorted").currentA()).isCloseTo(low, within(1e-8 * low));
    }

    /** Sources count their open voltage times current as given, everything else as taken. */
    private static double balance(Element element, NetworkSolution solution) {
        ElementState state = solution.state(element.branch().id());
        return state.powerW();
    }

    @ParameterizedTest
    @CheckedAgainst("FAA AC 43.13-1B tables 11-7 and 11-8: drop of a run at 20 A by its Ω/ft")
    @CsvSource({
        "107,0.00044,0.942",
        "90,0.00028,0.504",
        "88,0.00202,3.6",
        "100,0.00306,6.12",
        "39,0.00126,0.98",
        "156,0.00126,3.93",
        "273,0.00126,6.88"
    })
    void aircraftDropRows(double feet, double ohmPerFoot, double drop) {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                battery("bus", 28, 1e-6),
                wire("run", "b+", "l+", feet * ohmPerFoot),
                new CurrentLoad(new Branch("load", "l+", "b-"), 20))));
        assertThat(Paths.from(solution, "bus").to("load").orElseThrow().dropV()).isCloseTo(drop, withPercentage(1.5));
    }

    @Test
    void scaledVoltagesAndResistancesScaleTheCurrents() {
        Network network =
                new Network(List.of(battery("bank", 12, 0.01), wire("plus", "b+", "h+", 0.02), heater("h+", "b-", 1)));
        Network scaled =
                new Network(List.of(battery("bank", 24, 0.04), wire("plus", "b+", "h+", 0.08), heater("h+", "b-", 4)));
        double one = NetworkSolver.solve(network).state("plus").currentA();
        double half = NetworkSolver.solve(scaled).state("plus").currentA();
        assertThat(half).isCloseTo(one / 2, within(1e-12 * one));
    }

    /** An order that is known beforehand changes the work, not the answer; nor does more wiring than there is. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void aKnownOrderGivesTheSameAnswer(long seed) {
        Network network = random(new Random(seed), 40, 12);
        List<Branch> wiring = new ArrayList<>();
        network.elements().forEach(element -> wiring.add(element.branch()));
        wiring.add(new Branch("switched off", "n3", "elsewhere"));
        List<Element> more = new ArrayList<>(network.elements());
        more.add(new CurrentLoad(new Branch("between", "n3", "elsewhere"), 2));
        for (Network one : List.of(network, new Network(more))) {
            NetworkSolution free = NetworkSolver.solve(one);
            NetworkSolution ordered = NetworkSolver.solve(one, NodeOrder.of(wiring));
            assertThat(ordered.references()).isEqualTo(free.references());
            assertThat(ordered.faults()).isEqualTo(free.faults());
            assertThat(ordered.states()).hasSameSizeAs(free.states());
            free.states()
                    .forEach((id, state) ->
                            assertThat(ordered.state(id).currentA()).isCloseTo(state.currentA(), within(1e-8)));
        }
        assertThatThrownBy(() -> NetworkSolver.solve(network, NodeOrder.of(wiring.subList(0, 1))))
                .hasMessageContaining("no branch of the order");
    }

    @Test
    void namesAndRangesAreChecked() {
        assertThatThrownBy(() -> new Branch("a", "x", "x")).hasMessageContaining("two nodes");
        assertThatThrownBy(() -> new Branch(" ", "x", "y")).hasMessageContaining("blank");
        assertThatThrownBy(() -> new Resistor(new Branch("r", "x", "y"), Double.NaN))
                .hasMessageContaining("ohm");
        assertThatThrownBy(() -> new Network(List.of(heater("x", "y", 1), heater("x", "y", 1))))
                .hasMessageContaining("two elements are named");
        assertThatThrownBy(() -> new Warmth(80, 60, 10)).hasMessageContaining("maxC");
        assertThatThrownBy(() -> new ParallelStrings(0, 12, 0.01, 0.01)).hasMessageContaining("count");
    }

    static Source battery(String id, double volt, double ohm) {
        return new Source(new Branch(id, "b-", "b+"), volt, ohm);
    }

    static Resistor wire(String id, String from, String to, double ohm) {
        return new Resistor(new Branch(id, from, to), ohm);
    }

    static ResistiveLoad heater(String from, String to, double ohm) {
        return new ResistiveLoad(new Branch("heater", from, to), ohm);
    }

    static PowerLoad inverter(String from, String to, double watt) {
        return new PowerLoad(new Branch("inverter", from, to), watt);
    }

    /** A random tree of warm wires with some meshes, several banks, a charger, loads of every kind. */
    static Network random(Random random, int nodes, int loads) {
        List<Element> elements = new ArrayList<>();
        elements.add(new Source(new Branch("bank 1", "0", "n0"), 25.6, 0.004));
        elements.add(new Source(new Branch("bank 2", "0", "n1"), 25.5, 0.006));
        elements.add(new LimitedSource(new Branch("charger", "0", "n2"), 28.4, 0.002, 40));
        for (int i = 1; i < nodes; i++) {
            elements.add(wire(random, "w" + i, "n" + random.nextInt(i), "n" + i));
        }
        for (int i = 0; i < nodes / 8; i++) {
            elements.add(wire(random, "mesh" + i, "n" + random.nextInt(nodes / 2), "n" + (nodes / 2 + i)));
        }
        for (int i = 0; i < loads; i++) {
            Branch branch = new Branch("load" + i, "n" + random.nextInt(nodes), "0");
            elements.add(
                    switch (i % 3) {
                        case 0 -> new CurrentLoad(branch, 1 + 20 * random.nextDouble());
                        case 1 -> new PowerLoad(branch, 20 + 300 * random.nextDouble());
                        default -> new ResistiveLoad(branch, 1 + 10 * random.nextDouble());
                    });
        }
        return new Network(elements);
    }

    private static Wire wire(Random random, String id, String from, String to) {
        return new Wire(
                new Branch(id, from, to),
                0.0005 + 0.004 * random.nextDouble(),
                new Warmth(30, 105, 150 + 100 * random.nextDouble()));
    }
}
