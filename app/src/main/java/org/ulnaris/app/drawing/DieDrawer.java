package org.ulnaris.app.drawing;

import org.ulnaris.core.crimp.Die;

/** Draws what a pair of dies closes to, one unit a millimetre. */
public final class DieDrawer {
    private static final double MARGIN_MM = 1;
    private static final int ARC_POINTS = 48;

    private DieDrawer() {}

    /** The closed outline, flats above and below, with the parting line. */
    public static Drawing outline(Die die, String label) {
        double height = die.acrossFlatsMm();
        double width = height * die.shape().widestFactor();
        double sheet = width + 2 * MARGIN_MM;
        Pen pen = new Pen(sheet, false);
        double x = sheet / 2;
        double y = height / 2 + MARGIN_MM;
        pen.polygon("die-outline", points(die, x, y));
        pen.line("die-line", 0, y, sheet, y);
        return new Drawing(sheet, height + 2 * MARGIN_MM, label, "die", pen.marks());
    }

    private static double[] points(Die die, double x, double y) {
        double half = die.acrossFlatsMm() / 2;
        return switch (die.shape()) {
            case HEX -> around(x, y, new double[] {2 * half / Math.sqrt(3), 2 * half / Math.sqrt(3)}, 6);
            case SQUARE ->
                new double[] {x - half, y - half, x + half, y - half, x + half, y + half, x - half, y + half};
            case OVAL -> around(x, y, new double[] {half * die.shape().widestFactor(), half}, ARC_POINTS);
        };
    }

    private static double[] around(double x, double y, double[] radii, int corners) {
        double[] points = new double[2 * corners];
        for (int i = 0; i < corners; i++) {
            points[2 * i] = x + radii[0] * Math.cos(2 * Math.PI * i / corners);
            points[2 * i + 1] = y + radii[1] * Math.sin(2 * Math.PI * i / corners);
        }
        return points;
    }
}
