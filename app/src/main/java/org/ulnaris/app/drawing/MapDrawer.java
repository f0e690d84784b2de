package org.ulnaris.app.drawing;

import java.util.List;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;

/** Draws a compaction map: barrels down, dies across, in each cell its compaction; sound cells are filled, refused ones empty. */
public final class MapDrawer {
    private static final double CELL = 12;
    private static final double ROW = 6;
    private static final double HEAD = 13;
    private static final double NAMES = 34;
    private static final int WIDE_FROM = 30;
    private static final double EDGE = 0.4;
    private static final String BOX = "h" + Drawing.number(CELL - 2 * EDGE) + "v" + Drawing.number(ROW - 2 * EDGE) + "h"
            + Drawing.number(2 * EDGE - CELL) + "z";

    private MapDrawer() {}

    /** The map; {@code names} are the rows in words. */
    public static Drawing map(CompactionMap map, List<String> names, String label) {
        double width = NAMES + CELL * map.dies().size();
        double height = HEAD + ROW * map.rows().size();
        Pen pen = new Pen(width, false);
        for (int d = 0; d < map.dies().size(); d++) {
            Die die = map.dies().get(d);
            double x = NAMES + CELL * (d + 0.5);
            pen.words("map-die", x, 4.5, die.tag());
            pen.words("map-flats", x, 9.5, Figures.significant(die.acrossFlatsMm(), 3));
        }
        for (int r = 0; r < map.rows().size(); r++) {
            double y = HEAD + ROW * r;
            pen.line("map-line", 0, y, width, y);
            pen.words("map-row", NAMES / 2, y + 4.2, shortened(names.get(r)));
        }
        for (Verdict verdict : Verdict.values()) {
            fill(pen, map, verdict);
        }
        for (int r = 0; r < map.rows().size(); r++) {
            figures(pen, HEAD + ROW * r + 4.2, map.rows().get(r).cells());
        }
        return new Drawing(
                width,
                height,
                label,
                map.dies().size() > WIDE_FROM ? "compaction-map wide" : "compaction-map",
                pen.marks());
    }

    /** All cells of one verdict in one stroke: a map of a hundred lugs has thousands. */
    private static void fill(Pen pen, CompactionMap map, Verdict verdict) {
        StringBuilder path = new StringBuilder();
        for (int r = 0; r < map.rows().size(); r++) {
            List<CompactionMap.Cell> cells = map.rows().get(r).cells();
            for (int d = 0; d < cells.size(); d++) {
                if (cells.get(d).verdict() == verdict && shown(cells.get(d))) {
                    path.append('M')
                            .append(Drawing.number(NAMES + CELL * d + EDGE))
                            .append(' ')
                            .append(Drawing.number(HEAD + ROW * r + EDGE))
                            .append(BOX);
                }
            }
        }
        if (!path.isEmpty()) {
            pen.path("map-cell map-" + verdict, path.toString());
        }
    }

    private static void figures(Pen pen, double y, List<CompactionMap.Cell> cells) {
        for (int d = 0; d < cells.size(); d++) {
            if (shown(cells.get(d))) {
                pen.words(
                        "map-words map-" + cells.get(d).verdict(),
                        NAMES + CELL * (d + 0.5),
                        y,
                        Figures.fixed(cells.get(d).compaction(), 2));
            }
        }
    }

    /** The first of several names, and how many more. */
    private static String shortened(String names) {
        String[] each = names.split(", ");
        return each.length == 1 ? names : each[0] + " +" + (each.length - 1);
    }

    private static boolean shown(CompactionMap.Cell cell) {
        return cell.compaction() > 0.65 && cell.compaction() < 1.2;
    }
}
