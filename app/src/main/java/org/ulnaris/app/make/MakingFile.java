package org.ulnaris.app.make;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.ReadingKind;

/** The making of a cable as a job file holds it. */
public record MakingFile(
        List<String> done,
        double usedMm,
        int redoneA,
        int redoneB,
        @Nullable String cutSize,
        List<ReadingFile> readings) {
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
            @Nullable String deviationBy,
            @Nullable String notMeasured) {
        static ReadingFile of(Reading reading) {
            Deviation accepted = reading.deviation();
            return new ReadingFile(
                    reading.step(),
                    reading.kind(),
                    reading.figure(),
                    reading.limit(),
                    reading.unit(),
                    reading.total(),
                    reading.judged(),
                    reading.explanation(),
                    reading.source(),
                    reading.takenAt(),
                    reading.superseded(),
                    accepted == null ? null : accepted.reason(),
                    accepted == null ? null : accepted.by(),
                    reading.notMeasured());
        }
    }

    /** What a job file holds of {@code making}. */
    public static MakingFile of(Making making) {
        return new MakingFile(
                making.record().ticked().stream().sorted().toList(),
                making.record().usedMm(),
                making.redoneA(),
                making.redoneB(),
                making.record().cutSize(),
                making.readings().stream().map(ReadingFile::of).toList());
    }
}
