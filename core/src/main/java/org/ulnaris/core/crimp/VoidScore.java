package org.ulnaris.core.crimp;

import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayDeque;
import java.util.Objects;

/**
 * Open share of a sawn and filed crimp, from a picture of it: bright metal on a dark ground. Metal and dark are told apart where the two
 * differ most (Otsu's threshold). Dark that the border of the picture reaches is ground; dark that is shut in by metal is void. Specks below
 * {@value #SPECK_SHARE} of the section are grain, not voids (ours).
 */
public final class VoidScore {
    static final double SPECK_SHARE = 0.0002;
    private static final int LEVELS = 256;

    private final int[] grey;
    private final int width;
    private final int height;
    private final int threshold;

    private VoidScore(int[] grey, int width) {
        this.grey = grey;
        this.width = width;
        this.height = grey.length / width;
        this.threshold = threshold(grey);
    }

    /** The section's area has no metal in it, or fills the picture to its border. */
    public static final class NoSectionException extends Exception {
        private static final long serialVersionUID = 1;

        NoSectionException() {
            super(note("VoidScore.no-bright-section"));
        }
    }

    /**
     * Voids as a share of the section, %.
     *
     * @param grey brightness of each pixel, 0 to 255, row by row
     * @param width pixels in a row
     * @throws NoSectionException when the picture shows no section on a dark ground
     */
    public static double percent(int[] grey, int width) throws NoSectionException {
        Objects.requireNonNull(grey, "grey");
        if (width < 1 || grey.length < width || grey.length % width != 0) {
            throw new IllegalArgumentException("rows of equal width; have " + grey.length + " pixels of " + width);
        }
        return new VoidScore(grey, width).percent();
    }

    private double percent() throws NoSectionException {
        boolean[] seen = new boolean[grey.length];
        int ground = 0;
        for (int x = 0; x < width; x++) {
            ground += flood(x, seen) + flood((height - 1) * width + x, seen);
        }
        for (int y = 0; y < height; y++) {
            ground += flood(y * width, seen) + flood(y * width + width - 1, seen);
        }
        int section = grey.length - ground;
        if (ground == 0 || section < grey.length / 50) {
            throw new NoSectionException();
        }
        int open = 0;
        for (int at = 0; at < grey.length; at++) {
            int area = flood(at, seen);
            open += area >= SPECK_SHARE * section ? area : 0;
        }
        return 100.0 * open / section;
    }

    /** Area of the dark around {@code start} that was not seen before, pixels; 0 when it is bright. */
    private int flood(int start, boolean[] seen) {
        if (seen[start] || grey[start] > threshold) {
            return 0;
        }
        ArrayDeque<Integer> open = new ArrayDeque<>();
        open.add(start);
        seen[start] = true;
        int area = 0;
        while (!open.isEmpty()) {
            int at = open.remove();
            area++;
            int x = at % width;
            visit(at - width, seen, open);
            visit(at + width, seen, open);
            if (x > 0) {
                visit(at - 1, seen, open);
            }
            if (x < width - 1) {
                visit(at + 1, seen, open);
            }
        }
        return area;
    }

    private void visit(int at, boolean[] seen, ArrayDeque<Integer> open) {
        if (at >= 0 && at < grey.length && !seen[at] && grey[at] <= threshold) {
            seen[at] = true;
            open.add(at);
        }
    }

    /** The level that parts the brightnesses into two classes with the greatest variance between them (Otsu 1979). */
    private static int threshold(int[] grey) {
        int[] histogram = new int[LEVELS];
        double sum = 0;
        for (int level : grey) {
            histogram[Math.max(0, Math.min(LEVELS - 1, level))]++;
            sum += level;
        }
        double below = 0;
        double sumBelow = 0;
        double best = -1;
        int at = 0;
        for (int level = 0; level < LEVELS - 1; level++) {
            below += histogram[level];
            sumBelow += (double) level * histogram[level];
            double above = grey.length - below;
            if (below > 0 && above > 0) {
                double apart = sumBelow / below - (sum - sumBelow) / above;
                double between = below * above * apart * apart;
                if (between > best) {
                    best = between;
                    at = level;
                }
            }
        }
        return at;
    }
}
