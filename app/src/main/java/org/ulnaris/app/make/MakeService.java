package org.ulnaris.app.make;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.store.Disk;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.WorkedCable;

/** Keeps what is done at the bench. What is accepted here is on disk before the answer goes out. */
@Service
@Transactional
public class MakeService {
    private final BuildRepository builds;
    private final StepDoneRepository steps;
    private final ReadingRepository readings;
    private final CableService cables;
    private final Works works;
    private final Disk disk;

    private final Clock clock;

    MakeService(
            BuildRepository builds,
            StepDoneRepository steps,
            ReadingRepository readings,
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
    }

    @Transactional(readOnly = true)
    public Making of(long cableId) {
        return Objects.requireNonNull(ofAll(List.of(cables.get(cableId))).get(cableId));
    }

    /** The state of each cable, in three statements. */
    @Transactional(readOnly = true, noRollbackFor = BrokenJobException.class)
    public Map<Long, Making> ofAll(Collection<Cable> all) {
        List<Long> ids = all.stream().map(Cable::id).toList();
        Map<Long, Build> found =
                builds.findAllById(ids).stream().collect(Collectors.toMap(Build::cableId, Function.identity()));
        Map<Long, List<StepDone>> done =
                steps.findByCableIdIn(ids).stream().collect(Collectors.groupingBy(StepDone::cableId));
        Map<Long, List<Reading>> taken =
                readings.findByCableIdInOrderById(ids).stream().collect(Collectors.groupingBy(Reading::cableId));
        Map<Long, Making> makings = new HashMap<>();
        for (Cable cable : all) {
            Long id = cable.id();
            makings.put(
                    id,
                    making(
                            found.getOrDefault(id, new Build(id)),
                            done.getOrDefault(id, List.of()),
                            taken.getOrDefault(id, List.of()),
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

    private static Making making(Build build, List<StepDone> done, List<Reading> taken, WorkedCable cable) {
        Set<String> keys = done.stream().map(StepDone::step).collect(Collectors.toSet());
        return new Making(
                keys,
                taken,
                build.usedMm(),
                build.redone(Side.A),
                build.redone(Side.B),
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
        reached(cableId, step).inForce(step).forEach(Reading::supersede);
        readings.flush();
        taken.forEach(reading -> reading.take(clock.instant()));
        readings.saveAll(taken);
        if (taken.stream().noneMatch(reading -> reading.verdict() == Verdict.STOP)) {
            done(cableId, step);
        }
    }

    /**
     * Marks a step as done.
     *
     * @throws NotYetException when it is not its turn
     */
    public void done(long cableId, BuildStep step) {
        if (!reached(cableId, step).done().contains(step.key())) {
            steps.saveAndFlush(new StepDone(cableId, step.key(), clock.instant()));
        }
    }

    /**
     * Accepts the stops of a step for a reason; both are kept.
     *
     * @return false where nothing was read that could be accepted
     */
    public boolean deviate(long cableId, BuildStep step, String reason) {
        List<Reading> stops = reached(cableId, step).inForce(step).stream()
                .filter(reading -> reading.verdict() == Verdict.STOP)
                .toList();
        stops.forEach(reading -> reading.deviate(reason));
        if (!stops.isEmpty()) {
            done(cableId, step);
        }
        return !stops.isEmpty();
    }

    /** Keeps that the readings of a step could not be taken, and why; the step is done, what it would have shown stays open. */
    public void notMeasured(long cableId, BuildStep step, List<ReadingKind> kinds, String reason) {
        record(
                cableId,
                step,
                kinds.stream()
                        .map(kind -> Reading.notMeasured(cableId, step.key(), kind, reason))
                        .toList());
    }

    /** Begins the end of a step anew: its readings are superseded, its steps open, its cost taken from the slack. */
    public void redo(long cableId, BuildStep step, double costMm) {
        Side side = Objects.requireNonNull(step.side(), "a step of an end");
        Build build = builds.findById(cableId).orElseGet(() -> new Build(cableId));
        build.redo(side, costMm);
        builds.save(build);
        reopen(cableId, step.redone());
    }

    /** Begins the whole cable anew, with a new piece of cable. */
    public void startOver(long cableId) {
        builds.findById(cableId).ifPresent(Build::startOver);
        reopen(cableId, BuildStep.inOrder());
    }

    /** Keeps what a job file tells of a cable that has no making yet; of several readings in force for the same the last one is. */
    public void restore(long cableId, MakingFile file) {
        Build build = new Build(cableId);
        build.set(file.usedMm(), file.redoneA(), file.redoneB());
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

    private void reopen(long cableId, List<BuildStep> reopened) {
        disk.syncAfterCommit();
        Set<String> keys = reopened.stream().map(BuildStep::key).collect(Collectors.toCollection(HashSet::new));
        of(cableId).readings().stream()
                .filter(reading -> keys.contains(reading.step()))
                .forEach(Reading::supersede);
        steps.deleteAll(steps.findByCableIdIn(List.of(cableId)).stream()
                .filter(done -> keys.contains(done.step()))
                .toList());
    }
}
