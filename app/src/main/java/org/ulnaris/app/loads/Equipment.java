package org.ulnaris.app.loads;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;

/** A piece of equipment of a job. */
@Entity
class Equipment implements Shapes {
    @Id
    @GeneratedValue(generator = "equipment_seq")
    @SequenceGenerator(name = "equipment_seq", sequenceName = "equipment_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private long jobId;

    @Embedded
    private EquipmentDetails details;

    private @Nullable Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected Equipment() {}

    Equipment(long jobId, EquipmentDetails details) {
        this.jobId = jobId;
        this.details = details;
    }

    Long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public Scope scope() {
        return Scope.job(jobId);
    }

    long version() {
        return version;
    }

    long jobId() {
        return jobId;
    }

    EquipmentDetails details() {
        return details;
    }

    void change(EquipmentDetails newDetails) {
        details = newDetails;
    }

    boolean deleted() {
        return deletedAt != null;
    }

    /** Deletes it, or with null takes that back. */
    void delete(@Nullable Instant at) {
        deletedAt = at;
    }
}
