package org.ulnaris.core.conductor;

import java.util.Comparator;
import java.util.List;
import org.ulnaris.core.measure.Range;

/**
 * A flat bar or link between two terminals, measured between its contacts.
 *
 * <p>R = ρ·L/(w·t). From a reading the material is named by ρ = (R − R_contact)·w·t/L, nearest on a ratio scale among
 * {@link #CANDIDATES}.
 *
 * @param widthMm width, mm
 * @param thicknessMm thickness of all layers together, mm
 * @param lengthMm between the probes, mm
 */
public record Bar(double widthMm, double thicknessMm, double lengthMm) {
    public static final Range WIDTH_MM = new Range(0, 500);
    public static final Range THICKNESS_MM = new Range(0, 100);
    public static final Range LENGTH_MM = new Range(0, 10_000);
    /** Range of a reading, Ω. */
    public static final Range READING_OHM = new Range(0, 10);
    /** What bars and links of the trade are made of; plated brass and steel look like plated copper. */
    public static final List<Material> CANDIDATES =
            List.of(Material.COPPER, Material.ALUMINIUM, Material.BRASS, Material.STEEL);
    /** A reading this many times off the nearest material is none of them (ours). */
    private static final double FAR = 1.6;

    public Bar {
        WIDTH_MM.check("widthMm", widthMm);
        THICKNESS_MM.check("thicknessMm", thicknessMm);
        LENGTH_MM.check("lengthMm", lengthMm);
    }

    /** Section, mm². */
    public double areaMm2() {
        return widthMm * thicknessMm;
    }

    /** Resistance when made of {@code material}, Ω. */
    public double ohm(Material material, double temperatureC) {
        return material.ohmMetre(temperatureC) * lengthMm / areaMm2() * 1000;
    }

    /**
     * What a probe reading says.
     *
     * @param ohmMetre resistivity that the reading stands for, Ω·m
     * @param material nearest material
     * @param ratio reading's resistivity ÷ that of the nearest material
     * @param nextRatio the same for the second nearest
     * @param timesCopper resistivity ÷ copper's
     */
    public record Named(double ohmMetre, Material material, double ratio, double nextRatio, double timesCopper) {
        /** Whether it is one of the materials at all. */
        public boolean plausible() {
            return Math.abs(Math.log(ratio)) <= Math.log(FAR);
        }

        /** How sure: 1 when the reading lies on the material, 0 half-way to the next. */
        public double confidence() {
            double near = Math.abs(Math.log(ratio));
            double next = Math.abs(Math.log(nextRatio));
            return (next - near) / (next + near);
        }
    }

    /**
     * The material by a reading.
     *
     * @param readingOhm four-wire reading, Ω
     * @param contactOhm what the two contacts add, Ω; below the reading
     * @param temperatureC of the bar, °C
     */
    public Named name(double readingOhm, double contactOhm, double temperatureC) {
        READING_OHM.check("readingOhm", readingOhm);
        if (!(contactOhm >= 0 && contactOhm < readingOhm)) {
            throw new IllegalArgumentException(
                    "contactOhm must be at least 0 and below the reading; have " + contactOhm);
        }
        double rho = (readingOhm - contactOhm) * areaMm2() / lengthMm / 1000;
        List<Material> nearest = CANDIDATES.stream()
                .sorted(Comparator.comparingDouble(m -> Math.abs(Math.log(rho / m.ohmMetre(temperatureC)))))
                .toList();
        return new Named(
                rho,
                nearest.get(0),
                rho / nearest.get(0).ohmMetre(temperatureC),
                rho / nearest.get(1).ohmMetre(temperatureC),
                rho / Material.COPPER.ohmMetre(temperatureC));
    }
}
