package org.ulnaris.app.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Draws how many bare ends are live after each landing, one step line for each order. */
public final class BareEndsDrawer {
    private static final double WIDE = 760;
    private static final double LEFT = 30;
    private static final double RIGHT = 12;
    private static final double TOP = 20;
    private static final double HIGH = 70;
    private static final double LETTERS = 13;

    private BareEndsDrawer() {}

    /**
     * An order of landing.
     *
     * @param css class of its line
     * @param counts bare live ends after each landing
     */
    public record Order(String css, int[] counts) {
        public Order {
            counts = counts.clone();
        }

        int most() {
            return Arrays.stream(counts).max().orElse(0);
        }
    }

    /** The drawing; {@code label} says what it shows. */
    public static Drawing draw(List<Order> orders, String label) {
        int most = Math.max(1, orders.stream().mapToInt(Order::most).max().orElse(0));
        int count = Math.max(
                1,
                orders.stream().mapToInt(order -> order.counts().length).max().orElse(0));
        double step = (WIDE - LEFT - RIGHT) / count;
        Pen pen = new Pen(WIDE, false);
        pen.line("axis", LEFT, TOP + HIGH, WIDE - RIGHT, TOP + HIGH);
        pen.line("axis-faint", LEFT, TOP, WIDE - RIGHT, TOP);
        pen.words("axis-text", LEFT - 12, TOP + 0.35 * LETTERS, String.valueOf(most));
        pen.words("axis-text", LEFT - 12, TOP + HIGH + 0.35 * LETTERS, "0");
        pen.words("axis-text", LEFT + step / 2, TOP + HIGH + 18, "1");
        pen.words("axis-text", WIDE - RIGHT - step / 2, TOP + HIGH + 18, String.valueOf(count));
        for (Order order : orders) {
            List<Double> xy = new ArrayList<>();
            for (int i = 0; i < order.counts().length; i++) {
                double y = TOP + HIGH - HIGH * order.counts()[i] / most;
                xy.addAll(List.of(LEFT + i * step, y, LEFT + (i + 1) * step, y));
            }
            if (!xy.isEmpty()) {
                pen.line(
                        "order " + order.css(),
                        xy.stream().mapToDouble(Double::doubleValue).toArray());
            }
        }
        return new Drawing(WIDE, TOP + HIGH + 24, label, "bare-ends", pen.marks());
    }
}
