package org.ulnaris.app.ribbon;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.EndPart;

/**
 * The end that stands open beside the ribbon.
 *
 * @param part its place that was pressed; null for all of it
 */
public record EndSpot(Side side, @Nullable EndPart part) {
    /** Reads what an address says, {@code A} or {@code B.crimp}; empty where it says nothing of the kind. */
    public static Optional<EndSpot> read(String text) {
        String[] both = text.toUpperCase(Locale.ROOT).split("\\.", 2);
        EndPart part = both.length < 2
                ? null
                : Arrays.stream(EndPart.values())
                        .filter(one -> one.name().equals(both[1]))
                        .findFirst()
                        .orElse(null);
        return Arrays.stream(Side.values())
                .filter(side -> side.name().equals(both[0]))
                .findFirst()
                .map(side -> new EndSpot(side, part));
    }

    /** As an address says it. */
    public String at() {
        return part == null ? side.name() : side.name() + "." + part.name().toLowerCase(Locale.ROOT);
    }

    /** Where the cable kept under {@code id} shows it. */
    public String address(long id) {
        return "/cables/" + id + "/match?at=" + at();
    }
}
