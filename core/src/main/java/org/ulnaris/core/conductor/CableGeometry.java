package org.ulnaris.core.conductor;

import static org.ulnaris.core.finding.Notes.note;

import java.util.OptionalDouble;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Diameters and strands of a fine-stranded cable.
 *
 * <p>Bundle diameter √(4A/(π·f)), f = {@value #FILL_PLAIN} for plain and {@value #FILL_TINNED} for tinned fine rope
 * (common practice: 0.60–0.66). Insulation wall {@value #WALL_BASE_MM} mm + {@value #WALL_SHARE} of the bundle (ours,
 * after flexible battery cable). A measured outer diameter overrides the estimate.
 *
 * @param conductor the conductor
 * @param bundleMm diameter over the strands, mm
 * @param outerMm diameter over the insulation, mm
 * @param measured whether the outer diameter was measured
 */
public record CableGeometry(Conductor conductor, double bundleMm, double outerMm, boolean measured) {
    /** Share of the bundle's circle that is metal, plain fine rope. */
    public static final double FILL_PLAIN = 0.65;
    /** The same for tinned strands: the same size is thicker. */
    public static final double FILL_TINNED = 0.62;

    /** The same for aluminium: fewer and thicker strands, laid close (IEC 60228 class 2, common practice). */
    public static final double FILL_ALUMINIUM = 0.78;

    public static final Source SOURCE = Source.own(note("CableGeometry.bundle-and-insulation"));

    private static final double WALL_BASE_MM = 0.6;
    private static final double WALL_SHARE = 0.10;
    private static final double AWG_STRAND_MM = 0.2546;
    private static final ReferenceTable STRANDS = ReferenceTable.load("iec-60228-class5.csv");

    public CableGeometry {
        if (!(bundleMm > 0 && outerMm > bundleMm && outerMm < 200)) {
            throw new IllegalArgumentException(
                    "outer diameter must exceed the bundle of " + bundleMm + " mm; have " + outerMm);
        }
    }

    /** Geometry of {@code conductor}, with the outer diameter that was measured where there is one. */
    public static CableGeometry of(Conductor conductor, OptionalDouble measuredOuterMm) {
        double bundle = bundleDiameterMm(conductor);
        double estimate = bundle + 2 * (WALL_BASE_MM + WALL_SHARE * bundle);
        boolean usable = measuredOuterMm.isPresent() && measuredOuterMm.getAsDouble() > bundle;
        return new CableGeometry(conductor, bundle, usable ? measuredOuterMm.getAsDouble() : estimate, usable);
    }

    /** Diameter over the strands of {@code conductor}, mm. */
    public static double bundleDiameterMm(Conductor conductor) {
        return Math.sqrt(4 * conductor.size().areaMm2() / (Math.PI * fill(conductor.metal())));
    }

    /** Share of the bundle's circle that is metal. */
    public static double fill(ConductorMetal metal) {
        return switch (metal) {
            case COPPER, COPPER_CLAD -> FILL_PLAIN;
            case TINNED -> FILL_TINNED;
            case ALUMINIUM -> FILL_ALUMINIUM;
        };
    }

    /**
     * Strands that such a cable usually has: largest strand of IEC 60228 class 5, or 30 AWG strands in AWG sizes (common
     * practice).
     */
    public int usualStrands() {
        double strandMm = AWG_STRAND_MM;
        if (conductor.size().series() == SizeSeries.METRIC) {
            strandMm = STRANDS.rows().stream()
                    .filter(row -> row.text("size").equals(conductor.size().name()))
                    .findFirst()
                    .map(row -> row.number("strand"))
                    .orElse(AWG_STRAND_MM);
        }
        return Math.max(1, (int) Math.rint(conductor.size().areaMm2() / (Math.PI / 4 * strandMm * strandMm)));
    }
}
