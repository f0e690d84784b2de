package org.ulnaris.core.fastening;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Studs M5–M12 and #10–1/2 in. Metric: ISO 273 holes, ISO 7089 washers, ISO 4032 nuts, ISO 898-1 stress areas and class
 * 8.8 proof stress. Inch: unified coarse threads, A_s = π/4·(d − 0.9743/n)² (ASME B1.1), SAE J429 grade 5 proof stress.
 */
public final class Studs {
    /** ISO 898-1 class 8.8, MPa. */
    private static final double PROOF_8_8_MPA = 580;
    /** SAE J429 grade 5: 85 ksi, in MPa. */
    private static final double PROOF_GRADE_5_MPA = 85_000 * 4.4482216152605 / (25.4 * 25.4);
    /** A flattened lock washer is about a quarter of the stud high (common practice). */
    private static final double LOCK_WASHER_SHARE = 0.25;
    /** Normal and loose holes over an inch stud (common practice). */
    private static final double INCH_MEDIUM = 1.10;

    private static final double INCH_COARSE = 1.15;

    private static final List<Stud> ALL = load();

    private Studs() {}

    private static List<Stud> load() {
        List<Stud> studs = new ArrayList<>();
        for (ReferenceTable.Row row :
                ReferenceTable.load("iso-273-7089-4032-898.csv").rows()) {
            double d = row.number("diameter");
            Stud.Thread thread = new Stud.Thread(d, row.number("pitch"), row.number("stress"), PROOF_8_8_MPA);
            Stud.Holes holes = new Stud.Holes(row.number("fine"), row.number("medium"), row.number("coarse"));
            studs.add(new Stud(row.text("stud"), thread, holes, hardware(row, d)));
        }
        for (ReferenceTable.Row row : ReferenceTable.load("inch-studs.csv").rows()) {
            double d = row.number("diameter");
            double pitch = Unit.INCH.toSi(1 / row.number("tpi")) * 1000;
            double root = d - 0.9743 * pitch;
            Stud.Thread thread = new Stud.Thread(d, pitch, Math.PI / 4 * root * root, PROOF_GRADE_5_MPA);
            Stud.Holes holes = new Stud.Holes(row.number("hole"), INCH_MEDIUM * d, INCH_COARSE * d);
            studs.add(new Stud(row.text("stud"), thread, holes, hardware(row, d)));
        }
        return List.copyOf(studs);
    }

    private static Stud.Hardware hardware(ReferenceTable.Row row, double diameterMm) {
        return new Stud.Hardware(
                row.number("washer_od"),
                row.number("washer_t"),
                LOCK_WASHER_SHARE * diameterMm,
                row.number("nut_h"),
                row.number("nut_af"));
    }

    /** All studs, metric first. */
    public static List<Stud> all() {
        return ALL;
    }

    /** The stud that a person means: {@code M8}, {@code 3/8}, {@code 3/8 in}, {@code #10}. */
    public static Optional<Stud> named(String text) {
        if (Typed.tooLong(text, Typed.LONGEST)) {
            return Optional.empty();
        }
        String name = Typed.plain(text)
                .toUpperCase(Locale.ROOT)
                .replaceAll("\\s*(IN|INCH|\")$", "")
                .strip();
        return ALL.stream().filter(stud -> stud.name().equals(name)).findFirst();
    }

    /** The thickest stud that a hole of {@code holeMm} passes. */
    public static Optional<Stud> thickestThrough(double holeMm) {
        return ALL.stream()
                .filter(stud -> stud.thread().diameterMm() < holeMm)
                .max(Comparator.comparingDouble(stud -> stud.thread().diameterMm()));
    }
}
