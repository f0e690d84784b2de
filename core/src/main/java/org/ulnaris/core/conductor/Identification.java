package org.ulnaris.core.conductor;

import java.util.Optional;
import org.ulnaris.core.measure.Range;

/**
 * What an unmarked cable is, from what can be measured on it.
 *
 * <p>Strands: A = n·π/4·d². Bundle: A = f·π/4·D², f = {@link CableGeometry#FILL_PLAIN}. Four-wire reading: effective copper
 * area A = k_lay·ρ(T)·L/R. A reading is held against the highest resistance that the standard allows for a size; an effective area well
 * below what is seen is thin or copper-clad cable.
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
    /** A four-wire reading and its length are together no better than this (ours). */
    static final double READS_WITHIN = 1.01;
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

        /** Resistance per metre at 20 °C, Ω/m. */
        public double ohmPerMetreAt20() {
            return ohm / lengthM / ConductorResistance.temperatureFactor(temperatureC);
        }

        /** Whether it is no more than the standard allows for {@code size} with plain strands, but for the error of the reading. */
        boolean meets(ConductorSize size) {
            return ohmPerMetreAt20()
                    <= READS_WITHIN * ConductorResistance.mostOhmPerMetreAt20(new Conductor(size, false));
        }

        /** What it says of a cable that is sold as {@code size}. */
        public Suspicion against(ConductorSize size) {
            if (meets(size)) {
                return Suspicion.NONE;
            }
            double most = ConductorResistance.mostOhmPerMetreAt20(new Conductor(size, false));
            if (most / ohmPerMetreAt20() >= SUSPECT_BELOW) {
                return Suspicion.ABOVE;
            }
            return isClad(copperMm2() / size.areaMm2()) ? Suspicion.COPPER_CLAD : Suspicion.THIN;
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

    /** From a four-wire reading: the thickest size of which the standard allows as much. */
    public static Identification byReading(Reading reading, SizeSeries series) {
        ConductorSize size = null;
        for (ConductorSize candidate : ConductorSizes.of(series)) {
            if (reading.meets(candidate)) {
                size = candidate;
            }
        }
        return new Identification(reading.copperMm2(), Optional.ofNullable(size), By.RESISTANCE);
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
        /** A little more resistance than the standard allows: lugs, contacts or a warm cable may be in the reading. */
        ABOVE,
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
        return by == By.RESISTANCE && isClad(share) ? Suspicion.COPPER_CLAD : Suspicion.THIN;
    }

    private static boolean isClad(double share) {
        return share <= 1.1 * COPPER_CLAD_SHARE && share >= 0.9 * COPPER_CLAD_SHARE;
    }
}
