package org.ulnaris.app.make;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;

/** A reading as it is shown. */
public record ReadingView(
        String step,
        String name,
        String figure,
        String sentence,
        Verdict verdict,
        String why,
        String source,
        String takenAt,
        boolean superseded,
        @Nullable String deviation) {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneId.systemDefault());

    public static ReadingView of(Reading reading, Fmt fmt, Words words) {
        String figure = fmt.figure(reading.figure(), reading.unit());
        if (reading.total() != null) {
            figure = words.of("reading.of", figure, Integer.toString(reading.total()));
        }
        String code = codeOf(reading);
        BuildStep step = BuildStep.keyed(reading.step()).orElseThrow();
        String side = step.side() == null
                ? ""
                : " · " + words.of("step.end", step.side().name());
        return new ReadingView(
                words.of("step." + step.kind().name()) + side,
                words.name(reading.kind()),
                figure,
                words.of(
                        "finding." + code + "." + reading.verdict().name(),
                        fmt.figure(reading.figure(), reading.unit()),
                        fmt.figure(reading.limit(), reading.unit())),
                reading.verdict(),
                reading.explanation(),
                reading.source(),
                TIME.format(reading.takenAt()),
                reading.superseded(),
                reading.deviation());
    }

    private static String codeOf(Reading reading) {
        return switch (reading.kind()) {
            case ACROSS_FLATS_1, ACROSS_FLATS_2 -> "ACROSS_FLATS";
            default -> reading.kind().name();
        };
    }
}
