package org.ulnaris.core.finding;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The outcome of one check with its reason.
 *
 * @param code what was checked
 * @param verdict how it came out
 * @param figure what was computed or measured
 * @param limit what it was held against
 * @param unit unit of figure and limit; empty for a ratio
 * @param explanation how the figure came about
 * @param source where the rule comes from
 * @param about what the sentence has to name beside figure and limit: a part, a terminal; empty for nothing
 * @param deviation who answers for a stop, and why; null where nobody does
 */
public record Finding(
        FindingCode code,
        Verdict verdict,
        double figure,
        double limit,
        String unit,
        Explanation explanation,
        Source source,
        String about,
        @Nullable Deviation deviation) {
    public Finding {
        Objects.requireNonNull(code, "code");
        Objects.requireNonNull(verdict, "verdict");
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(explanation, "explanation");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(about, "about");
    }

    /** A finding that nobody has to answer for. */
    public Finding(
            FindingCode code,
            Verdict verdict,
            double figure,
            double limit,
            String unit,
            Explanation explanation,
            Source source,
            String about) {
        this(code, verdict, figure, limit, unit, explanation, source, about, null);
    }

    /** A finding that names nothing beside its figures. */
    public Finding(
            FindingCode code,
            Verdict verdict,
            double figure,
            double limit,
            String unit,
            Explanation explanation,
            Source source) {
        this(code, verdict, figure, limit, unit, explanation, source, "");
    }

    /** What is said in words alone: nothing was computed, and {@code reason} says why. */
    public static Finding said(FindingCode code, Verdict verdict, String about, String reason, Source source) {
        return new Finding(code, verdict, 0, 0, "", Explanation.words(reason), source, about);
    }

    /** What was left unmeasured at the bench: open. {@code why} is empty where nobody said. */
    public static Finding notMeasured(FindingCode code, String why) {
        return said(code, Verdict.OPEN, why, note("Finding.not-measured"), Source.given(note("Source.bench")));
    }

    /**
     * The same with somebody who answers for it: a stop is to be watched, what was open is a note.
     *
     * @throws IllegalArgumentException where it asks for nobody
     */
    public Finding accepted(Deviation by) {
        if (verdict != Verdict.STOP && verdict != Verdict.OPEN) {
            throw new IllegalArgumentException(code + " is " + verdict + ": only what is stopped or open is accepted");
        }
        return new Finding(
                code,
                verdict == Verdict.STOP ? Verdict.WATCH : Verdict.NOTE,
                figure,
                limit,
                unit,
                explanation,
                source,
                about,
                by);
    }

    /** The same where it rests on something that nobody has said: it asks, and stops nothing. */
    public Finding asked() {
        return new Finding(code, Verdict.OPEN, figure, limit, unit, explanation, source, about, deviation);
    }

    /** Whether the check stands in the way. */
    public boolean stops() {
        return verdict == Verdict.STOP;
    }
}
