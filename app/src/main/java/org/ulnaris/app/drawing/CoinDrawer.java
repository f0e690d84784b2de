package org.ulnaris.app.drawing;

import org.ulnaris.core.crimp.Crimp;

/**
 * Draws the section of a crimp, before and after, to one scale: barrel, strands packed in the bore, the hexagon of the closed
 * die. After the crimp the drawn conductor keeps its area; voids open where the die is larger than the metal, wings stand
 * at the parting line where it is smaller than what lengthening takes up.
 */
public final class CoinDrawer {
    private static final int CORNERS = 6;
    private static final int SHOWN_STRANDS = 61;

    private final Crimp crimp;

    public CoinDrawer(Crimp crimp) {
        this.crimp = crimp;
    }

    /** Before at the left, after at the right. */
    public Drawing coin(String label) {
        double outer = crimp.barrel().outerMm();
        double across = crimp.die().acrossFlatsMm() * 2 / Math.sqrt(3);
        double cell = Math.max(outer, across + 2 * wingMm()) + 2;
        Pen pen = new Pen(2 * cell + 2, false);
        before(pen, cell / 2, cell / 2);
        after(pen, 1.5 * cell + 2, cell / 2);
        return new Drawing(2 * cell + 2, cell, label, "coin", pen.marks());
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

    private void after(Pen pen, double x, double y) {
        double die = crimp.die().areaMm2();
        double metal = Math.min(crimp.metalMm2(), die);
        double conductorShare = crimp.conductorAreaMm2() / crimp.metalMm2();
        if (wingMm() > 0) {
            wings(pen, x, y);
        }
        pen.polygon("lug", hexagon(x, y, die));
        pen.polygon("void", hexagon(x, y, die * (1 - metal / die * (1 - conductorShare))));
        pen.polygon("copper", hexagon(x, y, metal * conductorShare));
        pen.polygon("die-line", hexagon(x, y, die));
    }

    private double wingMm() {
        return Math.sqrt(2 * crimp.wingAreaMm2());
    }

    /** Two triangles of the computed area at the corners of the parting line. */
    private void wings(Pen pen, double x, double y) {
        double corner = cornerMm(crimp.die().areaMm2());
        double w = wingMm();
        pen.polygon("lug wing", x - corner + 0.3, y - w / 2, x - corner - w, y, x - corner + 0.3, y + w / 2);
        pen.polygon("lug wing", x + corner - 0.3, y - w / 2, x + corner + w, y, x + corner - 0.3, y + w / 2);
    }

    private static double cornerMm(double areaMm2) {
        return Math.sqrt(2 * areaMm2 / (3 * Math.sqrt(3)));
    }

    private static double[] hexagon(double x, double y, double areaMm2) {
        double corner = cornerMm(areaMm2);
        double[] points = new double[2 * CORNERS];
        for (int i = 0; i < CORNERS; i++) {
            points[2 * i] = x + corner * Math.cos(Math.PI / 3 * i);
            points[2 * i + 1] = y + corner * Math.sin(Math.PI / 3 * i);
        }
        return points;
    }
}
