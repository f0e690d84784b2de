package org.ulnaris.core.termination;

import java.util.List;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * An adhesive-lined heat-shrink tube.
 *
 * @param name supplied/recovered bore as sold
 * @param ratio shrink ratio as sold
 * @param expandedMm bore as supplied, mm
 * @param recoveredMm bore when fully shrunk, mm
 * @param wallMm wall when fully shrunk, mm
 */
public record ShrinkTube(String name, String ratio, double expandedMm, double recoveredMm, double wallMm) {
    private static final List<ShrinkTube> SHIPPED = ReferenceTable.load("heatshrink-adhesive.csv").rows().stream()
            .map(row -> new ShrinkTube(
                    row.text("name"),
                    row.text("ratio"),
                    row.number("expanded"),
                    row.number("recovered"),
                    row.number("wall")))
            .toList();

    public ShrinkTube {
        if (!(recoveredMm > 0 && recoveredMm < expandedMm)) {
            throw new IllegalArgumentException("recovered bore must be smaller than supplied; have " + recoveredMm);
        }
    }

    /** The sizes of the demo catalogue. */
    public static List<ShrinkTube> shipped() {
        return SHIPPED;
    }
}
