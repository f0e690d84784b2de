package org.ulnaris.core.fix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/**
 * Changes that could mend a finding, the least first. None is known to: whoever offers one works the job out with it, and holds what is
 * said then against what is said now ({@link #mends}).
 */
public final class FixCandidates {
    /** So many sizes or fuses are tried for one finding. */
    private static final int MOST = 3;

    private FixCandidates() {}

    /** Candidates for {@code said}, a finding of {@code job} that asks for something; empty where no single change is known. */
    public static List<Fix> of(WorkedJob job, JobFinding said) {
        Optional<WorkedCable> cable = job.cables().stream()
                .filter(one -> one.tag().equals(said.subject()))
                .findFirst();
        return switch (said.topic()) {
            case SIZE -> cable.map(FixCandidates::proposal).orElse(List.of());
            case PROTECTION ->
                said.finding().code() == FindingCode.FUSE_POSITION
                        ? List.of()
                        : cable.map(one -> protection(job, one)).orElseGet(() -> fuse(job, said.subject()));
            case PATH -> path(job, said);
            case END, TOOL -> cable.map(one -> end(one, said.where())).orElse(List.of());
            case WIRING, TERMINAL, MADE -> List.of();
        };
    }

    /**
     * Whether a fix mends a finding: it is gone or better, and nothing asks for more than it did that was not asked before.
     *
     * @param now the job as it is
     * @param then the job with the fix in it
     */
    public static boolean mends(JobFinding said, WorkedJob now, WorkedJob then) {
        Map<Check, Verdict> before = verdicts(now);
        Map<Check, Verdict> after = verdicts(then);
        boolean better = after.getOrDefault(Check.of(said), Verdict.PASS).compareTo(said.verdict()) < 0;
        return better
                && after.entrySet().stream()
                        .allMatch(one -> !one.getValue().asks()
                                || before.getOrDefault(one.getKey(), Verdict.PASS)
                                                .compareTo(one.getValue())
                                        >= 0);
    }

    /** One check at one place, whatever came of it. */
    private record Check(Topic topic, String subject, String where, FindingCode code) {
        static Check of(JobFinding said) {
            return new Check(
                    said.topic(), said.subject(), said.where(), said.finding().code());
        }
    }

    /** The worst outcome of each check of a job. */
    private static Map<Check, Verdict> verdicts(WorkedJob job) {
        Map<Check, Verdict> worst = new HashMap<>();
        job.findings().forEach(said -> worst.merge(Check.of(said), said.verdict(), Verdict::and));
        return worst;
    }

    private static List<Fix> proposal(WorkedCable cable) {
        return cable.size().byHand()
                ? cable.size().result().chosen().stream()
                        .map(rung -> (Fix) new Fix.TakeSize(cable.tag(), rung.size(), true))
                        .toList()
                : List.of();
    }

    private static List<Fix> thicker(WorkedCable cable) {
        double now = cable.rung().size().areaMm2();
        return cable.size().result().rungs().stream()
                .filter(rung -> rung.size().areaMm2() > now && rung.verdict() != Verdict.STOP)
                .limit(MOST)
                .map(rung -> (Fix) new Fix.TakeSize(cable.tag(), rung.size(), false))
                .toList();
    }

    /** The fuse before a cable, its proposal, or a size that stands all that can flow in. */
    private static List<Fix> protection(WorkedJob job, WorkedCable cable) {
        List<Fix> fixes = new ArrayList<>(proposal(cable));
        job.protection().stream()
                .flatMap(report -> report.proposals().stream())
                .filter(proposal -> proposal.tag().equals(cable.tag()))
                .forEach(proposal -> {
                    proposal.best()
                            .flatMap(best -> fused(job, cable, proposal.from(), best))
                            .ifPresent(fixes::add);
                    proposal.allTheWay(cable.size().result())
                            .map(Rung::size)
                            .map(size -> new Fix.TakeSize(cable.tag(), size, false))
                            .ifPresent(fixes::add);
                });
        return List.copyOf(fixes);
    }

    /** The fuse from which a cable comes, exchanged; else one where it begins. */
    private static Optional<Fix> fused(WorkedJob job, WorkedCable cable, String from, FuseCheck best) {
        return isFuse(job, from)
                ? Optional.of(new Fix.ChangeFuse(from, best.family(), best.ratingA()))
                : near(cable, from).map(side -> new Fix.PutFuse(cable.tag(), side, best.family(), best.ratingA()));
    }

    /** The end of a cable that is at {@code piece}. */
    private static Optional<Side> near(WorkedCable cable, String piece) {
        return Stream.of(Side.values())
                .filter(side -> cable.cable()
                        .points()
                        .terminal(side)
                        .filter(terminal -> terminal.device().equals(piece))
                        .isPresent())
                .findFirst();
    }

    private static boolean isFuse(WorkedJob job, String tag) {
        return job.model().pieces().stream()
                .map(Piece::device)
                .anyMatch(
                        device -> device instanceof Device.Fuse && device.tag().equals(tag));
    }

    /** Another fuse in the same place: of the same rating before all others, else as they rank for the thinnest cable behind it. */
    private static List<Fix> fuse(WorkedJob job, String tag) {
        return job.network()
                .flatMap(result -> ProtectionCheck.scene(result, tag))
                .map(scene -> scene.cables().stream()
                        .min(Comparator.comparingDouble(
                                guarded -> guarded.cable().cable().ampacityA()))
                        .map(guarded -> FuseChooser.rank(guarded.cable(), scene.families()))
                        .orElse(List.of())
                        .stream()
                        .filter(check -> check.verdict() != Verdict.STOP)
                        .filter(check -> !isThere(check, scene.fuse()))
                        .sorted(Comparator.comparing((FuseCheck check) ->
                                check.ratingA() != scene.fuse().ratingA()))
                        .limit(MOST)
                        .map(check -> (Fix) new Fix.ChangeFuse(tag, check.family(), check.ratingA()))
                        .toList())
                .orElse(List.of());
    }

    private static boolean isThere(FuseCheck check, Device.Fuse fuse) {
        return check.family() == fuse.family() && check.ratingA() == fuse.ratingA();
    }

    /** The cable that loses most on the way to a load, thicker. */
    private static List<Fix> path(WorkedJob job, JobFinding said) {
        return job.network().stream()
                .flatMap(result -> result.cases().stream())
                .filter(one -> one.operating().name().equals(said.where()))
                .map(CaseResult::paths)
                .flatMap(paths -> Stream.ofNullable(paths.get(said.subject())))
                .flatMap(path -> path.shares().stream())
                .sorted(Comparator.comparingDouble(PathDrop.Share::dropV).reversed())
                .flatMap(share ->
                        job.cables().stream().filter(cable -> cable.tag().equals(share.id())))
                .findFirst()
                .map(FixCandidates::thicker)
                .orElse(List.of());
    }

    private static List<Fix> end(WorkedCable cable, String where) {
        return Stream.of(Side.values())
                .filter(side -> where.isEmpty() || where.startsWith(side.name()))
                .filter(side -> isPicked(cable.cable().end(side)))
                .map(side -> (Fix) new Fix.FreeEnd(cable.tag(), side))
                .toList();
    }

    private static boolean isPicked(EndModel end) {
        return end.lugCode() != null
                || end.dieTag() != null
                || (end.contact() != null
                        && Objects.requireNonNull(end.contact()).code() != null);
    }
}
