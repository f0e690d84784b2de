package org.ulnaris.core.rating;

import java.util.Map;
import org.ulnaris.core.conductor.SizeSeries;

/**
 * Small-craft school: ISO 13297 (direct current: formerly ISO 10133) annex A, mm², with its engine-space and bundle
 * factors. The 60 °C column is left out: it does not fit the 30 °C ambient of the others.
 */
final class IsoSmallCraft extends TabulatedAmpacity {
    private final Map<Double, Double> engineFactors;

    IsoSmallCraft() {
        super("iso-13297-annex-a.csv", SizeSeries.METRIC, Bundling.ISO, ColdAir.AS_THE_TABLE);
        engineFactors = Cfr183425.engineFactors("iso-13297-engine-space.csv");
    }

    @Override
    double engineFactor(double columnTempC) {
        return engineFactors.getOrDefault(columnTempC, 0.0);
    }
}
