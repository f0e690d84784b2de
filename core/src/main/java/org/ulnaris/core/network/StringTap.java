package org.ulnaris.core.network;

/** How a load is tapped from strings of batteries side by side. */
public enum StringTap {
    /** Plus and minus at the first string: it works hardest. */
    ONE_END,
    /** Plus at the first string, minus at the last. */
    OPPOSITE_ENDS,
    /** Leads of equal length from every string to a pair of bars. */
    EQUAL_LEADS
}
