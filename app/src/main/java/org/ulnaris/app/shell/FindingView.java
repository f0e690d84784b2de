package org.ulnaris.app.shell;

import org.ulnaris.core.finding.Verdict;

/**
 * A finding as it is shown.
 *
 * @param title what was checked
 * @param verdict how it came out
 * @param sentence the outcome in words with figures
 * @param why formula with the numbers put in
 * @param source publication and clause
 * @param confidence how sure the source is
 */
public record FindingView(
        String title, Verdict verdict, String sentence, String why, String source, String confidence) {}
