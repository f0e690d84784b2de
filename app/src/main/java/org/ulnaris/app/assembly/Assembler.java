package org.ulnaris.app.assembly;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.Records;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.work.Revisions;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.record.CableRecord;

/** Gathers the parts of a job from the features that keep them. */
@Service
public class Assembler {
    private final JobService jobs;
    private final CableService cables;
    private final LoadsService loads;
    private final MatchService match;
    private final Records records;
    private final Revisions revisions;
    private volatile @Nullable KeptShop kept;

    /** The shop as it was at one of its revisions. */
    private record KeptShop(Revisions.ShopRevision revision, Shop shop) {}

    Assembler(
            JobService jobs,
            CableService cables,
            LoadsService loads,
            MatchService match,
            Records records,
            Revisions revisions) {
        this.jobs = jobs;
        this.cables = cables;
        this.loads = loads;
        this.match = match;
        this.records = records;
        this.revisions = revisions;
    }

    /**
     * The parts of the job {@code jobId}.
     *
     * @throws org.ulnaris.app.shell.NotFoundException when there is none, or it is deleted
     */
    @Transactional(readOnly = true)
    public JobParts parts(long jobId) {
        Job job = jobs.get(jobId);
        List<Cable> all = cables.of(jobId);
        all.forEach(cable -> revisions.learn(cable.id(), jobId));
        Map<String, Map<Side, JobParts.End>> byTag = new HashMap<>();
        Map<Long, Map<Side, MatchService.Kept>> ends = match.ends(jobId, all);
        for (Cable cable : all) {
            Map<Side, JobParts.End> own = new EnumMap<>(Side.class);
            ends.getOrDefault(cable.id(), Map.of())
                    .forEach((side, kept) -> own.put(side, new JobParts.End(kept.details(), kept.said())));
            byTag.put(cable.details().tag(), own);
        }
        return new JobParts(
                job.details(),
                loads.details(jobId),
                all.stream().map(Cable::details).toList(),
                byTag,
                loads.caseFiles(jobId),
                shop(),
                records(all));
    }

    private Map<String, CableRecord> records(List<Cable> all) {
        Map<Long, CableRecord> begun = records.begun(all.stream().map(Cable::id).toList());
        return all.stream()
                .filter(cable -> begun.containsKey(cable.id()))
                .collect(Collectors.toMap(
                        cable -> cable.details().tag(), cable -> Objects.requireNonNull(begun.get(cable.id()))));
    }

    /** What there is to choose from; one and the same as long as nothing of it changes, with what it has ranked already. */
    @Transactional(readOnly = true)
    public Shop shop() {
        KeptShop known = kept;
        if (revisions.unsettledShop()) {
            return like(known, match.shop());
        }
        Revisions.ShopRevision now = revisions.ofShop();
        if (known == null || !known.revision().equals(now)) {
            known = new KeptShop(now, like(known, match.shop()));
            if (revisions.shopStands()) {
                kept = known;
            }
        }
        return known.shop();
    }

    private static Shop like(@Nullable KeptShop known, Shop read) {
        return known != null && known.shop().equals(read) ? known.shop() : read;
    }
}
