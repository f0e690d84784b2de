package org.ulnaris.core.job;

import java.util.Objects;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.termination.Place;

/**
 * What holds for all of a job.
 *
 * @param system voltages, ampacity method, the house's choice where practice differs
 * @param place where it works
 * @param sealedOnly whether the house refuses small terminals that let water in
 * @param fullStrokeOnly whether the house refuses tools that open before the dies have met
 * @param bolting steel and threads of the studs
 * @param marks whether marks or the computation tell that lug and dies belong together
 * @param pull whose pull-out forces hold
 */
public record Ground(
        Installation.System system,
        Place place,
        boolean sealedOnly,
        boolean fullStrokeOnly,
        Bolting bolting,
        MarkRule marks,
        PullSchool pull) {
    public Ground {
        Objects.requireNonNull(system, "system");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(marks, "marks");
        Objects.requireNonNull(pull, "pull");
    }
}
