package org.ulnaris.app.shell;

import org.ulnaris.core.finding.Verdict;

/**
 * A verdict with its first reason: the one never stands without the other.
 *
 * @param verdict how it came out
 * @param reason the worst finding in words; empty for a pass
 * @param more how many further findings ask for something
 */
public record VerdictView(Verdict verdict, String reason, long more) {}
