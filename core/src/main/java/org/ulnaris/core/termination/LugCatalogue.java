package org.ulnaris.core.termination;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.reference.BadTableException;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * The lugs that ship with Ulnaris: DIN 46235 tube lugs (6–240 mm²) and an invented heavy-wall AWG series (demo
 * catalogue).
 */
public final class LugCatalogue {
    private static final List<Lug> SHIPPED = load();

    private LugCatalogue() {}

    private static List<Lug> load() {
        List<Lug> lugs = new ArrayList<>();
        addSeries(lugs, "din-46235.csv", "DIN", SizeSeries.METRIC);
        addSeries(lugs, "demo-heavy-wall-awg.csv", "HW", SizeSeries.AWG);
        return List.copyOf(lugs);
    }

    private static void addSeries(List<Lug> lugs, String tableName, String prefix, SizeSeries series) {
        ReferenceTable table = ReferenceTable.load(tableName);
        for (ReferenceTable.Row row : table.rows()) {
            String size = row.text("size");
            Barrel barrel = new Barrel(LugMaterial.COPPER, row.number("od"), row.number("bore"), row.number("depth"));
            for (String studName : row.text("studs").split(" ")) {
                Optional<Stud> stud = Studs.named(studName);
                if (stud.isPresent()) {
                    Lug.Pad pad = Lug.Pad.flattened(barrel, stud.get().holes().fineMm(), studName);
                    lugs.add(new Lug(
                            prefix + " " + size + " · " + studName,
                            ConductorSizes.parse(size, series).designation(),
                            barrel,
                            pad,
                            Math.max(row.number("overall"), shortest(barrel, pad)),
                            table.source()));
                } else if (!studName.matches("M1[46]|M20")) {
                    throw new BadTableException(tableName, 0, "unknown stud '" + studName + "'");
                }
            }
        }
    }

    private static double shortest(Barrel barrel, Lug.Pad pad) {
        return barrel.depthMm() + pad.widthMm();
    }

    /** All lugs, thin to thick within each series. */
    public static List<Lug> shipped() {
        return SHIPPED;
    }
}
