package org.ulnaris.app.crib;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.measure.Unit;
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

    private static final FieldKind MARK = FieldKind.text(LONGEST_MARK, false);

    /** The fields of dies; a tag once given stays. */
    public static final FormFields<DieDetails> FIELDS = new FormFields<>(
            new DieDetails("", DieShape.HEX, 0, 5, LugMaterial.COPPER, CribService.STANDARD_FAMILY, "", "", ""),
            List.of(
                    Field.of("tag", FieldKind.text(LONGEST_TAG, true).onlyOnce()),
                    Field.of("shape", FieldKind.choice(DieShape.class)),
                    Field.of(
                            "acrossFlats",
                            "acrossFlatsMm",
                            FieldKind.quantity(Unit.MM, Die.ACROSS_FLATS_MM).without(0.0)),
                    Field.of("width", "widthMm", FieldKind.quantity(Unit.MM, Die.WIDTH_MM)),
                    Field.of("material", FieldKind.choice(LugMaterial.class)),
                    Field.of("family", FieldKind.text(LONGEST_FAMILY, false)),
                    Field.of("stamped", MARK),
                    Field.of("series", MARK),
                    Field.of("colour", MARK)));

    /** As the core knows it. */
    public Die die() {
        return new Die(tag, shape, acrossFlatsMm, widthMm, material, mark());
    }

    private @Nullable DieMark mark() {
        return stamped.isBlank() || series.isBlank() ? null : new DieMark(series.strip(), stamped.strip());
    }
}
