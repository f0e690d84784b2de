package org.ulnaris.core.worked;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.installation.Circuits;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.WiringCheck;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.overcurrent.BankLimits;
import org.ulnaris.core.overcurrent.PanelCheck;
import org.ulnaris.core.overcurrent.PartRatings;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.record.ReadingJudge;
import org.ulnaris.core.record.RecordCheck;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.SizeChoice;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;
import org.ulnaris.core.solving.RunResult;

/**
 * Works a job out: the network of its loads, the size of every cable for what flows or was typed, both ends, protection, and all that
 * is said of it. The only place where verdicts of a job come from.
 */
public final class JobWorker {
    private final JobModel model;
    private final @Nullable WorkedJob before;
    private final Set<Terminal> terminals;
    private final CableRules cableRules;

    private JobWorker(JobModel model, @Nullable WorkedJob before) {
        this.model = model;
        this.before = before;
        this.terminals = model.terminals();
        this.cableRules = new CableRules(model);
    }

    /** The job {@code model} worked out. */
    public static WorkedJob work(JobModel model) {
        return work(model, null);
    }

    /** The same, taking over what has not changed since {@code before}. */
    public static WorkedJob work(JobModel model, @Nullable WorkedJob before) {
        return new JobWorker(model, before).work();
    }

    private WorkedJob work() {
        Optional<InstallationResult> network = installation().map(this::solve);
        Map<String, RunResult> runs = new HashMap<>();
        network.ifPresent(
                result -> result.runs().forEach(run -> runs.put(run.run().tag(), run)));
        Map<String, String> circuits =
                network.map(result -> Circuits.of(result.installation())).orElse(Map.of());
        Map<String, WorkedCable> known = new HashMap<>();
        if (before != null) {
            before.cables().forEach(cable -> known.put(cable.tag(), cable));
        }
        CablePlanner planner = new CablePlanner(model);
        List<CablePlanner.Planned> planned = model.cables().stream()
                .map(cable -> plan(planner, cable, runs.get(cable.tag()), known.get(cable.tag())))
                .toList();
        Map<Terminal, SharedStuds.Shared> studs = SharedStuds.of(planned, terminals);
        Optional<ProtectionCheck.Report> protection = network.map(ProtectionCheck::check);
        return assemble(new Parts(network, protection, planned, runs, known, circuits, studs));
    }

    private record Parts(
            Optional<InstallationResult> network,
            Optional<ProtectionCheck.Report> protection,
            List<CablePlanner.Planned> planned,
            Map<String, RunResult> runs,
            Map<String, WorkedCable> known,
            Map<String, String> circuits,
            Map<Terminal, SharedStuds.Shared> studs) {}

