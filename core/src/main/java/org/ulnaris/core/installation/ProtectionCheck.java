package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.network.Branch;
import org.ulnaris.core.network.Element;
import org.ulnaris.core.network.FaultCurrents;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.protection.Selectivity;
import org.ulnaris.core.protection.ShortCircuitHeat;

/**
 * Protection of every positive conductor: walked from the plus of each bank, a conductor is protected by the last fuse on the way to
 * it. A piece before the first fuse is held against the placement rule, any other without a fuse is a finding. Short-circuit
 * currents come from the network itself, banks at charging voltage, conductors at 20 °C; the fault at the far end of a conductor
 * counts a return of the same resistance.
 */
public final class ProtectionCheck {
    private static final double FAULT_OHM = 1e-6;
    private static final double LEAST_A = 0.001;

    private final InstallationResult result;
    private final Map<String, List<Way>> ways = new HashMap<>();
    private final Map<String, Reach> reached = new LinkedHashMap<>();

    private final @Nullable FaultCurrents faults;

    private ProtectionCheck(InstallationResult result) {
        this.result = result;
        this.faults = faults(result);
    }

    /**
     * What is said of a cable or a fuse.
     *
     * @param tag the cable or the fuse
     * @param finding the check
     */
    public record Subject(String tag, Finding finding) {}

    /**
     * Fuses that would do for a cable.
     *
     * @param tag the cable
     * @param ranked best first; none of them need pass
     */
    public record Proposal(String tag, List<FuseCheck> ranked) {}

    /**
     * All findings, worst first, and proposals for cables whose protection is stopped.
     *
     * @param reached tags of the conductors that a source reaches: the protection of all others is not known
     */
    public record Report(List<Subject> subjects, List<Proposal> proposals, Set<String> reached) {
        /** Worst of all findings. */
        public Verdict verdict() {
            return Verdict.worstOf(subjects.stream().map(Subject::finding).toList());
        }
    }

    private record Way(String tag, String to, @Nullable Run run, Device.@Nullable Fuse fuse) {}

    /** How a node was reached: the last fuse on the way, and the length walked since the bank, mm. */
    private record Reach(Device.@Nullable Fuse fuse, String fuseNode, double unfusedMm) {}

    /** Checks {@code result}. */
    public static Report check(InstallationResult result) {
        return new ProtectionCheck(result).check();
    }

    /** The fuse that protects each positive conductor, by the conductor's tag; those without one are not named. */
    public static Map<String, Device.Fuse> protectors(InstallationResult result) {
        ProtectionCheck check = new ProtectionCheck(result);
        check.layOut();
        Map<String, Device.Fuse> fuses = new LinkedHashMap<>();
        check.walk(new ArrayList<>()).forEach((tag, reach) -> {
            if (reach.fuse() != null) {
                fuses.put(tag, reach.fuse());
            }
        });
        return fuses;
    }

    /**
     * All that is drawn of a fuse on one sheet of time over current.
     *
     * @param fuse the fuse
     * @param main the fuse before it; null for the first
     * @param load what it carries
     * @param faultA current of a short circuit just behind it, A
     * @param cables the conductors that it protects
     */
    public record Scene(
            Device.Fuse fuse,
            Device.@Nullable Fuse main,
            ProtectedCable.Load load,
            double faultA,
            List<Guarded> cables) {}

    /** A conductor that a fuse protects, with the current of a short circuit at its far end. */
    public record Guarded(RunResult run, ProtectedCable cable) {}

    /** The scene of the fuse {@code tag}; empty where no way leads to it from a bank. */
    public static Optional<Scene> scene(InstallationResult result, String tag) {
        ProtectionCheck check = new ProtectionCheck(result);
        check.layOut();
        Map<String, Reach> runs = check.walk(new ArrayList<>());
        List<Guarded> cables = new ArrayList<>();
        runs.forEach((run, reach) -> {
            if (reach.fuse() != null && reach.fuse().tag().equals(tag)) {
                cables.add(new Guarded(result.run(run), check.guarded(result.run(run), reach)));
            }
        });
        return result.installation().devices().stream()
                .filter(device -> device.tag().equals(tag) && device instanceof Device.Fuse)
                .map(Device.Fuse.class::cast)
                .findFirst()
                .flatMap(fuse -> check.before(fuse)
                        .map(before -> new Scene(
                                fuse,
                                before.fuse(),
                                check.load(fuse),
                                check.faultA(fuse.at(Port.OUT).node(), FAULT_OHM),
                                cables)));
    }

