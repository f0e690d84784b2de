package org.ulnaris.core.finding;

/** How sure a figure's source is. */
public enum Confidence {
    /** Follows from a definition or a law of physics. */
    EXACT,
    /** A published value, recalled twice with the same result; check against your copy. */
    RECALLED_HIGH,
    /** A published value of which the recalls were less sure; check against your copy. */
    RECALLED_MEDIUM,
    /** What the trade does, with no standard behind it. */
    COMMON_PRACTICE,
    /** Our own model, stated as such. */
    OWN_MODEL,
    /** Given by the person or the maker of the part. */
    GIVEN
}
