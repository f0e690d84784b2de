package org.ulnaris.core.conductor;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The six ways in which a leg may run or a stud may point, as one stands before the job. */
public enum Heading {
    UP(0, 0, 1),
    DOWN(0, 0, -1),
    LEFT(-1, 0, 0),
    RIGHT(1, 0, 0),
    FORWARD(0, 1, 0),
    BACK(0, -1, 0);

    private final int x;
    private final int y;
    private final int z;

    Heading(int x, int y, int z) {
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** The one called {@code word}: "up", "left". */
    public static Optional<Heading> named(String word) {
        String name = word.strip().toUpperCase(Locale.ROOT);
        return Stream.of(values())
                .filter(heading -> heading.name().equals(name))
                .findFirst();
    }

    /** As a person types it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** 1 along {@code other}, −1 against it, 0 across. */
    int along(Heading other) {
        return x * other.x + y * other.y + z * other.z;
    }

    /** Across both, after the right hand; the two must lie across one another. */
    Heading cross(Heading other) {
        return of(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    public Heading opposite() {
        return of(-x, -y, -z);
    }

    private static Heading of(int x, int y, int z) {
        return Stream.of(values())
                .filter(heading -> heading.x == x && heading.y == y && heading.z == z)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no way lies across two that are parallel"));
    }
}
