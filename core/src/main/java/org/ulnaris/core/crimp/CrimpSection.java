package org.ulnaris.core.crimp;

import java.util.ArrayList;
import java.util.List;

/**
 * The cross-section of a finished crimp, computed (ours): what of wall and conductor stays within the dies keeps its share of the metal,
 * strands are cells of equal area packed into what the wall leaves; where the dies are larger than the metal the cells stand apart, and
 * what they displace beyond lengthening stands as two wings on the parting line. Millimetres around the centre.
 *
 * @param outline closed dies
 * @param bore inside of the wall
 * @param strands cells of the conductor
 * @param wings triangles at the parting line; none where nothing escapes
 */
public record CrimpSection(Polygon outline, Polygon bore, List<Polygon> strands, List<Polygon> wings) {
    /** Rings around the middle strand: 1 + 6 + 12 + 18 + 24 = 61 strands stand for all. */
    private static final int RINGS = 4;

    private static final int SQUARE_SIDE = 8;

    public CrimpSection {
        strands = List.copyOf(strands);
        wings = List.copyOf(wings);
    }

    /**
     * A closed polygon.
     *
     * @param xy x and y of its corners by turns, mm
     */
    public record Polygon(List<Double> xy) {
        public Polygon {
            xy = List.copyOf(xy);
        }

        /** Area, mm² (shoelace formula). */
        public double areaMm2() {
            double twice = 0;
            for (int i = 0; i < xy.size(); i += 2) {
                int next = (i + 2) % xy.size();
                twice += xy.get(i) * xy.get(next + 1) - xy.get(next) * xy.get(i + 1);
            }
            return Math.abs(twice) / 2;
        }

        private Polygon moved(double x, double y) {
            List<Double> moved = new ArrayList<>(xy.size());
            for (int i = 0; i < xy.size(); i += 2) {
                moved.add(xy.get(i) + x);
                moved.add(xy.get(i + 1) + y);
            }
            return new Polygon(moved);
        }

        /** Regular, with a corner at the angle {@code from}. */
        private static Polygon regular(int corners, double radius, double from) {
            List<Double> xy = new ArrayList<>(2 * corners);
            for (int i = 0; i < corners; i++) {
                double angle = from + 2 * Math.PI * i / corners;
                xy.add(radius * Math.cos(angle));
                xy.add(radius * Math.sin(angle));
            }
            return new Polygon(xy);
        }
    }

    /** The section of {@code crimp}. */
    public static CrimpSection of(Crimp crimp) {
        double dies = crimp.die().areaMm2();
        double metal = Math.min(crimp.metalMm2(), dies);
        double conductor = metal * crimp.conductorAreaMm2() / crimp.metalMm2();
        double inside = dies - (metal - conductor);
        DieShape shape = crimp.die().shape();
        return new CrimpSection(
                outline(shape, dies), outline(shape, inside), strands(shape, inside, conductor), wings(crimp));
    }

    private static Polygon outline(DieShape shape, double areaMm2) {
        double flats = Math.sqrt(areaMm2 / shape.areaFactor());
        return switch (shape) {
            case HEX -> Polygon.regular(6, flats / Math.sqrt(3), 0);
            case SQUARE -> Polygon.regular(4, flats / Math.sqrt(2), Math.PI / 4);
            case OVAL -> stretched(Polygon.regular(72, flats / 2, 0), DieShape.OVAL_RATIO);
        };
    }

    private static Polygon stretched(Polygon polygon, double factor) {
        List<Double> xy = new ArrayList<>(polygon.xy());
        for (int i = 0; i < xy.size(); i += 2) {
            xy.set(i, xy.get(i) * factor);
        }
        return new Polygon(xy);
    }

    private static List<Polygon> strands(DieShape shape, double inside, double conductor) {
        return shape == DieShape.SQUARE ? squares(inside, conductor) : cells(shape, inside, conductor);
    }

    /** Hexagonal cells on a lattice whose cells fill the inside; each is drawn as small as its metal. */
    private static List<Polygon> cells(DieShape shape, double inside, double conductor) {
        double stretch = shape == DieShape.OVAL ? DieShape.OVAL_RATIO : 1;
        int count = 1 + 3 * RINGS * (RINGS + 1);
        double pitch = Math.sqrt(inside / stretch / (count * Math.sqrt(3) / 2));
        double radius = pitch / Math.sqrt(3) * Math.sqrt(conductor / inside);
        Polygon cell = stretched(Polygon.regular(6, radius, Math.PI / 6), stretch);
        List<Polygon> strands = new ArrayList<>(count);
        for (int q = -RINGS; q <= RINGS; q++) {
            for (int r = Math.max(-RINGS, -q - RINGS); r <= Math.min(RINGS, -q + RINGS); r++) {
                strands.add(cell.moved(stretch * pitch * (q + r / 2.0), pitch * Math.sqrt(3) / 2 * r));
            }
        }
        return strands;
    }

    private static List<Polygon> squares(double inside, double conductor) {
        double pitch = Math.sqrt(inside) / SQUARE_SIDE;
        Polygon cell = Polygon.regular(4, pitch * Math.sqrt(conductor / inside) / Math.sqrt(2), Math.PI / 4);
        List<Polygon> strands = new ArrayList<>();
        for (int row = 0; row < SQUARE_SIDE; row++) {
            for (int column = 0; column < SQUARE_SIDE; column++) {
                strands.add(cell.moved(
                        pitch * (column - (SQUARE_SIDE - 1) / 2.0), pitch * (row - (SQUARE_SIDE - 1) / 2.0)));
            }
        }
        return strands;
    }

    private static List<Polygon> wings(Crimp crimp) {
        double area = crimp.wingAreaMm2();
        if (!(area > 0)) {
            return List.of();
        }
        double side = Math.sqrt(2 * area);
        double corner = crimp.die().acrossFlatsMm() * crimp.die().shape().widestFactor() / 2;
        return List.of(
                new Polygon(List.of(corner, -side / 2, corner + side, 0.0, corner, side / 2)),
                new Polygon(List.of(-corner, -side / 2, -corner - side, 0.0, -corner, side / 2)));
    }

    /** Metal of the wall within the dies, mm². */
    public double wallMm2() {
        return outline.areaMm2() - bore.areaMm2();
    }

    /** Metal of the conductor within the dies, mm². */
    public double conductorMm2() {
        return strands.stream().mapToDouble(Polygon::areaMm2).sum();
    }

    /** Open area within the dies, mm². */
    public double voidMm2() {
        return bore.areaMm2() - conductorMm2();
    }
}
