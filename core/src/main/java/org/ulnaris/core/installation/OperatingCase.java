package org.ulnaris.core.installation;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ulnaris.core.measure.Range;

/**
 * What works at the same time, and for how long a day.
 *
 * @param name for people
 * @param states by tag of a consumer or charger; those not named are off, banks are always on
 * @param hoursPerDay how long it lasts
 */
public record OperatingCase(String name, Map<String, State> states, double hoursPerDay) {
    /** What a device does. */
    public enum State {
        OFF,
        /** Switched on and feeding nothing: an inverter takes its idle power, what has none takes nothing. */
        IDLE,
        ON,
        /** Works and surges: its start or peak counts beside what the others draw. */
        SURGE
    }

    public static final Range HOURS = Range.from(0, 24);

    public OperatingCase {
        states = Map.copyOf(states);
        HOURS.check("hoursPerDay", hoursPerDay);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a case needs a name");
        }
    }

    /** The same with all off but {@code tags}. */
    public OperatingCase only(List<String> tags) {
        Map<String, State> some = new HashMap<>(states);
        some.keySet().retainAll(tags);
        return new OperatingCase(name, some, hoursPerDay);
    }

    /** The same case with a device off. */
    public OperatingCase without(String tag) {
        Map<String, State> others = new HashMap<>(states);
        others.remove(tag);
        return new OperatingCase(name, others, hoursPerDay);
    }

    /** State of the device {@code tag}. */
    public State state(String tag) {
        return states.getOrDefault(tag, State.OFF);
    }
}
