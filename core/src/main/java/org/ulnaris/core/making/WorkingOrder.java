package org.ulnaris.core.making;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How far the making of a cable is, and what may be done next: a step only when all before it are done. Either end may be landed first:
 * the order of landing is the job's.
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
        return steps.stream()
                .filter(before -> before.index() < step.index() && !landsOther(before, step))
                .allMatch(before -> done.contains(before.key()));
    }

    private static boolean landsOther(BuildStep before, BuildStep step) {
        return before.kind().scope() == StepKind.Scope.LANDING && before.side() != step.side();
    }

    /** How many of the steps are done. */
    public int doneCount() {
        return (int) steps.stream().filter(step -> done.contains(step.key())).count();
    }
}