    private WorkedJob assemble(Parts parts) {
        JobWideRules rules = new JobWideRules(model, terminals);
        Map<Terminal, List<JobFinding>> landed = new LinkedHashMap<>();
        rules.terminals(parts.planned(), parts.studs())
                .forEach((terminal, findings) -> landed.put(
                        terminal,
                        findings.stream()
                                .map(finding -> new JobFinding(Topic.TERMINAL, terminal.toString(), "", finding))
                                .toList()));
        Map<String, List<JobFinding>> protection = new LinkedHashMap<>();
        parts.protection()
                .ifPresent(report -> report.subjects()
                        .forEach(subject -> protection
                                .computeIfAbsent(subject.tag(), missing -> new ArrayList<>())
                                .add(new JobFinding(Topic.PROTECTION, subject.tag(), "", subject.finding()))));
        parts.network()
                .ifPresent(result -> Stream.of(
                                PartRatings.check(result).stream().filter(subject -> !isChassis(subject.tag())),
                                BankLimits.check(result).stream(),
                                PanelCheck.check(result).stream())
                        .flatMap(said -> said)
                        .forEach(subject -> protection
                                .computeIfAbsent(subject.tag(), missing -> new ArrayList<>())
                                .add(new JobFinding(Topic.PROTECTION, subject.tag(), "", subject.finding()))));
        Map<String, Finding> pairs = rules.pairs(parts.planned());
        List<JobFinding> wiring = parts.network().map(this::wiring).orElse(List.of());
        Map<String, List<JobFinding>> wired = parts.network()
                .map(result -> new WiredCables(result.installation()).of(parts.planned(), wiring))
                .orElse(Map.of());
        List<WorkedCable> cables = new ArrayList<>();
        for (CablePlanner.Planned planned : parts.planned()) {
            List<JobFinding> alone = alone(planned, parts);
            List<JobFinding> said = new ArrayList<>(made(planned));
            said.addAll(alone);
            said.addAll(wired.getOrDefault(planned.tag(), List.of()));
            said.addAll(protectionKnown(planned, parts));
            said.addAll(Objects.requireNonNullElse(
                    parts.runs().containsKey(planned.tag()) ? protection.remove(planned.tag()) : null, List.of()));
            Finding pair = pairs.get(planned.tag());
            if (pair != null) {
                said.add(new JobFinding(Topic.END, planned.tag(), "", pair));
            }
            for (Side side : Side.values()) {
                planned.cable()
                        .points()
                        .terminal(side)
                        .ifPresent(terminal -> said.addAll(landed.getOrDefault(terminal, List.of())));
            }
            cables.add(planned.with(parts.circuits().getOrDefault(planned.tag(), ""), alone, said));
        }
        List<JobFinding> further = new ArrayList<>();
        protection.values().forEach(further::addAll);
        wiring.stream().filter(one -> !isCable(one.subject())).forEach(further::add);
        parts.network().ifPresent(result -> further.addAll(JobWideRules.paths(result)));
        landed.values().forEach(further::addAll);
        further.addAll(rules.hull());
        further.addAll(rules.unmounted());
        return new WorkedJob(model, parts.network(), parts.protection(), cables, further, parts.studs());
    }

    /** What the bench says of a cable of which something is made. */
    private List<JobFinding> made(CablePlanner.Planned planned) {
        ReadingJudge judge = new ReadingJudge(planned.plan(), model.ground().pull());
        return new RecordCheck(model.record(planned.tag()), judge)
                .findings().stream()
                        .map(made -> new JobFinding(
                                Topic.MADE,
                                planned.tag(),
                                made.side() == null ? "" : made.side().name(),
                                made.finding()))
                        .toList();
    }

    /** A ring over the body of a vehicle: engine, battery and body are bonded to one another on purpose. */
    private boolean isBonding(Finding finding) {
        if (finding.code() != FindingCode.CABLE_LOOP) {
            return false;
        }
        Set<String> ring = Set.copyOf(List.of(finding.about().split(", ")));
        return model.cables().stream()
                .filter(cable -> ring.contains(cable.tag()))
                .flatMap(cable -> Stream.of(Side.values()).map(cable.points()::terminal))
                .flatMap(Optional::stream)
                .anyMatch(terminal -> isChassis(terminal.device()));
    }

    private boolean isCable(String tag) {
        return model.cables().stream().anyMatch(cable -> cable.tag().equals(tag));
    }

    /** The body of a vehicle has no rating that anybody could give. */
    private boolean isChassis(String tag) {
        return model.pieces().stream()
                .anyMatch(piece -> piece.chassis() && piece.device().tag().equals(tag));
    }

    /** What is said of a cable by itself; taken over where nothing of it has changed. */
    private List<JobFinding> alone(CablePlanner.Planned planned, Parts parts) {
        WorkedCable last = parts.known().get(planned.tag());
        if (last != null && before != null && sameNetwork(parts, before) && unchanged(planned, last, before)) {
            return last.alone();
        }
        RunResult run = parts.runs().get(planned.tag());
        double liveV = run == null
                ? 0
                : parts.network()
                        .map(result -> result.feeding()
                                .nets()
                                .highestV(run.run().from().node()))
                        .orElse(0.0);
        return cableRules.of(planned, run, liveV);
    }

