package org.ulnaris.app.undo;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a page says of the last step of its place.
 *
 * @param step the last step, to be taken back or done again; null where none is offered
 * @param turned word for what was just pressed, {@code undone} or {@code redone}; empty where nothing was
 * @param things how many things were changed by that
 * @param left how many were changed since and stay
 * @param late whether a step was meant that is no longer the last
 */
public record StepBar(LastSteps.@Nullable Step step, String turned, int things, int left, boolean late) {
    private static final int DIGITS = 6;

    /** @param asked of the address, after a press the outcome */
    public static StepBar of(LastSteps.@Nullable Step step, Map<String, String> asked) {
        String turned = asked.containsKey("undone") ? "undone" : asked.containsKey("redone") ? "redone" : "";
        return new StepBar(step, turned, count(asked, turned), count(asked, "left"), asked.containsKey("late"));
    }

    private static int count(Map<String, String> asked, String name) {
        String figure = asked.getOrDefault(name, "");
        return figure.matches("\\d{1," + DIGITS + "}") ? Integer.parseInt(figure) : 0;
    }

    /** Whether a press changed less than its step: what was changed since stays. */
    public boolean partly() {
        return !turned.isEmpty() && (left > 0 || things == 0);
    }

    /** Whether a press in this page led here. */
    public boolean pressed() {
        return late || !turned.isEmpty();
    }
}
