package org.ulnaris.app.plan;

/**
 * Told inside of the copying transaction, so that other features copy what is theirs.
 *
 * @param fromId the cable copied
 * @param toId its copy
 */
public record CableCopied(long fromId, long toId) {}
