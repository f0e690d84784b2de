package org.ulnaris.core.termination;

/** What a lug is made of; the die follows it. */
public enum LugMaterial {
    COPPER,
    ALUMINIUM
}
