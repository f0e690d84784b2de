package org.ulnaris.app.drawing;

import org.ulnaris.core.contact.Family;

/**
 * Draws a connector from both of its faces, hood up, so that left and right can't be confused: what lies left on the mating side lies
 * right on the wire side.
 */
public final class FacePairDrawer {
    private static final String RED = "pole-positive";
    private static final String BLACK = "pole-negative";
    private static final double SHELL = 16;
    private static final double HEAD = 6;
    private static final double CAPTION = 6;
    private static final double WIDTH = 2 * SHELL + 12;

    private FacePairDrawer() {}

    /**
     * What stands where.
     *
     * @param redLeft whether red lies left on the mating side, hood up
     * @param own class of the pole of this cable: it is set off
     */
    public record Facing(boolean redLeft, String own) {}

    /** The words below both faces. */
    public record Captions(String mating, String wire, String label) {}

    /** The pair of faces of {@code family}, the mating side above the wire side. */
    public static Drawing pair(Family family, Facing facing, Captions captions) {
        Pen pen = new Pen(WIDTH, false);
        face(pen, HEAD, new Side(family, facing.redLeft(), true), facing.own());
        pen.words("face-words", WIDTH / 2, HEAD + SHELL + CAPTION, captions.mating());
        double below = HEAD + SHELL + CAPTION + HEAD;
        face(pen, below, new Side(family, !facing.redLeft(), false), facing.own());
        pen.words("face-words", WIDTH / 2, below + SHELL + CAPTION, captions.wire());
        return new Drawing(WIDTH, below + SHELL + CAPTION + 2, captions.label(), "face-pair", pen.marks());
    }

    /** A face: which shell lies left, and whether it is the mating one. */
    private record Side(Family family, boolean redLeft, boolean mating) {}

    private static void face(Pen pen, double y, Side side, String own) {
        double middle = WIDTH / 2;
        if (side.family() == Family.PV) {
            round(pen, y, side.mating());
            return;
        }
        String left = side.redLeft() ? RED : BLACK;
        String right = side.redLeft() ? BLACK : RED;
        if (side.family() == Family.TWO_POLE) {
            pen.rect("face-frame", middle - SHELL - 1.5, y - 3.5, 2 * SHELL + 3, SHELL + 5);
        }
        shell(pen, new double[] {middle - SHELL, y}, left + (left.equals(own) ? " own" : ""), side.mating());
        shell(pen, new double[] {middle, y}, right + (right.equals(own) ? " own" : ""), side.mating());
    }

    private static void shell(Pen pen, double[] at, String css, boolean mating) {
        double x = at[0];
        double y = at[1];
        pen.rect("face-shell " + css, x + 0.6, y, SHELL - 1.2, SHELL);
        double[] hood = mating
                ? new double[] {x + 2, y, x + 4, y - 3, x + SHELL - 4, y - 3, x + SHELL - 2, y}
                : new double[] {x + 5, y, x + 5, y - 1.5, x + SHELL - 5, y - 1.5, x + SHELL - 5, y};
        pen.polygon("face-hood " + css, hood);
        if (mating) {
            pen.rect("face-tongue", x + 4, y + 6, SHELL - 8, 1.6);
            pen.line("face-spring", x + 4, y + 10, x + SHELL / 2, y + 9, x + SHELL - 4, y + 10);
        } else {
            pen.circle("face-entry", x + SHELL / 2, y + SHELL / 2, 4);
        }
    }

    /** The pin sits in the shell that looks female: its collar stands around it. */
    private static void round(Pen pen, double top, boolean pinned) {
        double middle = WIDTH / 2;
        double y = top + SHELL / 2;
        pen.circle("face-shell", middle, y, SHELL / 2);
        pen.circle("face-entry", middle, y, pinned ? 5.5 : 3.6);
        pen.circle(pinned ? "face-pin" : "face-socket", middle, y, pinned ? 2 : 2.6);
        pen.rect("face-hood", middle - 2, top - 2, 4, 2);
    }
}
