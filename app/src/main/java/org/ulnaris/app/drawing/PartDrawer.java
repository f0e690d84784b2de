package org.ulnaris.app.drawing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.termination.ShrinkTube;

/** Draws parts as they look from their end, those of a shelf to one scale: cable cut through, sleeves, looms, nuts on their washers. */
public final class PartDrawer {
    private static final double MARGIN_MM = 1;
    private static final double LOOM_SLIT_MM = 1.5;
    private static final int NUT_CORNERS = 6;

    private static final Map<Part, Shape> SHAPES = shapes();

    private PartDrawer() {}

    private static Map<Part, Shape> shapes() {
        Map<Part, Shape> shapes = new HashMap<>();
        Part.cables()
                .forEach((part, conductor) ->
                        shapes.put(part, cable(CableGeometry.of(conductor, OptionalDouble.empty()))));
        ShrinkTube.shipped().forEach(tube -> shapes.put(Part.sleeve(tube), sleeve(tube)));
        RunSleeves.looms().forEach(loom -> shapes.put(Part.loom(loom), loom(loom)));
        Studs.all().forEach(stud -> shapes.put(Part.hardware(stud), nut(stud)));
        return Map.copyOf(shapes);
    }

    /** A part by its greatest width, drawn around a point. */
    private record Shape(double widthMm, Drawn drawn) {}

    private interface Drawn {
        void with(Pen pen, double middle);
    }

    /** Draws {@code parts}, none where a part has no form that the tables tell. */
    public static Function<Part, @Nullable Drawing> toOneScale(List<Part> parts) {
        double widest = parts.stream()
                .map(SHAPES::get)
                .filter(Objects::nonNull)
                .mapToDouble(Shape::widthMm)
                .max()
                .orElse(0);
        double sheet = widest + 2 * MARGIN_MM;
        return part -> {
            Shape shape = SHAPES.get(part);
            if (shape == null) {
                return null;
            }
            Pen pen = new Pen(sheet, false);
            shape.drawn().with(pen, sheet / 2);
            return new Drawing(sheet, sheet, part.code(), "part-alone", pen.marks());
        };
    }

    private static Shape cable(CableGeometry cable) {
        return new Shape(cable.outerMm(), (pen, middle) -> {
            pen.circle("insulation", middle, middle, cable.outerMm() / 2);
            pen.circle(cable.conductor().metal().isCopper() ? "copper" : "lug", middle, middle, cable.bundleMm() / 2);
        });
    }

    private static Shape sleeve(ShrinkTube tube) {
        return new Shape(tube.expandedMm() + 2 * wall(tube), (pen, middle) -> {
            pen.circle("shrink", middle, middle, tube.expandedMm() / 2 + wall(tube));
            pen.circle("hole", middle, middle, tube.expandedMm() / 2);
            pen.circle("die-gone", middle, middle, tube.recoveredMm() / 2);
        });
    }

    /** Its wall as supplied: the same section of material around a wider bore, mm. */
    private static double wall(ShrinkTube tube) {
        double recovered = tube.recoveredMm() / 2;
        double section = Math.pow(recovered + tube.wallMm(), 2) - recovered * recovered;
        double expanded = tube.expandedMm() / 2;
        return Math.sqrt(expanded * expanded + section) - expanded;
    }

    private static Shape loom(RunSleeves.Loom loom) {
        return new Shape(loom.outerMm(), (pen, middle) -> {
            pen.circle("insulation", middle, middle, loom.outerMm() / 2);
            pen.circle("hole", middle, middle, loom.innerMm() / 2);
            pen.rect("hole", middle - LOOM_SLIT_MM / 2, MARGIN_MM, LOOM_SLIT_MM, (loom.outerMm() - loom.innerMm()) / 2);
        });
    }

    private static Shape nut(Stud stud) {
        Stud.Hardware hardware = stud.hardware();
        return new Shape(hardware.washerOuterMm(), (pen, middle) -> {
            pen.circle("lug", middle, middle, hardware.washerOuterMm() / 2);
            double corner = hardware.acrossFlatsMm() / Math.sqrt(3);
            double[] points = new double[2 * NUT_CORNERS];
            for (int i = 0; i < NUT_CORNERS; i++) {
                points[2 * i] = middle + corner * Math.cos(2 * Math.PI * i / NUT_CORNERS);
                points[2 * i + 1] = middle + corner * Math.sin(2 * Math.PI * i / NUT_CORNERS);
            }
            pen.polygon("lug", points);
            pen.circle("hole", middle, middle, stud.thread().diameterMm() / 2);
        });
    }
}
