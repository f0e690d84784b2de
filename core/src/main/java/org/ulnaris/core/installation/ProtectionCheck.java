package org.ulnaris.core.installation;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.ProtectionWalk.Reach;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.protection.Selectivity;
import org.ulnaris.core.protection.ShortCircuitHeat;

/**
 * Protection of every positive conductor: a conductor is protected by the last fuse on the way to it. A piece before the first fuse is
 * held against the placement rule, any other without a fuse is a finding. Short-circuit currents come from the network itself; the fault
 * at the far end of a conductor counts a return of the same resistance.
 */
public final class ProtectionCheck {
    private static final double LEAST_A = 0.001;
    /** What a fuse means for its cable; the rest of its checks is its own. */
    private static final Set<FindingCode> OF_THE_CABLE = Set.of(FindingCode.FUSE_AMPACITY, FindingCode.FUSE_WITHSTAND);

    private final InstallationResult result;
    private final ProtectionWalk walk;
    private final FaultNetwork faults;

    private ProtectionCheck(InstallationResult result) {
        this.result = result;
        this.walk = new ProtectionWalk(result.installation());
        this.faults = new FaultNetwork(result);
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

    /** Checks {@code result}. */
    public static Report check(InstallationResult result) {
        return new ProtectionCheck(result).check();
    }

    private Report check() {
        List<Subject> subjects = new ArrayList<>();
        List<Proposal> proposals = new ArrayList<>();
        walk.fuses().forEach((fuse, before) -> judgeFuse(fuse, before, subjects));
        walk.runs().forEach((tag, reach) -> judgeRun(result.run(tag), reach, subjects, proposals));
        subjects.sort(Comparator.comparing((Subject s) -> s.finding().verdict()).reversed());
        return new Report(
                List.copyOf(subjects),
                List.copyOf(proposals),
                Set.copyOf(walk.runs().keySet()));
    }

    /** The fuse that protects each positive conductor, by the conductor's tag; those without one are not named. */
    public static Map<String, Device.Fuse> protectors(InstallationResult result) {
        Map<String, Device.Fuse> fuses = new LinkedHashMap<>();
        new ProtectionWalk(result.installation()).runs().forEach((tag, reach) -> {
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
        return check.walk.fuses().keySet().stream()
                .filter(fuse -> fuse.tag().equals(tag))
                .findFirst()
                .map(check::scene);
    }

    private Scene scene(Device.Fuse fuse) {
        Device.Fuse main = Objects.requireNonNull(walk.fuses().get(fuse)).fuse();
        List<Guarded> cables = new ArrayList<>();
        walk.runs().forEach((run, reach) -> {
            if (fuse.equals(reach.fuse())) {
                cables.add(new Guarded(result.run(run), guarded(result.run(run), reach)));
            }
        });
        return new Scene(fuse, main, load(fuse), faultBehindA(fuse), cables);
    }

    private ProtectedCable.Load load(Device.Fuse fuse) {
        return new ProtectedCable.Load(
                Math.max(LEAST_A, fuseCurrentA(fuse.tag(), false)),
                Math.max(LEAST_A, fuseCurrentA(fuse.tag(), true)),
                longestSurgeS());
    }

    private double faultBehindA(Device.Fuse fuse) {
        return faults.currentA(fuse.at(Port.OUT).node(), FaultNetwork.DEAD_OHM);
    }

    private void judgeFuse(Device.Fuse fuse, Reach before, List<Subject> subjects) {
        double fault = faultBehindA(fuse);
        ProtectedCable guarded = new ProtectedCable(
                new ProtectedCable.Cable(1e6, 1e6, 100),
                load(fuse),
                new ProtectedCable.Supply(result.installation().system().chargingV(), fault, fault),
                result.installation().system().house().margins());
        for (Finding finding : new FuseCheck(fuse.family(), fuse.ratingA(), guarded).findings()) {
            if (!OF_THE_CABLE.contains(finding.code())) {
                subjects.add(new Subject(fuse.tag(), finding));
            }
        }
        subjects.add(new Subject(fuse.tag(), inSeries(fuse, before, fault)));
    }

    /** The first fuse by its place, any other by whether it opens before the one before it. */
    private Finding inSeries(Device.Fuse fuse, Reach before, double faultA) {
        Device.Fuse main = before.fuse();
        if (main == null) {
            Installation.System system = result.installation().system();
            Placement.School school = system.house().placement(system.ruleSet());
            return new FusePlace(school, before.unfusedMm()).finding();
        }
        return new Selectivity(
                        main.family().curve(main.ratingA()), fuse.family().curve(fuse.ratingA()), faultA)
                .finding();
    }

    private void judgeRun(RunResult run, Reach reach, List<Subject> subjects, List<Proposal> proposals) {
        String tag = run.run().tag();
        Device.Fuse fuse = reach.fuse();
        List<Finding> findings = fuse == null ? unfused(run) : fused(fuse, guarded(run, reach));
        findings.forEach(finding -> subjects.add(new Subject(tag, finding)));
        if (findings.stream().anyMatch(Finding::stops)) {
            proposals.add(new Proposal(tag, FuseChooser.rank(guarded(run, reach))));
        }
    }

    private List<Finding> unfused(RunResult run) {
        boolean cranks = walk.onlyCranks(run.run());
        return cranks || !walk.leadsToAFuse(run.run()) ? List.of(new UnfusedRun(run, cranks).finding()) : List.of();
    }

    private static List<Finding> fused(Device.Fuse fuse, ProtectedCable guarded) {
        return new FuseCheck(fuse.family(), fuse.ratingA(), guarded)
                .findings().stream()
                        .filter(finding -> OF_THE_CABLE.contains(finding.code()))
                        .toList();
    }

    private ProtectedCable guarded(RunResult run, Reach reach) {
        double near = faults.currentA(reach.from(), FaultNetwork.DEAD_OHM);
        double far = faults.currentA(walk.farEnd(run.run()), FaultNetwork.ohm(run));
        return new ProtectedCable(
                new ProtectedCable.Cable(
                        run.inUse().size().areaMm2(),
                        Math.max(LEAST_A, run.inUse().ampacityA()),
                        k(run.run())),
                new ProtectedCable.Load(
                        Math.max(LEAST_A, run.sizedForA()), Math.max(LEAST_A, run.surgeA()), run.surgeS()),
                new ProtectedCable.Supply(result.installation().system().chargingV(), near, far),
                result.installation().system().house().margins());
    }

    /** What a short circuit may heat the run to, as the k of its copper, A·√s/mm². */
    private static double k(Run run) {
        double insulationC = run.laying().conditions().insulationTempC();
        double insulationEndC = ShortCircuitHeat.Insulation.rated(insulationC).finalC();
        double solderC = ShortCircuitHeat.Insulation.SOLDERED_90.finalC();
        double finalC = run.laying().soldered() ? Math.min(solderC, insulationEndC) : insulationEndC;
        return ShortCircuitHeat.Metal.COPPER.k(Math.min(insulationC, finalC - 10), finalC);
    }

    /** Greatest current through a fuse over all cases, A. */
    private double fuseCurrentA(String tag, boolean surging) {
        return result.cases().stream()
                .map(one -> surging ? one.surging() : one.solution())
                .map(solution -> solution.states().get(tag))
                .filter(Objects::nonNull)
                .mapToDouble(state -> Math.abs(state.currentA()))
                .max()
                .orElse(0);
    }

    private double longestSurgeS() {
        return result.runs().stream().mapToDouble(RunResult::surgeS).max().orElse(0);
    }
}
