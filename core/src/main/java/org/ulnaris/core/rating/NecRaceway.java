package org.ulnaris.core.rating;

import org.ulnaris.core.conductor.SizeSeries;

/** Land school: NEC table 310.16, conductors in raceway or cable, AWG, adjusted by 310.15(C)(1). */
final class NecRaceway extends TabulatedAmpacity {
    NecRaceway() {
        super(
                new Table("nec-310.16.csv", SizeSeries.AWG),
                new Table("nec-310.16-aluminium.csv", SizeSeries.AWG),
                Bundling.NEC,
                ColdAir.NEC_BANDS);
    }

    @Override
    double engineFactor(double columnTempC) {
        return EngineSpace.factorByAmbient(columnTempC);
    }
}
