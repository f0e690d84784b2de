package org.ulnaris.core.protection;

/** What the insulation of a cable is made of: how far a short circuit may heat it. */
public enum InsulationKind {
    PVC,
    CROSS_LINKED,
    RUBBER,
    SILICONE
}
