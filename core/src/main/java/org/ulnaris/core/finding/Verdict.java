package org.ulnaris.core.finding;

import java.util.Collection;

/** The outcome of a check, from good to bad. */
public enum Verdict {
    PASS,
    /** Good to know; nothing to decide. */
    NOTE,
    /** Not known or not checked yet: what is missing has to be said first. */
    OPEN,
    /** Somebody decides. */
    WATCH,
    STOP;

    /** The verdict of a whole of this and {@code other}: the worse of both; a note alone leaves it a pass. */
    public Verdict and(Verdict other) {
        Verdict worse = compareTo(other) >= 0 ? this : other;
        return worse == NOTE ? PASS : worse;
    }

    /** The verdict of a whole with {@code findings}; PASS for none. */
    public static Verdict worstOf(Collection<Finding> findings) {
        return findings.stream().map(Finding::verdict).reduce(PASS, Verdict::and);
    }

    /** Whether somebody has to do something about it. */
    public boolean asks() {
        return compareTo(OPEN) >= 0;
    }
}
