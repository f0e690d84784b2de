package org.ulnaris.app.make;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.OfCable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.record.Taken;

/** A reading taken at the bench, as it was judged. Never changed, never deleted: a later one supersedes it. */
@Entity
public class Reading implements Shapes, OfCable {
    private static final int LONGEST_EXPLANATION = 400;
    private static final int LONGEST_SOURCE = 200;

    @Id
    @GeneratedValue(generator = "reading_seq")
    @SequenceGenerator(name = "reading_seq", sequenceName = "reading_seq")
    private @Nullable Long id;

    private long cableId;
    private String step;

    @Enumerated(EnumType.STRING)
    private ReadingKind kind;

    private double figure;
    private double limitFigure;
    private String unit;
    private @Nullable Integer total;

    @Enumerated(EnumType.STRING)
    private Verdict verdict;

    private String explanation;
    private String source;
    private Instant takenAt = Instant.EPOCH;
    private boolean superseded;
    private @Nullable String deviation;
    private @Nullable String deviationBy;
    private @Nullable Long closedBy;
    private @Nullable String notMeasured;

    @SuppressWarnings("NullAway.Init")
    protected Reading() {}

    Reading(long cableId, String step, ReadingKind kind, Finding finding, @Nullable Integer total) {
        this.cableId = cableId;
        this.step = step;
        this.kind = kind;
        this.figure = finding.figure();
        this.limitFigure = finding.limit();
        this.unit = finding.unit();
        this.total = total;
        this.verdict = finding.verdict();
        this.explanation = cut(finding.explanation().text(), LONGEST_EXPLANATION);
        this.source = cut(finding.source().text(), LONGEST_SOURCE);
    }

    Reading(long cableId, MakingFile.ReadingFile file) {
        this.cableId = cableId;
        this.step = file.step();
        this.kind = file.kind();
        this.figure = file.figure();
        this.limitFigure = file.limit();
        this.unit = file.unit();
        this.total = file.total();
        this.verdict = file.verdict();
        this.explanation = cut(file.explanation(), LONGEST_EXPLANATION);
        this.source = cut(file.source(), LONGEST_SOURCE);
        this.takenAt = file.takenAt();
        this.superseded = file.superseded();
        this.deviation = file.deviation();
        this.deviationBy = file.deviation() == null ? null : Objects.requireNonNullElse(file.deviationBy(), "");
        this.notMeasured = file.notMeasured();
    }

    /** A reading that could not be taken. */
    static Reading notMeasured(long cableId, String step, ReadingKind kind, String reason) {
        Reading reading = new Reading(cableId, step, kind, Finding.notMeasured(kind.code(), reason), null);
        reading.notMeasured = reason;
        return reading;
    }

    private static String cut(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }

    public Long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public long cableId() {
        return cableId;
    }

    @Override
    public Scope scope() {
        return Scope.cable(cableId);
    }

    public String step() {
        return step;
    }

    public ReadingKind kind() {
        return kind;
    }

    public double figure() {
        return figure;
    }

    public double limit() {
        return limitFigure;
    }

    public String unit() {
        return unit;
    }

    /** Strands in all, where the reading counts strands. */
    public @Nullable Integer total() {
        return total;
    }

    /** How the bench judged it. */
    public Verdict judged() {
        return verdict;
    }

    /** What that means now: a stop that somebody answers for is to be watched, a figure that stood open is a note. */
    public Verdict verdict() {
        return taken().judged().verdict();
    }

    /** Whether somebody can answer for it: it was read, and stops or asks. */
    public boolean answerable() {
        return notMeasured == null && deviation() == null && (verdict == Verdict.STOP || verdict == Verdict.OPEN);
    }

    /** As the core knows it. */
    Taken taken() {
        Finding finding = notMeasured != null
                ? Finding.notMeasured(kind.code(), notMeasured)
                : new Finding(
                        kind.code(),
                        verdict,
                        figure,
                        limitFigure,
                        unit,
                        Explanation.words(explanation),
                        Source.given(source));
        Deviation by = deviation();
        return new Taken(
                BuildStep.keyed(step).orElseThrow(),
                kind,
                total,
                by != null && notMeasured == null && finding.verdict().asks() && verdict != Verdict.WATCH
                        ? finding.accepted(by)
                        : finding);
    }

    public String explanation() {
        return explanation;
    }

    public String source() {
        return source;
    }

    void take(Instant at) {
        takenAt = at;
    }

    public Instant takenAt() {
        return takenAt;
    }

    public boolean superseded() {
        return superseded;
    }

    void supersede() {
        superseded = true;
    }

    /** Takes it out of force by a redo. */
    void close(long redoId) {
        superseded = true;
        closedBy = redoId;
    }

    /** Puts it back in force where that redo is taken back. */
    void reopen(long redoId) {
        if (Objects.equals(closedBy, redoId)) {
            superseded = false;
            closedBy = null;
        }
    }

    /** Why it could not be taken; null for one that was. */
    public @Nullable String notMeasured() {
        return notMeasured;
    }

    /** Who answers for a stop, and why; null where nobody does. */
    public @Nullable Deviation deviation() {
        return deviation == null ? null : new Deviation(Objects.requireNonNullElse(deviationBy, ""), deviation);
    }

    void deviate(Deviation accepted) {
        deviation = accepted.reason();
        deviationBy = accepted.by();
    }
}
