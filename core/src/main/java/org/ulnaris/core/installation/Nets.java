package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.jgrapht.alg.util.UnionFind;
import org.ulnaris.core.installation.Terminal.Port;

/**
 * What conductors join: all nodes between which only cables, fuses, switches and bars lie are one net. Banks set the levels of the nets
 * to one another, chargers where no bank does; the lowest net of what hangs together lies at 0 V. Several threads may ask at once.
 */
public final class Nets {
    /** Banks of one nominal voltage differ by their chemistry; more than this share apart they are not one voltage. */
    public static final double ONE_VOLTAGE = 0.15;

    private static final double NO_LEVEL_V = 1e-6;

    private final List<Source> sources = new ArrayList<>();
    private final List<Device.PanelInput> inputs;
    private final Map<String, Double> levels = new HashMap<>();
    private final Map<String, Double> highest = new HashMap<>();
    private final List<Contradiction> contradictions = new ArrayList<>();
    private final Map<String, String> names = new HashMap<>();
    private final Map<String, Double> standing = new ConcurrentHashMap<>();
    private final Map<String, List<Source>> lifting = new ConcurrentHashMap<>();

    /**
     * A bank or charger between two nets.
     *
     * @param device the bank or charger
     * @param minus node of its minus
     * @param plus node of its plus
     * @param nominalV what it lifts plus over minus, V
     * @param highestV the most that it does so while it charges or is charged, V
     */
    public record Source(Device device, String minus, String plus, double nominalV, double highestV) {
        public boolean isBank() {
            return device instanceof Device.Bank;
        }
    }

    /**
     * A source that the other sources, or a way from its plus to its minus, do not let hold its voltage.
     *
     * @param source the source
     * @param foundV what the rest of the installation holds between its poles, V; 0 where conductors join them
     */
    public record Contradiction(Source source, double foundV) {
        /** Whether conductors join its poles: a short circuit. */
        public boolean isShort() {
            return Math.abs(foundV) < NO_LEVEL_V;
        }
    }

