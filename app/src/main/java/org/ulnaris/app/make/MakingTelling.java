package org.ulnaris.app.make;

import java.util.List;
import java.util.stream.Stream;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;

/** How far the making is at each place; a press goes on there. */
final class MakingTelling extends StepTelling {
    MakingTelling(long cableId, Making making, Words words) {
        super(cableId, making, words);
    }

    @Override
    public Place of(Side side) {
        List<BuildStep> steps = steps(side);
        return new Place(count(steps), making.worst(steps), address(steps), false);
    }

    @Override
    protected Place place(List<BuildStep> steps) {
        return new Place(says(steps), making.worst(steps), address(steps), isNext(steps));
    }

    private boolean isNext(List<BuildStep> steps) {
        return making.current().filter(steps::contains).isPresent();
    }

    /** What is wrong there, else what is next there, else how much is done; nothing of what is not begun. */
    private String says(List<BuildStep> steps) {
        List<Reading> readings = making.worstFirst(steps);
        if (!readings.isEmpty() && readings.get(0).verdict().asks()) {
            return words.of("finding." + readings.get(0).kind().code().name());
        }
        return making.current()
                .filter(steps::contains)
                .map(step -> words.of("map.next", words.of("step." + step.kind().name())))
                .orElseGet(() -> done(steps).findAny().isEmpty() ? "" : count(steps));
    }

    private String count(List<BuildStep> steps) {
        long done = done(steps).count();
        return done == steps.size() ? words.of("map.done") : words.of("map.done.of", done, steps.size());
    }

    private Stream<BuildStep> done(List<BuildStep> steps) {
        return steps.stream().filter(step -> making.done().contains(step.key()));
    }

    /** The step that is next there; the first of them where all are done. */
    private String address(List<BuildStep> steps) {
        return bench(steps.stream()
                .filter(step -> !making.done().contains(step.key()))
                .findFirst()
                .orElse(steps.get(0)));
    }
}