    /** How the near side of a fuse was reached. */
    private Optional<Reach> before(Device.Fuse fuse) {
        Reach in = reached.get(fuse.at(Port.IN).node());
        Reach out = reached.get(fuse.at(Port.OUT).node());
        boolean throughIn = out != null && fuse.equals(out.fuse());
        return Optional.ofNullable(throughIn ? in : out);
    }

    private ProtectedCable.Load load(Device.Fuse fuse) {
        return new ProtectedCable.Load(
                Math.max(LEAST_A, fuseCurrentA(fuse.tag(), false)),
                Math.max(LEAST_A, fuseCurrentA(fuse.tag(), true)),
                longestSurgeS());
    }

    private Report check() {
        List<Subject> subjects = new ArrayList<>();
        List<Proposal> proposals = new ArrayList<>();
        layOut();
        Map<String, Reach> runs = walk(subjects);
        runs.forEach((tag, reach) -> judgeRun(result.run(tag), reach, subjects, proposals));
        subjects.sort(Comparator.comparing((Subject s) -> s.finding().verdict()).reversed());
        return new Report(List.copyOf(subjects), List.copyOf(proposals), Set.copyOf(runs.keySet()));
    }

    private void layOut() {
        for (Run run : result.installation().runs()) {
            join(new Way(run.tag(), run.to().node(), run, null), run.from().node());
            join(new Way(run.tag(), run.from().node(), run, null), run.to().node());
        }
        for (Device device : result.installation().devices()) {
            if (device instanceof Device.Fuse fuse) {
                through(fuse, fuse);
            } else if (device instanceof Device.Link link) {
                through(link, null);
            }
        }
    }

    /** Both ways through a device with two sides. */
    private void through(Device device, Device.@Nullable Fuse fuse) {
        for (Port port : Device.SIDES) {
            join(
                    new Way(device.tag(), device.at(port.across()).node(), null, fuse),
                    device.at(port).node());
        }
    }

    private void join(Way way, String from) {
        ways.computeIfAbsent(from, node -> new ArrayList<>()).add(way);
    }

    /** From every bank's plus, breadth first; what protects each run, in the order in which they are met. */
    private Map<String, Reach> walk(List<Subject> subjects) {
        Deque<String> queue = new ArrayDeque<>();
        for (Device device : result.installation().devices()) {
            if (device instanceof Device.Bank) {
                String plus = device.at(Port.PLUS).node();
                reached.put(plus, new Reach(null, plus, 0));
                queue.add(plus);
            }
        }
        Map<String, Reach> runs = new LinkedHashMap<>();
        while (!queue.isEmpty()) {
            String node = queue.remove();
            Reach here = reached.get(node);
            for (Way way : ways.getOrDefault(node, List.of())) {
                if (here == null || runs.containsKey(way.tag())) {
                    continue;
                }
                Reach there = step(here, way, subjects);
                if (way.run() != null) {
                    runs.put(way.tag(), here.fuse() == null ? there : here);
                }
                if (!reached.containsKey(way.to())) {
                    reached.put(way.to(), there);
                    queue.add(way.to());
                }
            }
        }
        return runs;
    }

    private Reach step(Reach here, Way way, List<Subject> subjects) {
        Device.Fuse fuse = way.fuse();
        if (fuse != null && !reached.containsKey(way.to())) {
            judgeFuse(fuse, here, subjects);
            return new Reach(fuse, way.to(), 0);
        }
        Run run = way.run();
        double walked = run == null || here.fuse() != null ? 0 : 1000 * run.lengthM();
        return new Reach(here.fuse(), here.fuseNode(), here.unfusedMm() + walked);
    }

    private void judgeFuse(Device.Fuse fuse, Reach before, List<Subject> subjects) {
        ProtectedCable.Load load = load(fuse);
        double fault = faultA(fuse.at(Port.OUT).node(), FAULT_OHM);
        ProtectedCable guarded = new ProtectedCable(
                new ProtectedCable.Cable(1e6, 1e6, 100),
                load,
                new ProtectedCable.Supply(result.installation().system().chargingV(), fault, fault),
                result.installation().system().house().margins());
        for (Finding finding : new FuseCheck(fuse.family(), fuse.ratingA(), guarded).findings()) {
            boolean ofTheCable =
                    finding.code() == FindingCode.FUSE_AMPACITY || finding.code() == FindingCode.FUSE_WITHSTAND;
            if (!ofTheCable) {
                subjects.add(new Subject(fuse.tag(), finding));
            }
        }
        Device.Fuse main = before.fuse();
        if (main == null) {
            subjects.add(new Subject(fuse.tag(), positionFinding(before.unfusedMm())));
        } else {
            Selectivity selectivity = new Selectivity(
                    main.family().curve(main.ratingA()), fuse.family().curve(fuse.ratingA()), fault);
            subjects.add(new Subject(fuse.tag(), selectivity.finding()));
        }
    }

