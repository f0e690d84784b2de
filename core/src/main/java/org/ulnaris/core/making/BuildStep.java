package org.ulnaris.core.making;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A step of building a cable.
 *
 * @param kind what is done
 * @param side the end that it is done to; null for the whole cable
 */
public record BuildStep(StepKind kind, @Nullable Side side) {
    private static final List<BuildStep> ALL = allSteps();

    public BuildStep {
        Objects.requireNonNull(kind, "kind");
        if ((side == null) != (kind.scope() == StepKind.Scope.CABLE)) {
            throw new IllegalArgumentException(kind + " is done to " + kind.scope() + "; have side " + side);
        }
    }

    private static List<BuildStep> allSteps() {
        List<BuildStep> steps = new ArrayList<>();
        addCableSteps(steps, StepKind.CHECK, StepKind.CUT, StepKind.THREAD);
        for (Side side : Side.values()) {
            addSideSteps(steps, StepKind.Scope.END, side);
        }
        addCableSteps(steps, StepKind.LABEL);
        for (Side side : Side.values()) {
            addSideSteps(steps, StepKind.Scope.LANDING, side);
        }
        return List.copyOf(steps);
    }

    private static void addCableSteps(List<BuildStep> steps, StepKind... kinds) {
        for (StepKind kind : kinds) {
            steps.add(new BuildStep(kind, null));
        }
    }

    private static void addSideSteps(List<BuildStep> steps, StepKind.Scope scope, Side side) {
        for (StepKind kind : StepKind.values()) {
            if (kind.scope() == scope) {
                steps.add(new BuildStep(kind, side));
            }
        }
    }

    /** All steps in working order: both ends are finished on the bench, then both are landed. */
    public static List<BuildStep> inOrder() {
        return ALL;
    }

    /** Name in addresses and records: {@code cut}, {@code strip-a}. */
    public String key() {
        return side == null ? kind.key() : kind.key() + "-" + side.name().toLowerCase(Locale.ROOT);
    }

    /** The step with this {@link #key()}. */
    public static Optional<BuildStep> keyed(String key) {
        return ALL.stream().filter(step -> step.key().equals(key)).findFirst();
    }

    /** Whether it takes a reading. */
    public boolean reads() {
        return !kind.readings().isEmpty();
    }

    /** Place in the working order, from 0. */
    public int index() {
        return ALL.indexOf(this);
    }

    /** The steps that redoing this one's end begins anew, in order: everything done to the end on the bench. */
    public List<BuildStep> redone() {
        return side == null
                ? List.of(this)
                : ALL.stream()
                        .filter(step -> step.side == side)
                        .filter(step -> step.kind.scope() == StepKind.Scope.END || kind.scope() == step.kind.scope())
                        .toList();
    }
}
