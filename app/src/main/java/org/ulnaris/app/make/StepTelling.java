package org.ulnaris.app.make;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.ribbon.Telling;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.EndPart;

/** What is told of the steps that are done to each place; each end has its own. */
public abstract class StepTelling implements Telling {
    private final long cableId;
    protected final Making making;
    protected final Words words;

    protected StepTelling(long cableId, Making making, Words words) {
        this.cableId = cableId;
        this.making = making;
        this.words = words;
    }

    /** What is told of {@code steps}, of which there is at least one. */
    protected abstract Place place(List<BuildStep> steps);

    @Override
    public final boolean once() {
        return false;
    }

    @Override
    public final Optional<Place> at(Side side, EndPart part, boolean there) {
        List<BuildStep> steps = making.at(side, part);
        return steps.isEmpty() ? Optional.empty() : Optional.of(place(steps));
    }

    @Override
    public final Place run() {
        return place(steps(null));
    }

    /** The steps that are done to an end; those to the whole cable where it is null. */
    protected final List<BuildStep> steps(@Nullable Side side) {
        return making.steps().stream().filter(step -> step.side() == side).toList();
    }

    /** Where a step is done. */
    protected final String bench(BuildStep step) {
        return "/cables/" + cableId + "/bench/" + step.key();
    }
}
