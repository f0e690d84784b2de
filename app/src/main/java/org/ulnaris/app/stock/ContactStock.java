package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
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

/** Everything but tube lugs that ends a cable: what ships, and what the person entered. */
@Service
@Transactional
public class ContactStock implements Undoes {
    private static final String KIND = "contact";

    private static final int LONGEST_CODE = 60;
    private static final Range AREA_MM2 = new Range(0, 1000);
    private static final Range LENGTH_MM = new Range(0, 200);
    private static final Range CURRENT_A = new Range(0, 2000);
    private static final Range NUT_NM = new Range(0, 50);
    private static final double USUAL_HEIGHT_MM = 8;

    /** What an empty form shows. */
    public static final Map<String, String> FRESH = fresh();

    private final OwnContactRepository own;
    private final ObjectProvider<LastSteps> steps;

    ContactStock(OwnContactRepository own, ObjectProvider<LastSteps> steps) {
        this.own = own;
        this.steps = steps;
    }

    private static Map<String, String> fresh() {
        Map<String, String> fresh = new LinkedHashMap<>();
        for (String field : List.of(
                "code",
                "from",
                "to",
                "tight",
                "reduced",
                "rated",
                "strip",
                "housing",
                "depth",
                "reach",
                "height",
                "sealFrom",
                "sealTo",
                "nut",
                "outer",
                "bore")) {
            fresh.put(field, "");
        }
        fresh.put("family", Family.STACKABLE.name());
        fresh.put("style", "");
        return Map.copyOf(fresh);
    }

    /** The entered ones first, then what ships. */
    @Transactional(readOnly = true)
    public List<Contact> all() {
        List<Contact> all = new ArrayList<>(own());
        all.addAll(ContactCatalogue.shipped());
        return all;
    }

    @Transactional(readOnly = true)
    public List<Contact> own() {
        return own.findAllByOrderByCode().stream().map(OwnContact::contact).toList();
    }

    /** The one called {@code code}. */
    @Transactional(readOnly = true)
    public Optional<Contact> coded(String code) {
        return own.findByCode(code).map(OwnContact::contact).or(() -> ContactCatalogue.coded(code));
    }

    /** Codes of all contacts, folded: letters' case makes no difference. */
    @Transactional(readOnly = true)
    public Set<String> codes() {
        return all().stream().map(contact -> CsvTable.fold(contact.code())).collect(Collectors.toSet());
    }

    public void add(Contact contact) {
        own.saveAndFlush(new OwnContact(contact));
    }

