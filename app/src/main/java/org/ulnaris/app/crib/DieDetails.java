package org.ulnaris.app.crib;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.termination.DieMark;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A pair of dies as the crib keeps it.
 *
 * @param tag its number; printed, so it does not change
 * @param shape the form that it closes to
 * @param acrossFlatsMm width across flats when closed, mm
 * @param widthMm width along the barrel, mm
 * @param material the lugs that it is made for
 * @param family the jaw that it fits
 * @param stamped the index that it leaves in the crimp; empty when none
 * @param series the standard or maker's series that its index belongs to; empty when none
 * @param colour its colour; empty when none
 */
@Embeddable
public record DieDetails(
        String tag,
        @Enumerated(EnumType.STRING) DieShape shape,
        double acrossFlatsMm,
        double widthMm,
        @Enumerated(EnumType.STRING) LugMaterial material,
        String family,
        String stamped,
        String series,
        String colour) {
    public static final int LONGEST_TAG = 24;
    public static final int LONGEST_FAMILY = 60;
    public static final int LONGEST_MARK = 24;

    /** As the core knows it. */
    public Die die() {
        return new Die(tag, shape, acrossFlatsMm, widthMm, material, mark());
    }

    private @Nullable DieMark mark() {
        return stamped.isBlank() || series.isBlank() ? null : new DieMark(series.strip(), stamped.strip());
    }
}
