package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** Draws times over currents on log-log paper: bands of fuses, lines of cables, marks of loads and short circuits. */
public final class TimeCurrentDrawer {
    private static final double LEFT = 46;
    private static final double TOP = 10;
    private static final double DECADE = 66;
    private static final double LEAST_S = 1e-3;
    private static final double MOST_S = 1e4;
    private static final int STEPS_A_DECADE = 24;

    private final double leastA;
    private final double mostA;
    private final Pen pen;

    /**
     * A sheet from the decade below {@code fromA} to the decade above {@code toA}.
     *
     * @param fromA least current of interest, A
     * @param toA greatest current of interest, A
     */
    public TimeCurrentDrawer(double fromA, double toA) {
        this.leastA = Math.pow(10, Math.floor(Math.log10(Math.max(1, fromA))));
        this.mostA = Math.pow(10, Math.ceil(Math.log10(Math.max(toA, 20 * leastA))));
        this.pen = new Pen(width(), false);
        grid();
    }

    private double width() {
        return LEFT + DECADE * Math.log10(mostA / leastA) + 16;
    }

    private double x(double ampere) {
        return LEFT + DECADE * Math.log10(Math.min(mostA, Math.max(leastA, ampere)) / leastA);
    }

    private double y(double seconds) {
        return TOP + DECADE * 0.62 * Math.log10(MOST_S / Math.min(MOST_S, Math.max(LEAST_S, seconds)));
    }

    private void grid() {
        for (double decade = leastA; decade <= mostA * 1.001; decade *= 10) {
            pen.line("tc-grid", x(decade), y(MOST_S), x(decade), y(LEAST_S));
            pen.words("tc-axis", x(decade), y(LEAST_S) + 14, words(decade) + " A");
        }
        for (double decade = LEAST_S; decade <= MOST_S * 1.001; decade *= 10) {
            pen.line("tc-grid", x(leastA), y(decade), x(mostA), y(decade));
            pen.words("tc-axis", LEFT / 2, y(decade) + 4, words(decade) + " s");
        }
    }

    private static String words(double value) {
        return value >= 1000 ? Math.round(value / 1000) + "k" : short3(value);
    }

    private static String short3(double value) {
        return value >= 1 ? Long.toString(Math.round(value)) : Double.toString(Math.round(value * 1000) / 1000.0);
    }

    /** The band between two times over the currents from {@code fromA} on; a time of 0 or infinity lies beyond the sheet. */
    public void band(String css, double fromA, DoubleUnaryOperator fastest, DoubleUnaryOperator slowest) {
        List<double[]> low = new ArrayList<>();
        List<double[]> high = new ArrayList<>();
        double factor = Math.pow(10, 1.0 / STEPS_A_DECADE);
        for (double ampere = Math.max(leastA, fromA); ampere <= mostA * 1.0001; ampere *= factor) {
            low.add(new double[] {x(ampere), y(fastest.applyAsDouble(ampere))});
            high.add(0, new double[] {x(ampere), y(slowest.applyAsDouble(ampere))});
        }
        low.addAll(high);
        pen.polygon(css, low.stream().flatMapToDouble(Arrays::stream).toArray());
    }

    /** A line of times over the currents from {@code fromA} on, as far as it lies on the sheet. */
    public void line(String css, double fromA, DoubleUnaryOperator seconds) {
        List<double[]> points = new ArrayList<>();
        double factor = Math.pow(10, 1.0 / STEPS_A_DECADE);
        for (double ampere = Math.max(leastA, fromA); ampere <= mostA * 1.0001; ampere *= factor) {
            double time = seconds.applyAsDouble(ampere);
            if (time >= LEAST_S && time <= MOST_S) {
                points.add(new double[] {x(ampere), y(time)});
            }
        }
        if (points.size() > 1) {
            pen.line(css, points.stream().flatMapToDouble(Arrays::stream).toArray());
        }
    }

    /** A current that may flow for {@code seconds}: a step down at its end. */
    public void step(String css, double ampere, double seconds) {
        pen.line(css, x(ampere), y(MOST_S), x(ampere), y(seconds));
    }

    /** A current marked over the whole height. */
    public void mark(String css, double ampere) {
        pen.line(css, x(ampere), y(MOST_S), x(ampere), y(LEAST_S));
    }

    /** A point. */
    public void point(String css, double ampere, double seconds) {
        pen.circle(css, x(ampere), y(seconds), 4);
    }

    /** The sheet as drawn so far. */
    public Drawing drawing(String label) {
        return new Drawing(width(), y(LEAST_S) + 34, label, "time-current", pen.marks());
    }
}
