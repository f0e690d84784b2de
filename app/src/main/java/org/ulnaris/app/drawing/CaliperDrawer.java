package org.ulnaris.app.drawing;

import java.util.function.UnaryOperator;

/** Parts with the dimensions that calipers take, each marked with the name of its field, so that a style can light the one asked for. */
public final class CaliperDrawer {
    private static final double WIDTH = 104;
    private static final double HEIGHT = 60;
    private static final double AXIS = 30;

    private CaliperDrawer() {}

    /** A lug. {@code words} says the name of a dimension. */
    public static Drawing lug(String label, UnaryOperator<String> words) {
        Pen pen = new Pen(WIDTH, false);
        pen.polygon("lug", 10, AXIS - 14, 34, AXIS - 14, 46, AXIS - 10, 46, AXIS + 10, 34, AXIS + 14, 10, AXIS + 14);
        pen.circle("hole", 24, AXIS, 6);
        pen.rect("lug", 46, AXIS - 10, 46, 20);
        pen.line("hidden", 46, AXIS - 6.5, 92, AXIS - 6.5);
        pen.line("hidden", 46, AXIS + 6.5, 92, AXIS + 6.5);
        pen.dimension("cal cal-depth", new double[] {46, 92}, AXIS + 10, AXIS + 20, words.apply("depth"));
        pen.dimension("cal cal-hole", new double[] {18, 30}, AXIS, AXIS + 20, words.apply("hole"));
        upright(pen, "cal cal-padWidth", 6, 14);
        upright(pen, "cal cal-outer", 96, 10);
        upright(pen, "cal cal-bore", 84, 6.5);
        pen.words("cal cal-padWidth dim-text", 14, AXIS - 17, words.apply("pad"));
        pen.words("cal cal-outer dim-text", 92, AXIS - 13, words.apply("outer"));
        pen.words("cal cal-bore dim-text", 73, AXIS + 1.5, words.apply("bore"));
        return new Drawing(WIDTH, HEIGHT, label, "caliper", pen.marks());
    }

    /** A contact in its shell: the tongue at the left, the barrel at the right. */
    public static Drawing contact(String label, UnaryOperator<String> words) {
        Pen pen = new Pen(WIDTH, false);
        pen.rect("shell", 8, AXIS - 14, 52, 28);
        pen.rect("lug", 12, AXIS - 3, 42, 6);
        pen.rect("lug", 54, AXIS - 7, 32, 14);
        pen.line("hidden", 54, AXIS - 4.5, 86, AXIS - 4.5);
        pen.line("hidden", 54, AXIS + 4.5, 86, AXIS + 4.5);
        pen.dimension("cal cal-depth", new double[] {54, 86}, AXIS + 7, AXIS + 13, words.apply("depth"));
        pen.dimension("cal cal-strip", new double[] {54, 90}, AXIS + 13, AXIS + 20, words.apply("strip"));
        pen.dimension("cal cal-reach", new double[] {8, 86}, AXIS - 14, AXIS - 20, words.apply("reach"));
        upright(pen, "cal cal-height", 4, 14);
        upright(pen, "cal cal-outer", 91, 7);
        upright(pen, "cal cal-bore", 80, 4.5);
        pen.words("cal cal-height dim-text", 19, AXIS - 8, words.apply("height"));
        pen.words("cal cal-outer dim-text", 91, AXIS - 9, words.apply("outer"));
        pen.words("cal cal-bore dim-text", 70, AXIS + 1.5, words.apply("bore"));
        return new Drawing(WIDTH, HEIGHT, label, "caliper", pen.marks());
    }

    /** The bared end of a cable: one strand, and the bundle of them. */
    public static Drawing cable(String label, UnaryOperator<String> words) {
        Pen pen = new Pen(WIDTH, false);
        pen.rect("sheath insulation", 8, AXIS - 13, 40, 26);
        pen.rect("copper", 48, AXIS - 8, 34, 16);
        for (int i = 1; i < 6; i++) {
            double y = AXIS - 8 + 16.0 * i / 6;
            pen.line("hidden", 48, y, 82, y);
        }
        upright(pen, "cal cal-bundle", 87, 8);
        pen.words("cal cal-bundle dim-text", 92, AXIS - 11, words.apply("bundle"));
        pen.line("cal cal-strand dim", 70, AXIS + 6.7, 74, AXIS + 20);
        pen.words("cal cal-strand dim-text", 74, AXIS + 25, words.apply("strand"));
        pen.dimension("cal cal-length", new double[] {8, 82}, AXIS - 13, AXIS - 20, words.apply("length"));
        return new Drawing(WIDTH, HEIGHT, label, "caliper", pen.marks());
    }

    /** A bar between two contacts. */
    public static Drawing bar(String label, UnaryOperator<String> words) {
        Pen pen = new Pen(WIDTH, false);
        pen.rect("copper", 10, AXIS - 10, 78, 20);
        pen.circle("hole", 20, AXIS, 4);
        pen.circle("hole", 78, AXIS, 4);
        pen.dimension("cal cal-barLength", new double[] {20, 78}, AXIS, AXIS + 20, words.apply("bar-length"));
        upright(pen, "cal cal-barWidth", 94, 10);
        pen.words("cal cal-barWidth dim-text", 93, AXIS - 13, words.apply("bar-width"));
        pen.rect("copper", 10, AXIS - 20, 78, 3);
        pen.line("cal cal-barThickness dim", 49, AXIS - 25, 49, AXIS - 20);
        pen.words("cal cal-barThickness dim-text", 49, AXIS - 26, words.apply("bar-thickness"));
        return new Drawing(WIDTH, HEIGHT, label, "caliper", pen.marks());
    }

    private static void upright(Pen pen, String css, double x, double half) {
        pen.line(css + " dim", x, AXIS - half, x, AXIS + half);
        pen.line(css + " dim tick", x - 1.2, AXIS - half + 1.2, x + 1.2, AXIS - half - 1.2);
        pen.line(css + " dim tick", x - 1.2, AXIS + half + 1.2, x + 1.2, AXIS + half - 1.2);
    }
}
