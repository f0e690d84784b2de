package org.ulnaris.app.loads;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Svg;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.WaysOut;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.Joints;
import org.ulnaris.core.solving.RunResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedJob;

/**
 * What the cases come to.
 *
 * @param copper copper in all cables between terminals
 * @param protection wiring, fuses, and what they protect
 * @param duties what the duty of a motor means to its cables
 * @param cases one a case
 */
public record LoadsView(String copper, ProtectionView protection, List<LoadFindingView> duties, List<CaseView> cases) {
    /** Less is shown as no current, A. */
    private static final double LEAST_A = 0.005;

    /**
     * A case in service.
     *
     * @param loss heat made on the way
     * @param lossPerDay the same over its hours
     * @param verdict worst of its findings
     * @param findings findings that are not a pass, worst first
     * @param paths one a load that is fed
     * @param sources what each bank and charger gives or takes, by tag
     */
    public record CaseView(
            String name,
            String loss,
            String lossPerDay,
            Verdict verdict,
            List<LoadFindingView> findings,
            List<PathView> paths,
            Map<String, SourceView> sources) {
        /** The path to a load; null where it is not fed. */
        public @Nullable PathView path(String load) {
            return paths.stream()
                    .filter(path -> path.load().equals(load))
                    .findFirst()
                    .orElse(null);
        }

        /** The worst that is said of a load in this case. */
        public Verdict verdictOf(String load) {
            return findings.stream()
                    .filter(one -> one.load().equals(load))
                    .map(one -> one.finding().verdict())
                    .reduce(Verdict.PASS, Verdict::and);
        }
    }

    /**
     * Protection of the job.
     *
     * @param findings what asks for something, worst first
     * @param notes what is good to know
     * @param passed how many checks passed
     * @param proposals how each cable that is stopped can be mended
     */
    public record ProtectionView(
            Verdict verdict,
            List<LoadFindingView> findings,
            List<LoadFindingView> notes,
            int passed,
            List<ProposalView> proposals) {}

    /** How a cable that is stopped can be mended. */
    public record ProposalView(String cable, String ways) {}

    /** A finding with its load, fuse or cable. */
    public record LoadFindingView(String load, FindingView finding) {}

    /** What a source gives; {@code charging} when it takes, {@code rests} when nothing flows. */
    public record SourceView(String current, boolean charging, boolean rests, String voltage) {}

    /** Who eats the drop of a path; {@code joints} counts the joints on it with what they take. */
    public record PathView(String load, String voltage, String drop, String joints, List<ShareView> shares) {}

    /**
     * One element on a path.
     *
     * @param svg its share of the path's drop as a bar
     */
    public record ShareView(String id, String drop, String percent, String svg, boolean back) {}

    /** What the cases of {@code worked} come to; empty while there is nothing to solve. */
    static Optional<LoadsView> of(Job job, WorkedJob worked, Words words) {
        return worked.network().map(result -> of(job, worked, result, words));
    }

    private static LoadsView of(Job job, WorkedJob worked, InstallationResult result, Words words) {
        Fmt fmt = job.fmt();
        return new LoadsView(
                Figures.significant(result.metalKg(), 3) + Fmt.SPACE + "kg",
                protection(worked, fmt, words),
                result.runs().stream()
                        .flatMap(run -> run.findings().stream()
                                .filter(finding -> finding.code() == FindingCode.DUTY_HEAT)
                                .map(finding -> new LoadFindingView(run.run().tag(), words.view(finding, fmt))))
                        .toList(),
                result.cases().stream()
                        .map(one -> caseView(one, result, fmt, words))
                        .toList());
    }

    private static ProtectionView protection(WorkedJob worked, Fmt fmt, Words words) {
        List<JobFinding> said = worked.findings().stream()
                .filter(one -> one.topic() == Topic.WIRING || one.topic() == Topic.PROTECTION)
                .sorted(JobFinding.WORST_FIRST)
                .toList();
        List<ProposalView> proposals = worked.cables().stream()
                .map(cable -> new ProposalView(cable.tag(), WaysOut.of(worked, cable, fmt, words)))
                .filter(proposal -> !proposal.ways().isEmpty())
                .toList();
        return new ProtectionView(
                said.stream().map(JobFinding::verdict).reduce(Verdict.PASS, Verdict::and),
                views(said, Verdict::asks, fmt, words),
                views(said, verdict -> verdict == Verdict.NOTE, fmt, words),
                (int) said.stream().filter(one -> one.verdict() == Verdict.PASS).count(),
                proposals);
    }

