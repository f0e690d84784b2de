package org.ulnaris.app.assembly;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.work.Revisions;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Works jobs out, and keeps what it worked out by the revisions of job and shop. */
@Service
class WorkedJobs implements Works {
    /** Findings and parts considered in all jobs that are kept: about 100 bytes each. */
    private static final long MOST_KEPT = 800_000;

    /** What a cable with its size, both plans and its findings weighs beside the parts considered for it. */
    private static final int WEIGHT_OF_CABLE = 100;

    private final Assembler assembler;
    private final Revisions revisions;
    private final EntityManager entities;
    private final Cache<Long, Kept> kept = Caffeine.newBuilder()
            .maximumWeight(MOST_KEPT)
            .weigher((Long jobId, Kept one) -> one.weight())
            .build();

    WorkedJobs(Assembler assembler, Revisions revisions, EntityManager entities) {
        this.assembler = assembler;
        this.revisions = revisions;
        this.entities = entities;
    }

    private record Kept(Revisions.Revision revision, WorkedJob job) {
        /** Rankings that ends share count once. */
        int weight() {
            int weight = 1;
            Set<List<?>> shared = Collections.newSetFromMap(new IdentityHashMap<>());
            for (WorkedCable cable : job.cables()) {
                weight += WEIGHT_OF_CABLE;
                for (Side side : Side.values()) {
                    EndPlan end = cable.plan().end(side);
                    for (List<?> ranked : List.of(end.lugs(), end.contacts(), end.dies())) {
                        weight += shared.add(ranked) ? ranked.size() : 0;
                    }
                }
            }
            return weight;
        }
    }

    /** A job that can't be worked out spoils no reading of others around it. */
    @Override
    @Transactional(readOnly = true, noRollbackFor = BrokenJobException.class)
    public WorkedJob of(long jobId) {
        if (entities.isJoinedToTransaction() && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            entities.flush();
        }
        long unsettled = revisions.unsettled(jobId);
        Kept last = kept.getIfPresent(jobId);
        if (unsettled > 0) {
            return unsettled(jobId, unsettled, last == null ? null : last.job());
        }
        Revisions.Revision now = revisions.of(jobId);
        if (last != null && last.revision().equals(now)) {
            return last.job();
        }
        WorkedJob worked = work(jobId, last == null ? null : last.job());
        if (revisions.watched() ? revisions.stands(jobId) : isOwnTransaction()) {
            kept.put(jobId, new Kept(now, worked));
        }
        return worked;
    }

    /** Whether the rows were read by this transaction alone: one that began earlier may have read some of them before a change. */
    private static boolean isOwnTransaction() {
        return TransactionAspectSupport.currentTransactionStatus().isNewTransaction();
    }

    private WorkedJob work(long jobId, @Nullable WorkedJob last) {
        JobParts parts = assembler.parts(jobId);
        try {
            return JobWorker.work(parts.model(), last);
        } catch (RuntimeException e) {
            throw new BrokenJobException(jobId, e);
        }
    }

    /** Inside of a transaction that has changed the job: kept until that changes more, or ends. */
    private WorkedJob unsettled(long jobId, long changes, @Nullable WorkedJob last) {
        String key = Unsettled.class.getName() + jobId;
        Unsettled known = (Unsettled) TransactionSynchronizationManager.getResource(key);
        if (known != null && known.changes() == changes) {
            return known.job();
        }
        WorkedJob worked = work(jobId, known == null ? last : known.job());
        if (known != null) {
            TransactionSynchronizationManager.unbindResource(key);
        } else {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(key);
                }
            });
        }
        TransactionSynchronizationManager.bindResource(key, new Unsettled(changes, worked));
        return worked;
    }

    private record Unsettled(long changes, WorkedJob job) {}
}
