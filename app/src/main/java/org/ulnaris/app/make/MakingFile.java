package org.ulnaris.app.make;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.ReadingKind;

/** The making of a cable as a job file holds it. */
public record MakingFile(List<String> done, double usedMm, int redoneA, int redoneB, List<ReadingFile> readings) {
    /** A reading as a job file holds it. */
    public record ReadingFile(
            String step,
            ReadingKind kind,
            double figure,
            double limit,
            String unit,
            @Nullable Integer total,
            Verdict verdict,
            String explanation,
            String source,
            Instant takenAt,
            boolean superseded,
            @Nullable String deviation,
            @Nullable String notMeasured) {
        static ReadingFile of(Reading reading) {
            return new ReadingFile(
                    reading.step(),
                    reading.kind(),
                    reading.figure(),
                    reading.limit(),
                    reading.unit(),
                    reading.total(),
                    reading.verdict(),
                    reading.explanation(),
                    reading.source(),
                    reading.takenAt(),
                    reading.superseded(),
                    reading.deviation(),
                    reading.notMeasured());
        }
    }

    /** What a job file holds of {@code making}. */
    public static MakingFile of(Making making) {
        return new MakingFile(
                making.done().stream().sorted().toList(),
                making.usedMm(),
                making.redoneA(),
                making.redoneB(),
                making.readings().stream().map(ReadingFile::of).toList());
    }
}
