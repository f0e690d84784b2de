package org.ulnaris.app.make;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.OfCable;
import org.ulnaris.app.work.Shapes;

/** A step that is done. */
@Entity
class StepDone implements Shapes, OfCable {
    @Id
    @GeneratedValue(generator = "step_done_seq")
    @SequenceGenerator(name = "step_done_seq", sequenceName = "step_done_seq")
    private @Nullable Long id;

    private long cableId;
    private String step;
    private Instant doneAt;

    @SuppressWarnings("NullAway.Init")
    protected StepDone() {}

    StepDone(long cableId, String step, Instant doneAt) {
        this.doneAt = doneAt;
        this.cableId = cableId;
        this.step = step;
    }

    @Override
    public long cableId() {
        return cableId;
    }

    @Override
    public Scope scope() {
        return Scope.cable(cableId);
    }

    String step() {
        return step;
    }

    Instant doneAt() {
        return doneAt;
    }
}
