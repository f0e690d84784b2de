package org.ulnaris.core.making;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
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
 */
public record EndDemand(
        Landing landing,
        @Nullable TorqueSpec makerTorque,
        @Nullable Lug chosenLug,
        @Nullable Die chosenDie) {
    public EndDemand {
        Objects.requireNonNull(landing, "landing");
    }

    /** The maker's torque, else the figure usual for the stud. */
    public TorqueSpec torque() {
        return makerTorque != null ? makerTorque : TorqueSpec.byStud(landing.stud());
    }
}
