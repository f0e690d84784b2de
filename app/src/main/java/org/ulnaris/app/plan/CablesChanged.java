package org.ulnaris.app.plan;

/**
 * Told inside of the changing transaction: a cable of a job came, went or changed.
 *
 * @param jobId the job
 */
public record CablesChanged(long jobId) {}
