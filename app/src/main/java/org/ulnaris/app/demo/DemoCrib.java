package org.ulnaris.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.crib.DieDetails;
import org.ulnaris.app.crib.SampleDetails;
import org.ulnaris.app.crib.ToolDetails;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.Sample.Parted;
import org.ulnaris.core.tooling.ToolKind;

/** The made-up crib of Lantern Yard. */
final class DemoCrib {
    private static final String PRESS_JAW = "hex, press";

    /** The shop's own code: the tray a pair lies in, by how often it is wanted. */
    private static final String FRONT_TRAY = "lime dot";

    private static final String BACK_TRAY = "plum dot";
    private static final String[][] PRESS_DIES = {
        {"L8", "5.6", BACK_TRAY},
        {"L6", "6.5", BACK_TRAY},
        {"L4", "7.7", FRONT_TRAY},
        {"L2", "9.2", FRONT_TRAY},
        {"L1", "10.1", BACK_TRAY},
        {"L1/0", "11.1", BACK_TRAY},
        {"L2/0", "12.3", FRONT_TRAY},
        {"L3/0", "13.7", BACK_TRAY},
        {"L4/0", "15.1", FRONT_TRAY}
    };

    private final CribService crib;

    private final Clock clock;

    DemoCrib(CribService crib, Clock clock) {
        this.clock = clock;
        this.crib = crib;
    }

    void fill() {
        crib.addStandardSet();
        for (String[] die : PRESS_DIES) {
            double flats = Double.parseDouble(die[1]);
            crib.add(new DieDetails(
                    die[0], DieShape.HEX, flats, 6, LugMaterial.COPPER, PRESS_JAW, die[0].substring(1), "HW", die[2]));
        }
        crib.add(new DieDetails("F4", DieShape.SQUARE, 2.3, 12, LugMaterial.COPPER, "square, pliers", "", "", ""));
        press("B1", "long-lever press, floor stand", ToolKind.BENCH_PRESS, CribService.STANDARD_FAMILY, 100.0);
        press("H1", "hand hydraulic, 12 t", ToolKind.HYDRAULIC_HAND, PRESS_JAW, 118.0);
        press("F1", "ferrule pliers", ToolKind.RATCHET, "square, pliers", null);
        spike("I1", "indent pliers", ToolKind.INDENT, 0.5);
        spike("M1", "hammer crimper", ToolKind.HAMMER, null);
        checked("W1", "torque wrench, small", ToolKind.TORQUE_WRENCH, 300, 2.0, 20.0);
        checked("W2", "torque wrench, large", ToolKind.TORQUE_WRENCH, -20, 10.0, 60.0);
        checked("C1", "calipers, 150 mm", ToolKind.CALIPER, 200, null, null);
        checked("G1", "hanging scale, 300 kg", ToolKind.FORCE_GAUGE, 120, null, null);
        samples();
        crib.fit("K16", "B1");
    }

    private void press(String tag, String name, ToolKind kind, String jaw, @Nullable Double forceKn) {
        crib.addTool(new ToolDetails(
                tag, name, kind, jaw, forceKn, null, true, null, null, null, null, null, null, null, null));
    }

    private void spike(String tag, String name, ToolKind kind, @Nullable Double markMm) {
        Double zero = markMm == null ? null : Double.valueOf(0);
        crib.addTool(new ToolDetails(
                tag, name, kind, "", null, 50.0, false, null, null, null, null, 7.0, zero, markMm, null));
    }

    private void checked(
            String tag, String name, ToolKind kind, int dueInDays, @Nullable Double from, @Nullable Double to) {
        LocalDate due = LocalDate.now(clock).plusDays(dueInDays);
        crib.addTool(new ToolDetails(
                tag,
                name,
                kind,
                "",
                null,
                null,
                false,
                due.minusYears(1),
                due,
                from,
                to,
                null,
                null,
                null,
                from == null ? null : 0.5));
    }

    private void samples() {
        sample("B1", "K16", "70 mm²", 90, 0.5, null);
        sample("B1", "K14", "50 mm²", 60, 1.0, 7000.0);
        sample("B1", "K8", "16 mm²", 20, null, 2600.0);
        sample("H1", "L2/0", "2/0 AWG", 45, 1.5, 3600.0);
        sample("H1", "L1/0", "1/0 AWG", 44, 0.8, 3100.0);
        sample("H1", "L4", "4 AWG", 43, 1.2, 2300.0);
        sample("M1", "", "35 mm²", 30, 12.0, 900.0);
        sample("M1", "", "35 mm²", 29, 6.0, 1800.0);
    }

    private void sample(
            String tool, String die, String size, int daysAgo, @Nullable Double voids, @Nullable Double pullN) {
        boolean weak = pullN != null && pullN < 2000;
        crib.addSample(new SampleDetails(
                tool,
                die,
                "",
                size,
                LocalDate.now(clock).minusDays(daysAgo),
                voids,
                pullN,
                pullN == null ? Parted.NOT_PULLED : weak ? Parted.BARREL : Parted.HELD,
                ""));
    }
}
