package org.ulnaris.core.job;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.termination.Landing;

/**
 * What is said of an end of a cable.
 *
 * @param landing where it goes; the angle at which the cable leaves follows from the route
 * @param torque the device maker's torque; null when not known
 * @param lugCode a lug picked by hand; null for the proposal
 * @param dieTag dies picked by hand; null for the proposal
 * @param contact what it ends with in place of a tube lug; null for a lug
 * @param conductors how many such conductors go into one lug
 * @param studPoints where its stud points; null when not said
 * @param said whether somebody has said what it ends with: else what fits is taken
 */
public record EndModel(
        Landing landing,
        @Nullable TorqueSpec torque,
        @Nullable String lugCode,
        @Nullable String dieTag,
        @Nullable Pick contact,
        int conductors,
        @Nullable Heading studPoints,
        boolean said) {
    /**
     * A contact in place of a tube lug.
     *
     * @param family its family
     * @param code one picked by hand; null for the proposal
     * @param method how it is joined
     * @param mating keys or makes of both halves
     */
    public record Pick(Family family, @Nullable String code, JoinMethod method, ContactDemand.Mating mating) {}

    public EndModel {
        Objects.requireNonNull(landing, "landing");
    }

    /** An end of which only the landing is known. */
    public static EndModel at(Landing landing) {
        return new EndModel(landing, null, null, null, null, 1, null, false);
    }

    /** The same end, of which nobody has said what it ends with. */
    public EndModel unsaid() {
        return new EndModel(landing, torque, lugCode, dieTag, contact, conductors, studPoints, false);
    }

    /** Whether solder joins it. */
    public boolean soldered() {
        return contact != null && contact.method().soldered();
    }
}
