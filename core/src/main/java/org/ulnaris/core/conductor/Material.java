package org.ulnaris.core.conductor;

import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** What conductors, bars and plating are made of: {@code reference/materials.csv}. */
public enum Material {
    COPPER,
    COPPER_HARD,
    ALUMINIUM,
    BRASS,
    STEEL,
    STAINLESS,
    TIN,
    NICKEL,
    SILVER;

    private static final ReferenceTable TABLE = ReferenceTable.load("materials.csv");

    private ReferenceTable.Row row() {
        return TABLE.rows().stream()
                .filter(row -> row.text("material").equals(name()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("materials.csv lacks " + name()));
    }

    /** Resistivity at 20 °C, Ω·m. */
    public double ohmMetreAt20() {
        return row().number("rho20");
    }

    /** Temperature coefficient at 20 °C, 1/K. */
    public double alphaPerK() {
        return row().number("alpha20");
    }

    /** Heat capacity by volume, J/(m³·K). */
    public double heatPerVolume() {
        return row().number("heat");
    }

    /** Resistivity at {@code temperatureC}, Ω·m. */
    public double ohmMetre(double temperatureC) {
        return ohmMetreAt20() * (1 + alphaPerK() * (temperatureC - 20));
    }

    /** How many times worse than copper it conducts. */
    public double timesCopper() {
        return ohmMetreAt20() / COPPER.ohmMetreAt20();
    }

    /** Where its figures come from. */
    public static Source source() {
        return TABLE.source();
    }
}
