package org.ulnaris.core.rating;

/** What air colder than the table's means: more only as far as the method itself prints it. */
enum ColdAir {
    /** Nothing: the marine tables print no factor above one. */
    AS_THE_TABLE {
        @Override
        double countedC(double ambientC) {
            return Math.max(TabulatedAmpacity.REFERENCE_AMBIENT_C, ambientC);
        }
    },
    /** NEC 310.15(B)(1): bands of 5 K down to 10 °C, each by its upper edge. */
    NEC_BANDS {
        @Override
        double countedC(double ambientC) {
            double edgeC = Math.max(10, BAND_K * Math.ceil(ambientC / BAND_K));
            return ambientC < TabulatedAmpacity.REFERENCE_AMBIENT_C ? edgeC : ambientC;
        }
    };

    private static final double BAND_K = 5;

    /** The ambient that counts, °C. */
    abstract double countedC(double ambientC);
}