    private static List<LoadFindingView> views(List<JobFinding> said, Predicate<Verdict> which, Fmt fmt, Words words) {
        return said.stream()
                .filter(one -> which.test(one.verdict()))
                .map(one -> new LoadFindingView(one.subject(), words.view(one.finding(), fmt)))
                .toList();
    }

    private static CaseView caseView(CaseResult one, InstallationResult result, Fmt fmt, Words words) {
        Installation installation = result.installation();
        List<CaseResult.LoadFinding> findings = one.findings(installation);
        Verdict verdict = findings.stream().map(f -> f.finding().verdict()).reduce(Verdict.PASS, Verdict::and);
        List<PathView> paths = new ArrayList<>();
        one.paths().entrySet().stream()
                .sorted(Comparator.comparing(entry -> -entry.getValue().dropV()))
                .forEach(entry -> paths.add(path(entry.getKey(), entry.getValue(), result, fmt, words)));
        return new CaseView(
                one.operating().name(),
                fmt.figure(one.lossW(), "W"),
                Figures.significant(one.lossWhPerDay(), 3) + Fmt.SPACE + "Wh",
                verdict,
                findings.stream()
                        .filter(f -> f.finding().verdict() != Verdict.PASS)
                        .map(f -> new LoadFindingView(f.load(), words.view(f.finding(), fmt)))
                        .toList(),
                paths,
                sources(one, installation, fmt));
    }

    private static Map<String, SourceView> sources(CaseResult one, Installation installation, Fmt fmt) {
        Map<String, SourceView> sources = new HashMap<>();
        for (Device device : installation.devices()) {
            ElementState state = one.solution().states().get(device.tag());
            if (state != null && (device instanceof Device.Bank || device instanceof Device.Charger)) {
                double givenA = state.currentA();
                sources.put(
                        device.tag(),
                        new SourceView(
                                fmt.current(Math.abs(Figures.rounded(givenA, 4))),
                                givenA < -LEAST_A,
                                Math.abs(givenA) < LEAST_A,
                                fmt.volt(-state.voltageV())));
            }
        }
        return sources;
    }

    private static PathView path(String load, PathDrop path, InstallationResult result, Fmt fmt, Words words) {
        double nominalV = result.installation().system().nominalV();
        List<ShareView> shares = path.shares().stream()
                .map(share -> {
                    double part = path.dropV() > 0 ? share.dropV() / path.dropV() : 0;
                    String percent = Figures.fixed(100 * part, 0) + "%";
                    return new ShareView(
                            share.id(),
                            Figures.fixed(1000 * share.dropV(), 0) + Fmt.SPACE + "mV",
                            percent,
                            Svg.bar("share", Math.max(0, 80 * part), share.id() + " " + percent),
                            share.back());
                })
                .toList();
        return new PathView(
                load,
                fmt.volt(path.loadV()),
                fmt.percent(100 * path.dropV() / nominalV),
                joints(path, result, words),
                shares);
    }

    private static String joints(PathDrop path, InstallationResult result, Words words) {
        int count = 0;
        double ohm = 0;
        double volt = 0;
        for (PathDrop.Share share : path.shares()) {
            for (RunResult run : result.runs()) {
                if (run.run().tag().equals(share.id())) {
                    count += run.run().joints();
                    ohm += run.run().joints() * Joints.ohm(run.inUse().conductor());
                    volt += share.dropV() * run.jointShare();
                }
            }
        }
        double percent = path.dropV() > 0 ? 100 * volt / path.dropV() : 0;
        return words.of(
                "loads.joints",
                Integer.toString(count),
                Figures.significant(1000 * ohm, 2) + Fmt.SPACE + "mΩ",
                Figures.significant(Math.max(0, percent), 2) + Fmt.SPACE + "%");
    }
}