    private Finding positionFinding(double unfusedMm) {
        Installation.System system = result.installation().system();
        Placement.School school = system.house().placement(system.ruleSet());
        double open = Placement.limitMm(school, Placement.Run.OPEN);
        double sheathed = Placement.limitMm(school, Placement.Run.SHEATHED_FROM_BATTERY);
        Verdict verdict = Verdict.STOP;
        if (unfusedMm <= open) {
            verdict = Verdict.PASS;
        } else if (unfusedMm <= sheathed) {
            verdict = Verdict.WATCH;
        }
        Placement.Run run = verdict == Verdict.PASS ? Placement.Run.OPEN : Placement.Run.SHEATHED_FROM_BATTERY;
        Explanation explanation = Explanation.read(
                "along the conductor from the battery; bare, and in a sheath all the way",
                term("L", unfusedMm, "mm"),
                term("L_bare", open, "mm"),
                term("L_sheath", sheathed, "mm"));
        return new Finding(
                FindingCode.FUSE_POSITION,
                verdict,
                unfusedMm,
                verdict == Verdict.STOP ? sheathed : open,
                "mm",
                explanation,
                Placement.source(school, run));
    }

    private void judgeRun(RunResult run, Reach reach, List<Subject> subjects, List<Proposal> proposals) {
        String tag = run.run().tag();
        Device.Fuse fuse = reach.fuse();
        if (fuse == null) {
            if (onlyCranks(run.run())) {
                subjects.add(new Subject(tag, crankingFinding(run)));
            } else if (!leadsToAFuse(run.run())) {
                subjects.add(new Subject(tag, missingFinding(run)));
                proposals.add(new Proposal(tag, FuseChooser.rank(guarded(run, reach))));
            }
            return;
        }
        boolean stopped = false;
        for (Finding finding : new FuseCheck(fuse.family(), fuse.ratingA(), guarded(run, reach)).findings()) {
            if (finding.code() == FindingCode.FUSE_AMPACITY || finding.code() == FindingCode.FUSE_WITHSTAND) {
                subjects.add(new Subject(tag, finding));
                stopped |= finding.stops();
            }
        }
        if (stopped) {
            proposals.add(new Proposal(tag, FuseChooser.rank(guarded(run, reach))));
        }
    }

    /** Whether an unfused run does nothing but lead to fuses: then the placement of those is what counts. */
    private boolean leadsToAFuse(Run run) {
        return List.of(run.from(), run.to()).stream().map(Terminal::node).anyMatch(node -> {
            List<Way> onward = ways.getOrDefault(node, List.of()).stream()
                    .filter(way -> !way.tag().equals(run.tag()))
                    .toList();
            boolean bank = reachedFirst(node);
            return !bank && !onward.isEmpty() && onward.stream().allMatch(way -> way.fuse() != null);
        });
    }

    /** Whether everything beyond an unfused run is starter motors. */
    private boolean onlyCranks(Run run) {
        Deque<String> queue = new ArrayDeque<>(List.of(farEnd(run)));
        Set<String> seen = new HashSet<>(List.of(run.from().node(), run.to().node()));
        boolean cranks = false;
        while (!queue.isEmpty()) {
            String node = queue.remove();
            for (Way way : ways.getOrDefault(node, List.of())) {
                if (seen.add(way.to())) {
                    queue.add(way.to());
                }
            }
            for (Device device : result.installation().devices()) {
                if (node.startsWith(device.tag() + ".")) {
                    boolean cranking = device instanceof Device.Consumer consumer && consumer.cranking();
                    if (!cranking && !(device instanceof Device.Link)) {
                        return false;
                    }
                    cranks |= cranking;
                }
            }
        }
        return cranks;
    }

    private static Finding crankingFinding(RunResult run) {
        return new Finding(
                FindingCode.FUSE_MISSING,
                Verdict.PASS,
                run.continuousA(),
                run.inUse().ampacityA(),
                "A",
                Explanation.read(
                        "supply of a starter motor, no fuse is asked for",
                        term("I_z", run.inUse().ampacityA(), "A")),
                new Source("33 CFR 183.455", "supply of cranking motors is exempt", Confidence.RECALLED_MEDIUM));
    }

