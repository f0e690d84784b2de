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
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.ReadingKind;

/** A reading taken at the bench, as it was judged. Never changed, never deleted: a later one supersedes it. */
@Entity
public class Reading implements OfCable {
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
        this.notMeasured = file.notMeasured();
    }

    /** A reading that could not be taken. */
    static Reading notMeasured(long cableId, String step, ReadingKind kind, String reason) {
        Reading reading = new Reading(cableId, step, kind, Finding.notMeasured(kind.code()), null);
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

    public Verdict verdict() {
        return verdict;
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

    /** Why it could not be taken; null for one that was. */
    public @Nullable String notMeasured() {
        return notMeasured;
    }

    /** Why a stop was accepted. */
    public @Nullable String deviation() {
        return deviation;
    }

    void deviate(String reason) {
        deviation = reason;
    }
}
