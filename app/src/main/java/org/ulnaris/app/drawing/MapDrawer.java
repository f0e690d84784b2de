package org.ulnaris.app.drawing;

import java.util.List;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.measure.Figures;

/** Draws a compaction map: barrels down, dies across, in each cell its compaction; sound cells are filled, refused ones empty. */
public final class MapDrawer {
    private static final double CELL = 12;
    private static final double ROW = 6;
    private static final double HEAD = 13;
    private static final double NAMES = 34;

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
            pen.words("map-row", NAMES / 2, y + 4.2, names.get(r));
            List<CompactionMap.Cell> cells = map.rows().get(r).cells();
            for (int d = 0; d < cells.size(); d++) {
                cell(pen, NAMES + CELL * d, y, cells.get(d));
            }
        }
        return new Drawing(width, height, label, "compaction-map", pen.marks());
    }

    private static void cell(Pen pen, double x, double y, CompactionMap.Cell cell) {
        String css = "map-" + cell.verdict();
        if (cell.compaction() > 0.65 && cell.compaction() < 1.2) {
            pen.rect("map-cell " + css, x + 0.4, y + 0.4, CELL - 0.8, ROW - 0.8);
            pen.words("map-words " + css, x + CELL / 2, y + 4.2, Figures.fixed(cell.compaction(), 2));
        }
    }
}
