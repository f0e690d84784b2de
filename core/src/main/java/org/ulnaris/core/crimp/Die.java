package org.ulnaris.core.crimp;

import java.util.Objects;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A pair of dies that closes to a fixed form.
 *
 * @param tag its number in the crib
 * @param shape the form
 * @param acrossFlatsMm width across flats when closed, mm
 * @param widthMm width along the barrel, mm
 * @param material the lugs that it is made for
 */
public record Die(String tag, DieShape shape, double acrossFlatsMm, double widthMm, LugMaterial material) {
    public static final Range ACROSS_FLATS_MM = new Range(0, 80);
    public static final Range WIDTH_MM = new Range(0, 60);

    /** Area of a regular hexagon ÷ the square of its width across flats. */
    private static final double HEX_AREA = Math.sqrt(3) / 2;

    public Die {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(shape, "shape");
        Objects.requireNonNull(material, "material");
        ACROSS_FLATS_MM.check("acrossFlatsMm", acrossFlatsMm);
        WIDTH_MM.check("widthMm", widthMm);
    }

    /** Area inside the closed dies, mm²: 0.8660·AF². */
    public double areaMm2() {
        return HEX_AREA * acrossFlatsMm * acrossFlatsMm;
    }
}
