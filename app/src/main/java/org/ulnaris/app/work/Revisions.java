package org.ulnaris.app.work;

import jakarta.persistence.EntityManagerFactory;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.event.service.spi.EventListenerRegistry;
import org.hibernate.event.spi.EventType;
import org.hibernate.event.spi.PostDeleteEvent;
import org.hibernate.event.spi.PostDeleteEventListener;
import org.hibernate.event.spi.PostInsertEvent;
import org.hibernate.event.spi.PostInsertEventListener;
import org.hibernate.event.spi.PostUpdateEvent;
import org.hibernate.event.spi.PostUpdateEventListener;
import org.hibernate.persister.entity.EntityPersister;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.ulnaris.app.shell.ArchivedException;

/**
 * Counts the changes of each job and of the shop, as Hibernate writes them: what was worked out is valid for one count of both. A count
 * goes up when a transaction has ended; until then the job is unsettled inside of that transaction.
 */
@Component
@Lazy(false)
public class Revisions {
    /** Stands for the shop among the ids of jobs. */
    private static final long SHOP = 0;

    private final Map<Long, AtomicLong> jobs = new ConcurrentHashMap<>();
    private final AtomicLong shop = new AtomicLong();
    private final AtomicLong commits = new AtomicLong();
    private final Map<Long, Long> changedAt = new ConcurrentHashMap<>();
    private final Map<Long, Integer> settling = new ConcurrentHashMap<>();
    private final ThreadLocal<@Nullable Watch> watch = new ThreadLocal<>();
    private final Map<Long, Long> jobOfCable = new ConcurrentHashMap<>();

    private final Clock clock;

    Revisions(EntityManagerFactory factory, Clock clock) {
        this.clock = clock;
        EventListenerRegistry registry = Objects.requireNonNull(factory.unwrap(SessionFactoryImplementor.class)
                .getServiceRegistry()
                .getService(EventListenerRegistry.class));
        Listener listener = new Listener();
        registry.appendListeners(EventType.POST_INSERT, listener);
        registry.appendListeners(EventType.POST_UPDATE, listener);
        registry.appendListeners(EventType.POST_DELETE, listener);
    }

    /**
     * For what a job stands.
     *
     * @param job its own changes
     * @param shop the shop's state
     */
    public record Revision(long job, ShopRevision shop) {}

    /**
     * For what the shop stands.
     *
     * @param changes its changes
     * @param day the day: samples of a tool grow old without any change
     */
    public record ShopRevision(long changes, LocalDate day) {}

    public Revision of(long jobId) {
        reads(jobId);
        return new Revision(count(jobId).get(), ofShop());
    }

    public ShopRevision ofShop() {
        reads(SHOP);
        return new ShopRevision(shop.get(), LocalDate.now(clock));
    }

    private void reads(long jobId) {
        Watch running = watch.get();
        if (running != null) {
            running.jobs.add(jobId);
        }
    }

    /**
     * Whether the job stands as it did when the running page began to read: if not, what is worked out may be made of rows that a session
     * read before the change, and is not to be kept.
     */
    public boolean stands(long jobId) {
        Watch running = watch.get();
        return running == null || !running.isTorn(jobId == SHOP ? Set.of(SHOP) : Set.of(jobId, SHOP));
    }

    /** Whether the shop does. */
    public boolean shopStands() {
        return stands(SHOP);
    }

    /** Whether a page is read in this thread. */
    public boolean watched() {
        return watch.get() != null;
    }

    /** Watches what this thread reads from now on, until it is closed. */
    Watch watch() {
        Watch begun = new Watch();
        watch.set(begun);
        return begun;
    }

    /** What a thread reads, and whether that changed meanwhile. */
    final class Watch implements AutoCloseable {
        private final long begunAt = commits.get();
        private final Set<Long> jobs = new HashSet<>();

        /** Whether a job that was read, or the shop, changed since: what was read before and after need not belong together. */
        boolean isTorn() {
            return isTorn(jobs);
        }

        private boolean isTorn(Set<Long> read) {
            return read.stream()
                    .anyMatch(job -> settling.containsKey(job) || changedAt.getOrDefault(job, 0L) > begunAt);
        }

        /** Whether anything at all changed since. */
        boolean isDisturbed() {
            return !settling.isEmpty() || commits.get() > begunAt;
        }

        @Override
        public void close() {
            watch.remove();
        }
    }

    private AtomicLong count(long jobId) {
        return jobs.computeIfAbsent(jobId, id -> new AtomicLong());
    }

    /** Tells which job a cable belongs to, so that a change of its ends is known to be the job's. */
    public void learn(long cableId, long jobId) {
        jobOfCable.put(cableId, jobId);
    }