    /** Contacts of a file, as one step that can be taken back. */
    public void addAll(List<Contact> contacts) {
        own.saveAllAndFlush(contacts.stream().map(OwnContact::new).toList());
        steps.getObject()
                .keep(
                        LastSteps.CONTACTS,
                        LastSteps.What.CONTACTS,
                        contacts.stream()
                                .map(contact -> Change.made(KIND, contact.code(), contact))
                                .toList());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public boolean undo(Change change) {
        return own.findByCode(change.key())
                .filter(row -> change.left(row.contact()))
                .flatMap(row -> remove(change.key()))
                .isPresent();
    }

    public Optional<Contact> remove(String code) {
        Optional<OwnContact> row = own.findByCode(code);
        row.ifPresent(own::delete);
        return row.map(OwnContact::contact);
    }

    /** Reads a contact; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<Contact> read(Entries entries) {
        return read(entries, codes());
    }

    /** The same where the codes {@code taken}, folded, are used already. */
    static Optional<Contact> read(Entries entries, Set<String> taken) {
        String code = entries.text("code", LONGEST_CODE, true, "");
        Family family = entries.choice("family", Family.class, Family.STACKABLE);
        if (family == Family.TUBE_LUG) {
            entries.fault("family", Fault.Code.CONTRADICTS, Expected.of("contact-family"));
        }
        Style style = style(entries, family);
        Double from = area(entries, "from", true);
        Double to = area(entries, "to", true);
        if (from != null && to != null && from > to) {
            entries.fault("to", Fault.Code.CONTRADICTS, Expected.of("from-smallest"));
        }
        Double depth = entries.quantity("depth", Unit.MM, LENGTH_MM, 8);
        Double height = entries.optionalQuantity("height", Unit.MM, LENGTH_MM, USUAL_HEIGHT_MM);
        Contact.Seat seat = new Contact.Seat(
                entries.text("housing", LONGEST_CODE, false, ""),
                depth,
                entries.quantity("reach", Unit.MM, LENGTH_MM, 8),
                height == null ? USUAL_HEIGHT_MM : height,
                seal(entries),
                optional(entries.optionalQuantity("nut", Unit.NEWTON_METRE, NUT_NM, null)));
        double strip = entries.quantity("strip", Unit.MM, Contact.STRIP_MM, 8);
        OptionalDouble rated = optional(entries.optionalQuantity("rated", Unit.AMPERE, CURRENT_A, null));
        OptionalDouble tight = optional(area(entries, "tight", false));
        OptionalDouble reduced = optional(area(entries, "reduced", false));
        Barrel tube = tube(entries, depth);
        if (entries.clean() && taken.contains(CsvTable.fold(code))) {
            entries.fault("code", Fault.Code.TAKEN);
        }
        if (!entries.clean() || from == null || to == null) {
            return Optional.empty();
        }
        return Optional.of(new Contact(
                code,
                family,
                style,
                new Contact.Wire(from, to, tight, rated, reduced),
                strip,
                seat,
                tube,
                Source.shop()));
    }

    /** The text of each field, as a form shows it and a file holds it. */
    static Map<String, String> texts(Contact contact) {
        Contact.Wire wire = contact.wire();
        Contact.Seat seat = contact.seat();
        Range seal = seat.seal();
        Barrel tube = contact.measuredTube();
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("code", contact.code());
        texts.put("family", contact.family().name());
        texts.put("style", contact.style().name());
        texts.put("from", said(OptionalDouble.of(wire.fromMm2()), "mm²"));
        texts.put("to", said(OptionalDouble.of(wire.toMm2()), "mm²"));
        texts.put("tight", said(wire.tightMm2(), "mm²"));
        texts.put("reduced", said(wire.reducedMm2(), "mm²"));
        texts.put("rated", said(wire.ratedA(), "A"));
        texts.put("strip", LugCsv.mm(contact.stripMm()));
        texts.put("housing", seat.housing());
        texts.put("depth", LugCsv.mm(seat.depthMm()));
        texts.put("reach", LugCsv.mm(seat.reachMm()));
        texts.put("height", LugCsv.mm(seat.heightMm()));
        texts.put("sealFrom", seal == null ? "" : LugCsv.mm(seal.above()));
        texts.put("sealTo", seal == null ? "" : LugCsv.mm(seal.upTo()));
        texts.put("nut", said(seat.nutNm(), "Nm"));
        texts.put("outer", tube == null ? "" : LugCsv.mm(tube.outerMm()));
        texts.put("bore", tube == null ? "" : LugCsv.mm(tube.boreMm()));
        return texts;
    }

    private static String said(OptionalDouble value, String unit) {
        return value.isPresent() ? Figures.significant(value.getAsDouble(), 5) + " " + unit : "";
    }

    /** Only small terminals come in several forms. */
    private static Style style(Entries entries, Family family) {
        return switch (family) {
            case SMALL ->
                entries.blank("style") ? Style.SEALED_RING : entries.choice("style", Style.class, Style.SEALED_RING);
            case SOLDER_SLEEVE -> Style.SLEEVE;
            case FERRULE -> Style.FERRULE;
            case HEAVY_SPLICE -> Style.HEAVY_BUTT;
            case TUBE_LUG, STACKABLE, TWO_POLE, PV -> Style.CONTACT;
        };
    }

    /** A size of either series, "16 AWG" or "1.5 mm²"; a bare number is mm². */
    private static @Nullable Double area(Entries entries, String field, boolean required) {
        String text = entries.text(field, 16, required, "");
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

    private static @Nullable Range seal(Entries entries) {
        Double from = entries.optionalQuantity("sealFrom", Unit.MM, LENGTH_MM, null);
        Double to = entries.optionalQuantity("sealTo", Unit.MM, LENGTH_MM, null);
        if (from == null && to == null) {
            return null;
        }
        if (from == null || to == null || from >= to) {
            entries.fault(from == null ? "sealFrom" : "sealTo", Fault.Code.CONTRADICTS, Expected.of("seal-range"));
            return null;
        }
        return new Range(from, to);
    }

    private static @Nullable Barrel tube(Entries entries, double depthMm) {
        Double outer = entries.optionalQuantity("outer", Unit.MM, Barrel.OUTER_MM, null);
        Double bore = entries.optionalQuantity("bore", Unit.MM, Barrel.BORE_MM, null);
        if (outer == null && bore == null) {
            return null;
        }
        if (outer == null || bore == null || bore >= outer) {
            entries.fault(outer == null ? "outer" : "bore", Fault.Code.CONTRADICTS, Expected.of("tube"));
            return null;
        }
        return new Barrel(LugMaterial.COPPER, outer, bore, depthMm);
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
