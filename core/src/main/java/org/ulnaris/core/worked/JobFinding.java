package org.ulnaris.core.worked;

import java.util.Comparator;
import java.util.Objects;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/**
 * A finding with what it is about.
 *
 * @param topic what it belongs to
 * @param subject tag of the cable, fuse or load; the terminal as it is written
 * @param where the end or the case; empty when it holds for all of it
 * @param finding the check
 */
public record JobFinding(Topic topic, String subject, String where, Finding finding) {
    /** Worst first; within one verdict in the order in which things are to be mended: while no current is known nothing else is. */
    public static final Comparator<JobFinding> WORST_FIRST = Comparator.comparing(JobFinding::verdict)
            .reversed()
            .thenComparing(said -> said.finding().code() != FindingCode.NO_CURRENT)
            .thenComparing(JobFinding::topic);

    public JobFinding {
        Objects.requireNonNull(topic, "topic");
        Objects.requireNonNull(subject, "subject");
        Objects.requireNonNull(where, "where");
        Objects.requireNonNull(finding, "finding");
    }

    public Verdict verdict() {
        return finding.verdict();
    }
}
