package org.ulnaris.core.solving;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.Network;
import org.ulnaris.core.network.Warmth;

/**
 * Translates an installation in one case into a network. A bar's studs are one node; a conductor that is not rated counts at its
 * ambient temperature.
 */
final class CaseNetwork {
    /** How the loads count. */
    enum Purpose {
        /**
         * What a cable must carry: loads at their lowest working voltage, chargers at their rated current wherever a bank takes it, for
         * an empty bank takes all of it.
         */
        SIZING,
        /** Powers at the voltage that arrives, banks at rest: what will be measured. */
        SERVICE,
        /** Powers at the voltage that arrives, each bank down to the voltage at which it is cut off, no charger. */
        EMPTY
    }

    /** A controller holds its voltage: next to nothing lies behind it, Ω. */
    private static final double INPUT_OHM = 1e-6;

    private static final Warmth COLD = new Warmth(20, 20, 1);

    private final Installation installation;
    private final Nets nets;
    private final Branches branches;
    private final Map<String, RunSize> sizes;
    private final Map<String, Double> sagV;

    /**
     * A run with its size in this round.
     *
     * @param conductor the conductor
     * @param ohmAt20 its resistance with its joints at 20 °C, Ω
     * @param warmth what its temperature follows
     */
    record RunSize(Conductor conductor, double ohmAt20, Warmth warmth) {
        static RunSize of(Run run, Conductor conductor, Warmth warmth) {
            return new RunSize(
                    conductor,
                    ConductorResistance.ohmPerMetreAt20(conductor) * run.lengthM() + Joints.ohm(run, conductor),
                    warmth);
        }

        static Warmth cold() {
            return COLD;
        }
    }

    CaseNetwork(Installation installation, Nets nets, Branches branches, Map<String, RunSize> sizes) {
        this(installation, nets, branches, sizes, Map.of());
    }

    private CaseNetwork(
            Installation installation,
            Nets nets,
            Branches branches,
            Map<String, RunSize> sizes,
            Map<String, Double> sagV) {
        this.installation = installation;
        this.nets = nets;
        this.branches = branches;
        this.sizes = sizes;
        this.sagV = sagV;
    }

    /** The same with what each bank loses inside itself, V, by tag: a bank is cut off by the voltage at its poles. */
    CaseNetwork sagging(Map<String, Double> lossV) {
        return new CaseNetwork(installation, nets, branches, sizes, lossV);
    }

    /** The network of {@code operating}; with {@code surging} the surges run as well. */
    Network of(OperatingCase operating, Purpose purpose, boolean surging) {
        List<Element> elements = new ArrayList<>();
        for (Device device : installation.devices()) {
            add(device, operating.state(device.tag()), new Mode(purpose, surging), elements);
        }
        for (Run run : installation.runs()) {
            RunSize size = sizes.get(run.tag());
            if (size != null && branches.joins(run)) {
                elements.add(new Element.Wire(
                        branches.of(run),
                        size.ohmAt20(),
                        size.warmth(),
                        size.conductor().metal().alphaPerK()));
            }
        }
        return new Network(elements);
    }

    private record Mode(Purpose purpose, boolean surging) {}

    private void add(Device device, State state, Mode mode, List<Element> elements) {
        if (device instanceof Device.Bank bank) {
            elements.add(new Element.Source(
                    branches.of(bank, Port.MINUS),
                    mode.purpose() == Purpose.EMPTY
                            ? bank.build().lowestV() + sagV.getOrDefault(bank.tag(), 0.0)
                            : bank.build().restV(),
                    bank.build().ohm()));
        } else if (device instanceof Device.Fuse fuse) {
            elements.add(new Element.Resistor(branches.of(device, Port.IN), fuse.ohm()));
        } else if (device instanceof Device.Link link) {
            elements.add(new Element.Resistor(branches.of(device, Port.IN), link.ohm()));
        } else if (device instanceof Device.PanelInput input) {
            if (mode.purpose() != Purpose.EMPTY) {
                panelSide(input).ifPresent(elements::add);
            }
        } else if (device instanceof Device.Charger charger
                && mode.purpose() != Purpose.EMPTY
                && gives(charger, state)) {
            elements.add(source(charger, mode.purpose()));
        } else if (device instanceof Device.Consumer consumer && state == State.IDLE && consumer.idleW() > 0) {
            elements.add(new Element.PowerLoad(branches.of(consumer, Port.PLUS), consumer.idleW()));
        } else if (device instanceof Device.Consumer consumer && state != State.OFF && state != State.IDLE) {
            boolean surging =
                    mode.surging() && state == State.SURGE && consumer.draw().surgeS() > 0;
            elements.add(load(consumer, mode.purpose(), surging));
        }
    }

    /** The sun shines in every case. */
    private static boolean gives(Device.Charger charger, State state) {
        return charger.panels() != null || state != State.OFF && state != State.IDLE;
    }

    private Element source(Device.Charger charger, Purpose purpose) {
        PanelString panels = charger.panels();
        if (panels != null && nets.input(charger).isPresent()) {
            return new Element.CurrentLoad(
                    branches.of(charger, Port.PLUS), purpose == Purpose.SIZING ? -charger.maxA() : -panels.workA());
        }
        return purpose == Purpose.SIZING && chargesABank(charger)
                ? new Element.CurrentLoad(branches.of(charger, Port.PLUS), -charger.maxA())
                : new Element.LimitedSource(
                        branches.of(charger, Port.MINUS), charger.setV(), charger.ohm(), charger.maxA());
    }

    /** A controller holds its panels at the voltage at which they give most, and takes whatever current that is. */
    private Optional<Element> panelSide(Device.PanelInput input) {
        OptionalDouble workV = nets.panels(input).stream()
                .filter(panels -> nets.input(panels).filter(input::equals).isPresent())
                .mapToDouble(Device.Charger::setV)
                .min();
        return workV.isEmpty()
                ? Optional.empty()
                : Optional.of(new Element.Source(branches.of(input, Port.MINUS), workV.getAsDouble(), INPUT_OHM));
    }

    private boolean chargesABank(Device.Charger charger) {
        return nets.lifting(charger.at(Port.PLUS).node()).stream()
                .anyMatch(source -> source.isBank()
                        && nets.same(source.minus(), charger.at(Port.MINUS).node()));
    }

    private Element load(Device.Consumer consumer, Purpose purpose, boolean surging) {
        Branch branch = branches.of(consumer, Port.PLUS);
        Device.Draw draw = consumer.draw();
        if (purpose == Purpose.SIZING && draw.kind() == Device.DrawKind.POWER) {
            return new Element.CurrentLoad(branch, draw.sizingA(surging));
        }
        double amount = surging ? draw.surge() : draw.value();
        return switch (draw.kind()) {
            case POWER -> new Element.PowerLoad(branch, draw.inputW(surging));
            case CURRENT -> new Element.CurrentLoad(branch, amount);
            case RESISTANCE -> new Element.ResistiveLoad(branch, amount);
        };
    }
}
