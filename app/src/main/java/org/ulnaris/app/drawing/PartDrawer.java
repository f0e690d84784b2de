package org.ulnaris.app.drawing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.FuseForm;
import org.ulnaris.core.termination.ShrinkTube;

/**
 * Draws parts as they are told apart in the hand, those of a shelf to one scale: from their end cable, sleeves, looms and nuts on their washers,
 * from the flat side fuses.
 */
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
        for (FuseFamily family : FuseFamily.values()) {
            FuseForm.of(family)
                    .map(PartDrawer::fuse)
                    .ifPresent(shape ->
                            family.ratingsA().forEach(rating -> shapes.put(Part.fuse(family, rating), shape)));
        }
        return Map.copyOf(shapes);
    }

    /** A part by its greatest width and height, drawn around a point. */
    private record Shape(double widthMm, double heightMm, Drawn drawn) {
        static Shape round(double acrossMm, Drawn drawn) {
            return new Shape(acrossMm, acrossMm, drawn);
        }
    }

    private interface Drawn {
        void around(Pen pen, double x, double y);
    }

    /** Draws {@code parts}, none where a part has no form that the tables tell. */
    public static Function<Part, @Nullable Drawing> toOneScale(List<Part> parts) {
        double width = sheet(parts, Shape::widthMm);
        double height = sheet(parts, Shape::heightMm);
        return part -> {
            Shape shape = SHAPES.get(part);
            if (shape == null) {
                return null;
            }
            Pen pen = new Pen(width, false);
            shape.drawn().around(pen, width / 2, height / 2);
            return new Drawing(width, height, part.code(), "part-alone", pen.marks());
        };
    }

    private static double sheet(List<Part> parts, ToDoubleFunction<Shape> extent) {
        return parts.stream()
                        .map(SHAPES::get)
                        .filter(Objects::nonNull)
                        .mapToDouble(extent)
                        .max()
                        .orElse(0)
                + 2 * MARGIN_MM;
    }

    private static Shape cable(CableGeometry cable) {
        return Shape.round(cable.outerMm(), (pen, x, y) -> {
            pen.circle("insulation", x, y, cable.outerMm() / 2);
            pen.circle(cable.conductor().metal().isCopper() ? "copper" : "lug", x, y, cable.bundleMm() / 2);
        });
    }

    private static Shape sleeve(ShrinkTube tube) {
        return Shape.round(tube.expandedMm() + 2 * wall(tube), (pen, x, y) -> {
            pen.circle("shrink", x, y, tube.expandedMm() / 2 + wall(tube));
            pen.circle("hole", x, y, tube.expandedMm() / 2);
            pen.circle("die-gone", x, y, tube.recoveredMm() / 2);
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
        return Shape.round(loom.outerMm(), (pen, x, y) -> {
            pen.circle("insulation", x, y, loom.outerMm() / 2);
            pen.circle("hole", x, y, loom.innerMm() / 2);
            pen.rect(
                    "hole",
                    x - LOOM_SLIT_MM / 2,
                    y - loom.outerMm() / 2,
                    LOOM_SLIT_MM,
                    (loom.outerMm() - loom.innerMm()) / 2);
        });
    }

    private static Shape nut(Stud stud) {
        Stud.Hardware hardware = stud.hardware();
        return Shape.round(hardware.washerOuterMm(), (pen, x, y) -> {
            pen.circle("lug", x, y, hardware.washerOuterMm() / 2);
            double corner = hardware.acrossFlatsMm() / Math.sqrt(3);
            double[] points = new double[2 * NUT_CORNERS];
            for (int i = 0; i < NUT_CORNERS; i++) {
                points[2 * i] = x + corner * Math.cos(2 * Math.PI * i / NUT_CORNERS);
                points[2 * i + 1] = y + corner * Math.sin(2 * Math.PI * i / NUT_CORNERS);
            }
            pen.polygon("lug", points);
            pen.circle("hole", x, y, stud.thread().diameterMm() / 2);
        });
    }

    private static Shape fuse(FuseForm form) {
        return new Shape(form.acrossMm(), form.alongMm(), (pen, x, y) -> {
            double left = x - form.acrossMm() / 2;
            double top = y - form.alongMm() / 2;
            if (form.grip() instanceof FuseForm.Grip.Holes holes) {
                pen.rect("lug", left, top, form.acrossMm(), form.alongMm());
                pen.circle("hole", x - holes.apartMm() / 2, y, holes.holeMm() / 2);
                pen.circle("hole", x + holes.apartMm() / 2, y, holes.holeMm() / 2);
                pen.rect("shell", x - form.housingMm() / 2, top, form.housingMm(), form.alongMm());
            } else if (form.grip() instanceof FuseForm.Grip.Blades blades) {
                double right = left + form.acrossMm() - blades.widthMm();
                pen.rect("lug", left, top, blades.widthMm(), form.alongMm());
                pen.rect("lug", right, top, blades.widthMm(), form.alongMm());
                pen.rect("shell", left, top, form.acrossMm(), form.housingMm());
            }
        });
    }
}
