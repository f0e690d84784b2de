package org.ulnaris.core.finding;

import java.util.Collection;
import java.util.Comparator;

/** The outcome of a check, from good to bad. */
public enum Verdict {
    PASS,
    WATCH,
    STOP;

    /** The worse of this and {@code other}. */
    public Verdict and(Verdict other) {
        return compareTo(other) >= 0 ? this : other;
    }

    /** The worst verdict of {@code findings}; PASS for none. */
    public static Verdict worstOf(Collection<Finding> findings) {
        return findings.stream()
                .map(Finding::verdict)
                .max(Comparator.naturalOrder())
                .orElse(PASS);
    }
}
