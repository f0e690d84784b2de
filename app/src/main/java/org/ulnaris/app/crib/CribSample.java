package org.ulnaris.app.crib;

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

/** A joint made to be pulled or cut open. */
@Entity
class CribSample implements Shapes {
    @Id
    @GeneratedValue(generator = "crib_sample_seq")
    @SequenceGenerator(name = "crib_sample_seq", sequenceName = "crib_sample_seq")
    private @Nullable Long id;

    @Version
    private long version;

    @Embedded
    private SampleDetails details;

    private @Nullable Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected CribSample() {}

    CribSample(SampleDetails details) {
        this.details = details;
    }

    @Override
    public Scope scope() {
        return Scope.SHOP;
    }

    Long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    SampleDetails details() {
        return details;
    }

    /** Deletes it, or with null takes that back. */
    void delete(@Nullable Instant at) {
        deletedAt = at;
    }

    boolean deleted() {
        return deletedAt != null;
    }
}
