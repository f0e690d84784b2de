package org.ulnaris.app.undo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps the last step of each place, a job or a list of the shop, that changed many things at once, and takes it back. */
@Service
@Transactional
public class LastSteps {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<Change>> CHANGES = new TypeReference<>() {};

    private static final Duration OFFERED = Duration.ofDays(1);

    private final LastStepRepository steps;
    private final Map<String, Undoes> kinds;
    private final Clock clock;

    LastSteps(LastStepRepository steps, List<Undoes> kinds, Clock clock) {
        this.steps = steps;
        this.kinds = kinds.stream().collect(Collectors.toMap(Undoes::kind, Function.identity()));
        this.clock = clock;
    }

    /** What changes many things at once. */
    public enum What {
        BULK,
        IMPORT,
        BUDGET,
        LIKE_ENDS,
        FIX,
        LUGS,
        CONTACTS
    }

    /** The shop's measured lugs. */
    public static final String LUGS = "lugs";
    /** The shop's own contacts. */
    public static final String CONTACTS = "contacts";

    /** A job as a place. */
    public static String job(long id) {
        return "job " + id;
    }

    /** A step that can be taken back. */
    public record Step(What what, int things, Instant takenAt) {}

    /**
     * What came of an undo.
     *
     * @param undone how many things are as they were
     * @param left how many somebody has changed since; they stay
     */
    public record Outcome(int undone, int left) {}

    /** Anything as the JSON that a {@link Change} holds. */
    public static String json(Object thing) {
        return JSON.writeValueAsString(thing);
    }

    public static <T> T read(String json, Class<T> type) {
        return JSON.readValue(json, type);
    }

    /** Keeps a step in place of the last one; one that changed nothing leaves that. */
    public void keep(String place, What what, List<Change> changes) {
        if (!changes.isEmpty()) {
            steps.save(new LastStep(place, what, changes.size(), clock.instant(), json(changes)));
        }
    }

    /** The step of a place that is offered to be taken back: for a day. */
    @Transactional(readOnly = true)
    public Optional<Step> of(String place) {
        return steps.findById(place)
                .filter(step -> step.takenAt().plus(OFFERED).isAfter(clock.instant()))
                .map(step -> new Step(step.what(), step.things(), step.takenAt()));
    }

    /** Takes the last step of a place back, the last change first; nothing without one. */
    public Outcome undo(String place) {
        LastStep step = steps.findById(place).orElse(null);
        if (step == null) {
            return new Outcome(0, 0);
        }
        List<Change> changes = new ArrayList<>(JSON.readValue(step.changes(), CHANGES));
        Collections.reverse(changes);
        int undone = 0;
        for (Change change : changes) {
            Undoes kind = kinds.get(change.kind());
            if (kind != null && kind.undo(change)) {
                undone++;
            }
        }
        steps.delete(step);
        return new Outcome(undone, changes.size() - undone);
    }
}
