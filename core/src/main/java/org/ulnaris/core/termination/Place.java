package org.ulnaris.core.termination;

/** Where an end works. */
public enum Place {
    VEHICLE,
    BOAT,
    CABIN;

    /** Whether things move and get wet there. */
    public boolean moves() {
        return this != CABIN;
    }
}