    /** The very network of the last time, or none then and now: what was said of loads still holds. */
    private static boolean sameNetwork(Parts parts, WorkedJob lastJob) {
        return parts.network().orElse(null) == lastJob.network().orElse(null);
    }

    private boolean unchanged(CablePlanner.Planned now, WorkedCable last, WorkedJob lastJob) {
        return last.size() == now.size()
                && last.plan() == now.plan()
                && last.cable().equals(now.cable())
                && lastJob.model().ground().equals(model.ground());
    }

    private List<JobFinding> wiring(InstallationResult result) {
        return WiringCheck.check(result.installation()).stream()
                .filter(said -> !isBonding(said.finding()))
                .map(said -> new JobFinding(Topic.WIRING, said.tag(), "", said.finding()))
                .toList();
    }

    /** Whether it is known what protects a cable. */
    private static List<JobFinding> protectionKnown(CablePlanner.Planned planned, Parts parts) {
        return CableRules.unknownProtection(planned.cable(), parts.protection())
                .map(finding -> List.of(new JobFinding(Topic.PROTECTION, planned.tag(), "", finding)))
                .orElse(List.of());
    }

    private CablePlanner.Planned plan(
            CablePlanner planner, CableModel cable, @Nullable RunResult run, @Nullable WorkedCable known) {
        if (run != null) {
            return planner.plan(cable, Carried.of(run), run.choice(), known);
        }
        Carried carried =
                cable.typedA().isPresent() ? Carried.typed(cable.typedA().getAsDouble()) : Carried.NOTHING;
        CableDemand demand = demand(cable, carried);
        if (known != null
                && known.size().result().demand().equals(demand)
                && Objects.equals(known.cable().chosenSize(), cable.chosenSize())) {
            return planner.plan(cable, carried, known.size(), known);
        }
        return planner.plan(cable, carried, SizeChoice.of(demand, chosen(cable)), known);
    }

    private static @Nullable ConductorSize chosen(CableModel cable) {
        String chosen = cable.chosenSize();
        return chosen == null ? null : ConductorSizes.designated(chosen).orElse(null);
    }

    private CableDemand demand(CableModel cable, Carried carried) {
        return cable.laying().demand(model.ground().system(), cable.way().lengthM(), carried.currentA(), null, null);
    }

    /** A fuse on a terminal that is not there is a fuse to which nothing leads. */
    private Device settled(Device device) {
        return device instanceof Device.Fuse fuse && fuse.on() != null && !terminals.contains(fuse.on())
                ? fuse.loose()
                : device;
    }

    private InstallationResult solve(Installation installation) {
        InstallationResult last = before == null ? null : before.network().orElse(null);
        return last != null && last.installation().equals(installation) ? last : InstallationSolver.solve(installation);
    }

    /** The equipment with the cables between its terminals; empty while there is no equipment or no case. */
    private Optional<Installation> installation() {
        if (model.pieces().isEmpty() || model.cases().isEmpty()) {
            return Optional.empty();
        }
        List<Run> runs = new ArrayList<>();
        for (CableModel cable : model.cables()) {
            Terminal from =
                    cable.points().terminal(Side.A).filter(terminals::contains).orElse(null);
            Terminal to =
                    cable.points().terminal(Side.B).filter(terminals::contains).orElse(null);
            if (from != null && to != null) {
                runs.add(new Run(
                        cable.tag(),
                        from,
                        to,
                        cable.way().lengthM(),
                        cable.laying(),
                        chosen(cable),
                        cable.extraJoints(),
                        cable.typedA().orElse(0),
                        cable.way().slackMm() / 1000));
            }
        }
        return Optional.of(new Installation(
                model.ground().system(),
                model.pieces().stream().map(Piece::device).map(this::settled).toList(),
                runs,
                model.cases()));
    }
}
