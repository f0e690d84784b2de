package org.ulnaris.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;

class FaultCurrentsTest {
    private static Element source(String id, String minus, String plus, double volt) {
        return new Element.Source(new Branch(id, minus, plus), volt, 0.004);
    }

    private static Element resistor(String id, String from, String to, double ohm) {
        return new Element.Resistor(new Branch(id, from, to), ohm);
    }

    /** U / (R_source + R_cable + R_fault). */
    @Test
    @CheckedAgainst(value = "Ohm's law: 12.8 V behind 4 mΩ through 6 mΩ", how = "published")
    void aSimpleLoop() {
        FaultCurrents faults =
                FaultCurrents.of(List.of(source("B", "m", "p", 12.8), resistor("W", "p", "x", 0.006)), "m");
        assertThat(faults.currentA("p", "m", 0)).isCloseTo(12.8 / 0.004, withinPercentage(1e-9));
        assertThat(faults.currentA("x", "m", 0)).isCloseTo(1280, withinPercentage(1e-9));
        assertThat(faults.currentA("x", "m", 0.01)).isCloseTo(640, withinPercentage(1e-9));
        assertThat(faults.currentA("elsewhere", "m", 0)).isZero();
    }

    /** The fault solved as an element of the network says the same, whatever the network. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void asTheWholeNetworkSaysWithTheFaultInIt(int seed) {
        Random random = new Random(seed);
        List<Element> elements = new ArrayList<>();
        elements.add(source("B0", "n0", "n1", 24 + random.nextDouble()));
        int nodes = 12;
        for (int n = 2; n < nodes; n++) {
            elements.add(resistor("T" + n, "n" + random.nextInt(n), "n" + n, 0.0005 + 0.02 * random.nextDouble()));
        }
        for (int i = 0; i < 6; i++) {
            int a = random.nextInt(nodes);
            int b = (a + 1 + random.nextInt(nodes - 1)) % nodes;
            elements.add(resistor("L" + i, "n" + a, "n" + b, 0.001 + 0.03 * random.nextDouble()));
        }
        elements.add(source("B1", "n0", "n5", 25));
        elements.add(resistor("alone", "far", "away", 1));
        FaultCurrents faults = FaultCurrents.of(elements, "n0");
        for (int n = 1; n < nodes; n++) {
            double ohm = 1e-6 + 0.01 * random.nextDouble();
            String sink = "n" + random.nextInt(n);
            List<Element> shorted = new ArrayList<>(elements);
            shorted.add(resistor("fault", "n" + n, sink, ohm));
            double expected = Math.abs(
                    NetworkSolver.solve(new Network(shorted)).state("fault").currentA());
            assertThat(faults.currentA("n" + n, sink, ohm)).isCloseTo(expected, within(1e-6 * (1 + expected)));
        }
    }

    @Test
    void onlySourcesAndResistors() {
        Element load = new Element.CurrentLoad(new Branch("I", "p", "m"), 3);
        assertThatThrownBy(() -> FaultCurrents.of(List.of(source("B", "m", "p", 12), load), "m"))
                .hasMessageContaining("I");
    }
}
