package org.ulnaris.core.finding;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Objects;

/**
 * Where a rule or a figure comes from.
 *
 * @param document the publication, or "common practice"
 * @param clause table or clause; may be empty
 * @param confidence how sure
 */
public record Source(String document, String clause, Confidence confidence) {
    public Source {
        Objects.requireNonNull(document, "document");
        Objects.requireNonNull(clause, "clause");
        Objects.requireNonNull(confidence, "confidence");
    }

    public static Source practice(String what) {
        return new Source(note("Source.practice"), what, Confidence.COMMON_PRACTICE);
    }

    public static Source own(String what) {
        return new Source(note("Source.own"), what, Confidence.OWN_MODEL);
    }

    public static Source given(String by) {
        return new Source(by, "", Confidence.GIVEN);
    }

    /** The maker of the device that an end lands on. */
    public static Source deviceMaker() {
        return given(note("Source.device-maker"));
    }

    /** Whoever entered a part of the shop's own. */
    public static Source shop() {
        return given(note("Source.shop"));
    }

    /** This and {@code other} together: as sure as the less sure of the two. */
    public Source and(Source other) {
        Confidence less = confidence.compareTo(other.confidence) >= 0 ? confidence : other.confidence;
        return new Source(text() + "; " + other.document, other.clause, less);
    }

    /** Document and clause on one line. */
    public String text() {
        return clause.isEmpty() ? document : document + ", " + clause;
    }
}
