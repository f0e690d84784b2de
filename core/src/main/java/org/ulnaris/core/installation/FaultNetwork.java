package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.FaultCurrents;

/** Short circuits in an installation: banks at charging voltage, conductors at 20 °C, loads and chargers left out. */
final class FaultNetwork {
    /** A fault without a resistance of its own. */
    static final double DEAD_OHM = 1e-6;

    private static final double LEAST_A = 0.001;

    private final Optional<FaultCurrents> currents;

    FaultNetwork(InstallationResult result) {
        List<Element> elements = new ArrayList<>();
        String minus = null;
        for (Device device : result.installation().devices()) {
            if (device instanceof Device.Bank bank && minus == null) {
                minus = bank.at(Port.MINUS).node();
            }
            element(device).ifPresent(elements::add);
        }
        for (RunResult run : result.runs()) {
            element(run).ifPresent(elements::add);
        }
        this.currents = faults(elements, minus);
    }

    private static Optional<FaultCurrents> faults(List<Element> elements, @Nullable String minus) {
        return minus == null ? Optional.empty() : Optional.of(FaultCurrents.of(elements, minus));
    }

    private static Optional<Element> element(Device device) {
        if (device instanceof Device.Bank bank) {
            return Optional.of(new Element.Source(
                    bank.branch(Port.MINUS, Port.PLUS),
                    bank.build().chargeV(),
                    bank.build().ohm()));
        } else if (device instanceof Device.Fuse fuse) {
            return Optional.of(new Element.Resistor(fuse.branch(Port.IN, Port.OUT), fuse.ohm()));
        } else if (device instanceof Device.Link link) {
            return Optional.of(new Element.Resistor(link.branch(Port.IN, Port.OUT), link.ohm()));
        }
        return Optional.empty();
    }

    private static Optional<Element> element(RunResult run) {
        String from = run.run().from().node();
        String to = run.run().to().node();
        return from.equals(to)
                ? Optional.empty()
                : Optional.of(new Element.Resistor(new Branch(run.run().tag(), from, to), ohm(run)));
    }

    /** Resistance of a run at 20 °C, Ω. */
    static double ohm(RunResult run) {
        return ConductorResistance.ohmPerMetreAt20(run.inUse().conductor())
                * run.run().lengthM();
    }

    /** Current into a fault of {@code ohm} from {@code node} to the minus of the first bank, A; next to nothing without a bank. */
    double currentA(String node, double ohm) {
        return Math.max(
                LEAST_A, currents.map(known -> known.currentA(node, ohm)).orElse(LEAST_A));
    }
}
