package org.ulnaris.core.worked;

/** What a finding belongs to, in the order in which it is to be mended. */
public enum Topic {
    /** What was made, as the bench has read it: it outranks what is planned. */
    MADE,
    /** What is joined to what. */
    WIRING,
    PROTECTION,
    SIZE,
    PATH,
    TERMINAL,
    END,
    /** The tools of the crib that an end would be made with. */
    TOOL
}
