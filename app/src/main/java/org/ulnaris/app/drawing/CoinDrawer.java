package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpSection;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

/**
 * Draws the section of a crimp, before and after, to one scale: barrel, strands packed in the bore, the hexagon of the closed
 * die. What is drawn after the crimp is computed: {@link CrimpSection}.
 */
public final class CoinDrawer {
    private static final int CORNERS = 6;
    private static final int SHOWN_STRANDS = 61;
    private static final double GROUND_MM = 5;
    private static final double SHOWN_CABLE_MM = 12;

    private final Crimp crimp;

    public CoinDrawer(Crimp crimp) {
        this.crimp = crimp;
    }

    /** The barrel with its strands before the crimp, on a sheet of the same size as {@link #after}. */
    public Drawing before(String label) {
        Pen pen = new Pen(cellMm(), false);
        before(pen, cellMm() / 2, cellMm() / 2);
        return new Drawing(cellMm(), cellMm(), label, css(), pen.marks());
    }

    /** What the dies leave. */
    public Drawing after(String label) {
        Pen pen = new Pen(cellMm(), false);
        after(pen, cellMm() / 2, cellMm() / 2);
        return new Drawing(cellMm(), cellMm(), label, css(), pen.marks());
    }

    /** An aluminium barrel holds aluminium strands. */
    private String css() {
        return crimp.barrel().material() == LugMaterial.ALUMINIUM ? "coin of-aluminium" : "coin";
    }

    private double cellMm() {
        double across = crimp.die().acrossFlatsMm() * 2 / Math.sqrt(3);
        return Math.max(crimp.barrel().outerMm(), across + 2 * wingMm()) + 2;
    }

    /** Before at the left, after at the right. */
    public Drawing coin(String label) {
        double cell = cellMm();
        Pen pen = new Pen(2 * cell + 2, false);
        before(pen, cell / 2, cell / 2);
        after(pen, 1.5 * cell + 2, cell / 2);
        return new Drawing(2 * cell + 2, cell, label, css(), pen.marks());
    }

    private void before(Pen pen, double x, double y) {
        double bore = crimp.barrel().boreMm() / 2;
        pen.circle("lug", x, y, crimp.barrel().outerMm() / 2);
        pen.circle("void", x, y, bore);
        strands(pen, new double[] {x, y}, bore, crimp.conductorAreaMm2());
    }

    /** Rings of equal strands: 1, 6, 12, … as rope is laid, their total area that of the conductor. */
    private void strands(Pen pen, double[] centre, double bore, double areaMm2) {
        double strand = Math.sqrt(areaMm2 / (Math.PI * SHOWN_STRANDS));
        double pitch = Math.min((bore - strand) / 4, 2.35 * strand);
        pen.circle("strand", centre[0], centre[1], strand);
        for (int ring = 1; ring <= 4; ring++) {
            for (int i = 0; i < CORNERS * ring; i++) {
                double angle = 2 * Math.PI * i / (CORNERS * ring);
                pen.circle(
                        "strand",
                        centre[0] + ring * pitch * Math.cos(angle),
                        centre[1] + ring * pitch * Math.sin(angle),
                        strand);
            }
        }
    }

    /** Any computed section, {@code outerMm} across. */
    public static Drawing section(CrimpSection section, double outerMm, String label) {
        double cell = outerMm + 2;
        Pen pen = new Pen(cell, false);
        draw(pen, section, cell / 2, cell / 2);
        return new Drawing(cell, cell, label, "coin", pen.marks());
    }

    private void after(Pen pen, double x, double y) {
        draw(pen, CrimpSection.of(crimp), x, y);
    }

    private static void draw(Pen pen, CrimpSection section, double x, double y) {
        section.wings().forEach(wing -> polygon(pen, "lug wing", wing, x, y));
        polygon(pen, "lug", section.outline(), x, y);
        polygon(pen, "void", section.bore(), x, y);
        section.strands().forEach(strand -> polygon(pen, "strand cell", strand, x, y));
        polygon(pen, "die-line", section.outline(), x, y);
    }

    private static void polygon(Pen pen, String css, CrimpSection.Polygon polygon, double x, double y) {
        double[] points = new double[polygon.xy().size()];
        for (int i = 0; i < points.length; i++) {
            points[i] = polygon.xy().get(i) + (i % 2 == 0 ? x : y);
        }
        pen.polygon(css, points);
    }

    private double wingMm() {
        return Math.sqrt(2 * crimp.wingAreaMm2());
    }

    /**
     * The barrel cut lengthwise through its axis: mouth at the right, crimps as they neck the wall, what the barrel has grown, the gap to
     * the insulation.
     */
    public Drawing lengthwise(double cableOuterMm, double bundleMm, String label) {
        Barrel barrel = crimp.barrel();
        double length = barrel.depthMm() + crimp.growthMm();
        double sheet = length + GROUND_MM + SHOWN_CABLE_MM + 2;
        double y = Math.max(barrel.outerMm(), cableOuterMm) / 2 + 1;
        Pen pen = new Pen(sheet, false);
        double mouth = GROUND_MM + length;
        double core = Math.min(bundleMm, barrel.boreMm()) / 2;
        pen.rect("lug", 0, y - barrel.outerMm() / 2, GROUND_MM, barrel.outerMm());
        pen.rect("copper", GROUND_MM, y - core, mouth - GROUND_MM + crimp.growthMm(), 2 * core);
        wall(pen, y, mouth, 1);
        wall(pen, y, mouth, -1);
        double insulation = mouth + crimp.growthMm();
        pen.rect("sheath", insulation, y - cableOuterMm / 2, sheet - insulation - 1, cableOuterMm);
        return new Drawing(sheet, 2 * y, label, css() + " lengthwise", pen.marks());
    }

    private List<Double> centres(double mouth) {
        double stretch = 1 + crimp.growthMm() / crimp.barrel().depthMm();
        return crimp.positionsMm().stream()
                .map(at -> mouth - at * stretch)
                .sorted()
                .toList();
    }

    /** Half of the conductor's height inside a crimp. */
    private double innerMm() {
        return Die.hexFlatsMm(CrimpSection.of(crimp).bore().areaMm2()) / 2;
    }

    /** One wall, upper or lower, with its necks. */
    private void wall(Pen pen, double y, double mouth, int side) {
        List<double[]> outer = new ArrayList<>();
        List<double[]> inner = new ArrayList<>();
        double out = crimp.barrel().outerMm() / 2;
        double in = crimp.barrel().boreMm() / 2;
        double neckOut = crimp.die().acrossFlatsMm() / 2;
        double neckIn = innerMm();
        double half = crimp.die().widthMm() / 2;
        outer.add(new double[] {GROUND_MM, out});
        inner.add(new double[] {GROUND_MM, in});
        for (double at : centres(mouth)) {
            for (double[] step : new double[][] {{-half - 0.5, 0}, {-half, 1}, {half, 1}, {half + 0.5, 0}}) {
                outer.add(new double[] {at + step[0], step[1] > 0 ? neckOut : out});
                inner.add(new double[] {at + step[0], step[1] > 0 ? neckIn : in});
            }
        }
        outer.add(new double[] {mouth, out});
        inner.add(new double[] {mouth, in});
        Collections.reverse(inner);
        outer.addAll(inner);
        double[] points = new double[2 * outer.size()];
        for (int i = 0; i < outer.size(); i++) {
            points[2 * i] = outer.get(i)[0];
            points[2 * i + 1] = y - side * outer.get(i)[1];
        }
        pen.polygon("lug", points);
    }
}