    private boolean reachedFirst(String node) {
        Reach reach = reached.get(node);
        return reach != null && reach.fuse() == null && reach.fuseNode().equals(node);
    }

    private static Finding missingFinding(RunResult run) {
        Explanation explanation = Explanation.read(
                "no fuse between the battery and this conductor",
                term("I_z", run.inUse().ampacityA(), "A"));
        return new Finding(
                FindingCode.FUSE_MISSING,
                Verdict.STOP,
                run.continuousA(),
                run.inUse().ampacityA(),
                "A",
                explanation,
                Source.practice("every conductor is protected at its source end"));
    }

    private ProtectedCable guarded(RunResult run, Reach reach) {
        double insulationC = run.run().laying().conditions().insulationTempC();
        ShortCircuitHeat.Insulation insulation = ShortCircuitHeat.Insulation.rated(insulationC);
        double solderC = ShortCircuitHeat.Insulation.SOLDERED_90.finalC();
        double finalC = run.run().laying().soldered() ? Math.min(solderC, insulation.finalC()) : insulation.finalC();
        double initialC = Math.min(insulationC, finalC - 10);
        double ohm = ConductorResistance.ohmPerMetreAt20(run.inUse().conductor())
                * run.run().lengthM();
        double near = faultA(reach.fuseNode(), FAULT_OHM);
        double far = faultA(farEnd(run.run()), ohm);
        double surgeS = run.surgeS();
        return new ProtectedCable(
                new ProtectedCable.Cable(
                        run.inUse().size().areaMm2(),
                        Math.max(LEAST_A, run.inUse().ampacityA()),
                        ShortCircuitHeat.Metal.COPPER.k(initialC, finalC)),
                new ProtectedCable.Load(Math.max(LEAST_A, run.sizedForA()), Math.max(LEAST_A, run.surgeA()), surgeS),
                new ProtectedCable.Supply(result.installation().system().chargingV(), near, far),
                result.installation().system().house().margins());
    }

    /** The end that is reached later. */
    private String farEnd(Run run) {
        List<String> order = List.copyOf(reached.keySet());
        String from = run.from().node();
        String to = run.to().node();
        return order.indexOf(from) > order.indexOf(to) ? from : to;
    }

    /** Current into a fault of {@code ohm} from {@code node} to the minus of the first bank, A. */
    private double faultA(String node, double ohm) {
        FaultCurrents known = faults;
        return known == null ? LEAST_A : Math.max(LEAST_A, known.currentA(node, ohm));
    }

    /** The network in which faults are worked out; null without a bank. */
    private static @Nullable FaultCurrents faults(InstallationResult result) {
        List<Element> elements = new ArrayList<>();
        String minus = null;
        for (Device device : result.installation().devices()) {
            if (device instanceof Device.Bank bank) {
                minus = minus == null ? bank.at(Port.MINUS).node() : minus;
                elements.add(new Element.Source(
                        bank.branch(Port.MINUS, Port.PLUS),
                        bank.build().chargeV(),
                        bank.build().ohm()));
            } else if (device instanceof Device.Fuse fuse) {
                elements.add(new Element.Resistor(fuse.branch(Port.IN, Port.OUT), fuse.ohm()));
            } else if (device instanceof Device.Link link) {
                elements.add(new Element.Resistor(link.branch(Port.IN, Port.OUT), link.ohm()));
            }
        }
        for (RunResult run : result.runs()) {
            String from = run.run().from().node();
            String to = run.run().to().node();
            if (!from.equals(to)) {
                double own = ConductorResistance.ohmPerMetreAt20(run.inUse().conductor())
                        * run.run().lengthM();
                elements.add(new Element.Resistor(new Branch(run.run().tag(), from, to), own));
            }
        }
        return minus == null ? null : FaultCurrents.of(elements, minus);
    }

    /** Greatest current through a fuse over all cases at the sizing currents of the runs at its out terminal, A. */
    private double fuseCurrentA(String tag, boolean surging) {
        return result.cases().stream()
                .map(one -> surging ? one.surging() : one.solution())
                .map(solution -> solution.states().get(tag))
                .filter(java.util.Objects::nonNull)
                .mapToDouble(state -> Math.abs(state.currentA()))
                .max()
                .orElse(0);
    }

    private double longestSurgeS() {
        return result.runs().stream().mapToDouble(RunResult::surgeS).max().orElse(0);
    }
}
