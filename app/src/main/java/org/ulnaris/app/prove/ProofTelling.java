package org.ulnaris.app.prove;

import java.util.List;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.make.Reading;
import org.ulnaris.app.make.ReadingView;
import org.ulnaris.app.make.StepTelling;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;

/** What was read at each place; a press leads to the reading, or to where it is taken. */
final class ProofTelling extends StepTelling {
    private final Fmt fmt;

    ProofTelling(long cableId, Making making, Fmt fmt, Words words) {
        super(cableId, making, words);
        this.fmt = fmt;
    }

    @Override
    public Place of(Side side) {
        Place of = place(steps(side));
        return new Place("", of.verdict(), of.address(), false);
    }

    @Override
    protected Place place(List<BuildStep> steps) {
        List<Reading> readings = making.worstFirst(steps);
        BuildStep reads = steps.stream().filter(BuildStep::reads).findFirst().orElse(steps.get(0));
        String address = readings.isEmpty() ? bench(reads) : "#" + ReadingView.anchor(readings.get(0));
        return new Place(says(steps, readings), making.worst(steps), address, false);
    }

    /** The worst reading where one asks for something, else the figures; what is not read yet is said. */
    private String says(List<BuildStep> steps, List<Reading> readings) {
        if (readings.isEmpty()) {
            return steps.stream().anyMatch(BuildStep::reads) ? words.of("map.unread") : "";
        }
        Reading worst = readings.get(0);
        if (worst.verdict().asks()) {
            return named(worst);
        }
        List<String> figures = readings.stream()
                .filter(reading -> !reading.kind().yesOrNo())
                .map(reading -> reading.kind().unit() == null
                        ? named(reading)
                        : view(reading).figure())
                .toList();
        return figures.size() > 1 ? String.join(", ", figures) : named(worst);
    }

    private String named(Reading reading) {
        return view(reading).name() + " " + view(reading).figure();
    }

    private ReadingView view(Reading reading) {
        return ReadingView.of(reading, fmt, words);
    }
}
