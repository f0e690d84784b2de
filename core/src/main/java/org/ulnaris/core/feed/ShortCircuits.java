package org.ulnaris.core.feed;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.ProtectedCable;

/**
 * What short circuits draw: from fresh batteries over cold conductors for what has to be broken, from tired ones over conductors at their
 * rated temperature for how long it takes (IEC 60909's rule for least currents, recalled).
 */
public final class ShortCircuits {
    private static final double LEAST_A = 0.001;

    private final Nets nets;
    private final FaultNetwork fresh;
    private final FaultNetwork tired;
    private final ToDoubleFunction<Run> ohm;
    private final Map<String, String> across = new HashMap<>();

    /** Over conductors of {@code ohm} at 20 °C, Ω. */
    public ShortCircuits(Installation installation, Nets nets, ToDoubleFunction<Run> ohm) {
        this.nets = nets;
        this.fresh = FaultNetwork.fresh(installation, nets, ohm);
        this.tired = FaultNetwork.tired(installation, nets, run -> warmth(run) * ohm.applyAsDouble(run));
        this.ohm = ohm;
        for (Device device : installation.devices()) {
            if (device.isAppliance()) {
                across.put(device.at(Port.PLUS).node(), device.at(Port.MINUS).node());
            }
        }
    }

    /** Resistance at the temperature that its insulation is rated for ÷ that at 20 °C. */
    private static double warmth(Run run) {
        return ConductorResistance.temperatureFactor(
                run.laying().metal(), run.laying().conditions().insulationTempC());
    }

    /**
     * What a fault at either end of a conductor draws: at a load or charger between its poles, through the return that is there; elsewhere
     * through a return like the conductor itself.
     *
     * @param conductorOhm its resistance, Ω: in its own size as in any other
     */
    public ProtectedCable.Supply supply(Fed one, double conductorOhm) {
        double nearA = fresh.currentA(one.near(), FaultNetwork.DEAD_OHM).orElseGet(() -> chargersA(one.near()));
        double more = conductorOhm - ohm.applyAsDouble(one.run());
        double farA = through(one, Math.max(FaultNetwork.DEAD_OHM, warmth(one.run()) * more))
                .or(() -> alike(one, warmth(one.run()) * (conductorOhm + more)))
                .orElseGet(() -> chargersA(one.near()));
        double mostA = Optional.ofNullable(across.get(one.far()))
                .map(minus -> fresh.betweenA(one.far(), minus, Math.max(FaultNetwork.DEAD_OHM, more)))
                .filter(current -> current > LEAST_A)
                .orElse(farA);
        return new ProtectedCable.Supply(
                Math.max(LEAST_A, nets.highestV(one.near())),
                nearA,
                farA,
                Math.max(farA, mostA),
                isTypical(one.near()));
    }

    private Optional<Double> alike(Fed one, double returnOhm) {
        OptionalDouble current = tired.currentA(one.far(), Math.max(FaultNetwork.DEAD_OHM, returnOhm));
        return current.isPresent() ? Optional.of(current.getAsDouble()) : Optional.empty();
    }

    /** At the poles of the piece that a conductor leads to; empty where it leads to none, or none leads back from there. */
    private Optional<Double> through(Fed one, double moreOhm) {
        return Optional.ofNullable(across.get(one.far()))
                .map(minus -> tired.betweenA(one.far(), minus, moreOhm))
                .filter(current -> current > LEAST_A);
    }

    /** What a fault between the poles of the piece that {@code one} leads to drives through its return; empty where none leads back. */
    public Optional<ProtectedCable.Supply> back(Fed one) {
        return Optional.ofNullable(across.get(one.far()))
                .filter(minus -> tired.betweenA(one.far(), minus, FaultNetwork.DEAD_OHM) > LEAST_A)
                .map(minus -> new ProtectedCable.Supply(
                        Math.max(LEAST_A, nets.highestV(one.near())),
                        fresh.betweenA(one.far(), minus, FaultNetwork.DEAD_OHM),
                        tired.betweenA(one.far(), minus, FaultNetwork.DEAD_OHM),
                        isTypical(one.near())));
    }

    /** What a fuse has to break and withstand: its own resistance counts for nothing. */
    public ProtectedCable.Supply supply(FuseSide side) {
        double faultA = faultA(side);
        return new ProtectedCable.Supply(
                Math.max(LEAST_A, nets.highestV(side.near())), faultA, faultA, isTypical(side.near()));
    }

    private boolean isTypical(String node) {
        return !typicalBanks(node).isEmpty();
    }

    /** The banks that feed what a fuse has to break, and of which only the usual resistance of their kind is known. */
    public List<Device.Bank> typicalBanks(FuseSide side) {
        return typicalBanks(side.near());
    }

    /** Those that feed a node, or whose minus is on it. */
    private List<Device.Bank> typicalBanks(String node) {
        Stream<Nets.Source> banks = nets.live(node)
                ? nets.lifting(node).stream()
                : nets.sources().stream().filter(source -> nets.same(source.minus(), node));
        return banks.map(Nets.Source::device)
                .filter(Device.Bank.class::isInstance)
                .map(Device.Bank.class::cast)
                .filter(bank -> bank.build().isTypical())
                .toList();
    }

    /** What a fuse has to break, itself without resistance, A. */
    public double faultA(FuseSide side) {
        return nets.live(side.near())
                ? fresh.currentA(side.near(), FaultNetwork.DEAD_OHM).orElseGet(() -> chargersA(side.near()))
                : fresh.throughMinusA(side.near()).orElse(LEAST_A);
    }

    /** What the chargers of a net without a bank give into a short circuit: no more than they are rated for, A. */
    private double chargersA(String node) {
        return nets.lifting(node).stream()
                .map(Nets.Source::device)
                .filter(Device.Charger.class::isInstance)
                .mapToDouble(device -> ((Device.Charger) device).maxA())
                .reduce(LEAST_A, Double::sum);
    }
}
