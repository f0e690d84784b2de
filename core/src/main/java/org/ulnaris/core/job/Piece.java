package org.ulnaris.core.job;

import java.util.Objects;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.TerminalMetal;

/**
 * A piece of equipment.
 *
 * @param device what it is in a network
 * @param chassis whether it is the body of a vehicle or the hull of a boat
 * @param mostLugs lugs on one of its studs at most; empty where it does not say
 * @param metal what its pads are made of; null when not known
 */
public record Piece(
        Device device,
        boolean chassis,
        OptionalInt mostLugs,
        @Nullable TerminalMetal metal) {
    public Piece {
        Objects.requireNonNull(device, "device");
        Objects.requireNonNull(mostLugs, "mostLugs");
    }

    /** A piece that says nothing of its terminals. */
    public static Piece of(Device device) {
        return new Piece(device, false, OptionalInt.empty(), null);
    }
}
