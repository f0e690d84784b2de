package org.ulnaris.app.job;

/**
 * Told inside of the copying transaction, so that other features copy what is theirs.
 *
 * @param fromId the job copied
 * @param toId its copy
 */
public record JobCopied(long fromId, long toId) {}
