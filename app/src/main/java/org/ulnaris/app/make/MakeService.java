package org.ulnaris.app.make;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.store.Disk;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.record.ReadingJudge;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Keeps what is done at the bench. What is accepted here is on disk before the answer goes out. */
@Service
@Transactional
public class MakeService {
    private final BuildRepository builds;
    private final StepDoneRepository steps;
    private final ReadingRepository readings;
    private final RedoRepository redos;
    private final Records records;
    private final CableService cables;
    private final Works works;
    private final Disk disk;

    private final Clock clock;

    MakeService(
            BuildRepository builds,
            StepDoneRepository steps,
            ReadingRepository readings,
            RedoRepository redos,
            Records records,
            CableService cables,
            Works works,
            Disk disk,
            Clock clock) {
        this.disk = disk;
        this.clock = clock;
        this.cables = cables;
        this.works = works;
        this.builds = builds;
        this.steps = steps;
        this.readings = readings;
        this.redos = redos;
        this.records = records;
    }

    @Transactional(readOnly = true)
    public Making of(long cableId) {
        return Objects.requireNonNull(ofAll(List.of(cables.get(cableId))).get(cableId));
    }

    /** The state of each cable. */
    @Transactional(readOnly = true, noRollbackFor = BrokenJobException.class)
    public Map<Long, Making> ofAll(Collection<Cable> all) {
        if (all.isEmpty()) {
            return Map.of();
        }
        Map<Long, Records.Kept> kept = records.of(all.stream().map(Cable::id).toList());
        Map<Long, Making> makings = new HashMap<>();
        for (Cable cable : all) {
            makings.put(
                    cable.id(),
                    making(
                            Objects.requireNonNull(kept.get(cable.id())),
                            works.of(cable.jobId()).cable(cable.details().tag())));
        }
        return makings;
    }

    /** Which of some cables have a step done. */
    @Transactional(readOnly = true)
    public Set<Long> begun(Collection<Cable> all) {
        return steps.findByCableIdIn(all.stream().map(Cable::id).toList()).stream()
                .map(StepDone::cableId)
                .collect(Collectors.toSet());
    }

    private static Making making(Records.Kept kept, WorkedCable cable) {
        return new Making(
                kept.record(),
                kept.readings(),
                kept.redos(),
                kept.build().redone(Side.A),
                kept.build().redone(Side.B),
                cable.plan().steps(),
                cable.sizeSaid().isPresent());
    }