    /** How often the running transaction has changed what the job is worked out from; 0 when it has not. */
    public long unsettled(long jobId) {
        Changes changes = running();
        return changes == null ? 0 : changes.all + changes.jobs.getOrDefault(jobId, 0L);
    }

    /** Whether the running transaction has changed the shop. */
    public boolean unsettledShop() {
        Changes changes = running();
        return changes != null && changes.all > 0;
    }

    private static @Nullable Changes running() {
        return TransactionSynchronizationManager.isSynchronizationActive()
                ? (Changes) TransactionSynchronizationManager.getResource(Changes.class)
                : null;
    }

    private void changed(Object entity, SharedSessionContractImplementor session) {
        if (entity instanceof OfCable work) {
            touched(jobOf(work.cableId(), session), false, session);
        }
        if (!(entity instanceof Shapes shapes)) {
            return;
        }
        Changes changes = changes();
        Shapes.Scope scope = shapes.scope();
        Long jobId = switch (scope.reach()) {
            case JOB -> Long.valueOf(scope.id());
            case CABLE -> jobOf(scope.id(), session);
            case SHOP -> null;
        };
        if (jobId == null) {
            changes.all++;
        } else {
            changes.jobs.merge(jobId, 1L, Long::sum);
            touched(jobId, shapes.isJob(), session);
        }
    }

    /** The job of a cable, asked for where no page has told it yet; null for a cable that is gone. */
    private @Nullable Long jobOf(long cableId, SharedSessionContractImplementor session) {
        Long known = jobOfCable.get(cableId);
        if (known != null) {
            return known;
        }
        Long jobId = session.doReturningWork(connection -> {
            try (PreparedStatement ask = connection.prepareStatement("select job_id from cable where id = ?")) {
                ask.setLong(1, cableId);
                try (ResultSet found = ask.executeQuery()) {
                    return found.next() ? Long.valueOf(found.getLong(1)) : null;
                }
            }
        });
        if (jobId != null) {
            jobOfCable.put(cableId, jobId);
        }
        return jobId;
    }

    /** Notes once a transaction when a job was changed, within that transaction; what belongs to an archived job can't be changed. */
    private void touched(@Nullable Long jobId, boolean itself, SharedSessionContractImplementor session) {
        if (jobId != null && changes().touched.add(jobId)) {
            session.doWork(connection -> {
                try (PreparedStatement touch = connection.prepareStatement(
                        "update job set touched_at = ? where id = ?" + (itself ? "" : " and archived_at is null"))) {
                    touch.setObject(1, clock.instant().atOffset(ZoneOffset.UTC));
                    touch.setLong(2, jobId);
                    if (touch.executeUpdate() == 0 && !itself) {
                        throw new ArchivedException(jobId);
                    }
                }
            });
        }
    }

    private Changes changes() {
        Changes running = running();
        if (running != null) {
            return running;
        }
        Changes begun = new Changes();
        TransactionSynchronizationManager.bindResource(Changes.class, begun);
        TransactionSynchronizationManager.registerSynchronization(begun);
        return begun;
    }

    /** What the running transaction has changed. */
    private final class Changes implements TransactionSynchronization {
        private final Map<Long, Long> jobs = new HashMap<>();
        private final Set<Long> touched = new HashSet<>();
        private Set<Long> settled = Set.of();
        private long all;

        @Override
        public void suspend() {
            TransactionSynchronizationManager.unbindResource(Changes.class);
        }

        @Override
        public void resume() {
            TransactionSynchronizationManager.bindResource(Changes.class, this);
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            settled = new HashSet<>(jobs.keySet());
            if (all > 0) {
                settled.add(SHOP);
            }
            settled.forEach(job -> settling.merge(job, 1, Integer::sum));
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResourceIfPossible(Changes.class);
            long commit = commits.incrementAndGet();
            for (Long jobId : jobs.keySet()) {
                count(jobId).incrementAndGet();
                changedAt.put(jobId, commit);
            }
            if (all > 0) {
                shop.incrementAndGet();
                changedAt.put(SHOP, commit);
            }
            settled.forEach(job -> settling.computeIfPresent(job, (id, held) -> held == 1 ? null : held - 1));
        }
    }

    private final class Listener implements PostInsertEventListener, PostUpdateEventListener, PostDeleteEventListener {
        private static final long serialVersionUID = 1L;

        @Override
        public void onPostInsert(PostInsertEvent event) {
            changed(event.getEntity(), event.getSession());
        }

        @Override
        public void onPostUpdate(PostUpdateEvent event) {
            changed(event.getEntity(), event.getSession());
        }

        @Override
        public void onPostDelete(PostDeleteEvent event) {
            changed(event.getEntity(), event.getSession());
        }

        @Override
        public boolean requiresPostCommitHandling(EntityPersister persister) {
            return false;
        }
    }
}
