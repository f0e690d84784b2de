package org.ulnaris.core.feed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.FaultCurrents;

/**
 * Short circuits in an installation, loads and chargers left out: of fresh and full batteries for what a fuse has to
 * break, of tired ones for how long it takes. A fault goes to the minus of a bank that feeds it.
 */
public final class FaultNetwork {
    /** A fault without a resistance of its own. */
    public static final double DEAD_OHM = 1e-6;

    /** Internal resistance of an old or cold battery ÷ that of a fresh one (common practice: twice). */
    static final double TIRED = 2;

    private final Nets nets;
    private final List<FaultCurrents> islands = new ArrayList<>();

    private FaultNetwork(Installation installation, Nets nets, ToDoubleFunction<Run> ohm, boolean tired) {
        this.nets = nets;
        List<Element> elements = new ArrayList<>();
        for (Device device : installation.devices()) {
            element(device, tired).ifPresent(elements::add);
        }
        for (Run run : installation.runs()) {
            element(run, ohm.applyAsDouble(run)).ifPresent(elements::add);
        }
        for (Nets.Source source : nets.sources()) {
            if (source.isBank() && islands.stream().noneMatch(island -> island.knows(source.minus()))) {
                islands.add(FaultCurrents.of(elements, source.minus()));
            }
        }
    }

    /** Of fresh and full batteries, over conductors of {@code ohm}, Ω. */
    public static FaultNetwork fresh(Installation installation, Nets nets, ToDoubleFunction<Run> ohm) {
        return new FaultNetwork(installation, nets, ohm, false);
    }

    /** Of tired batteries at rest, over conductors of {@code ohm}, Ω. */
    public static FaultNetwork tired(Installation installation, Nets nets, ToDoubleFunction<Run> ohm) {
        return new FaultNetwork(installation, nets, ohm, true);
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

    private static Optional<Element> element(Run run, double ohm) {
        String from = run.from().node();
        String to = run.to().node();
        return from.equals(to)
                ? Optional.empty()
                : Optional.of(new Element.Resistor(new Branch(run.tag(), from, to), ohm));
    }

    /** The greatest current into a fault of {@code ohm} from {@code node} to the minus of a bank that feeds it, A; empty where none does. */
    public OptionalDouble currentA(String node, double ohm) {
        return nets.lifting(node).stream()
                .filter(Nets.Source::isBank)
                .mapToDouble(bank -> currentA(node, bank.minus(), ohm))
                .filter(current -> current > 0)
                .max();
    }

    /** The greatest current of a bank whose minus is on the net of {@code node}: what a fuse in its minus has to break, A. */
    public OptionalDouble throughMinusA(String node) {
        return nets.sources().stream()
                .filter(source -> source.isBank() && nets.same(source.minus(), node))
                .mapToDouble(bank -> currentA(bank.plus(), node, DEAD_OHM))
                .filter(current -> current > 0)
                .max();
    }

    /** What a fault of {@code ohm} draws between two nodes, A; 0 where no way leads round. */
    public double betweenA(String node, String sink, double ohm) {
        return currentA(node, sink, ohm);
    }

    private double currentA(String node, String sink, double ohm) {
        return islands.stream()
                .mapToDouble(island -> island.currentA(node, sink, ohm))
                .max()
                .orElse(0);
    }
}
