package org.ulnaris.app.job;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.ArchivedException;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.work.Shapes;

/** A piece of work for one customer: the cables of a vehicle, a boat or a cabin. */
@Entity
public class Job implements Shapes {
    @Id
    @GeneratedValue(generator = "job_seq")
    @SequenceGenerator(name = "job_seq", sequenceName = "job_seq")
    private @Nullable Long id;

    @Version
    private long version;

    @Embedded
    private JobDetails details;

    private Instant createdAt;

    /** Kept by {@code Revisions} beside the entity, so that it is no edit of the job. */
    @Column(insertable = false, updatable = false)
    private @Nullable Instant touchedAt;

    private @Nullable Instant archivedAt;
    private @Nullable Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected Job() {}

    public Job(JobDetails details, Instant createdAt) {
        this.createdAt = createdAt;
        this.details = details;
    }

    public Long id() {
        return java.util.Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public Scope scope() {
        return Scope.job(id());
    }

    @Override
    public boolean isJob() {
        return true;
    }

    /** When anything of it was last changed. */
    public Instant touched() {
        return touchedAt == null ? createdAt : touchedAt;
    }

    public long version() {
        return version;
    }

    public JobDetails details() {
        return details;
    }

    /** @throws ArchivedException while it is archived */
    void change(JobDetails newDetails) {
        if (archived()) {
            throw new ArchivedException(id());
        }
        details = newDetails;
    }

    public boolean archived() {
        return archivedAt != null;
    }

    /** Archives it, or with null takes that back. */
    void archive(@Nullable Instant at) {
        archivedAt = at;
    }

    public boolean deleted() {
        return deletedAt != null;
    }

    /** Deletes it, or with null takes that back. */
    void delete(@Nullable Instant at) {
        deletedAt = at;
    }

    /** Figures in this job's units. */
    public Fmt fmt() {
        return new Fmt(details.units());
    }
}
