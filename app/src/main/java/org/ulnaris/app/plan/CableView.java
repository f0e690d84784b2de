package org.ulnaris.app.plan;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.VerdictView;

/**
 * A cable as pages name it.
 *
 * @param verdict the one verdict of the cable
 * @param previousId the cable before it in the job; null for the first
 * @param nextId the cable after it; null for the last
 */
public record CableView(
        long id,
        long version,
        String tag,
        String from,
        String to,
        Polarity polarity,
        String size,
        VerdictView verdict,
        @Nullable Long previousId,
        @Nullable Long nextId) {
    static CableView of(Cable cable, String size, VerdictView verdict, List<Long> siblings) {
        int at = siblings.indexOf(cable.id());
        CableDetails details = cable.details();
        return new CableView(
                cable.id(),
                cable.version(),
                details.tag(),
                details.fromPoint(),
                details.toPoint(),
                details.polarity(),
                size,
                verdict,
                at > 0 ? siblings.get(at - 1) : null,
                at + 1 < siblings.size() ? siblings.get(at + 1) : null);
    }

    /** From and to on one line; the tag where neither is said. */
    public String route() {
        return from.isEmpty() && to.isEmpty() ? tag : from + " → " + to;
    }
}
