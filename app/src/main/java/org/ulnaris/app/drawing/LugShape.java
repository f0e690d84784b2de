package org.ulnaris.app.drawing;

import org.ulnaris.core.termination.Lug;

/** A lug from above: pad with its hole, slope, barrel with its bore. */
public final class LugShape {
    private static final double MARGIN_MM = 1;

    private LugShape() {}

    /** A lug by itself on a sheet as long and wide as {@code longestMm} and {@code widestMm}: all lugs of a shelf to one scale. */
    public static Drawing alone(Lug lug, double longestMm, double widestMm, String label) {
        double length = longestMm + 2 * MARGIN_MM;
        double height = widestMm + 2 * MARGIN_MM;
        Pen pen = new Pen(length, false);
        draw(pen, lug, (length - lug.overallMm()) / 2, height / 2);
        return new Drawing(length, height, label, "lug-alone", pen.marks());
    }

    /** Centre of the hole that is nearest the cable, from the outside of the pad. */
    static double holeMm(Lug lug) {
        return lug.pad().widthMm() / 2 + lug.pitchMm();
    }

    /** Draws {@code lug} along {@code y}, its outside at {@code from}. */
    static void draw(Pen pen, Lug lug, double from, double y) {
        double padRadius = lug.pad().widthMm() / 2;
        double barrelRadius = lug.barrel().outerMm() / 2;
        double mouth = from + lug.overallMm();
        double barrelFrom = mouth - lug.barrel().depthMm();
        double padTo = Math.max(
                from + holeMm(lug) + lug.pad().holeMm() / 2 + 1,
                barrelFrom - 0.4 * lug.barrel().outerMm());
        padTo = Math.min(padTo, barrelFrom - 0.5);
        pen.polygon(
                "lug part-pad",
                padTo,
                y - padRadius,
                barrelFrom,
                y - barrelRadius,
                barrelFrom,
                y + barrelRadius,
                padTo,
                y + padRadius);
        pad(pen, lug, padTo, new double[] {from, y});
        pen.rect("lug part-barrel", barrelFrom, y - barrelRadius, lug.barrel().depthMm(), 2 * barrelRadius);
        for (double hole = from + padRadius; hole <= from + holeMm(lug); hole += Math.max(lug.pitchMm(), 1)) {
            pen.circle("hole part-hole", hole, y, lug.pad().holeMm() / 2);
        }
        double bore = lug.barrel().boreMm() / 2;
        pen.line("hidden", barrelFrom, y - bore, mouth, y - bore);
        pen.line("hidden", barrelFrom, y + bore, mouth, y + bore);
        pen.line("hidden", barrelFrom, y - bore, barrelFrom, y + bore);
    }

    private static void pad(Pen pen, Lug lug, double padTo, double[] at) {
        double from = at[0];
        double y = at[1];
        double r = lug.pad().widthMm() / 2;
        int steps = 24;
        double[] outline = new double[2 * (steps + 1) + 4];
        for (int i = 0; i <= steps; i++) {
            double angle = Math.PI / 2 + Math.PI * i / steps;
            outline[2 * i] = from + r + r * Math.cos(angle);
            outline[2 * i + 1] = y - r * Math.sin(angle);
        }
        outline[2 * steps + 2] = padTo;
        outline[2 * steps + 3] = y + r;
        outline[2 * steps + 4] = padTo;
        outline[2 * steps + 5] = y - r;
        pen.polygon("lug part-pad", outline);
    }
}
