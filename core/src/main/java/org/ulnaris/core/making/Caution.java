package org.ulnaris.core.making;

/** What can hurt in a step. */
public enum Caution {
    ISOLATE,
    CUTTING_EDGE,
    PINCH,
    PULL_RELEASE,
    HOT_WORK,
    LIVE_STUD,
    /** Photovoltaic conductors. */
    LIVE_IN_DAYLIGHT,
    STAINLESS
}
