package org.ulnaris.app.loads;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import org.hibernate.annotations.BatchSize;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.installation.OperatingCase.State;

/** What works at the same time in a job. */
@Entity
class LoadCase implements Shapes {
    @Id
    @GeneratedValue(generator = "load_case_seq")
    @SequenceGenerator(name = "load_case_seq", sequenceName = "load_case_seq")
    private @Nullable Long id;

    @Version
    private long version;

    private long jobId;
    private String name;
    private double hoursPerDay;

    @ElementCollection(fetch = FetchType.EAGER)
    @BatchSize(size = 50)
    @CollectionTable(name = "load_case_state", joinColumns = @JoinColumn(name = "load_case_id"))
    @MapKeyColumn(name = "equipment_id")
    @Column(name = "state")
    @Enumerated(EnumType.STRING)
    private Map<Long, State> states = new HashMap<>();

    private @Nullable Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected LoadCase() {}

    LoadCase(long jobId, String name, double hoursPerDay) {
        this.jobId = jobId;
        this.name = name;
        this.hoursPerDay = hoursPerDay;
    }

    Long id() {
        return Objects.requireNonNull(id, "not saved yet");
    }

    @Override
    public Scope scope() {
        return Scope.job(jobId);
    }

    long jobId() {
        return jobId;
    }

    String name() {
        return name;
    }

    double hoursPerDay() {
        return hoursPerDay;
    }

    /** State by the equipment's id; what is not named is off. */
    Map<Long, State> states() {
        return Map.copyOf(states);
    }

    void change(String newName, double newHours, Map<Long, State> newStates) {
        name = newName;
        hoursPerDay = newHours;
        states.clear();
        newStates.forEach((equipment, state) -> {
            if (state != State.OFF) {
                states.put(equipment, state);
            }
        });
    }

    boolean deleted() {
        return deletedAt != null;
    }

    /** Deletes it, or with null takes that back. */
    void delete(@Nullable Instant at) {
        deletedAt = at;
    }
}
