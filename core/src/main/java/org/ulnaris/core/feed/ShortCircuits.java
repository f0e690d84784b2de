package org.ulnaris.core.feed;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.protection.ProtectedCable;

/** What short circuits draw: from fresh batteries for what has to be broken, from tired ones for how long it takes. */
public final class ShortCircuits {
    private static final double LEAST_A = 0.001;

    private final Nets nets;
    private final FaultNetwork fresh;
    private final FaultNetwork tired;
    private final ToDoubleFunction<Run> ohm;

    /** Over conductors of {@code ohm} at 20 °C, Ω. */
    public ShortCircuits(Installation installation, Nets nets, ToDoubleFunction<Run> ohm) {
        this.nets = nets;
        this.fresh = FaultNetwork.fresh(installation, nets, ohm);
        this.tired = FaultNetwork.tired(installation, nets, ohm);
        this.ohm = ohm;
    }

    /**
     * What a fault at either end of a conductor draws, at the far one through a return like itself.
     *
     * @param conductorOhm its resistance, Ω: in its own size as in any other
     */
    public ProtectedCable.Supply supply(Fed one, double conductorOhm) {
        double nearA = fresh.currentA(one.near(), FaultNetwork.DEAD_OHM).orElseGet(() -> chargersA(one.near()));
        double otherOhm = 2 * conductorOhm - ohm.applyAsDouble(one.run());
        double farA = tired.currentA(one.far(), Math.max(FaultNetwork.DEAD_OHM, otherOhm))
                .orElseGet(() -> chargersA(one.near()));
        return new ProtectedCable.Supply(
                Math.max(LEAST_A, nets.highestV(one.near())), nearA, farA, isTypical(one.near()));
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
