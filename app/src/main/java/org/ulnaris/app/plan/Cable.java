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

/** A cable of a job. */
@Entity
public class Cable {
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

    private @Nullable String loadCase;
    private @Nullable Double surgeA;
    private @Nullable Double surgeS;
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
        if (!newDetails.currentFromLoads()) {
            loadCase = null;
            surgeA = null;
            surgeS = null;
        }
    }

    /** The case whose loads ask most of it; empty when its current was typed. */
    public String loadCase() {
        return loadCase == null ? "" : loadCase;
    }

    void load(CableLoad load) {
        details = details.carrying(load.currentA());
        loadCase = load.worstCase();
        surgeA = load.surgeA();
        surgeS = load.surgeS();
    }

    /** What the loads asked of it last; null when its current was typed. */
    @Nullable
    CableLoad load() {
        return loadCase == null || surgeA == null || surgeS == null
                ? null
                : new CableLoad(loadCase, details.currentA(), surgeA, surgeS);
    }

    boolean deleted() {
        return deletedAt != null;
    }

    void delete(boolean delete) {
        deletedAt = delete ? Instant.now() : null;
    }
}
