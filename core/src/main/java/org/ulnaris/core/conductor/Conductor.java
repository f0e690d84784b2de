package org.ulnaris.core.conductor;

import java.util.Objects;

/**
 * A stranded copper conductor.
 *
 * @param size its size
 * @param tinned whether each strand is tinned
 */
public record Conductor(ConductorSize size, boolean tinned) {
    public Conductor {
        Objects.requireNonNull(size, "size");
    }
}
