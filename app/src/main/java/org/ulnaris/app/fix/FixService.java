package org.ulnaris.app.fix;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.fix.Fix;
import org.ulnaris.core.fix.FixCandidates;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedJob;

/** Offers what mends a finding, and takes it. */
@Service
@Transactional
public class FixService {
    private final Works works;
    private final Assembler assembler;
    private final CableService cables;
    private final LoadsService loads;
    private final MatchService match;
    private final LastSteps steps;
    private final Words words;
    /** What was found to mend a finding of a job as it is now. */
    private final Cache<WorkedJob, Map<JobFinding, Optional<Fix>>> proven =
            Caffeine.newBuilder().weakKeys().build();

    FixService(
            Works works,
            Assembler assembler,
            CableService cables,
            LoadsService loads,
            MatchService match,
            LastSteps steps,
            Words words) {
        this.works = works;
        this.assembler = assembler;
        this.cables = cables;
        this.loads = loads;
        this.match = match;
        this.steps = steps;
        this.words = words;
    }

    /**
     * A fix that is offered.
     *
     * @param finding which finding it mends: {@link #take} asks for it
     * @param label what a press does
     */
    public record Offer(String finding, String label) {}

    /** What mends {@code said}; empty where no single change that is known does. */
    @Transactional(readOnly = true)
    public Optional<Offer> offer(Job job, JobFinding said) {
        return mending(job.id(), said).map(fix -> new Offer(key(said), label(job, fix)));
    }

    private static String key(JobFinding said) {
        return String.join("|", said.topic().name(), said.finding().code().name(), said.where(), said.subject());
    }

    private Optional<Fix> mending(long jobId, JobFinding said) {
        WorkedJob now = works.of(jobId);
        return Objects.requireNonNull(proven.get(now, job -> new ConcurrentHashMap<>()))
                .computeIfAbsent(said, one -> prove(jobId, now, one));
    }

    private Optional<Fix> prove(long jobId, WorkedJob now, JobFinding said) {
        List<Fix> candidates = FixCandidates.of(now, said);
        if (candidates.isEmpty()) {
            return Optional.empty();
        }
        FixedJob job = new FixedJob(assembler.parts(jobId));
        return candidates.stream()
                .filter(fix -> FixCandidates.mends(
                        said, now, JobWorker.work(job.with(fix).model(), now)))
                .findFirst();
    }

    private String label(Job job, Fix fix) {
        if (fix instanceof Fix.TakeSize take) {
            return words.of("fix.size", take.size().designation(), fix.subject());
        }
        if (fix instanceof Fix.ChangeFuse change) {
            return words.of(
                    "fix.fuse", job.fmt().current(change.ratingA()), words.name(change.family()), fix.subject());
        }
        if (fix instanceof Fix.PutFuse put) {
            return words.of("fix.put", job.fmt().current(put.ratingA()), words.name(put.family()), fix.subject());
        }
        return words.of("fix.end", ((Fix.FreeEnd) fix).side().name(), fix.subject());
    }

    /**
     * Takes what mends the finding {@code key}, as one step that can be taken back.
     *
     * @return tag of what was changed; empty where the finding is gone or nothing mends it any more
     */
    public Optional<String> take(long jobId, String key) {
        Optional<Fix> fix = works.of(jobId).findings().stream()
                .filter(said -> key(said).equals(key))
                .findFirst()
                .flatMap(said -> mending(jobId, said));
        fix.ifPresent(one -> steps.keep(LastSteps.job(jobId), LastSteps.What.FIX, keep(jobId, one)));
        return fix.map(Fix::subject);
    }

    /** Keeps what differs of the job with the fix in it. */
    private List<Change> keep(long jobId, Fix fix) {
        JobParts now = assembler.parts(jobId);
        JobParts then = new FixedJob(now).with(fix);
        List<Change> changes = new ArrayList<>();
        Map<String, Long> pieces = loads.idsByTag(jobId);
        for (EquipmentDetails piece : then.equipment()) {
            Long id = pieces.get(piece.tag());
            if (id == null) {
                changes.add(loads.made(jobId, piece));
            } else if (!now.equipment().contains(piece)) {
                changes.add(loads.changed(id, piece));
            }
        }
        Map<String, Cable> byTag = new HashMap<>();
        cables.of(jobId).forEach(cable -> byTag.put(cable.details().tag(), cable));
        for (CableDetails details : then.cables()) {
            Cable cable = byTag.get(details.tag());
            if (cable == null) {
                Cable made = cables.create(jobId, details);
                byTag.put(details.tag(), made);
                changes.add(CableService.made(made));
            } else {
                changes.addAll(cables.changes(Map.of(cable.id(), details)));
            }
        }
        then.ends()
                .forEach((tag, ends) -> ends.forEach((side, end) -> {
                    boolean same = end.equals(now.ends()
                            .getOrDefault(tag, Map.<Side, JobParts.End>of())
                            .get(side));
                    if (!same && end.said()) {
                        changes.add(match.changed(Objects.requireNonNull(byTag.get(tag)), side, end.details()));
                    }
                }));
        return changes;
    }
}
