package org.ulnaris.core.overcurrent;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.InstallationResult;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.RunResult;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.FaultCurrents;

/**
 * Short circuits in an installation, conductors at 20 °C, loads and chargers left out: of fresh and full batteries for what a fuse has to
 * break, of tired ones for how long it takes. A fault goes to the minus of a bank that feeds it.
 */
final class FaultNetwork {
    /** A fault without a resistance of its own. */
    static final double DEAD_OHM = 1e-6;

    /** Internal resistance of an old or cold battery ÷ that of a fresh one (common practice: twice). */
    static final double TIRED = 2;

    private final Nets nets;
    private final List<FaultCurrents> islands = new ArrayList<>();

    private FaultNetwork(InstallationResult result, Nets nets, boolean tired) {
        this.nets = nets;
        List<Element> elements = new ArrayList<>();
        for (Device device : result.installation().devices()) {
            element(device, tired).ifPresent(elements::add);
        }
        for (RunResult run : result.runs()) {
            element(run).ifPresent(elements::add);
        }
        for (Nets.Source source : nets.sources()) {
            if (source.isBank() && islands.stream().noneMatch(island -> island.knows(source.minus()))) {
                islands.add(FaultCurrents.of(elements, source.minus()));
            }
        }
    }

    /** Of fresh and full batteries. */
    static FaultNetwork fresh(InstallationResult result, Nets nets) {
        return new FaultNetwork(result, nets, false);
    }

    /** Of tired batteries at rest. */
    static FaultNetwork tired(InstallationResult result, Nets nets) {
        return new FaultNetwork(result, nets, true);
    }

    private static Optional<Element> element(Device device, boolean tired) {
        if (device instanceof Device.Bank bank) {
            Device.BankBuild build = bank.build();
            return Optional.of(new Element.Source(
                    bank.branch(Port.MINUS, Port.PLUS),
                    tired ? build.restV() : build.chargeV(),
                    tired ? TIRED * build.ohm() : build.ohm()));
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

    /** The greatest current into a fault of {@code ohm} from {@code node} to the minus of a bank that feeds it, A; empty where none does. */
    OptionalDouble currentA(String node, double ohm) {
        return nets.lifting(node).stream()
                .filter(Nets.Source::isBank)
                .mapToDouble(bank -> currentA(node, bank.minus(), ohm))
                .filter(current -> current > 0)
                .max();
    }

    /** The greatest current of a bank whose minus is on the net of {@code node}: what a fuse in its minus has to break, A. */
    OptionalDouble throughMinusA(String node) {
        return nets.sources().stream()
                .filter(source -> source.isBank() && nets.same(source.minus(), node))
                .mapToDouble(bank -> currentA(bank.plus(), node, DEAD_OHM))
                .filter(current -> current > 0)
                .max();
    }

    private double currentA(String node, String sink, double ohm) {
        return islands.stream()
                .mapToDouble(island -> island.currentA(node, sink, ohm))
                .max()
                .orElse(0);
    }
}
