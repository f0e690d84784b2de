package org.ulnaris.core.installation;

/** What the pad or post of a terminal is made of. */
public enum TerminalMetal {
    /** Copper or brass, bare or plated. */
    COPPER,
    /** A post of lead. */
    LEAD,
    STEEL,
    /** Oxidises at once, and corrodes beside copper where it gets wet. */
    ALUMINIUM
}
