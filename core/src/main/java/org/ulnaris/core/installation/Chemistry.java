package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Source;

/**
 * Kinds of battery units with typical figures (common practice): voltages of a unit, and its internal resistance by capacity,
 * R ≈ mΩ·Ah ÷ Ah; what it is usually discharged and charged with at most, A per Ah of its capacity. The maker's sheet always rules.
 */
public enum Chemistry {
    /** A lithium iron phosphate cell with its share of links and of what cuts the bank off (50 for the bare cell). */
    LITHIUM_IRON(3.2, 2.8, 3.3, 3.6, 60, new Rates(1.0, 0.5, true)),
    /** A lithium nickel cell. */
    LITHIUM_NICKEL(3.65, 3.0, 3.7, 4.15, 60, new Rates(1.0, 0.5, true)),
    /** A sealed lead battery of six cells. */
    LEAD_AGM(12, 10.8, 12.6, 14.4, 350, new Rates(1.0, 0.3, false)),
    /** A wet lead battery of six cells. */
    LEAD_WET(12, 10.8, 12.5, 14.4, 500, new Rates(0.5, 0.2, false));

    /**
     * What a unit usually gives and takes at most.
     *
     * @param discharge A per Ah
     * @param charge A per Ah
     * @param managed whether a management system cuts it off beyond its limits
     */
    public record Rates(double discharge, double charge, boolean managed) {}

    private final double nominalV;
    private final double lowestV;
    private final double restV;
    private final double chargeV;
    private final double milliohmAmpereHours;
    private final Rates rates;

    Chemistry(double nominalV, double lowestV, double restV, double chargeV, double milliohmAmpereHours, Rates rates) {
        this.nominalV = nominalV;
        this.lowestV = lowestV;
        this.restV = restV;
        this.chargeV = chargeV;
        this.milliohmAmpereHours = milliohmAmpereHours;
        this.rates = rates;
    }

    public Rates rates() {
        return rates;
    }

    /** Nominal voltage of a unit, V. */
    public double nominalV() {
        return nominalV;
    }

    /** Cut-off voltage of a unit, V. */
    public double lowestV() {
        return lowestV;
    }

    /** Open voltage of a unit at rest, half full, V. */
    public double restV() {
        return restV;
    }

    /** Charging voltage of a unit, V. */
    public double chargeV() {
        return chargeV;
    }

    /** Typical internal resistance of a unit of {@code ampereHours}, Ω. */
    public double typicalOhm(double ampereHours) {
        return milliohmAmpereHours / ampereHours / 1000;
    }

    public static Source source() {
        return Source.practice(note("Chemistry.typical-figures-of"));
    }
}