    /** A step that is not its turn yet, or a step of a cable of which no size is said. */
    public static final class NotYetException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotYetException(BuildStep step) {
            super(step.key() + " has to wait for the size of the cable or for the steps before it");
        }
    }

    /** A step whose reading stops: only a reading that passes, a redo or somebody who answers for it ends it. */
    public static final class StoppedException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        StoppedException(BuildStep step) {
            super(step.key() + " is stopped by its reading");
        }
    }

    /** Every change of the record of a cable is on the disk before it is acknowledged. */
    private Making reached(long cableId, BuildStep step) {
        disk.syncAfterCommit();
        Making making = of(cableId);
        if (!making.reached(step)) {
            throw new NotYetException(step);
        }
        return making;
    }

    /**
     * Keeps readings of a step; what was read for it before is superseded. The step is done unless one stops.
     *
     * @throws NotYetException when it is not its turn
     */
    public void record(long cableId, BuildStep step, List<Reading> taken) {
        record(cableId, reached(cableId, step), step, taken);
    }

    private void record(long cableId, Making before, BuildStep step, List<Reading> taken) {
        before.inForce(step).forEach(Reading::supersede);
        readings.flush();
        taken.forEach(reading -> reading.take(clock.instant()));
        readings.saveAll(taken);
        if (taken.stream().noneMatch(reading -> reading.verdict() == Verdict.STOP)) {
            tick(cableId, before, step);
        }
    }

    /**
     * Keeps one reading of a step, in the unit of its kind, judged by the plan as it is.
     *
     * @param figure what was read, from the plan
     * @throws NotYetException when it is not its turn
     */
    public void read(long cableId, BuildStep step, ReadingKind kind, ToDoubleFunction<CablePlan> figure) {
        Cable cable = cables.get(cableId);
        WorkedJob job = works.of(cable.jobId());
        CablePlan plan = job.cable(cable.details().tag()).plan();
        Finding judged = new ReadingJudge(plan, job.model().ground().pull())
                .judge(step, kind, figure.applyAsDouble(plan), null)
                .orElseThrow();
        record(cableId, step, List.of(new Reading(cableId, step.key(), kind, judged, null)));
    }

    /**
     * Marks a step as done.
     *
     * @throws NotYetException when it is not its turn
     */
    public void done(long cableId, BuildStep step) {
        tick(cableId, reached(cableId, step), step);
    }

    private void tick(long cableId, Making before, BuildStep step) {
        if (!before.record().ticked().contains(step.key())) {
            steps.saveAndFlush(new StepDone(cableId, step.key(), clock.instant()));
            if (step.kind() == StepKind.CUT) {
                cut(cableId);
            }
        }
    }

    /** Keeps what size the cable was cut from: the plan may change, the cable on the bench does not. */
    private void cut(long cableId) {
        Cable cable = cables.get(cableId);
        Build build = build(cableId);
        build.cutFrom(
                works.of(cable.jobId()).cable(cable.details().tag()).sizeSaid().orElse(null));
        builds.save(build);
    }

    private Build build(long cableId) {
        return builds.findById(cableId).orElseGet(() -> new Build(cableId));
    }

    /**
     * Somebody answers for the readings of a step that stop or stand open; both are kept.
     *
     * @return false where nothing was read that could be accepted
     */
    public boolean deviate(long cableId, BuildStep step, Deviation accepted) {
        Making before = reached(cableId, step);
        List<Reading> stops =
                before.inForce(step).stream().filter(Reading::answerable).toList();
        stops.forEach(reading -> reading.deviate(accepted));
        readings.flush();
        if (!stops.isEmpty()) {
            tick(cableId, before, step);
        }
        return !stops.isEmpty();
    }

    /**
     * Keeps that the readings of a step could not be taken, and why; the step is done, what it would have shown stays open.
     *
     * @throws StoppedException where a reading of it stops: that was measured
     */
    public void notMeasured(long cableId, BuildStep step, List<ReadingKind> kinds, String reason) {
        Making before = reached(cableId, step);
        if (before.record().stopped(step)) {
            throw new StoppedException(step);
        }
        record(
                cableId,
                before,
                step,
                kinds.stream()
                        .map(kind -> Reading.notMeasured(cableId, step.key(), kind, reason))
                        .toList());
    }

    /** Begins the end of a step anew: its readings are replaced, its steps open, its cost taken from the slack. */
    public void redo(long cableId, BuildStep step, double costMm) {
        Side side = Objects.requireNonNull(step.side(), "a step of an end");
        Build build = build(cableId);
        reopen(build, side, costMm, step.redone());
        build.redo(side, costMm);
        builds.save(build);
    }

    /** Begins the whole cable anew, with a new piece of cable. */
    public void startOver(long cableId) {
        Build build = build(cableId);
        reopen(build, null, 0, BuildStep.inOrder());
        build.startOver();
        builds.save(build);
    }

    /**
     * Takes the last redo back: what stood before it is in force again.
     *
     * @return false where it is no longer the last one, or something that it opened was done or read since
     */
    public boolean undoRedo(long cableId, long redoId) {
        disk.syncAfterCommit();
        Redo last = of(cableId).undoable().filter(redo -> redo.id() == redoId).orElse(null);
        if (last == null) {
            return false;
        }
        Build build = build(cableId);
        last.undo(build);
        builds.save(build);
        redos.save(last);
        readings.findByCableIdInOrderById(List.of(cableId)).forEach(reading -> reading.reopen(last.id()));
        last.stepsBefore().forEach(key -> steps.save(new StepDone(cableId, key, clock.instant())));
        steps.flush();
        return true;
    }

    /** Keeps what a job file tells of a cable that has no making yet; of several readings in force for the same the last one is. */
    public void restore(long cableId, MakingFile file) {
        Build build = new Build(cableId);
        build.set(file.usedMm(), file.redoneA(), file.redoneB());
        build.cutFrom(file.cutSize());
        builds.save(build);
        steps.saveAll(file.done().stream()
                .distinct()
                .map(step -> new StepDone(cableId, step, clock.instant()))
                .toList());
        Map<String, Reading> inForce = new HashMap<>();
        List<Reading> all = file.readings().stream()
                .map(reading -> new Reading(cableId, reading))
                .toList();
        for (Reading reading : all) {
            if (!reading.superseded()) {
                Reading earlier = inForce.put(reading.step() + " " + reading.kind(), reading);
                if (earlier != null) {
                    earlier.supersede();
                }
            }
        }
        readings.saveAll(all);
    }

    private void reopen(Build build, @Nullable Side side, double costMm, List<BuildStep> reopened) {
        disk.syncAfterCommit();
        long cableId = build.cableId();
        Set<String> keys = reopened.stream().map(BuildStep::key).collect(Collectors.toSet());
        List<StepDone> done = steps.findByCableIdIn(List.of(cableId)).stream()
                .filter(step -> keys.contains(step.step()))
                .toList();
        Redo redo = redos.saveAndFlush(
                new Redo(build, side, costMm, done.stream().map(StepDone::step).toList(), clock.instant()));
        readings.findByCableIdInOrderById(List.of(cableId)).stream()
                .filter(reading -> !reading.superseded() && keys.contains(reading.step()))
                .forEach(reading -> reading.close(redo.id()));
        steps.deleteAll(done);
        steps.flush();
    }
}
