package org.ulnaris.app.stock;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.ContactShape;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.LugShape;
import org.ulnaris.app.drawing.PartDrawer;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.termination.Lug;

/** The stock as it lies there, a shelf a kind. */
public record Shelves(Part.Kind kind, List<Place> places) {
    /**
     * A part on the shelf.
     *
     * @param drawing all of a shelf to one scale; null of what has no form here
     */
    public record Place(
            Part part, Shelf.Count count, @Nullable Drawing drawing) {}

    /**
     * The shelves on which something is counted.
     *
     * @param parts all that can be counted
     */
    static List<Shelves> of(
            Stream<Part> parts, List<Lug> lugs, List<Contact> contacts, Map<String, Shelf.Count> counts) {
        Map<Part.Kind, List<Part>> counted = parts.filter(part -> counts.containsKey(part.code()))
                .sorted(Comparator.comparing(Part::kind))
                .collect(Collectors.groupingBy(Part::kind, TreeMap::new, Collectors.toList()));
        return counted.entrySet().stream()
                .map(shelf -> new Shelves(
                        shelf.getKey(),
                        places(shelf.getValue(), drawer(shelf.getKey(), shelf.getValue(), lugs, contacts), counts)))
                .toList();
    }

    private static Function<Part, @Nullable Drawing> drawer(
            Part.Kind kind, List<Part> parts, List<Lug> lugs, List<Contact> contacts) {
        return switch (kind) {
            case LUG -> lugs(parts, lugs);
            case CONTACT -> contacts(parts, contacts);
            default -> PartDrawer.toOneScale(parts);
        };
    }

    private static List<Place> places(
            List<Part> parts, Function<Part, @Nullable Drawing> drawer, Map<String, Shelf.Count> counts) {
        return parts.stream()
                .map(part ->
                        new Place(part, counts.getOrDefault(part.code(), new Shelf.Count(0, 0)), drawer.apply(part)))
                .toList();
    }

    private static Function<Part, @Nullable Drawing> lugs(List<Part> parts, List<Lug> lugs) {
        Map<String, Lug> byCode = lugs.stream()
                .filter(lug -> parts.contains(Part.lug(lug)))
                .collect(Collectors.toMap(Lug::code, Function.identity(), (one, other) -> one));
        double longest =
                byCode.values().stream().mapToDouble(Lug::overallMm).max().orElse(0);
        double widest = byCode.values().stream()
                .mapToDouble(lug -> Math.max(lug.pad().widthMm(), lug.barrel().outerMm()))
                .max()
                .orElse(0);
        return part -> {
            Lug lug = byCode.get(part.code());
            return lug == null ? null : LugShape.alone(lug, longest, widest, part.code());
        };
    }

    private static Function<Part, @Nullable Drawing> contacts(List<Part> parts, List<Contact> contacts) {
        Map<String, Contact> byCode = contacts.stream()
                .filter(contact -> parts.contains(Part.contact(contact)) && ContactShape.known(contact))
                .collect(Collectors.toMap(Contact::code, Function.identity(), (one, other) -> one));
        double longest = byCode.values().stream()
                .mapToDouble(ContactShape::lengthMm)
                .max()
                .orElse(0);
        double widest = byCode.values().stream()
                .mapToDouble(ContactShape::widthMm)
                .max()
                .orElse(0);
        return part -> {
            Contact contact = byCode.get(part.code());
            return contact == null ? null : ContactShape.alone(contact, longest, widest, part.code());
        };
    }
}
