package org.ulnaris.core.crimp;

/** What tells whether lug and dies belong together (common practice: the index pressed into the crimp is the inspector's proof). */
public enum MarkRule {
    /** Marks that belong together are sound; where there are none the computation decides. */
    MARKS,
    /** The computed compaction alone. */
    COMPUTED,
    /** Marks that belong together and a sound compaction. */
    BOTH
}
