package org.ulnaris.app.plan;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.JobCopied;
import org.ulnaris.app.job.Names;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;

/** Cables of a job. */
@Service
@Transactional
public class CableService implements Undoes, Names {
    private static final int MOST_NAMED = 50;
    private static final String KIND = "cable";

    private final CableRepository cables;
    private final ObjectProvider<LastSteps> steps;
    private final Tags tags;
    private final ApplicationEventPublisher events;

    private final Clock clock;

    CableService(
            CableRepository cables,
            ObjectProvider<LastSteps> steps,
            Tags tags,
            ApplicationEventPublisher events,
            Clock clock) {
        this.steps = steps;
        this.tags = tags;
        this.clock = clock;
        this.cables = cables;
        this.events = events;
    }

    /** Cables of a job in their order. */
    @Transactional(readOnly = true)
    public List<Cable> of(long jobId) {
        return cables.findByJobIdAndDeletedAtIsNullOrderByPlaceAscIdAsc(jobId);
    }

    /** The same, their ids alone. */
    @Transactional(readOnly = true)
    public List<Long> idsOf(long jobId) {
        return cables.idsOf(jobId);
    }

    @Transactional(readOnly = true)
    public List<Cable> ofAll(Collection<Long> jobIds) {
        return cables.findByJobIdInAndDeletedAtIsNullOrderByPlaceAscIdAsc(jobIds);
    }

    /**
     * The cable {@code id}.
     *
     * @throws NotFoundException when there is none, or it is deleted
     */
    @Transactional(readOnly = true)
    public Cable get(long id) {
        return cables.findById(id)
                .filter(cable -> !cable.deleted())
                .orElseThrow(() -> new NotFoundException("cable " + id));
    }

    public Cable create(long jobId, CableDetails details) {
        return createAll(jobId, List.of(details)).get(0);
    }

    /** All or none. */
    public List<Cable> createAll(long jobId, List<CableDetails> all) {
        List<Cable> created = new ArrayList<>();
        int place = cables.lastPlace(jobId);
        for (CableDetails details : all) {
            created.add(new Cable(jobId, ++place, details));
        }
        return cables.saveAllAndFlush(created);
    }

    public Cable change(long id, CableDetails details) {
        Cable cable = get(id);
        cable.change(details);
        return cables.saveAndFlush(cable);
    }

    /** All of one job at once, by the cable's id. */
    public void changeAll(Map<Long, CableDetails> changed) {
        changed.forEach(this::change);
    }

    /** The same as one step that can be taken back. */
    public void changeAll(long jobId, LastSteps.What what, Map<Long, CableDetails> changed) {
        steps.getObject().keep(LastSteps.job(jobId), what, changes(changed));
    }

    /** Changes cables by their ids as a part of a step that can be taken back; those that are changed. */
    public List<Change> changes(Map<Long, CableDetails> changed) {
        List<Change> changes = new ArrayList<>();
        for (Map.Entry<Long, CableDetails> entry : changed.entrySet()) {
            Cable cable = get(entry.getKey());
            if (!cable.details().equals(entry.getValue())) {
                changes.add(new Change(
                        KIND,
                        entry.getKey().toString(),
                        LastSteps.json(cable.details()),
                        LastSteps.json(entry.getValue())));
                cable.change(entry.getValue());
            }
        }
        cables.flush();
        return changes;
    }

    /** New cables, and changes of those that are there by their ids, all or none, as one step that can be taken back. */
    public void importAll(long jobId, List<CableDetails> fresh, Map<Long, CableDetails> changed) {
        List<Change> changes = changes(changed);
        createAll(jobId, fresh).forEach(cable -> changes.add(made(cable)));
        steps.getObject().keep(LastSteps.job(jobId), LastSteps.What.IMPORT, changes);
    }

    /** New cables, all or none, as one step that can be taken back. */
    void addAll(long jobId, List<CableDetails> fresh) {
        List<Change> changes =
                createAll(jobId, fresh).stream().map(CableService::made).toList();
        steps.getObject().keep(LastSteps.job(jobId), LastSteps.What.COUNTED, changes);
    }

    /** A new cable as a part of a step that can be taken back. */
    public static Change made(Cable cable) {
        return Change.made(KIND, cable.id().toString(), cable.details());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public @Nullable String now(String key) {
        return cables.findById(Long.valueOf(key))
                .filter(one -> !one.deleted())
                .map(one -> LastSteps.json(one.details()))
                .orElse(null);
    }

    /** One that was new is deleted; it comes back where its tag is still free. */
    @Override
    public boolean set(String key, @Nullable String thing) {
        Cable one = cables.findById(Long.valueOf(key)).orElse(null);
        if (one == null) {
            return false;
        }
        if (thing == null) {
            one.delete(clock.instant());
        } else {
            CableDetails details = LastSteps.read(thing, CableDetails.class);
            if (one.deleted() && !tags.free(one.jobId(), details.tag()).equals(details.tag())) {
                return false;
            }
            one.change(details);
            one.delete(null);
        }
        cables.saveAndFlush(one);
        return true;
    }

    public Cable delete(long id) {
        Cable cable = get(id);
        cable.delete(clock.instant());
        cables.saveAndFlush(cable);
        return cable;
    }

    /** Undo of {@link #delete}; where the tag was given away meanwhile, under a free one. */
    Restored restore(long id) {
        Cable cable = cables.findById(id).orElseThrow(() -> new NotFoundException("cable " + id));
        String tag = cable.details().tag();
        if (cable.deleted()) {
            cable.change(cable.details().tagged(tags.free(cable.jobId(), tag)));
            cable.delete(null);
            cables.saveAndFlush(cable);
        }
        return new Restored(cable, !cable.details().tag().equals(tag));
    }

    /** A cable that was brought back, and whether it got another tag. */
    record Restored(Cable cable, boolean renamed) {}

    @Override
    @Transactional(readOnly = true)
    public List<Name> names(long jobId) {
        return of(jobId).stream()
                .map(cable -> new Name(KIND, cable.id(), cable.details().tag()))
                .toList();
    }

    @Override
    public String namedKind() {
        return KIND;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Named> named(String part) {
        return cables.named(part, Limit.of(MOST_NAMED)).stream()
                .map(one -> new Named(one.jobId(), one.details().tag()))
                .toList();
    }

    /** Whether anything else of the job bears the tag. */
    @Transactional(readOnly = true)
    public boolean taken(long jobId, String tag, long exceptId) {
        return tags.taken(jobId, tag, KIND, exceptId);
    }

    /** The first tag C1, C2, … that the job does not use. */
    @Transactional(readOnly = true)
    public String proposeTag(long jobId) {
        Set<String> used = tags.used(jobId);
        int n = 1;
        while (used.contains("C" + n)) {
            n++;
        }
        return "C" + n;
    }

    @EventListener
    void copyCables(JobCopied copied) {
        List<Cable> originals = of(copied.fromId());
        List<Cable> copies =
                createAll(copied.toId(), originals.stream().map(Cable::details).toList());
        Map<Long, Long> ids = new HashMap<>();
        for (int i = 0; i < copies.size(); i++) {
            ids.put(originals.get(i).id(), copies.get(i).id());
        }
        events.publishEvent(new CablesCopied(ids));
    }
}
