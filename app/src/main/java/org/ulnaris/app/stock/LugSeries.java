package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Lug;

/** A series of lugs as a table: sizes down, studs across. */
public record LugSeries(String name, List<String> studs, List<Row> rows) {
    /**
     * The lugs of a series for one size.
     *
     * @param tube its outside, inside and depth, mm
     */
    public record Row(String size, String tube, List<Cell> cells) {}

    /**
     * A lug of a series.
     *
     * @param code empty where none is made
     * @param pieces how many lie on the shelf
     */
    public record Cell(String code, int pieces) {}

    static List<LugSeries> of(List<Lug> lugs, Map<String, Integer> counts) {
        Map<String, List<Lug>> families = new LinkedHashMap<>();
        lugs.stream()
                .filter(lug -> !lug.forSize().isEmpty())
                .forEach(lug -> families.computeIfAbsent(name(lug), name -> new ArrayList<>())
                        .add(lug));
        return families.entrySet().stream()
                .map(family -> series(family.getKey(), family.getValue(), counts))
                .toList();
    }

    /** "HW slant" of "HW 2/0 slant · 5/16". */
    private static String name(Lug lug) {
        String[] words = lug.code().replaceAll(" · .*", "").split(" ");
        return Stream.concat(Stream.of(words[0]), Stream.of(words).skip(2))
                .reduce((one, other) -> one + " " + other)
                .orElse("");
    }

    private static String tube(List<Lug> lugs, String size) {
        return lugs.stream()
                .filter(lug -> lug.forSize().equals(size))
                .findFirst()
                .map(Lug::barrel)
                .map(tube -> Figures.fixed(tube.outerMm(), 1) + " / " + Figures.fixed(tube.boreMm(), 1) + ", "
                        + Figures.fixed(tube.depthMm(), 0))
                .orElse("");
    }

    private static LugSeries series(String name, List<Lug> lugs, Map<String, Integer> counts) {
        List<String> studs = lugs.stream()
                .sorted(Comparator.comparing(lug -> lug.pad().holeMm()))
                .map(lug -> lug.pad().stud())
                .distinct()
                .toList();
        List<Row> rows = lugs.stream()
                .sorted(Comparator.comparing(lug -> lug.barrel().boreMm()))
                .map(Lug::forSize)
                .distinct()
                .map(size -> new Row(
                        size,
                        tube(lugs, size),
                        studs.stream()
                                .map(stud -> lugs.stream()
                                        .filter(lug -> lug.forSize().equals(size)
                                                && lug.pad().stud().equals(stud))
                                        .findFirst()
                                        .map(lug -> new Cell(lug.code(), counts.getOrDefault(lug.code(), 0)))
                                        .orElse(new Cell("", 0)))
                                .toList()))
                .toList();
        return new LugSeries(name, studs, rows);
    }
}
