package org.ulnaris.app.undo;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;

/** The last step of a place, a job or a list of the shop, that changed many things at once. */
@Entity
class LastStep {
    @Id
    private String place;

    @Enumerated(EnumType.STRING)
    private LastSteps.What what;

    private int things;
    private Instant takenAt;

    @Lob
    private String changes;

    private String token;
    private boolean undone;

    @SuppressWarnings("NullAway.Init")
    protected LastStep() {}

    LastStep(String place, LastSteps.What what, int things, Instant takenAt, String changes, String token) {
        this.place = place;
        this.what = what;
        this.things = things;
        this.takenAt = takenAt;
        this.changes = changes;
        this.token = token;
    }

    LastSteps.What what() {
        return what;
    }

    int things() {
        return things;
    }

    Instant takenAt() {
        return takenAt;
    }

    String changes() {
        return changes;
    }

    String token() {
        return token;
    }

    boolean undone() {
        return undone;
    }

    void turn() {
        undone = !undone;
    }
}
