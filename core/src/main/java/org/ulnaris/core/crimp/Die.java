package org.ulnaris.core.crimp;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.DieMark;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A pair of dies that closes to a fixed form.
 *
 * @param tag its number in the crib
 * @param shape the form
 * @param acrossFlatsMm width across flats when closed, the height of an oval, mm
 * @param widthMm width along the barrel, mm
 * @param material the lugs that it is made for
 * @param mark its mark in a standard or series; null when it has none
 */
public record Die(
        String tag,
        DieShape shape,
        double acrossFlatsMm,
        double widthMm,
        LugMaterial material,
        @Nullable DieMark mark) {
    public static final Range ACROSS_FLATS_MM = new Range(0, 80);
    public static final Range WIDTH_MM = new Range(0, 60);

    public Die {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(shape, "shape");
        Objects.requireNonNull(material, "material");
        ACROSS_FLATS_MM.check("acrossFlatsMm", acrossFlatsMm);
        WIDTH_MM.check("widthMm", widthMm);
    }

    /** Dies without a mark. */
    public Die(String tag, DieShape shape, double acrossFlatsMm, double widthMm, LugMaterial material) {
        this(tag, shape, acrossFlatsMm, widthMm, material, null);
    }

    /** Area inside the closed dies, mm²: 0.8660·AF² of a hexagon. */
    public double areaMm2() {
        return shape.areaFactor() * acrossFlatsMm * acrossFlatsMm;
    }

    /** Width across flats of a hexagon that leaves {@code areaMm2}, mm. */
    public static double hexFlatsMm(double areaMm2) {
        return Math.sqrt(areaMm2 / DieShape.HEX.areaFactor());
    }
}
