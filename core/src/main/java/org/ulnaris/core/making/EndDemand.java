package org.ulnaris.core.making;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.PostTorque;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.installation.TerminalMetal;
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
 * @param post metal of the stud; null where nobody said
 */
public record EndDemand(
        Landing landing,
        @Nullable TorqueSpec makerTorque,
        @Nullable Lug chosenLug,
        @Nullable Die chosenDie,
        @Nullable ContactWish contact,
        int conductors,
        boolean said,
        @Nullable TerminalMetal post) {
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
        this(landing, makerTorque, chosenLug, chosenDie, contact, conductors, true, null);
    }

    /** An end with a tube lug. */
    public EndDemand(
            Landing landing, @Nullable TorqueSpec makerTorque, @Nullable Lug chosenLug, @Nullable Die chosenDie) {
        this(landing, makerTorque, chosenLug, chosenDie, null, 1, true, null);
    }

    /** The torque and the metal that it works on, with the steel that the house takes for its studs. */
    PostTorque tightened(Bolting bolting) {
        return new PostTorque(landing.stud(), post, bolting);
    }

    /** The maker's torque, else the figure usual for the stud; null where none holds. */
    @Nullable
    TorqueSpec torque(Bolting bolting) {
        return makerTorque != null ? makerTorque : tightened(bolting).byTable().orElse(null);
    }
}
