package org.ulnaris.app.drawing;

import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.making.MatchedLug;

/**
 * Draws how the two lugs of a cable stand, looking from the B end along the cable: the A lug behind with its stud up, the B lug before it,
 * turned clockwise, each with its pen mark on the insulation.
 */
public final class ClockDrawer {
    private static final double SIZE = 76;
    private static final double MIDDLE = SIZE / 2;
    private static final double ARC = 27;
    private static final double STUD = 24;
    private static final double WORDS = 31;

    private ClockDrawer() {}

    /** The words in the drawing. */
    public record Captions(String a, String b, String label) {}

    /** Both lugs with {@code degrees} between them. */
    public static Drawing of(MatchedLug a, MatchedLug b, double degrees, Captions captions) {
        Pen pen = new Pen(SIZE, false);
        double scale = 34 / Math.max(a.lug().pad().widthMm(), b.lug().pad().widthMm());
        double cable = b.shrink().cover().cableMm() / 2 * scale;
        pad(pen, "clock-far", a, new double[] {scale, 0});
        pen.circle("sheath", MIDDLE, MIDDLE, cable);
        pad(pen, "lug", b, new double[] {scale, degrees});
        pen.circle("clock-rim", MIDDLE, MIDDLE, cable);
        mark(pen, "clock-pen", cable, 0);
        mark(pen, "clock-pen own", cable, degrees);
        stud(pen, "clock-far-stud", 0, captions.a());
        if (degrees != 0) {
            stud(pen, "clock-stud", degrees, captions.b());
            arc(pen, degrees);
        }
        return new Drawing(SIZE, SIZE, captions.label(), "clock", pen.marks());
    }

    /** The pad on edge: its contact face lies away from the stud's tip. */
    private static void pad(Pen pen, String css, MatchedLug match, double[] scaleAndTurn) {
        double half = match.lug().pad().widthMm() / 2 * scaleAndTurn[0];
        double thick = match.lug().pad().thicknessMm() * scaleAndTurn[0];
        double[] xy = {-half, -thick / 2, half, -thick / 2, half, thick / 2, -half, thick / 2};
        double turn = Math.toRadians(scaleAndTurn[1]);
        for (int i = 0; i < xy.length; i += 2) {
            double x = xy[i];
            double y = xy[i + 1];
            xy[i] = MIDDLE + x * Math.cos(turn) - y * Math.sin(turn);
            xy[i + 1] = MIDDLE + x * Math.sin(turn) + y * Math.cos(turn);
        }
        pen.polygon(css, xy);
    }

    private static double x(double radius, double degrees) {
        return MIDDLE + radius * Math.sin(Math.toRadians(degrees));
    }

    private static double y(double radius, double degrees) {
        return MIDDLE - radius * Math.cos(Math.toRadians(degrees));
    }

    private static void mark(Pen pen, String css, double cable, double degrees) {
        pen.line(
                css,
                x(cable - 2.5, degrees),
                y(cable - 2.5, degrees),
                x(cable + 2.5, degrees),
                y(cable + 2.5, degrees));
    }

    private static void stud(Pen pen, String css, double degrees, String words) {
        pen.line(css, MIDDLE, MIDDLE, x(STUD, degrees), y(STUD, degrees));
        pen.line(
                css,
                x(STUD - 3, degrees - 5),
                y(STUD - 3, degrees - 5),
                x(STUD, degrees),
                y(STUD, degrees),
                x(STUD - 3, degrees + 5),
                y(STUD - 3, degrees + 5));
        pen.words("clock-words", x(WORDS, degrees), y(WORDS, degrees) + 1.5, words);
    }

    private static void arc(Pen pen, double degrees) {
        int steps = Math.max(2, (int) Math.abs(degrees) / 4);
        double[] xy = new double[2 * (steps + 1)];
        for (int i = 0; i <= steps; i++) {
            double at = degrees * i / steps;
            xy[2 * i] = x(ARC, at);
            xy[2 * i + 1] = y(ARC, at);
        }
        pen.line("clock-arc", xy);
        pen.words("clock-words", x(ARC - 7, degrees / 2), y(ARC - 7, degrees / 2) + 1.5, Fmt.turn(degrees));
    }
}
