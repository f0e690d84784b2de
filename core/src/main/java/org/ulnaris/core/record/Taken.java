package org.ulnaris.core.record;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;

/**
 * A reading in force, as the bench judged it when it was taken; {@link Finding#notMeasured} where it could not be taken.
 *
 * @param step the step that took it
 * @param kind what was read
 * @param total of how many, where the reading counts strands; null elsewhere
 * @param judged the outcome, accepted or not
 */
public record Taken(
        BuildStep step, ReadingKind kind, @Nullable Integer total, Finding judged) {
    public Taken {
        Objects.requireNonNull(step, "step");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(judged, "judged");
    }

    /** Whether the bench stands still here: out of limits, and nobody answers for it. */
    public boolean stops() {
        return judged.verdict() == Verdict.STOP;
    }
}
