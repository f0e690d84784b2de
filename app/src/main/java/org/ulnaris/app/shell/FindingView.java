package org.ulnaris.app.shell;

import org.ulnaris.core.finding.Verdict;

/**
 * A finding as it is shown.
 *
 * @param title what was checked
 * @param verdict how it came out
 * @param sentence the outcome in words with figures
 * @param why how the figure came about
 * @param source publication and clause
 * @param confidence how sure the source is
 */
public record FindingView(
        String title, Verdict verdict, String sentence, Reason why, String source, String confidence) {}
