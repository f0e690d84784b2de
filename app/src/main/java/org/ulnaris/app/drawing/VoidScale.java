package org.ulnaris.app.drawing;

import org.ulnaris.core.measure.Figures;

/** Sections with a known open area, to score a cut sample by eye. */
public final class VoidScale {
    private static final double[] PERCENT = {0, 1, 2, 5, 10, 20};
    private static final double COIN = 20;
    private static final int HOLES = 12;

    private VoidScale() {}

    /** The scale, from solid to open; the drawn holes have the area that stands below. */
    public static Drawing scale(String label) {
        Pen pen = new Pen(PERCENT.length * (COIN + 4), false);
        for (int i = 0; i < PERCENT.length; i++) {
            double x = i * (COIN + 4) + COIN / 2 + 2;
            double y = COIN / 2 + 1;
            double corner = COIN / 2;
            double[] hexagon = new double[12];
            for (int k = 0; k < 6; k++) {
                hexagon[2 * k] = x + corner * Math.cos(Math.PI / 3 * k);
                hexagon[2 * k + 1] = y + corner * Math.sin(Math.PI / 3 * k);
            }
            pen.polygon("copper", hexagon);
            holes(pen, new double[] {x, y}, PERCENT[i] / 100 * 3 * Math.sqrt(3) / 2 * corner * corner);
            pen.words("scale-words", x, COIN + 3.5, Figures.significant(PERCENT[i], 2) + "\u00a0%");
        }
        return new Drawing(PERCENT.length * (COIN + 4), COIN + 5, label, "void-scale", pen.marks());
    }

    /** Equal holes on two rings, together {@code areaMm2}. */
    private static void holes(Pen pen, double[] centre, double areaMm2) {
        double radius = Math.sqrt(areaMm2 / (HOLES * Math.PI));
        for (int i = 0; radius > 0 && i < HOLES; i++) {
            double ring = i % 3 == 0 ? 3 : 6.3;
            double angle = 2 * Math.PI * i / HOLES + 0.3;
            pen.circle("void", centre[0] + ring * Math.cos(angle), centre[1] + ring * Math.sin(angle), radius);
        }
    }
}
