package org.ulnaris.app.make;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.OfCable;
import org.ulnaris.core.making.Side;

/** An end, or a whole cable, that was begun anew; with what stood before, so that it can be taken back. */
@Entity
public class Redo implements OfCable {
    @Id
    @GeneratedValue(generator = "redo_seq")
    @SequenceGenerator(name = "redo_seq", sequenceName = "redo_seq")
    private @Nullable Long id;

    private long cableId;

    @Enumerated(EnumType.STRING)
    private @Nullable Side side;

    private double costMm;
    private Instant redoneAt;
    private double usedBeforeMm;
    private int beforeA;
    private int beforeB;
    private @Nullable String cutSizeBefore;
    private String stepsBefore;
    private boolean undone;

    @SuppressWarnings("NullAway.Init")
    protected Redo() {}

    Redo(Build build, @Nullable Side side, double costMm, List<String> stepsBefore, Instant at) {
        this.cableId = build.cableId();
        this.side = side;
        this.costMm = costMm;
        this.redoneAt = at;
        this.usedBeforeMm = build.usedMm();
        this.beforeA = build.redone(Side.A);
        this.beforeB = build.redone(Side.B);
        this.cutSizeBefore = build.cutSize();
        this.stepsBefore = String.join(" ", stepsBefore);
    }

    long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public long cableId() {
        return cableId;
    }

    /** The end; null for the whole cable, with a new piece. */
    public @Nullable Side side() {
        return side;
    }

    /** Length that it cost, mm. */
    public double costMm() {
        return costMm;
    }

    public Instant redoneAt() {
        return redoneAt;
    }

    public boolean undone() {
        return undone;
    }

    /** Keys of the steps that it opened. */
    List<String> stepsBefore() {
        return stepsBefore.isEmpty() ? List.of() : Arrays.asList(stepsBefore.split(" "));
    }

    /** Takes it back. */
    void undo(Build build) {
        build.set(usedBeforeMm, beforeA, beforeB);
        build.cutFrom(cutSizeBefore);
        undone = true;
    }
}
