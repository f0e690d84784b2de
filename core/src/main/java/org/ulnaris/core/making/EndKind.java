package org.ulnaris.core.making;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.contact.Style;

/**
 * What decides the steps of an end.
 *
 * @param family its family
 * @param style its form within the family
 * @param method how it is joined
 * @param aluminium whether its strands are aluminium, or clad with copper
 */
public record EndKind(Family family, Style style, JoinMethod method, boolean aluminium) {
    public static final EndKind LUG = new EndKind(Family.TUBE_LUG, Style.CONTACT, JoinMethod.CRIMP);

    /** On copper strands. */
    public EndKind(Family family, Style style, JoinMethod method) {
        this(family, style, method, false);
    }

    /** The same on strands of aluminium. */
    EndKind onAluminium(boolean really) {
        return new EndKind(family, style, method, really);
    }

    public EndKind {
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(method, "method");
    }

    /** The steps that it takes. */
    Set<StepKind> steps() {
        Set<StepKind> steps = EnumSet.of(StepKind.STRIP, StepKind.STRANDS, StepKind.PULL);
        switch (family) {
            case TUBE_LUG ->
                steps.addAll(List.of(
                        StepKind.TRIAL_FIT,
                        StepKind.CLOCK,
                        StepKind.CRIMP,
                        StepKind.MEASURE,
                        StepKind.GAP,
                        StepKind.LOOK,
                        StepKind.SHRINK,
                        StepKind.LAND,
                        StepKind.TORQUE,
                        StepKind.WITNESS));
            case STACKABLE ->
                steps.addAll(
                        List.of(StepKind.TRIAL_FIT, StepKind.ORIENT, StepKind.CRIMP, StepKind.SEAT, StepKind.MATE));
            case TWO_POLE -> steps.addAll(List.of(StepKind.SHEATH, StepKind.CRIMP, StepKind.SEAT, StepKind.MATE));
            case PV -> steps.addAll(List.of(StepKind.CRIMP, StepKind.SEAT, StepKind.NUT, StepKind.MATE));
            case SMALL -> {
                steps.add(StepKind.CRIMP);
                if (style == Style.SEALED_RING || style == Style.SEALED_BUTT) {
                    steps.add(StepKind.SHRINK);
                }
                if (style == Style.SEALED_RING || style == Style.RING || style == Style.FORK) {
                    steps.addAll(List.of(StepKind.LAND, StepKind.TORQUE));
                }
            }
            case HEAVY_SPLICE ->
                steps.addAll(List.of(
                        StepKind.TRIAL_FIT,
                        StepKind.CRIMP,
                        StepKind.MEASURE,
                        StepKind.GAP,
                        StepKind.LOOK,
                        StepKind.SHRINK));
            case SOLDER_SLEEVE -> steps.add(StepKind.SOLDER);
            case FERRULE -> steps.addAll(List.of(StepKind.CRIMP, StepKind.LAND, StepKind.TORQUE));
        }
        if (aluminium) {
            steps.add(StepKind.BRUSH);
        }
        if (method.soldered()) {
            steps.add(StepKind.SOLDER);
        }
        if (method == JoinMethod.SOLDER_FILLED) {
            steps.remove(StepKind.CRIMP);
        }
        return steps;
    }

    /** The steps of a cable with these ends, in working order. */
    public static List<BuildStep> steps(EndKind a, EndKind b) {
        List<BuildStep> steps = new ArrayList<>();
        for (BuildStep step : BuildStep.inOrder()) {
            EndKind end = step.side() == Side.A ? a : b;
            if (step.side() == null || end.steps().contains(step.kind())) {
                steps.add(step);
            }
        }
        return List.copyOf(steps);
    }
}
