package org.ulnaris.app.make;

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
import org.ulnaris.core.record.CableRecord;

/** Reads what the bench has kept of cables. It knows nothing of jobs worked out, which are worked out from it. */
@Service
@Transactional(readOnly = true)
public class Records {
    private final BuildRepository builds;
    private final StepDoneRepository steps;
    private final ReadingRepository readings;
    private final RedoRepository redos;

    Records(BuildRepository builds, StepDoneRepository steps, ReadingRepository readings, RedoRepository redos) {
        this.builds = builds;
        this.steps = steps;
        this.readings = readings;
        this.redos = redos;
    }

    /**
     * All that is kept of a cable.
     *
     * @param done its steps that somebody ended
     * @param readings all readings, oldest first
     * @param redos what was begun anew, oldest first
     */
    record Kept(Build build, List<StepDone> done, List<Reading> readings, List<Redo> redos) {
        CableRecord record() {
            Set<String> ticked = done.stream().map(StepDone::step).collect(Collectors.toSet());
            return new CableRecord(
                    ticked,
                    readings.stream()
                            .filter(reading -> !reading.superseded())
                            .map(Reading::taken)
                            .toList(),
                    build.usedMm(),
                    build.cutSize());
        }
    }

    /** All that is kept of each cable, in four statements. */
    Map<Long, Kept> of(Collection<Long> cableIds) {
        Map<Long, List<Redo>> redone =
                redos.findByCableIdInOrderById(cableIds).stream().collect(Collectors.groupingBy(Redo::cableId));
        return of(cableIds, redone);
    }

    private Map<Long, Kept> of(Collection<Long> cableIds, Map<Long, List<Redo>> redone) {
        Map<Long, List<StepDone>> done =
                steps.findByCableIdIn(cableIds).stream().collect(Collectors.groupingBy(StepDone::cableId));
        Map<Long, List<Reading>> taken =
                readings.findByCableIdInOrderById(cableIds).stream().collect(Collectors.groupingBy(Reading::cableId));
        Set<Long> begun = new HashSet<>(done.keySet());
        begun.addAll(taken.keySet());
        Map<Long, Build> built = begun.isEmpty()
                ? Map.of()
                : builds.findAllById(begun).stream().collect(Collectors.toMap(Build::cableId, Function.identity()));
        Map<Long, Kept> kept = new HashMap<>();
        for (Long id : cableIds) {
            kept.put(
                    id,
                    new Kept(
                            Objects.requireNonNullElseGet(built.get(id), () -> new Build(id)),
                            done.getOrDefault(id, List.of()),
                            taken.getOrDefault(id, List.of()),
                            redone.getOrDefault(id, List.of())));
        }
        return kept;
    }

    /** The records of those cables of which something is made. */
    public Map<Long, CableRecord> begun(Collection<Long> cableIds) {
        List<Long> begun = cableIds.isEmpty() ? List.of() : steps.begun(cableIds);
        Map<Long, CableRecord> all = new HashMap<>();
        if (!begun.isEmpty()) {
            of(begun, Map.of()).forEach((id, kept) -> all.put(id, kept.record()));
        }
        return all;
    }
}
