package org.ulnaris.core.rating;

import java.util.Map;
import java.util.stream.Collectors;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * Marine school: 33 CFR 183.425 table 5, AWG, systems under 50 V, with its note 1 for engine spaces and its note 2 for
 * bundles.
 */
final class Cfr183425 extends TabulatedAmpacity {
    private final Map<Double, Double> engineFactors;

    Cfr183425() {
        super("cfr-33-183.425-table5.csv", SizeSeries.AWG, Bundling.CFR, ColdAir.AS_THE_TABLE);
        engineFactors = engineFactors("cfr-33-183.425-engine-space.csv");
    }

    static Map<Double, Double> engineFactors(String table) {
        return ReferenceTable.load(table).rows().stream()
                .collect(Collectors.toUnmodifiableMap(row -> row.number("temp"), row -> row.number("factor")));
    }

    @Override
    double engineFactor(double columnTempC) {
        return engineFactors.getOrDefault(columnTempC, 0.0);
    }

    @Override
    public double upToVoltageV() {
        return 50;
    }
}
