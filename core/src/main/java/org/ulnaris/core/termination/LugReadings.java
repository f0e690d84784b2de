package org.ulnaris.core.termination;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * What calipers read of a lug that bears no name.
 *
 * @param outerMm outside of the barrel, mm; empty where it was not read
 * @param boreMm inside of the barrel, mm; empty where it was not read
 * @param holeMm hole, mm; empty where it was not read
 */
public record LugReadings(OptionalDouble outerMm, OptionalDouble boreMm, OptionalDouble holeMm) {
    /** How far a drawn tube and a pair of calipers are off together, mm (ours). */
    public static final double OFF_MM = 0.3;

    /**
     * A lug that it could be.
     *
     * @param lug the lug
     * @param offMm the furthest of the readings from its dimensions, mm
     */
    public record Like(Lug lug, double offMm) {
        /** Whether every reading is within {@link #OFF_MM}. */
        public boolean fits() {
            return offMm <= OFF_MM;
        }
    }

    /** Whether the tube was read at all: by its hole alone a lug has no name. */
    public boolean ofTheTube() {
        return outerMm.isPresent() || boreMm.isPresent();
    }

    /** The known lugs, the nearest first: those that fit, or the nearest {@code otherwise} where none does. */
    public List<Like> nearest(Collection<Lug> known, int otherwise) {
        List<Like> all = known.stream()
                .map(lug -> new Like(lug, off(lug)))
                .sorted(Comparator.comparingDouble(Like::offMm))
                .toList();
        List<Like> fitting = all.stream().takeWhile(Like::fits).toList();
        return fitting.isEmpty() ? all.stream().limit(otherwise).toList() : fitting;
    }

    private double off(Lug lug) {
        return DoubleStream.of(
                        off(outerMm, lug.barrel().outerMm()),
                        off(boreMm, lug.barrel().boreMm()),
                        off(holeMm, lug.pad().holeMm()))
                .max()
                .orElse(0);
    }

    private static double off(OptionalDouble read, double known) {
        return read.isPresent() ? Math.abs(read.getAsDouble() - known) : 0;
    }
}
