package org.ulnaris.app.stock;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.LugShape;
import org.ulnaris.app.drawing.PartDrawer;
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
    static List<Shelves> of(Stream<Part> parts, List<Lug> lugs, Map<String, Shelf.Count> counts) {
        Map<Part.Kind, List<Part>> counted = parts.filter(part -> counts.containsKey(part.code()))
                .sorted(Comparator.comparing(Part::kind))
                .collect(Collectors.groupingBy(Part::kind, TreeMap::new, Collectors.toList()));
        return counted.entrySet().stream()
                .map(shelf -> new Shelves(shelf.getKey(), places(shelf.getKey(), shelf.getValue(), lugs, counts)))
                .toList();
    }

    private static List<Place> places(
            Part.Kind kind, List<Part> parts, List<Lug> lugs, Map<String, Shelf.Count> counts) {
        Function<Part, @Nullable Drawing> drawer =
                kind == Part.Kind.LUG ? lugs(parts, lugs) : PartDrawer.toOneScale(parts);
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
}
