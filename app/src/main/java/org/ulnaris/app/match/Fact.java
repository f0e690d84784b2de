package org.ulnaris.app.match;

import org.ulnaris.app.shell.Reason;
import org.ulnaris.core.finding.Explanation;

/** A figure that follows from the choice. */
public record Fact(String name, String figure, String note, Reason why) {
    Fact(String name, String figure, String note, String why) {
        this(name, figure, note, Reason.words(why));
    }

    Fact(String name, String figure, String note, Explanation why) {
        this(name, figure, note, new Reason(why));
    }
}
