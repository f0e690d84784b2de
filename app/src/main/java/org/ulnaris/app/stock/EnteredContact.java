package org.ulnaris.app.stock;

import static java.util.Objects.requireNonNull;
import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/**
 * A contact, terminal, splice or ferrule in form, table and JSON alike; null is what is not said. Conductors in mm², lengths in mm.
 *
 * @param code its name
 * @param family its family
 * @param style of a small terminal
 * @param fromMm2 smallest conductor
 * @param toMm2 largest conductor
 * @param tightMm2 largest that still goes in at a squeeze
 * @param reducedFromMm2 smallest that a reducing sleeve lets it take
 * @param ratedA its own rating, A
 * @param stripMm insulation to take off
 * @param housing its shell or frame
 * @param depthMm how deep the conductor goes in
 * @param reachMm mating face, or hole, to the mouth of its barrel
 * @param heightMm outside of the shell
 * @param sealFromMm thinnest cable that its entry grips
 * @param sealToMm thickest cable that its entry grips
 * @param nutNm torque of its nut, N·m
 * @param barrelOdMm outside of its tube where it has one that dies press
 * @param boreIdMm inside of the same
 */
public record EnteredContact(
        String code,
        Family family,
        @Nullable Style style,
        @Nullable Double fromMm2,
        @Nullable Double toMm2,
        @Nullable Double tightMm2,
        @Nullable Double reducedFromMm2,
        @Nullable Double ratedA,
        @Nullable Double stripMm,
        String housing,
        @Nullable Double depthMm,
        @Nullable Double reachMm,
        @Nullable Double heightMm,
        @Nullable Double sealFromMm,
        @Nullable Double sealToMm,
        @Nullable Double nutNm,
        @Nullable Double barrelOdMm,
        @Nullable Double boreIdMm)
        implements EnteredPart<Contact> {
    private static final int LONGEST_CODE = 60;
    private static final int LONGEST_AREA = 16;
    private static final Range AREA_MM2 = new Range(0, 1000);
    private static final Range LENGTH_MM = new Range(0, 200);
    private static final Range CURRENT_A = new Range(0, 2000);
    private static final Range NUT_NM = new Range(0, 50);
    private static final double USUAL_HEIGHT_MM = 8;

    private static final FieldKind LENGTH = FieldKind.neededQuantity(Unit.MM, LENGTH_MM);
    private static final FieldKind OPTIONAL_LENGTH = FieldKind.optionalQuantity(Unit.MM, LENGTH_MM);

    /** Its fields, over a contact of which nothing is known. */
    public static final FormFields<EnteredContact> FIELDS = new FormFields<>(
            Records.of(EnteredContact.class, Map.of("code", "", "family", Family.STACKABLE, "housing", "")),
            List.of(
                    Field.of("code", FieldKind.text(LONGEST_CODE, true)),
                    Field.of("family", FieldKind.choice(Family.class)),
                    Field.of("style", FieldKind.optionalChoice(Style.class)),
                    Field.of("from", "fromMm2", area(true)),
                    Field.of("to", "toMm2", area(true)),
                    Field.of("tight", "tightMm2", area(false)),
                    Field.of("reduced", "reducedFromMm2", area(false)),
                    Field.of("rated", "ratedA", FieldKind.optionalQuantity(Unit.AMPERE, CURRENT_A)),
                    Field.of("strip", "stripMm", FieldKind.neededQuantity(Unit.MM, Contact.STRIP_MM)),
                    Field.of("housing", FieldKind.text(LONGEST_CODE, false)),
                    Field.of("depth", "depthMm", LENGTH),
                    Field.of("reach", "reachMm", LENGTH),
                    Field.of("height", "heightMm", OPTIONAL_LENGTH),
                    Field.of("sealFrom", "sealFromMm", OPTIONAL_LENGTH).inColumn("seal_from"),
                    Field.of("sealTo", "sealToMm", OPTIONAL_LENGTH).inColumn("seal_to"),
                    Field.of("nut", "nutNm", FieldKind.optionalQuantity(Unit.NEWTON_METRE, NUT_NM)),
                    Field.of("outer", "barrelOdMm", FieldKind.optionalQuantity(Unit.MM, Barrel.OUTER_MM))
                            .inColumn("outside"),
                    Field.of("bore", "boreIdMm", FieldKind.optionalQuantity(Unit.MM, Barrel.BORE_MM))
                            .inColumn("inside")));

    /** A size of either series, "16 AWG" or "1.5 mm²"; a bare number is mm². */
    private static FieldKind area(boolean required) {
        return new FieldKind(
                FieldKind.Form.LINE,
                !required,
                List.of(),
                (entries, name, standing) -> area(entries, name, required),
                EnteredContact::area);
    }

    private static @Nullable Double area(Entries entries, String field, boolean required) {
        String text = entries.text(field, LONGEST_AREA, required, "");
        if (text.isEmpty()) {
            return null;
        }
        String number = Typed.plain(text.replace("mm²", "").replace("mm2", "").replace(',', '.'));
        try {
            double area = number.matches("[0-9.]+")
                    ? Double.parseDouble(number)
                    : ConductorSizes.parse(text, SizeSeries.AWG).areaMm2();
            if (AREA_MM2.contains(area)) {
                return area;
            }
            entries.fault(field, Fault.Code.OUT_OF_RANGE, "0", "1000 mm²");
        } catch (NumberFormatException | MeasureException e) {
            entries.fault(field, Fault.Code.UNKNOWN_SIZE, Expected.of("area"));
        }
        return null;
    }

    private static String area(@Nullable Object mm2, Fmt fmt) {
        return mm2 == null ? "" : Figures.significant((Double) mm2, 5) + " mm²";
    }

    /** As it is entered. */
    static EnteredContact of(Contact contact) {
        Contact.Wire wire = contact.wire();
        Contact.Seat seat = contact.seat();
        Range seal = seat.seal();
        Barrel tube = contact.measuredTube();
        return new EnteredContact(
                contact.code(),
                contact.family(),
                contact.style(),
                wire.fromMm2(),
                wire.toMm2(),
                orNull(wire.tightMm2()),
                orNull(wire.reducedMm2()),
                orNull(wire.ratedA()),
                contact.stripMm(),
                seat.housing(),
                seat.depthMm(),
                seat.reachMm(),
                seat.heightMm(),
                seal == null ? null : seal.above(),
                seal == null ? null : seal.upTo(),
                orNull(seat.nutNm()),
                tube == null ? null : tube.outerMm(),
                tube == null ? null : tube.boreMm());
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public void check(Entries entries, Set<String> taken) {
        if (family == Family.TUBE_LUG) {
            entries.fault("family", Fault.Code.CONTRADICTS, Expected.of("contact-family"));
        }
        if (fromMm2 != null && toMm2 != null && fromMm2 > toMm2) {
            entries.fault("to", Fault.Code.CONTRADICTS, Expected.of("from-smallest"));
        }
        if ((sealFromMm == null) != (sealToMm == null)
                || sealFromMm != null && sealToMm != null && sealFromMm >= sealToMm) {
            entries.fault(
                    sealFromMm == null ? "sealFrom" : "sealTo", Fault.Code.CONTRADICTS, Expected.of("seal-range"));
        }
        if ((barrelOdMm == null) != (boreIdMm == null)
                || barrelOdMm != null && boreIdMm != null && boreIdMm >= barrelOdMm) {
            entries.fault(barrelOdMm == null ? "outer" : "bore", Fault.Code.CONTRADICTS, Expected.of("tube"));
        }
        if (entries.clean() && taken.contains(CsvTable.fold(code))) {
            entries.fault("code", Fault.Code.TAKEN);
        }
    }

    @Override
    public Contact part() {
        double depth = requireNonNull(depthMm);
        return new Contact(
                code,
                family,
                usualStyle(),
                new Contact.Wire(
                        requireNonNull(fromMm2),
                        requireNonNull(toMm2),
                        optional(tightMm2),
                        optional(ratedA),
                        optional(reducedFromMm2)),
                requireNonNull(stripMm),
                new Contact.Seat(
                        housing,
                        depth,
                        requireNonNull(reachMm),
                        requireNonNullElse(heightMm, USUAL_HEIGHT_MM),
                        sealFromMm == null || sealToMm == null ? null : new Range(sealFromMm, sealToMm),
                        optional(nutNm)),
                barrelOdMm == null || boreIdMm == null
                        ? null
                        : new Barrel(LugMaterial.COPPER, barrelOdMm, boreIdMm, depth),
                Source.shop());
    }

    /** Only small terminals come in several forms. */
    private Style usualStyle() {
        return switch (family) {
            case SMALL -> style == null ? Style.SEALED_RING : style;
            case SOLDER_SLEEVE -> Style.SLEEVE;
            case FERRULE -> Style.FERRULE;
            case HEAVY_SPLICE -> Style.HEAVY_BUTT;
            case TUBE_LUG, STACKABLE, TWO_POLE, PV -> Style.CONTACT;
        };
    }
}
