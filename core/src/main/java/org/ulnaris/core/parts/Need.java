package org.ulnaris.core.parts;

import java.util.List;
import java.util.OptionalInt;

/**
 * What is still to be taken from the shelf of one part.
 *
 * @param part the part
 * @param amount pieces, or metres of what is counted by length
 * @param longestM the longest piece to be cut in one, m; 0 where it is not counted by length
 * @param users tags of the cables, and of the fuses themselves, that take it
 */
public record Need(Part part, double amount, double longestM, List<String> users) {
    private static final double ROUNDING = 1e-9;

    public Need {
        users = List.copyOf(users);
    }

    /**
     * What to buy, whole pieces or metres: so much that {@code minimum} lies there when the jobs are made.
     *
     * @param there what lies there; empty where it is not counted, and then there is none
     */
    public static int toBuy(double amount, OptionalInt there, int minimum) {
        return (int) Math.max(0, Math.ceil(amount - ROUNDING) + minimum - there.orElse(0));
    }
}
