package org.ulnaris.app.picture;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What of a job's picture is seen: its address says all of it.
 *
 * @param jobId the job
 * @param loadCase the case whose currents are shown, counted from 1
 * @param at tag of the piece or cable whose facts are open; empty for none
 * @param from terminal from which a cable is being drawn; empty for none
 * @param to terminal to which it is drawn; empty while it is not pressed
 * @param kind kind of equipment that is being added; empty for none
 * @param part which part of a large job is drawn, counted from 1; 0 for the one in which that is what is open
 */
record Spot(long jobId, int loadCase, String at, String from, String to, String kind, int part) {
    static Spot whole(long jobId, int loadCase) {
        return new Spot(jobId, loadCase, "", "", "", "", 0);
    }

    /** The same picture with the facts of {@code tag} open. */
    Spot open(String tag) {
        return new Spot(jobId, loadCase, tag, "", "", "", part);
    }

    /** The same picture with nothing open. */
    public Spot closed() {
        return open("");
    }

    Spot inCase(int other) {
        return new Spot(jobId, other, at, from, to, kind, part);
    }

    /** The same with part {@code other} drawn. */
    Spot drawing(int other) {
        return new Spot(jobId, loadCase, at, from, to, kind, other);
    }

    /** The same, facts of pieces and cables closed. */
    Spot at(String tag) {
        return new Spot(jobId, loadCase, tag, from, to, kind, part);
    }

    Spot adding(String other) {
        return new Spot(jobId, loadCase, "", "", "", other, part);
    }

    /** After a press on {@code terminal}: a cable begins there, or ends there; a second press on its beginning gives it up. */
    Spot pressed(String terminal) {
        if (from.isEmpty()) {
            return new Spot(jobId, loadCase, "", terminal, "", "", part);
        }
        return from.equals(terminal) ? closed() : new Spot(jobId, loadCase, "", from, terminal, "", part);
    }

    /** The page that shows it. */
    public String address() {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath("/jobs/{id}");
        if (loadCase > 1) {
            uri.queryParam("case", loadCase);
        }
        if (part > 0) {
            uri.queryParam("part", part);
        }
        Map<String, Object> values = new HashMap<>(Map.of("id", jobId));
        List.of(Map.entry("at", at), Map.entry("from", from), Map.entry("to", to), Map.entry("kind", kind))
                .forEach(part -> {
                    if (!part.getValue().isEmpty()) {
                        uri.queryParam(part.getKey(), "{" + part.getKey() + "}");
                        values.put(part.getKey(), part.getValue());
                    }
                });
        return uri.encode().buildAndExpand(values).toUriString();
    }
}
