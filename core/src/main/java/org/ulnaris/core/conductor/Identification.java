package org.ulnaris.core.conductor;

import java.util.Optional;
import org.ulnaris.core.measure.Range;

/**
 * What an unmarked cable is, from what can be measured on it.
 *
 * <p>Strands: A = n·π/4·d². Bundle: A = f·π/4·D², f = {@link CableGeometry#FILL_PLAIN}. Four-wire reading: effective copper
 * area A = k_lay·ρ(T)·L/R. An effective area well below what is seen is thin or copper-clad cable.
 *
 * @param areaMm2 copper area that the measurement stands for, mm²
 * @param size the thickest size not above it by more than a rounding; empty below the thinnest
 * @param by what was measured
 */
public record Identification(double areaMm2, Optional<ConductorSize> size, By by) {
    /** What was measured. */
    public enum By {
        STRANDS,
        BUNDLE,
        RESISTANCE
    }

    public static final Range STRANDS = new Range(0, 100_000);
    public static final Range DIAMETER_MM = new Range(0, 60);
    public static final Range LENGTH_M = new Range(0, 1000);
    public static final Range READING_OHM = new Range(0, 1000);
    public static final Range TEMPERATURE_C = new Range(-60, 150);
    /** A size is named when the area reaches this share of it: fine cables run a little below their name (ours). */
    public static final double NAMED_FROM = 0.95;
    /** Effective copper below this share of the metal seen is suspect (ours); copper-clad aluminium gives about 0.63. */
    public static final double SUSPECT_BELOW = 0.88;
    /** Conductivity of copper-clad aluminium with 10 % copper by volume over copper's (ASTM B566 class 10A). */
    public static final double COPPER_CLAD_SHARE = 0.63;

    /** From a strand count and the diameter of a strand. */
    public static Identification byStrands(int strands, double strandMm, SizeSeries series) {
        STRANDS.check("strands", strands);
        DIAMETER_MM.check("strandMm", strandMm);
        return named(strands * Math.PI / 4 * strandMm * strandMm, series, By.STRANDS);
    }

    /** From the diameter over the strands. */
    public static Identification byBundle(double bundleMm, SizeSeries series) {
        DIAMETER_MM.check("bundleMm", bundleMm);
        return named(CableGeometry.FILL_PLAIN * Math.PI / 4 * bundleMm * bundleMm, series, By.BUNDLE);
    }

    /** A four-wire reading over a length at a temperature. */
    public record Reading(double ohm, double lengthM, double temperatureC) {
        public Reading {
            READING_OHM.check("ohm", ohm);
            LENGTH_M.check("lengthM", lengthM);
            TEMPERATURE_C.check("temperatureC", temperatureC);
        }

        /** Copper area that has this resistance, mm². */
        public double copperMm2() {
            return ConductorResistance.RHO20_OHM_MM2_PER_M
                    * ConductorResistance.LAY_FACTOR
                    * ConductorResistance.temperatureFactor(temperatureC)
                    * lengthM
                    / ohm;
        }
    }

    /** From a four-wire reading. */
    public static Identification byReading(Reading reading, SizeSeries series) {
        return named(reading.copperMm2(), series, By.RESISTANCE);
    }

    private static Identification named(double areaMm2, SizeSeries series, By by) {
        ConductorSize size = null;
        for (ConductorSize candidate : ConductorSizes.of(series)) {
            if (areaMm2 >= NAMED_FROM * candidate.areaMm2()) {
                size = candidate;
            }
        }
        return new Identification(areaMm2, Optional.ofNullable(size), by);
    }

    /** What a claimed or seen metal area turns out to be. */
    public enum Suspicion {
        NONE,
        /** Less copper than it claims. */
        THIN,
        /** As little as copper-clad aluminium has. */
        COPPER_CLAD
    }

    /** Holds the effective area of this reading against {@code claimedMm2}. */
    public Suspicion against(double claimedMm2) {
        double share = areaMm2 / claimedMm2;
        if (!(share < SUSPECT_BELOW)) {
            return Suspicion.NONE;
        }
        boolean clad = by == By.RESISTANCE && share <= 1.1 * COPPER_CLAD_SHARE && share >= 0.9 * COPPER_CLAD_SHARE;
        return clad ? Suspicion.COPPER_CLAD : Suspicion.THIN;
    }
}
