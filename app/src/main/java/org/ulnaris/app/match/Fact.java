package org.ulnaris.app.match;

import org.ulnaris.app.shell.Reason;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.worked.EndPart;

/**
 * A figure that follows from the choice.
 *
 * @param part the place of the end that it speaks of
 */
public record Fact(EndPart part, String name, String figure, String note, Reason why) {
    Fact(EndPart part, String name, String figure, String note, String why) {
        this(part, name, figure, note, Reason.words(why));
    }

    Fact(EndPart part, String name, String figure, String note, Explanation why) {
        this(part, name, figure, note, new Reason(why));
    }
}
