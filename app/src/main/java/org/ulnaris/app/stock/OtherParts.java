package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.termination.ShrinkTube;

/** What is cut from a reel or taken from a bag, a row a make: its sizes, to be pressed. */
public record OtherParts(Part.Kind kind, List<Row> rows) {
    /** The sizes of one make. */
    public record Row(String name, List<Size> sizes) {}

    /** A size as it is named within its row. */
    public record Size(String code, String name) {}

    static List<OtherParts> of(Words words) {
        Map<String, List<Size>> cables = new LinkedHashMap<>();
        Part.cables()
                .forEach((part, conductor) -> cables.computeIfAbsent(make(conductor, words), make -> new ArrayList<>())
                        .add(new Size(part.code(), conductor.size().name())));
        List<Row> fuses = Stream.of(FuseFamily.values())
                .map(family -> new Row(
                        words.name(family) + ", A",
                        family.ratingsA().stream()
                                .map(rating ->
                                        new Size(Part.fuse(family, rating).code(), Figures.significant(rating, 6)))
                                .toList()))
                .toList();
        return List.of(
                new OtherParts(
                        Part.Kind.CABLE,
                        cables.entrySet().stream()
                                .map(make -> new Row(make.getKey(), make.getValue()))
                                .toList()),
                sleeves(words),
                one(Part.Kind.LOOM, words, RunSleeves.looms().stream().map(Part::loom)),
                new OtherParts(Part.Kind.FUSE, fuses),
                one(Part.Kind.HARDWARE, words, Studs.all().stream().map(Part::hardware)));
    }

    private static String make(Conductor conductor, Words words) {
        return words.name(conductor.metal()) + ", "
                + words.of("series.unit." + conductor.size().series());
    }

    private static OtherParts sleeves(Words words) {
        Map<String, List<Size>> ratios = new LinkedHashMap<>();
        for (ShrinkTube tube : ShrinkTube.shipped()) {
            Part part = Part.sleeve(tube);
            ratios.computeIfAbsent(words.of("shelf.unit.SLEEVE", tube.ratio()), ratio -> new ArrayList<>())
                    .add(new Size(part.code(), part.name()));
        }
        return new OtherParts(
                Part.Kind.SLEEVE,
                ratios.entrySet().stream()
                        .map(ratio -> new Row(ratio.getKey(), ratio.getValue()))
                        .toList());
    }

    private static OtherParts one(Part.Kind kind, Words words, Stream<Part> parts) {
        return new OtherParts(
                kind,
                List.of(new Row(
                        words.of("shelf.unit." + kind),
                        parts.map(part -> new Size(part.code(), part.name())).toList())));
    }
}
