package org.ulnaris.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ulnaris.core.network.NetworkSolverTest.battery;
import static org.ulnaris.core.network.NetworkSolverTest.heater;
import static org.ulnaris.core.network.NetworkSolverTest.inverter;
import static org.ulnaris.core.network.NetworkSolverTest.wire;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.network.Element.CurrentLoad;
import org.ulnaris.core.network.Element.LimitedSource;
import org.ulnaris.core.network.Element.PowerLoad;
import org.ulnaris.core.network.Element.Source;
import org.ulnaris.core.network.Element.Wire;

/** The same networks in ngspice, a general-purpose circuit simulator. */
class SpiceNetlistTest {
    private static final double RELATIVE = 1e-6;

    @TempDir
    Path folder;

    static Stream<Arguments> networks() {
        List<Arguments> all = new ArrayList<>();
        all.add(Arguments.of(
                "heater",
                new Network(List.of(
                        battery("bank", 12.6, 0.01), wire("plus", "b+", "h+", 0.02), heater("h+", "b-", 1.2)))));
        all.add(Arguments.of(
                "inverter",
                new Network(List.of(
                        battery("bank", 25.6, 0.004),
                        wire("plus", "b+", "i+", 0.003),
                        wire("minus", "i-", "b-", 0.003),
                        inverter("i+", "i-", 3000)))));
        all.add(Arguments.of(
                "near collapse",
                new Network(List.of(
                        battery("bank", 12, 0.02), wire("plus", "b+", "i+", 0.0159), inverter("i+", "b-", 1000)))));
        all.add(Arguments.of(
                "loop",
                new Network(List.of(
                        battery("bank", 48, 0.01),
                        wire("ring 1", "b+", "r1", 0.01),
                        wire("ring 2", "r1", "r2", 0.02),
                        wire("ring 3", "r2", "b+", 0.015),
                        new CurrentLoad(new Branch("pump", "r1", "b-"), 40),
                        new PowerLoad(new Branch("heater", "r2", "b-"), 900)))));
        all.add(Arguments.of(
                "charger at its limit",
                new Network(List.of(
                        battery("bank", 25.6, 0.01),
                        new LimitedSource(new Branch("charger", "b-", "c+"), 29.2, 0.002, 70),
                        wire("charge", "c+", "b+", 0.004),
                        new CurrentLoad(new Branch("load", "b+", "b-"), 20)))));
        all.add(Arguments.of(
                "charger holding",
                new Network(List.of(
                        battery("bank", 28.9, 0.05),
                        new LimitedSource(new Branch("charger", "b-", "c+"), 29.2, 0.002, 70),
                        wire("charge", "c+", "b+", 0.004)))));
        all.add(Arguments.of(
                "two parts",
                new Network(List.of(
                        battery("bank", 12, 0.01),
                        heater("b+", "b-", 1),
                        new Source(new Branch("start bank", "s-", "s+"), 12.7, 0.006),
                        new CurrentLoad(new Branch("starter", "s+", "s-"), 300)))));
        all.add(Arguments.of(
                "warm wire",
                new Network(List.of(
                        battery("bank", 24, 0.002),
                        new Wire(new Branch("plus", "b+", "w+"), 0.006, new Warmth(40, 105, 180)),
                        new PowerLoad(new Branch("winch", "w+", "b-"), 3600)))));
        for (StringTap tap : StringTap.values()) {
            List<Element> bank = new ArrayList<>(new ParallelStrings(4, 25.6, 0.004, 0.0004).elements(tap));
            bank.add(new PowerLoad(new Branch("inverter", ParallelStrings.PLUS, ParallelStrings.MINUS), 3000));
            all.add(Arguments.of("four strings, " + tap, new Network(bank)));
        }
        for (long seed = 11; seed < 111; seed++) {
            int nodes = 10 + (int) seed % 50;
            all.add(Arguments.of("random " + seed, NetworkSolverTest.random(new Random(seed), nodes, nodes / 3)));
        }
        return all.stream();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("networks")
    @CheckedAgainst(
            value = "ngspice 39: operating point of the netlist as it is downloaded, node voltages within 1e-6",
            how = "computed in the test")
    void agreesWithNgspice(String name, Network network) throws Exception {
        NetworkSolution solution = NetworkSolver.solve(network);
        assertThat(solution.faults()).isEmpty();
        Map<String, String> names = SpiceNetlist.nodeNames(solution);
        Map<String, Double> spice = Ngspice.nodeVoltages(SpiceNetlist.of(solution), folder);
        double scale =
                solution.nodeV().values().stream().mapToDouble(Math::abs).max().orElseThrow();
        assertThat(names).hasSize(solution.nodeV().size());
        names.forEach((node, spiceName) -> {
            double expected = spiceName.equals("0") ? 0 : spice.getOrDefault(spiceName, Double.NaN);
            assertThat(solution.nodeV().get(node)).as(name + ": " + node).isCloseTo(expected, within(RELATIVE * scale));
        });
    }

    @Test
    void namesStayInComments() {
        NetworkSolution solution = NetworkSolver.solve(new Network(List.of(
                new Source(new Branch("bank\n.end", "b-", "b+"), 12, 0.01),
                new CurrentLoad(new Branch("lamp", "b+", "b-"), 2))));
        assertThat(SpiceNetlist.of(solution).lines().filter(line -> line.equals(".end")))
                .hasSize(1);
    }
}
