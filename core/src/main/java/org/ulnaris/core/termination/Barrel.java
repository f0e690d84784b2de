package org.ulnaris.core.termination;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Range;

/**
 * The tube of a lug.
 *
 * @param material copper or aluminium
 * @param outerMm outside diameter, mm
 * @param boreMm inside diameter, mm
 * @param depthMm how deep the conductor goes in, mm
 * @param mark the mark of the dies that it is made for; null when it bears none
 */
public record Barrel(
        LugMaterial material,
        double outerMm,
        double boreMm,
        double depthMm,
        @Nullable DieMark mark) {
    public static final Range OUTER_MM = new Range(0, 100);
    public static final Range BORE_MM = new Range(0, 100);
    public static final Range DEPTH_MM = new Range(0, 200);

    public Barrel {
        Objects.requireNonNull(material, "material");
        OUTER_MM.check("outerMm", outerMm);
        BORE_MM.check("boreMm", boreMm);
        DEPTH_MM.check("depthMm", depthMm);
        if (!(boreMm < outerMm)) {
            throw new IllegalArgumentException(
                    "bore must be smaller than the outside; have " + boreMm + " in " + outerMm + " mm");
        }
    }

    /** A tube without a mark. */
    public Barrel(LugMaterial material, double outerMm, double boreMm, double depthMm) {
        this(material, outerMm, boreMm, depthMm, null);
    }

    /** Metal of the tube's section, mm². */
    public double wallAreaMm2() {
        return Math.PI / 4 * (outerMm * outerMm - boreMm * boreMm);
    }

    /** Area of the bore, mm². */
    public double boreAreaMm2() {
        return Math.PI / 4 * boreMm * boreMm;
    }

    /** Thickness of the wall, mm. */
    public double wallMm() {
        return (outerMm - boreMm) / 2;
    }
}
