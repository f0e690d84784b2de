package org.ulnaris.core.contact;

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
