package org.ulnaris.core.conductor;

/** A standard series of conductor sizes. */
public enum SizeSeries {
    /** American wire gauge, ASTM B258. */
    AWG,
    /** Nominal areas in mm², IEC 60228. */
    METRIC
}
