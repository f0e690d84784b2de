package org.ulnaris.core.rules;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/**
 * The schools that a house has chosen.
 *
 * @param chosen option by practice; what is not named is the usual one
 */
public record Practices(Map<Practice, String> chosen) {
    /** The usual schools throughout. */
    public static final Practices USUAL = new Practices(Map.of());

    public Practices {
        Map<Practice, String> kept = new EnumMap<>(Practice.class);
        chosen.forEach((practice, option) -> {
            if (!practice.options().contains(option)) {
                throw new IllegalArgumentException(
                        practice + " is one of " + practice.options() + "; have '" + option + "'");
            }
            if (!option.equals(practice.usual())) {
                kept.put(practice, option);
            }
        });
        chosen = Map.copyOf(kept);
    }

    /** The option in force. */
    public String of(Practice practice) {
        return Objects.requireNonNullElse(chosen.get(practice), practice.usual());
    }

    public boolean is(Practice practice, String option) {
        return of(practice).equals(option);
    }

    /** The same with another option for one practice. */
    public Practices with(Practice practice, String option) {
        Map<Practice, String> all = new EnumMap<>(Practice.class);
        all.putAll(chosen);
        all.put(practice, option);
        return new Practices(all);
    }
}
