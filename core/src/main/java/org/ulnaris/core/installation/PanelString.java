package org.ulnaris.core.installation;

import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Like solar panels in series, by their maker's figures at 25 °C in full sun.
 *
 * @param panels how many
 * @param openV open-circuit voltage of one, V
 * @param workV voltage of one at its greatest power, V
 * @param shortA short-circuit current, A
 * @param workA current at its greatest power, A
 * @param percentPerKelvin change of the open-circuit voltage, % for each kelvin; null where nobody gave it: by table 690.7(A)
 * @param coldestC lowest air temperature, °C; null where nobody gave it
 * @param fuseA largest fuse that the maker allows, A; null where nobody gave it
 */
public record PanelString(
        int panels,
        double openV,
        double workV,
        double shortA,
        double workA,
        @Nullable Double percentPerKelvin,
        @Nullable Double coldestC,
        @Nullable Double fuseA) {
    public static final Range PANELS = Range.from(1, 40);
    public static final Range OPEN_V = new Range(0, 200);
    public static final Range AMPERE = new Range(0, 100);
    public static final Range PERCENT_PER_KELVIN = Range.from(-1, 0);
    public static final Range COLDEST_C = Range.from(-60, 25);

    /** Taken where nobody gave the lowest air temperature, °C. */
    public static final double USUAL_COLDEST_C = -10;
    /** Taken where nobody gave the largest fuse, A (common practice: 15 A and more are printed on panels). */
    public static final double USUAL_FUSE_A = 15;
    /** Sun brighter than that of the maker's figures (NEC 690.8(A)(1)). */
    public static final double BRIGHT = 1.25;

    private static final double RATED_C = 25;
    private static final ReferenceTable FACTORS = ReferenceTable.load("panel-cold-factors.csv");

    public PanelString {
        PANELS.check("panels", panels);
        OPEN_V.check("openV", openV);
        new Range(0, openV).check("workV", workV);
        AMPERE.check("shortA", shortA);
        new Range(0, shortA).check("workA", workA);
        if (percentPerKelvin != null) {
            PERCENT_PER_KELVIN.check("percentPerKelvin", percentPerKelvin);
        }
        if (coldestC != null) {
            COLDEST_C.check("coldestC", coldestC);
        }
        if (fuseA != null) {
            AMPERE.check("fuseA", fuseA);
        }
    }

    /** Open-circuit voltage of all of them at 25 °C, V. */
    public double stringOpenV() {
        return panels * openV;
    }

    /** Voltage of all of them at their greatest power, V. */
    public double stringWorkV() {
        return panels * workV;
    }

    /** Open-circuit voltage of all of them in the coldest air, V. */
    public double coldOpenV() {
        return coldFactor() * stringOpenV();
    }

    /** Open-circuit voltage in the coldest air ÷ that at 25 °C. */
    public double coldFactor() {
        double airC = coldC();
        return percentPerKelvin == null ? tabled(airC) : 1 + percentPerKelvin / 100 * (airC - RATED_C);
    }

    /** The coldest air that is reckoned with, °C. */
    public double coldC() {
        return coldestC == null ? USUAL_COLDEST_C : coldestC;
    }

    /** The most that its cables carry for hours, A. */
    public double cableA() {
        return BRIGHT * shortA;
    }

    /** Largest fuse, or the greatest current from outside, that it stands, A. */
    public double standsA() {
        return fuseA == null ? USUAL_FUSE_A : fuseA;
    }

    /** Factor of the table; of air colder than its last row that of the last row, grown as fast as the rows before it. */
    private static double tabled(double airC) {
        ReferenceTable.Row last = FACTORS.rows().get(FACTORS.rows().size() - 1);
        for (ReferenceTable.Row row : FACTORS.rows()) {
            if (airC >= row.number("fromC")) {
                return row.number("factor");
            }
        }
        ReferenceTable.Row before = FACTORS.rows().get(FACTORS.rows().size() - 2);
        double perKelvin =
                (last.number("factor") - before.number("factor")) / (before.number("fromC") - last.number("fromC"));
        return last.number("factor") + perKelvin * (last.number("fromC") - airC);
    }

    /** Where the factors come from. */
    public static Source source() {
        return FACTORS.source();
    }
}
