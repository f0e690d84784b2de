package org.ulnaris.core.making;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;

/**
 * What an end has to meet, and what a person chose for it.
 *
 * @param landing where it goes
 * @param makerTorque the device maker's torque; null when none is known
 * @param chosenLug a lug picked by hand; null to take the best
 * @param chosenDie a die picked by hand; null to take the best
 * @param contact what it ends with instead of a tube lug; null for a lug
 * @param conductors how many such conductors go into one lug
 * @param said whether somebody has said what it ends with: else a small terminal stands in where no lug takes the cable
 */
public record EndDemand(
        Landing landing,
        @Nullable TorqueSpec makerTorque,
        @Nullable Lug chosenLug,
        @Nullable Die chosenDie,
        @Nullable ContactWish contact,
        int conductors,
        boolean said) {
    /**
     * A contact instead of a tube lug.
     *
     * @param family its family
     * @param chosen one picked by hand; null to take the best
     * @param method how it is joined
     * @param mating keys or makes of both halves
     */
    public record ContactWish(
            Family family, @Nullable Contact chosen, JoinMethod method, ContactDemand.Mating mating) {}

    public EndDemand {
        Objects.requireNonNull(landing, "landing");
    }

    /** An end of which somebody has said what it ends with. */
    public EndDemand(
            Landing landing,
            @Nullable TorqueSpec makerTorque,
            @Nullable Lug chosenLug,
            @Nullable Die chosenDie,
            @Nullable ContactWish contact,
            int conductors) {
        this(landing, makerTorque, chosenLug, chosenDie, contact, conductors, true);
    }

    /** An end with a tube lug. */
    public EndDemand(
            Landing landing, @Nullable TorqueSpec makerTorque, @Nullable Lug chosenLug, @Nullable Die chosenDie) {
        this(landing, makerTorque, chosenLug, chosenDie, null, 1, true);
    }

    /** The maker's torque, else the figure usual for the stud. */
    public TorqueSpec torque() {
        return makerTorque != null ? makerTorque : TorqueSpec.byStud(landing.stud());
    }
}
