package org.ulnaris.core.installation;

import org.ulnaris.core.finding.Source;

/**
 * Kinds of battery units with typical figures (common practice): voltages of a unit, and its internal resistance by capacity,
 * R ≈ mΩ·Ah ÷ Ah. The maker's sheet always rules.
 */
public enum Chemistry {
    /** A lithium iron phosphate cell. */
    LITHIUM_IRON(3.2, 2.8, 3.3, 3.6, 40),
    /** A lithium nickel cell. */
    LITHIUM_NICKEL(3.65, 3.0, 3.7, 4.15, 60),
    /** A sealed lead battery of six cells. */
    LEAD_AGM(12, 10.8, 12.6, 14.4, 350),
    /** A wet lead battery of six cells. */
    LEAD_WET(12, 10.8, 12.5, 14.4, 500);

    private final double nominalV;
    private final double lowestV;
    private final double restV;
    private final double chargeV;
    private final double milliohmAmpereHours;

    Chemistry(double nominalV, double lowestV, double restV, double chargeV, double milliohmAmpereHours) {
        this.nominalV = nominalV;
        this.lowestV = lowestV;
        this.restV = restV;
        this.chargeV = chargeV;
        this.milliohmAmpereHours = milliohmAmpereHours;
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
        return Source.practice("typical figures of battery units; the maker's sheet rules");
    }
}
