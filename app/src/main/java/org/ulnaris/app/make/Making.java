package org.ulnaris.app.make;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.WorkingOrder;
import org.ulnaris.core.record.CableRecord;
import org.ulnaris.core.worked.EndPart;

/**
 * How the making of a cable stands.
 *
 * @param record what is in force of it
 * @param readings all readings, oldest first, replaced ones included
 * @param redos what was begun anew, oldest first
 * @param redoneA how often the A end was redone
 * @param redoneB how often the B end was redone
 * @param steps the steps of the cable in working order
 * @param sized whether a size is said: without one no figure at the bench would be true
 */
public record Making(
        CableRecord record,
        List<Reading> readings,
        List<Redo> redos,
        int redoneA,
        int redoneB,
        List<BuildStep> steps,
        boolean sized) {
    /** Keys of the steps that are done: a step whose reading stops is not. */
    public Set<String> done() {
        return record.done();
    }

    private WorkingOrder order() {
        return new WorkingOrder(steps, done());
    }

    /** Length used up by redone ends, mm. */
    public double usedMm() {
        return record.usedMm();
    }

    /** The redo that can be taken back: the last one, while nothing that it opened is done or read again. */
    public Optional<Redo> undoable() {
        return redos.isEmpty()
                ? Optional.empty()
                : Optional.of(redos.get(redos.size() - 1))
                        .filter(last -> !last.undone()
                                && last.stepsBefore().stream()
                                        .noneMatch(key -> record.ticked().contains(key)
                                                || record.inForce().stream()
                                                        .anyMatch(taken -> taken.step()
                                                                .key()
                                                                .equals(key))));
    }

    /** The first step in working order that is not done; empty when the cable is finished. */
    public Optional<BuildStep> current() {
        return order().current();
    }

    /** Whether a step may be done. */
    boolean reached(BuildStep step) {
        return sized && order().reached(step);
    }

    public boolean finished() {
        return current().isEmpty();
    }

    /** How many steps are done. */
    public int doneCount() {
        return order().doneCount();
    }

    /** Place of a step in the working order, from 0; −1 where the cable has no such step. */
    public int place(BuildStep step) {
        return steps.indexOf(step);
    }

    /** Readings in force of a step. */
    public List<Reading> inForce(BuildStep step) {
        return readings.stream()
                .filter(reading -> !reading.superseded() && reading.step().equals(step.key()))
                .toList();
    }

    /** The steps that are done to a place of an end. */
    public List<BuildStep> at(Side side, EndPart part) {
        return steps.stream()
                .filter(step -> step.side() == side
                        && EndPart.of(step.kind()).filter(part::equals).isPresent())
                .toList();
    }

    /** Readings in force of some steps, the worst first. */
    public List<Reading> worstFirst(List<BuildStep> some) {
        return some.stream()
                .flatMap(step -> inForce(step).stream())
                .sorted(Comparator.comparing(Reading::verdict).reversed())
                .toList();
    }

    /** The verdict of them together; a pass where there is none. */
    public Verdict worst(List<BuildStep> some) {
        return worstFirst(some).stream().map(Reading::verdict).reduce(Verdict.PASS, Verdict::and);
    }

    /** Readings in force of the cable. */
    public List<Reading> inForce() {
        return readings.stream().filter(reading -> !reading.superseded()).toList();
    }

    /** How many steps that take a reading are not done. */
    public long unread() {
        return steps.stream()
                .filter(step -> step.reads() && !done().contains(step.key()))
                .count();
    }

    public int redone(Side side) {
        return side == Side.A ? redoneA : redoneB;
    }
}