    /** The nets of {@code installation}. */
    public Nets(Installation installation) {
        this.inputs = installation.devices().stream()
                .filter(Device.PanelInput.class::isInstance)
                .map(Device.PanelInput.class::cast)
                .toList();
        UnionFind<String> joined = new UnionFind<>(Set.of());
        for (Device device : installation.devices()) {
            device.terminals().forEach(terminal -> joined.addElement(terminal.node()));
        }
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse || device instanceof Device.Link) {
                joined.union(device.at(Port.IN).node(), device.at(Port.OUT).node());
            }
        }
        for (Run run : installation.runs()) {
            joined.union(run.from().node(), run.to().node());
        }
        for (Device device : installation.devices()) {
            device.terminals().forEach(terminal -> names.put(terminal.node(), joined.find(terminal.node())));
            source(device);
        }
        sources.sort(Comparator.comparing((Source source) -> !source.isBank())
                .thenComparing(source -> source.device().tag()));
        level();
        sources.forEach(this::hold);
        liftHighest();
    }

    private void source(Device device) {
        if (device instanceof Device.Bank bank) {
            double nominal = bank.build().chemistry().nominalV() * bank.build().series();
            sources.add(source(device, nominal, bank.build().chargeV()));
        } else if (device instanceof Device.Charger charger) {
            sources.add(source(device, charger.setV(), charger.highestV()));
        }
    }

    private static Source source(Device device, double nominalV, double highestV) {
        return new Source(
                device, device.at(Port.MINUS).node(), device.at(Port.PLUS).node(), nominalV, highestV);
    }

    /** Each island from any net, then moved so that its lowest lies at 0 V. */
    private void level() {
        for (Source first : sources) {
            if (levels.containsKey(net(first.minus()))) {
                continue;
            }
            Map<String, Double> island = new LinkedHashMap<>(Map.of(net(first.minus()), 0.0));
            boolean grown = true;
            while (grown) {
                grown = grow(island);
            }
            double lowest = island.values().stream()
                    .mapToDouble(Double::doubleValue)
                    .min()
                    .orElse(0);
            island.forEach((net, level) -> levels.put(net, level - lowest));
        }
    }

    /** One net more, by a bank where any leads on, so that no charger across a string sets its level; false where none does. */
    private boolean grow(Map<String, Double> island) {
        for (Source source : sources) {
            Double minus = island.get(net(source.minus()));
            Double plus = island.get(net(source.plus()));
            if (minus != null && plus == null) {
                island.put(net(source.plus()), minus + source.nominalV());
                return true;
            }
            if (plus != null && minus == null) {
                island.put(net(source.minus()), plus - source.nominalV());
                return true;
            }
        }
        return false;
    }

    /** Held against every bank between the same two nets, so that no order tells which of two is wrong; else against the levels. */
    private void hold(Source source) {
        if (same(source.minus(), source.plus())) {
            contradictions.add(new Contradiction(source, 0));
            return;
        }
        List<Double> between = sources.stream()
                .filter(Source::isBank)
                .filter(bank -> !bank.equals(source))
                .map(bank -> between(bank, source))
                .flatMap(Optional::stream)
                .toList();
        double levels = levelV(source.plus()).orElse(0) - levelV(source.minus()).orElse(0);
        Stream.concat(between.stream(), between.isEmpty() ? Stream.of(levels) : Stream.empty())
                .filter(found -> !agrees(source, found))
                .findFirst()
                .ifPresent(found -> contradictions.add(new Contradiction(source, found)));
    }

    /** What {@code bank} holds from minus to plus of {@code source}, V; empty where it lies between other nets. */
    private Optional<Double> between(Source bank, Source source) {
        if (same(bank.minus(), source.minus()) && same(bank.plus(), source.plus())) {
            return Optional.of(bank.nominalV());
        }
        boolean turned = same(bank.minus(), source.plus()) && same(bank.plus(), source.minus());
        return turned ? Optional.of(-bank.nominalV()) : Optional.empty();
    }

    /** A charger may be set to any voltage of its own side; whether it suits its bank is another question. */
    private static boolean agrees(Source source, double foundV) {
        if (!source.isBank()) {
            return foundV > 0;
        }
        return Math.abs(foundV - source.nominalV()) <= ONE_VOLTAGE * Math.min(Math.abs(foundV), source.nominalV());
    }

    /** Each net as high as its highest source lifts it, from the lowest net up. */
    private void liftHighest() {
        List<Source> upwards = sources.stream()
                .sorted(Comparator.comparingDouble(
                        source -> levelV(source.minus()).orElse(0)))
                .toList();
        for (Source source : upwards) {
            double from = highest.getOrDefault(net(source.minus()), 0.0);
            highest.merge(net(source.plus()), from + source.highestV(), Math::max);
        }
    }

    /** The panels that feed {@code input}. */
    public List<Device.Charger> panels(Device.PanelInput input) {
        return panelsBetween(input.at(Port.MINUS).node(), input.at(Port.PLUS).node())
                .toList();
    }

    private Stream<Device.Charger> panelsBetween(String minus, String plus) {
        return sources.stream()
                .filter(source -> same(source.plus(), plus) && same(source.minus(), minus))
                .map(Source::device)
                .filter(Device.Charger.class::isInstance)
                .map(Device.Charger.class::cast)
                .filter(charger -> charger.panels() != null);
    }

    /** The controller that {@code panels} feed; empty where they feed none, or a battery as well. */
    public Optional<Device.PanelInput> input(Device.Charger panels) {
        String plus = panels.at(Port.PLUS).node();
        return lifting(plus).stream().anyMatch(Source::isBank)
                ? Optional.empty()
                : inputs.stream()
                        .filter(input -> same(input.at(Port.PLUS).node(), plus)
                                && same(
                                        input.at(Port.MINUS).node(),
                                        panels.at(Port.MINUS).node()))
                        .findFirst();
    }

    /**
     * What holds for a cable: {@code system}, but of one that nothing but solar panels feed the voltage at which they work. Its drop counts
     * against that.
     */
    public Installation.System system(Run run, Installation.System system) {
        String node = run.from().node();
        List<Source> here = sources.stream()
                .filter(source -> same(source.plus(), node) || same(source.minus(), node))
                .toList();
        return arePanels(here)
                ? system.at(
                        here.stream().mapToDouble(Source::nominalV).min().orElseThrow(),
                        here.stream().mapToDouble(Source::highestV).max().orElseThrow())
                : system;
    }

    private static boolean arePanels(List<Source> sources) {
        return !sources.isEmpty()
                && sources.stream()
                        .allMatch(source ->
                                source.device() instanceof Device.Charger charger && charger.panels() != null);
    }

    /** Whether solar panels alone lift a node. */
    public boolean panelsOnly(String node) {
        return arePanels(lifting(node));
    }

    /** The net of a node: the name of one of its nodes. */
    public String net(String node) {
        return Objects.requireNonNull(names.get(node), node);
    }

    /** Whether two nodes are one net. */
    public boolean same(String a, String b) {
        return net(a).equals(net(b));
    }

    /** Nominal voltage of a node over the lowest net, V; empty where no source reaches it. */
    public OptionalDouble levelV(String node) {
        Double level = levels.get(net(node));
        return level == null ? OptionalDouble.empty() : OptionalDouble.of(level);
    }

    /** Whether a source lifts the node: what hangs on it has to be protected. A short circuit counts as lifted. */
    public boolean live(String node) {
        return levels.getOrDefault(net(node), 0.0) > NO_LEVEL_V
                || lifting(node).stream().anyMatch(Source::isBank);
    }

    /** Whether it is the lowest net of its sources: the returns. */
    public boolean returns(String node) {
        return levels.containsKey(net(node)) && !live(node);
    }

    /** The highest voltage that can stand between the node and any net that a source of it touches, V. */
    public double highestV(String node) {
        return standing.computeIfAbsent(
                net(node),
                net -> sources.stream()
                        .filter(source -> net.equals(net(source.minus())))
                        .mapToDouble(source -> highest.getOrDefault(net(source.plus()), 0.0))
                        .reduce(highest.getOrDefault(net, 0.0), Math::max));
    }

    /** All sources, banks first, by their tags. */
    public List<Source> sources() {
        return List.copyOf(sources);
    }

    /** The sources whose plus is on the net of {@code node}. */
    public List<Source> lifting(String node) {
        return lifting.computeIfAbsent(
                net(node),
                net -> sources.stream()
                        .filter(source -> net.equals(net(source.plus())))
                        .toList());
    }

    /** What cannot be as it is wired, in the order of the sources. */
    public List<Contradiction> contradictions() {
        return List.copyOf(contradictions);
    }
}
