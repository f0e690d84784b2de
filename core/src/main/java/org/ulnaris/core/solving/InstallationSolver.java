package org.ulnaris.core.solving;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.feed.ReturnDrive;
import org.ulnaris.core.feed.ShortCircuits;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.network.NetworkFault;
import org.ulnaris.core.network.NetworkSolution;
import org.ulnaris.core.network.NetworkSolver;
import org.ulnaris.core.network.NodeOrder;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.network.Paths;
import org.ulnaris.core.network.Warmth;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.sizing.Guard;
import org.ulnaris.core.sizing.SizeChoice;
import org.ulnaris.core.sizing.Spells;
import org.ulnaris.core.solving.CaseNetwork.Purpose;

/**
 * Solves every case of an installation and sizes every run for its worst. Currents and sizes depend on each other where paths are
 * parallel: both are worked out in turn until the sizes stand, thick to begin with.
 */
public final class InstallationSolver {
    private static final int MOST_ROUNDS = 8;
    /** Sizes are held against the short circuits over themselves so many times at most. */
    private static final int MOST_TURNS = 40;
    /** From then on no size becomes thinner: cables that share a short circuit would rely on each other by turns. */
    private static final int SHRINKING_TURNS = 3;
    /** A run in which nothing ever flows is sized for this much, A. */
    private static final double LEAST_CURRENT_A = 0.001;
    /** What the solver's rounding may leave of no current, A. */
    private static final double NOISE_A = 1e-7;
    /** Less than this share of a current spares nothing. */
    private static final double SPARED = 0.001;
    /** A current that counts as flowing the other way, A. */
    private static final double COUNTS_A = 1;

    private final Installation installation;
    private final Nets nets;
    private final Guards guards;
    private final Branches branches;
    private final NodeOrder order;
    private final List<Device.Consumer> resting;

    private InstallationSolver(Installation installation) {
        this.installation = installation;
        this.nets = new Nets(installation);
        this.guards = new Guards(installation, nets);
        this.branches = new Branches(installation);
        this.order = branches.order();
        this.resting = installation.devices().stream()
                .filter(Device.Consumer.class::isInstance)
                .map(Device.Consumer.class::cast)
                .filter(consumer -> consumer.duty() != null)
                .toList();
    }

    /** Currents, sizes and drops of {@code installation}. */
    public static InstallationResult solve(Installation installation) {
        return new InstallationSolver(installation).solve();
    }

