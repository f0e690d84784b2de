package org.ulnaris.app.shell;

import java.util.List;
import org.ulnaris.core.finding.Verdict;

/**
 * A verdict with its first reason: the one never stands without the other.
 *
 * @param verdict how it came out
 * @param reason the worst finding in words; empty for a pass
 * @param more how many further findings ask for something
 * @param accepted the stops that somebody answers for, each with who and why
 */
public record VerdictView(Verdict verdict, String reason, long more, List<String> accepted) {
    /** A verdict of which nobody has accepted anything. */
    public VerdictView(Verdict verdict, String reason, long more) {
        this(verdict, reason, more, List.of());
    }
}
