package org.ulnaris.app.undo;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps the last step of each place, a job or a list of the shop, that changed many things at once, takes it back, and does it again. */
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
        FUSE_PANEL,
        COUNTED,
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

    /**
     * A step that can be taken back, or done again.
     *
     * @param token its name: a press says which step it means
     * @param undone whether it was taken back
     */
    public record Step(What what, int things, String token, boolean undone) {}

    /**
     * What came of an undo or a redo.
     *
     * @param turned how many things were changed by it
     * @param left how many somebody has changed since; they stay
     * @param late whether the step was no longer the last: nothing was changed
     */
    public record Outcome(int turned, int left, boolean late) {
        private static final Outcome LATE = new Outcome(0, 0, true);
    }

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
            steps.save(new LastStep(place, what, changes.size(), clock.instant(), json(changes), token()));
        }
    }

    /** The last step of a place, offered for a day. */
    @Transactional(readOnly = true)
    public Optional<Step> of(String place) {
        return steps.findById(place)
                .filter(step -> step.takenAt().plus(OFFERED).isAfter(clock.instant()))
                .map(step -> new Step(step.what(), step.things(), step.token(), step.undone()));
    }

    /** Takes the last step of a place back, the last change first. */
    public Outcome undo(String place, String token) {
        return turn(place, token, false);
    }

    /** Does a step again that was taken back. */
    public Outcome redo(String place, String token) {
        return turn(place, token, true);
    }

    private Outcome turn(String place, String token, boolean again) {
        LastStep step = steps.findById(place)
                .filter(one -> one.token().equals(token) && one.undone() == again)
                .orElse(null);
        if (step == null) {
            return Outcome.LATE;
        }
        List<Change> changes = new ArrayList<>(JSON.readValue(step.changes(), CHANGES));
        if (!again) {
            Collections.reverse(changes);
        }
        int turned = 0;
        for (Change change : changes) {
            Undoes kind = kinds.get(change.kind());
            String from = again ? change.before() : change.after();
            if (kind != null
                    && Objects.equals(kind.now(change.key()), from)
                    && kind.set(change.key(), again ? change.after() : change.before())) {
                turned++;
            }
        }
        step.turn();
        return new Outcome(turned, changes.size() - turned, false);
    }

    private static String token() {
        return Long.toUnsignedString(ThreadLocalRandom.current().nextLong(), Character.MAX_RADIX);
    }
}
