package org.ulnaris.core.conductor;

import java.util.Objects;

/**
 * A stranded conductor.
 *
 * @param size its size
 * @param metal what its strands are made of
 */
public record Conductor(ConductorSize size, ConductorMetal metal) {
    public Conductor {
        Objects.requireNonNull(size, "size");
        Objects.requireNonNull(metal, "metal");
    }

    /** Of copper, plain or tinned. */
    public Conductor(ConductorSize size, boolean tinned) {
        this(size, ConductorMetal.copper(tinned));
    }

    /** Weight of its metal, kg/m. */
    public double kgPerM() {
        return metal.kgPerMm2M() * size.areaMm2();
    }
}
