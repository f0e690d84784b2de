package org.ulnaris.app.plan;

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

/** A cable of a job. */
@Entity
public class Cable implements Shapes {
    @Id
    @GeneratedValue(generator = "cable_seq")
    @SequenceGenerator(name = "cable_seq", sequenceName = "cable_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private long jobId;
    private int place;

    @Embedded
    private CableDetails details;

    private @Nullable Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected Cable() {}

    Cable(long jobId, int place, CableDetails details) {
        this.jobId = jobId;
        this.place = place;
        this.details = details;
    }

    public Long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public Scope scope() {
        return Scope.job(jobId);
    }

    public long version() {
        return version;
    }

    public long jobId() {
        return jobId;
    }

    int place() {
        return place;
    }

    public CableDetails details() {
        return details;
    }

    void change(CableDetails newDetails) {
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
