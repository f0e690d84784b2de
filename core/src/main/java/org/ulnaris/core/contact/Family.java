package org.ulnaris.core.contact;

import org.ulnaris.core.crimp.DieShape;

/** Kinds of terminations. */
public enum Family {
    /** A heavy tube lug on a stud. */
    TUBE_LUG(DieShape.HEX),
    /** Genderless single-pole shells that slide together. */
    STACKABLE(DieShape.OVAL),
    /** Genderless two-pole battery connectors. */
    TWO_POLE(DieShape.HEX),
    /** Latching connectors of PV strings. */
    PV(DieShape.OVAL),
    /** Small pre-insulated terminals and splices. */
    SMALL(DieShape.OVAL),
    /** Splices with a ring of solder in a shrinking sleeve. */
    SOLDER_SLEEVE(DieShape.OVAL),
    /** Heavy tube splices of two cables, pressed, with an adhesive sleeve over them. */
    HEAVY_SPLICE(DieShape.HEX),
    /** Wire-end ferrules. */
    FERRULE(DieShape.SQUARE);

    private final DieShape dies;

    Family(DieShape dies) {
        this.dies = dies;
    }

    /** The form of dies that presses it. */
    public DieShape dies() {
        return dies;
    }

    /** Whether it mates with a counterpart. */
    public boolean mates() {
        return this == STACKABLE || this == TWO_POLE || this == PV;
    }

    /** Whether it may land on a stud. */
    public boolean landed() {
        return this == TUBE_LUG || this == SMALL || this == FERRULE;
    }

    /** Whether it is crimped at all. */
    public boolean crimped() {
        return this != SOLDER_SLEEVE;
    }
}
