package org.ulnaris.core.installation;

/** What the pad or post of a terminal is made of. */
public enum TerminalMetal {
    /** Copper, bare or plated, with a stud of steel. */
    COPPER,
    /** A stud of brass: it yields at a third of what steel stands. */
    BRASS,
    /** A post of lead. */
    LEAD,
    STEEL,
    /** Stainless steel: its threads seize when dry. */
    STAINLESS,
    /** Oxidises at once, and corrodes beside copper where it gets wet. */
    ALUMINIUM
}
