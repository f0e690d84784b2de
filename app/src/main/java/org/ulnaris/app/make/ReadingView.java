package org.ulnaris.app.make;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.proving.Remedy;

/** A reading as it is shown. */
public record ReadingView(
        String anchor,
        String step,
        String name,
        String figure,
        String sentence,
        Verdict verdict,
        String why,
        String source,
        String takenAt,
        boolean superseded,
        @Nullable Deviation deviation,
        String remedy) {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneId.systemDefault());

    public static ReadingView of(Reading reading, Fmt fmt, Words words) {
        String code = reading.kind().code().name();
        BuildStep step = BuildStep.keyed(reading.step()).orElseThrow();
        String side = step.side() == null
                ? ""
                : " · " + words.of("step.end", step.side().name());
        return new ReadingView(
                anchor(reading),
                words.of("step." + step.kind().name()) + side,
                words.name(reading.kind()),
                figure(reading, fmt, words),
                sentence(reading, code, fmt, words),
                reading.verdict(),
                reading.explanation(),
                reading.source(),
                TIME.format(reading.takenAt()),
                reading.superseded(),
                reading.deviation(),
                reading.verdict() == Verdict.STOP
                        ? Remedy.of(reading.kind().code(), reading.figure(), reading.limit())
                                .map(remedy ->
                                        words.of("remedy." + remedy, fmt.figure(reading.limit(), reading.unit())))
                                .orElse("")
                        : "");
    }

    /** Where a page that lists it shows it. */
    public static String anchor(Reading reading) {
        return "reading-" + reading.id();
    }

    private static String figure(Reading reading, Fmt fmt, Words words) {
        if (reading.notMeasured() != null) {
            return "—";
        }
        if (reading.kind().yesOrNo()) {
            return words.of((reading.figure() > 0 ? "answer.yes." : "answer.no.") + reading.kind());
        }
        String figure = fmt.figure(reading.figure(), reading.unit());
        return reading.total() == null ? figure : words.of("reading.of", figure, Integer.toString(reading.total()));
    }

    private static String sentence(Reading reading, String code, Fmt fmt, Words words) {
        if (reading.notMeasured() != null) {
            return words.of("reading.not-measured", reading.notMeasured(), words.of("not-measured." + reading.kind()));
        }
        return words.find(
                        "finding." + code + "." + reading.judged().name(),
                        fmt.figure(reading.figure(), reading.unit()),
                        fmt.figure(reading.limit(), reading.unit()))
                .orElseGet(() -> words.of("finding." + code));
    }
}
