package org.ulnaris.core.making;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How far the making of a cable is, and what may be done next: a step only when all before it are done.
 *
 * @param steps the steps of the cable, in working order
 * @param done keys of those that are done
 */
public record WorkingOrder(List<BuildStep> steps, Set<String> done) {
    public WorkingOrder {
        steps = List.copyOf(steps);
        done = Set.copyOf(done);
    }

    /** The first step that is not done; empty when the cable is finished. */
    public Optional<BuildStep> current() {
        return steps.stream().filter(step -> !done.contains(step.key())).findFirst();
    }

    /** Whether {@code step} may be done, or done again, now. */
    public boolean reached(BuildStep step) {
        return current().map(current -> step.index() <= current.index()).orElse(true);
    }

    /** How many of the steps are done. */
    public int doneCount() {
        return (int) steps.stream().filter(step -> done.contains(step.key())).count();
    }
}
