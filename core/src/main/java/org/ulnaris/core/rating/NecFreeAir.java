package org.ulnaris.core.rating;

import org.ulnaris.core.conductor.SizeSeries;

/** Land school: NEC table 310.17, single conductors in free air, AWG, adjusted by 310.15(C)(1). */
final class NecFreeAir extends TabulatedAmpacity {
    NecFreeAir() {
        super(
                new Table("nec-310.17.csv", SizeSeries.AWG),
                new Table("nec-310.17-aluminium.csv", SizeSeries.AWG),
                Bundling.NEC,
                ColdAir.NEC_BANDS);
    }

    @Override
    double engineFactor(double columnTempC) {
        return EngineSpace.factorByAmbient(columnTempC);
    }
}
