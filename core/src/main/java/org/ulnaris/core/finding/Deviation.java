package org.ulnaris.core.finding;

import java.util.Objects;

/**
 * A stop that somebody answers for.
 *
 * @param by who accepted it
 * @param reason why
 */
public record Deviation(String by, String reason) {
    public Deviation {
        Objects.requireNonNull(by, "by");
        Objects.requireNonNull(reason, "reason");
    }
}