    private InstallationResult solve() {
        Map<String, CaseNetwork.RunSize> sizes = new HashMap<>();
        for (Run run : installation.runs()) {
            var all = ConductorSizes.of(run.laying().series());
            var size = run.fixed() == null ? all.get(all.size() - 1) : run.fixed();
            sizes.put(
                    run.tag(),
                    CaseNetwork.RunSize.of(run, new Conductor(size, run.laying().metal()), CaseNetwork.RunSize.cold()));
        }
        Sized sized = new Sized(List.of(), null, false);
        Flows flows = new Flows(List.of());
        boolean settled = false;
        boolean shorted = false;
        int rounds = 0;
        int turns = 0;
        while (!settled && rounds < MOST_ROUNDS) {
            rounds++;
            flows = flows(new CaseNetwork(installation, nets, branches, sizes));
            sized = sizeRuns(flows, sizes, shorted, turns < SHRINKING_TURNS);
            settled = sized.stands();
            shorted |= settled;
            while (shorted && turns < MOST_TURNS && !(sized.stands() && sized.shorts() != null)) {
                sized = sizeRuns(flows, sizes, true, turns < SHRINKING_TURNS);
                settled &= sized.stands();
                turns++;
            }
        }
        ShortCircuits shorts = sized.shorts();
        CaseNetwork network = new CaseNetwork(installation, nets, branches, sizes);
        List<CaseResult> cases = installation.cases().parallelStream()
                .map(operating -> serve(network, operating))
                .toList();
        Map<String, InstallationResult.Through> through = new HashMap<>();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse || device instanceof Device.Link) {
                through.put(device.tag(), worst(device.tag(), flows).through());
            } else if (device instanceof Device.Bar bar) {
                through.put(bar.tag(), across(bar, flows));
            }
        }
        return new InstallationResult(
                installation,
                sized.runs(),
                cases,
                through,
                banks(flows),
                guards.feeding(),
                shorts != null ? shorts : shorts(sizes),
                rounds);
    }

    private ShortCircuits shorts(Map<String, CaseNetwork.RunSize> sizes) {
        return new ShortCircuits(installation, nets, run -> {
            CaseNetwork.RunSize size = Objects.requireNonNull(sizes.get(run.tag()), run.tag());
            return ConductorResistance.ohmPerMetreAt20(size.conductor()) * run.lengthM();
        });
    }

    /** Takes over the sizes of {@code runs}; whether they stand. */
    private static boolean keep(Collection<RunResult> runs, Map<String, CaseNetwork.RunSize> sizes) {
        boolean settled = true;
        for (RunResult result : runs) {
            CaseNetwork.RunSize next =
                    CaseNetwork.RunSize.of(result.run(), result.inUse().conductor(), warmth(result));
            CaseNetwork.RunSize last = sizes.put(result.run().tag(), next);
            settled &= last != null && last.conductor().equals(next.conductor());
        }
        return settled;
    }

    /** A case or a part of it solved, without and with its surges, and while each of its loads that rest does. */
    private record Flow(OperatingCase operating, NetworkSolution steady, NetworkSolution surging, List<Rest> rests) {}

    /** What flows while one load rests. */
    private record Rest(Device.Duty duty, NetworkSolution steady) {}

    /** All cases with their parts, in their order. */
    private record Flows(List<Flow> all) {}

    private static Warmth warmth(RunResult result) {
        double ambientC = result.inUse().derating().localAmbientC();
        double columnC = result.inUse().derating().columnTempC();
        boolean rated = result.inUse().ampacityA() > 0 && columnC >= ambientC;
        return rated ? new Warmth(ambientC, columnC, result.inUse().ampacityA()) : CaseNetwork.RunSize.cold();
    }

    /** Cases do not depend on one another: they are solved at once. */
    private Flows flows(CaseNetwork network) {
        return new Flows(
                installation.cases().stream().flatMap(operating -> parts(operating).stream()).toList().parallelStream()
                        .map(part -> flow(network, part))
                        .toList());
    }

    private Flow flow(CaseNetwork network, OperatingCase part) {
        NetworkSolution steady = NetworkSolver.forced(network.of(part, Purpose.SIZING, false), order);
        NetworkSolution surging =
                surges(part) ? NetworkSolver.forced(network.of(part, Purpose.SIZING, true), order) : steady;
        List<Rest> rests = resting.stream()
                .filter(load -> part.state(load.tag()) != OperatingCase.State.OFF)
                .map(load -> new Rest(
                        Objects.requireNonNull(load.duty()),
                        NetworkSolver.forced(network.of(part.without(load.tag()), Purpose.SIZING, false), order)))
                .toList();
        return new Flow(part, steady, surging, rests);
    }

    /**
     * A case, and where loads and chargers work together each of them alone: a charger may stop at any time, and so may the loads that
     * take what it gives; what one of them takes off a cable is not counted on.
     */
    private List<OperatingCase> parts(OperatingCase operating) {
        List<String> loads = working(operating, Device.Consumer.class);
        List<String> chargers = working(operating, Device.Charger.class);
        return loads.isEmpty() || chargers.isEmpty()
                ? List.of(operating)
                : List.of(operating, operating.only(loads), operating.only(chargers));
    }

    private List<String> working(OperatingCase operating, Class<? extends Device> kind) {
        return installation.devices().stream()
                .filter(kind::isInstance)
                .map(Device::tag)
                .filter(tag -> operating.state(tag) == OperatingCase.State.ON
                        || operating.state(tag) == OperatingCase.State.SURGE)
                .toList();
    }

    /**
     * Runs with their sizes.
     *
     * @param shorts short circuits over just these sizes; null where they were not asked
     * @param stands whether all sizes are those of before
     */
    private record Sized(List<RunResult> runs, @Nullable ShortCircuits shorts, boolean stands) {}

    /**
     * Outgoing cables first, and the returns by what those became: their fuses' current comes back through them, and a short circuit runs
     * through both, so that sized at once each would rely on the other. {@code sizes} are taken over.
     */
    private Sized sizeRuns(Flows flows, Map<String, CaseNetwork.RunSize> sizes, boolean shorted, boolean mayShrink) {
        ShortCircuits outward = shorted ? shorts(sizes) : null;
        Map<String, RunResult> sized = new ConcurrentHashMap<>();
        installation.runs().parallelStream()
                .filter(run -> !guards.feeding().isReturn(run))
                .forEach(run -> sized.put(
                        run.tag(),
                        size(run, flows, load -> guards.outgoing(run, load, outward), least(run, sizes, mayShrink))));
        Set<String> unprotected = guards.unprotected(List.copyOf(sized.values()));
        Map<String, ReturnDrive.Drive> drives = guards.feeding().drives(unprotected);
        boolean outStands = keep(sized.values(), sizes);
        ShortCircuits back = shorted && !outStands ? shorts(sizes) : outward;
        Map<String, RunResult> returns = new ConcurrentHashMap<>();
        installation.runs().parallelStream()
                .filter(run -> guards.feeding().isReturn(run))
                .forEach(run -> returns.put(
                        run.tag(),
                        size(
                                run,
                                flows,
                                load -> guards.back(run, drives.get(run.tag()), back, unprotected),
                                least(run, sizes, mayShrink))));
        boolean backStands = keep(returns.values(), sizes);
        sized.putAll(returns);
        return new Sized(
                installation.runs().stream().map(run -> sized.get(run.tag())).toList(),
                shorted && !backStands ? shorts(sizes) : back,
                outStands && backStands);
    }

    /** What {@code run} may not become thinner than; null for nothing. */
    private static @Nullable ConductorSize least(Run run, Map<String, CaseNetwork.RunSize> sizes, boolean mayShrink) {
        return mayShrink
                ? null
                : Objects.requireNonNull(sizes.get(run.tag()), run.tag())
                        .conductor()
                        .size();
    }

    private static boolean surges(OperatingCase operating) {
        return operating.states().containsValue(OperatingCase.State.SURGE);
    }

    private RunResult size(
            Run run, Flows flows, Function<ProtectedCable.Load, @Nullable Guard> guard, @Nullable ConductorSize least) {
        Worst worst = worst(run.tag(), flows);
        InstallationResult.Through through = worst.through();
        double asked = Math.max(LEAST_CURRENT_A, Math.max(through.continuousA(), run.typedA()));
        ProtectedCable.Load load = RunResult.load(asked, through.surgeA(), through.surgeS(), FuseFamily.RATED_C);
        Spells spells = run.typedA() >= through.continuousA() ? null : spells(run, flows);
        return new RunResult(
                run,
                worst.caseName(),
                through.continuousA(),
                through.surgeA(),
                through.surgeS(),
                worst.duty(),
                SizeChoice.of(
                        run.laying()
                                .demand(
                                        nets.system(run, installation.system()),
                                        run.lengthM(),
                                        asked,
                                        guard.apply(load),
                                        spells),
                        run.fixed(),
                        least));
    }

    /**
     * The most that flows through an element.
     *
     * @param caseName in which case; empty where nothing ever flows
     * @param duty of the one load that draws it then; null where there is none such
     */
    private record Worst(String caseName, Device.@Nullable Duty duty, InstallationResult.Through through) {}

    private Worst worst(String tag, Flows flows) {
        String worst = "";
        Device.Consumer only = null;
        double continuous = 0;
        double surge = 0;
        double surgeS = 0;
        double forthA = 0;
        double backA = 0;
        for (Flow flow : flows.all()) {
            double signedA = signedA(flow.steady(), tag);
            forthA = Math.max(forthA, signedA);
            backA = Math.max(backA, -signedA);
            double current = withoutNoise(Math.abs(signedA));
            double peak = flow.surging() == flow.steady() ? current : currentA(flow.surging(), tag);
            if (current > continuous) {
                continuous = current;
                worst = flow.operating().name();
                only = onlyLoad(flow.steady(), current);
            }
            surge = Math.max(surge, peak);
            if (peak > current * (1 + 1e-6)) {
                surgeS = Math.max(surgeS, longestSurgeS(flow.operating()));
            }
        }
        return new Worst(
                worst,
                only == null ? null : only.duty(),
                new InstallationResult.Through(
                        continuous, Math.max(surge, continuous), surgeS, Math.min(forthA, backA) > COUNTS_A));
    }

    /** How the current of a run comes and goes, of each case with the load whose rest spares it most; null where none does. */
    private static @Nullable Spells spells(Run run, Flows flows) {
        double steadyA = run.typedA();
        List<Spells.Spell> all = new ArrayList<>();
        for (Flow flow : flows.all()) {
            double onA = currentA(flow.steady(), run.tag());
            Spells.Spell spared = null;
            for (Rest rest : flow.rests()) {
                double offA = currentA(rest.steady(), run.tag());
                if (offA < (spared == null ? (1 - SPARED) * onA : spared.offA())) {
                    spared = new Spells.Spell(
                            onA, offA, rest.duty().onS(), rest.duty().offS());
                }
            }
            if (spared == null) {
                steadyA = Math.max(steadyA, onA);
            } else {
                all.add(spared);
            }
        }
        return all.isEmpty() ? null : new Spells(steadyA, all);
    }

    /** What flows over a bar: half of all that flows in and out. */
    private InstallationResult.Through across(Device.Bar bar, Flows flows) {
        String node = bar.at(Terminal.Port.BAR).node();
        Stream<String> cables = installation.runs().stream()
                .filter(run -> run.from().node().equals(node) || run.to().node().equals(node))
                .map(Run::tag);
        Stream<String> fuses = installation.devices().stream()
                .filter(device -> device instanceof Device.Fuse
                        && device.at(Terminal.Port.IN).node().equals(node))
                .map(Device::tag);
        List<String> joined = Stream.concat(cables, fuses).toList();
        double continuous = 0;
        double surge = 0;
        for (Flow flow : flows.all()) {
            continuous = Math.max(continuous, halfOf(flow.steady(), joined));
            surge = Math.max(surge, halfOf(flow.surging(), joined));
        }
        return new InstallationResult.Through(continuous, Math.max(continuous, surge), 0, false);
    }

    private Map<String, InstallationResult.BankCurrent> banks(Flows flows) {
        Map<String, InstallationResult.BankCurrent> banks = new HashMap<>();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Bank bank) {
                double out = 0;
                double in = 0;
                for (Flow flow : flows.all()) {
                    if (!cranks(flow.operating())) {
                        double signedA = signedA(flow.steady(), bank.tag());
                        out = Math.max(out, signedA > NOISE_A ? signedA : 0);
                        in = Math.max(in, signedA < -NOISE_A ? -signedA : 0);
                    }
                }
                banks.put(bank.tag(), new InstallationResult.BankCurrent(out, in));
            }
        }
        return banks;
    }

    private boolean cranks(OperatingCase operating) {
        return installation.devices().stream()
                .anyMatch(device -> device instanceof Device.Consumer consumer
                        && consumer.cranking()
                        && operating.state(consumer.tag()) != OperatingCase.State.OFF);
    }

    private static double halfOf(NetworkSolution solution, List<String> tags) {
        return tags.stream().mapToDouble(tag -> currentA(solution, tag)).sum() / 2;
    }

    /** The load with a duty that draws all of {@code currentA}; null where there is none such. */
    private Device.@Nullable Consumer onlyLoad(NetworkSolution solution, double currentA) {
        for (Device.Consumer consumer : resting) {
            double drawn = currentA(solution, consumer.tag());
            if (Math.abs(drawn - currentA) <= 0.001 * currentA) {
                return consumer;
            }
        }
        return null;
    }

    private static double currentA(NetworkSolution solution, String tag) {
        return withoutNoise(Math.abs(signedA(solution, tag)));
    }

    private static double withoutNoise(double currentA) {
        return currentA < NOISE_A ? 0 : currentA;
    }

    private static double signedA(NetworkSolution solution, String tag) {
        @Nullable ElementState state = solution.states().get(tag);
        return state == null ? 0 : state.currentA();
    }

    private double longestSurgeS(OperatingCase operating) {
        return installation.devices().stream()
                .filter(device -> operating.state(device.tag()) == OperatingCase.State.SURGE)
                .filter(Device.Consumer.class::isInstance)
                .mapToDouble(device -> ((Device.Consumer) device).draw().surgeS())
                .max()
                .orElse(0);
    }

    private CaseResult serve(CaseNetwork network, OperatingCase operating) {
        NetworkSolution solution = NetworkSolver.solve(network.of(operating, Purpose.SERVICE, false), order);
        NetworkSolution surging =
                surges(operating) ? NetworkSolver.solve(network.of(operating, Purpose.SERVICE, true), order) : solution;
        Map<String, Double> emptied = surges(operating) ? emptied(network, operating, solution) : Map.of();
        return new CaseResult(operating, solution, surging, paths(solution), emptied);
    }

    /**
     * Voltage at each load when the surges come on banks that the steady loads have drawn down to their cut-off, V; 0 where it collapses.
     * Loads that no bank reaches are absent.
     */
    private Map<String, Double> emptied(CaseNetwork network, OperatingCase operating, NetworkSolution steady) {
        Map<String, Double> sagV = new HashMap<>();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Bank bank) {
                sagV.put(
                        bank.tag(),
                        Math.max(0, signedA(steady, bank.tag())) * bank.build().ohm());
            }
        }
        NetworkSolution solution = NetworkSolver.solve(network.sagging(sagV).of(operating, Purpose.EMPTY, true), order);
        Map<String, Double> volts = new HashMap<>();
        solution.faults().stream()
                .filter(fault -> fault.kind() == NetworkFault.Kind.COLLAPSE)
                .flatMap(fault -> fault.elements().stream())
                .forEach(load -> volts.put(load, 0.0));
        for (Device device : installation.devices()) {
            @Nullable ElementState state = solution.states().get(device.tag());
            if (device instanceof Device.Consumer && state != null) {
                volts.put(device.tag(), state.voltageV());
            }
        }
        return volts;
    }

    /** The path to each load that is fed, from the source that gives most of those that reach it. */
    private Map<String, PathDrop> paths(NetworkSolution solution) {
        Map<String, PathDrop> paths = new HashMap<>();
        List<Device> sources = installation.devices().stream()
                .filter(device -> device instanceof Device.Bank || device instanceof Device.Charger)
                .filter(device -> solution.states().containsKey(device.tag()))
                .sorted(Comparator.comparingDouble(
                        device -> solution.state(device.tag()).powerW()))
                .toList();
        long open = installation.devices().stream()
                .filter(device ->
                        device instanceof Device.Consumer && solution.states().containsKey(device.tag()))
                .count();
        for (Device source : sources) {
            if (paths.size() == open) {
                break;
            }
            Paths from = Paths.from(solution, source.tag());
            for (Device device : installation.devices()) {
                boolean asks = device instanceof Device.Consumer
                        && solution.states().containsKey(device.tag())
                        && !paths.containsKey(device.tag());
                if (asks) {
                    from.to(device.tag()).ifPresent(path -> paths.put(device.tag(), path));
                }
            }
        }
        return paths;
    }
}
