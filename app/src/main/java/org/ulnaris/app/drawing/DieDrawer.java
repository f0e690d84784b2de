package org.ulnaris.app.drawing;

import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.termination.Barrel;

/** Draws what a pair of dies closes to, one unit a millimetre. */
public final class DieDrawer {
    private static final double MARGIN_MM = 1;
    private static final int ARC_POINTS = 48;
    private static final double EMPTY_JAW_MM = 22;

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

    /** A closed pair of dies in its nest, in a block of {@code blockMm}: all of a case to one scale. */
    public static Drawing nest(Die die, double blockMm, String label) {
        Pen pen = new Pen(blockMm + 2 * MARGIN_MM, false);
        block(pen, die, blockMm, new double[] {MARGIN_MM, MARGIN_MM});
        return new Drawing(blockMm + 2 * MARGIN_MM, blockMm + 2 * MARGIN_MM, label, "die nest", pen.marks());
    }

    /** An empty nest for hexagonal dies between {@code fromMm} and {@code toMm} across flats, in a block of {@code blockMm}. */
    public static Drawing gap(double fromMm, double toMm, double blockMm, String label) {
        double sheet = blockMm + 2 * MARGIN_MM;
        Pen pen = new Pen(sheet, false);
        pen.rect("die-gone", MARGIN_MM, MARGIN_MM, blockMm, blockMm);
        for (double flats : new double[] {toMm, fromMm}) {
            double corner = flats / Math.sqrt(3);
            pen.polygon("die-gone", around(sheet / 2, sheet / 2, new double[] {corner, corner}, 6));
        }
        return new Drawing(sheet, sheet, label, "die nest gap", pen.marks());
    }

    /** A lug's barrel from its mouth, on a sheet of {@code sheetMm}, with the outline that {@code die} presses it to; null for none. */
    public static Drawing face(Barrel barrel, @Nullable Die die, double sheetMm, String label) {
        double middle = sheetMm / 2;
        Pen pen = new Pen(sheetMm, false);
        pen.circle("lug", middle, middle, barrel.outerMm() / 2);
        pen.circle("die-open", middle, middle, barrel.boreMm() / 2);
        if (die != null) {
            pen.polygon("die-press", points(die, middle, middle));
        }
        return new Drawing(sheetMm, sheetMm, label, "die face", pen.marks());
    }

    /** How large the blocks of a case are whose widest dies are {@code acrossFlatsMm}. */
    public static double blockMm(double acrossFlatsMm) {
        return 1.35 * acrossFlatsMm + 4;
    }

    /** The jaw of a tool from the side, with the dies that are in it; null for none. */
    public static Drawing jaw(@Nullable Die die, String label) {
        double block = die == null ? EMPTY_JAW_MM : blockMm(die.acrossFlatsMm());
        double sheet = 2 * block;
        Pen pen = new Pen(sheet, false);
        double arm = 0.28 * block;
        double top = MARGIN_MM + arm;
        pen.rect("lug", MARGIN_MM, MARGIN_MM, sheet - 2 * MARGIN_MM, arm);
        pen.rect("lug", MARGIN_MM, top + block, sheet - 2 * MARGIN_MM, arm);
        if (die == null) {
            pen.rect("die-gone", block / 2, top, block, block);
        } else {
            block(pen, die, block, new double[] {block / 2, top});
        }
        return new Drawing(sheet, 2 * top + block, label, "die jaw", pen.marks());
    }

    private static void block(Pen pen, Die die, double side, double[] at) {
        double middle = at[1] + side / 2;
        pen.rect("die-block", at[0], at[1], side, side);
        pen.line("die-part", at[0], middle, at[0] + side, middle);
        pen.polygon("die-open", points(die, at[0] + side / 2, middle));
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
