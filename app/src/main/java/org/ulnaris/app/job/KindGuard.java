package org.ulnaris.app.job;

import java.util.Optional;

/** What a job holds that another kind of job refuses. */
public interface KindGuard {
    /** Name of a part of the job that {@code kind} refuses; empty when there is none. */
    Optional<String> refused(long jobId, JobKind kind);
}
