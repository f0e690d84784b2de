package org.ulnaris.core.contact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.reference.ReferenceTable;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/**
 * Contacts, small terminals, solder sleeves, heavy splices and ferrules that ship with Ulnaris: an invented catalogue of connectors, the
 * colour ranges of pre-insulated terminals, DIN 46267 splices, DIN 46228 ferrules.
 */
public final class ContactCatalogue {
    /** A ferrule takes its own size and the next smaller one loosely: from this share of it on. */
    private static final double FERRULE_FROM = 0.8;

    /** A heavy tube takes its own metric size and the AWG size beside it. */
    private static final double SPLICE_FROM = 0.83;

    private static final double SPLICE_TO = 1.08;

    private static final double SMALL_REACH_MM = 16;
    private static final double SMALL_HEIGHT_MM = 8;

    private static final List<Contact> SHIPPED = load();

    private ContactCatalogue() {}

    private static List<Contact> load() {
        List<Contact> all = new ArrayList<>();
        ReferenceTable connectors = ReferenceTable.load("demo-contacts.csv");
        for (ReferenceTable.Row row : connectors.rows()) {
            all.add(new Contact(
                    row.text("code"),
                    Family.valueOf(row.text("family")),
                    Style.CONTACT,
                    new Contact.Wire(
                            row.number("from"),
                            row.number("to"),
                            row.optionalNumber("tight"),
                            row.optionalNumber("ampere"),
                            row.optionalNumber("reduced")),
                    row.number("strip"),
                    new Contact.Seat(
                            row.text("housing"),
                            row.number("depth"),
                            row.number("reach"),
                            row.number("height"),
                            new Range(row.number("od_from") - 1e-9, row.number("od_to")),
                            row.optionalNumber("nut")),
                    connectors.source()));
        }
        ReferenceTable small = ReferenceTable.load("insulated-terminals.csv");
        for (ReferenceTable.Row row : small.rows()) {
            all.add(new Contact(
                    row.text("code"),
                    Family.valueOf(row.text("family")),
                    Style.valueOf(row.text("style")),
                    new Contact.Wire(
                            row.number("from"), row.number("to"), OptionalDouble.empty(), OptionalDouble.empty()),
                    row.number("strip"),
                    new Contact.Seat(
                            "", row.number("strip"), SMALL_REACH_MM, SMALL_HEIGHT_MM, null, OptionalDouble.empty()),
                    small.source()));
        }
        ReferenceTable splices = ReferenceTable.load("din-46267.csv");
        for (ReferenceTable.Row row : splices.rows()) {
            double size = row.number("size");
            double depth = row.number("length") / 2;
            Barrel tube = new Barrel(LugMaterial.COPPER, row.number("od"), row.number("bore"), depth);
            all.add(new Contact(
                    "splice " + row.text("size"),
                    Family.HEAVY_SPLICE,
                    Style.HEAVY_BUTT,
                    new Contact.Wire(
                            SPLICE_FROM * size, SPLICE_TO * size, OptionalDouble.empty(), OptionalDouble.empty()),
                    depth,
                    new Contact.Seat("", depth, depth, tube.outerMm(), null, OptionalDouble.empty()),
                    tube,
                    splices.source()));
        }
        ReferenceTable ferrules = ReferenceTable.load("din-46228-ferrules.csv");
        for (ReferenceTable.Row row : ferrules.rows()) {
            double size = row.number("size");
            double length = row.number("length");
            all.add(new Contact(
                    "ferrule " + row.text("size") + " × " + row.text("length"),
                    Family.FERRULE,
                    Style.FERRULE,
                    new Contact.Wire(FERRULE_FROM * size, size, OptionalDouble.empty(), OptionalDouble.empty()),
                    row.number("strip"),
                    new Contact.Seat("", length, length, SMALL_HEIGHT_MM, null, OptionalDouble.empty()),
                    ferrules.source()));
        }
        return List.copyOf(all);
    }

    /** All of them, by family, thin to thick. */
    public static List<Contact> shipped() {
        return SHIPPED;
    }

    /** The one called {@code code}. */
    public static Optional<Contact> coded(String code) {
        return SHIPPED.stream().filter(contact -> contact.code().equals(code)).findFirst();
    }
}
