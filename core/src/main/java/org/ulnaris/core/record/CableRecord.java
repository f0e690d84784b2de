package org.ulnaris.core.record;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;

/**
 * What the bench has kept of one cable.
 *
 * @param ticked keys of the steps that somebody ended
 * @param inForce the readings that no later one replaces
 * @param usedMm length that redone ends have used up, mm
 * @param cutSize designation of the conductor that it was cut from; null until it is cut, or where that was not kept
 */
public record CableRecord(
        Set<String> ticked,
        List<Taken> inForce,
        double usedMm,
        @Nullable String cutSize) {
    /** Nothing is made yet. */
    public static final CableRecord NONE = new CableRecord(Set.of(), List.of(), 0, null);

    public CableRecord {
        ticked = Set.copyOf(ticked);
        inForce = List.copyOf(inForce);
    }

    public boolean begun() {
        return !ticked.isEmpty() || !inForce.isEmpty();
    }

    /** Readings in force of a step. */
    public List<Taken> of(BuildStep step) {
        return inForce.stream().filter(taken -> taken.step().equals(step)).toList();
    }

    /** The reading in force of a step; empty where it was not taken. */
    public Optional<Taken> of(BuildStep step, ReadingKind kind) {
        return of(step).stream().filter(taken -> taken.kind() == kind).findFirst();
    }

    /** Whether a reading of {@code step} stops the bench. */
    public boolean stopped(BuildStep step) {
        return of(step).stream().anyMatch(Taken::stops);
    }

    /** Keys of the steps that are done: ended, and by no reading that stops. */
    public Set<String> done() {
        Set<String> stopped = inForce.stream()
                .filter(Taken::stops)
                .map(taken -> taken.step().key())
                .collect(Collectors.toSet());
        return ticked.stream().filter(key -> !stopped.contains(key)).collect(Collectors.toUnmodifiableSet());
    }
}
