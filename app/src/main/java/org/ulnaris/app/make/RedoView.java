package org.ulnaris.app.make;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.making.Side;

/**
 * A redo as it is shown.
 *
 * @param id which one
 * @param what which end was begun anew, and what it cost
 * @param at when
 * @param undone whether it was taken back
 */
public record RedoView(long id, String what, String at, boolean undone) {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneId.systemDefault());

    public static RedoView of(Redo redo, Fmt fmt, Words words) {
        Side side = redo.side();
        return new RedoView(
                redo.id(),
                side == null ? words.of("redo.cable") : words.of("redo.end", side.name(), fmt.small(redo.costMm())),
                TIME.format(redo.redoneAt()),
                redo.undone());
    }
}
