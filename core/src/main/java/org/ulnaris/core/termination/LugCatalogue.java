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
 * The lugs that ship with Ulnaris: DIN 46235 tube lugs (6–240 mm²), an invented heavy-wall AWG series with a window and invented lugs of
 * other forms (demo catalogues).
 */
public final class LugCatalogue {
    private static final LugForm WINDOWED =
            new LugForm(0, LugForm.Holes.ONE, new LugForm.Body(LugMaterial.COPPER, true, true, false), 1);
    private static final List<Lug> SHIPPED = load();

    private LugCatalogue() {}

    private static List<Lug> load() {
        List<Lug> lugs = new ArrayList<>();
        addSeries(lugs, "din-46235.csv", new Series("DIN", "DIN 46235", "code", SizeSeries.METRIC, LugForm.PLAIN));
        addSeries(lugs, "demo-heavy-wall-awg.csv", new Series("HW", "HW", "size", SizeSeries.AWG, WINDOWED));
        addForms(lugs, ReferenceTable.load("demo-lug-forms.csv"));
        return List.copyOf(lugs);
    }

    /** A series of lugs of one form, with the system of its marks and the column of their index. */
    private record Series(String prefix, String marks, String indexColumn, SizeSeries sizes, LugForm form) {}

    private static void addForms(List<Lug> lugs, ReferenceTable table) {
        for (ReferenceTable.Row row : table.rows()) {
            LugMaterial metal = LugMaterial.valueOf(row.text("metal"));
            Barrel barrel = new Barrel(metal, row.number("od"), row.number("bore"), row.number("depth"));
            Stud stud = Studs.named(row.text("stud")).orElseThrow();
            double hole = stud.holes().fineMm();
            Lug.Pad flattened = Lug.Pad.flattened(barrel, hole, stud.name());
            Lug.Pad pad = new Lug.Pad(row.number("pad"), flattened.thicknessMm(), hole, stud.name());
            LugForm form = new LugForm(
                    (int) row.number("angle"),
                    new LugForm.Holes(row.optionalNumber("pitch")),
                    new LugForm.Body(
                            LugMaterial.valueOf(row.text("pad_metal")),
                            row.text("finish").equals("tinned"),
                            row.text("features").contains("window"),
                            row.text("features").contains("bell")),
                    (int) row.number("conductors"));
            lugs.add(new Lug(
                    row.text("code"), row.text("size"), barrel, pad, row.number("overall"), form, table.source()));
        }
    }

    private static void addSeries(List<Lug> lugs, String tableName, Series series) {
        ReferenceTable table = ReferenceTable.load(tableName);
        for (ReferenceTable.Row row : table.rows()) {
            String size = row.text("size");
            Barrel barrel = new Barrel(
                    LugMaterial.COPPER,
                    row.number("od"),
                    row.number("bore"),
                    row.number("depth"),
                    new DieMark(series.marks(), row.text(series.indexColumn())));
            for (String studName : row.text("studs").split(" ")) {
                Optional<Stud> stud = Studs.named(studName);
                if (stud.isPresent()) {
                    Lug.Pad pad = Lug.Pad.flattened(barrel, stud.get().holes().fineMm(), studName);
                    lugs.add(new Lug(
                            series.prefix() + " " + size + " · " + studName,
                            ConductorSizes.parse(size, series.sizes()).designation(),
                            barrel,
                            pad,
                            Math.max(row.number("overall"), shortest(barrel, pad)),
                            series.form(),
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
