package org.ulnaris.core.making;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.ShrinkChoice;

/**
 * One end of a cable, planned.
 *
 * @param side which end
 * @param landing where it goes
 * @param torque torque in force; null where the maker's is not given and no table holds
 * @param lugs the lugs that could be considered, best first
 * @param dies every die of the crib for the tube in use, best first; none where it has no tube
 * @param shapes where the contact in use has no tube: the dies of the crib, those of its shape first
 * @param match the lug in use with all that follows; null when no lug is near, or none is asked for
 * @param contacts the contacts that could be considered, best first; none at an end with a lug
 * @param contact the contact in use; null at an end with a lug
 * @param handy what is at hand
 */
public record EndPlan(
        Side side,
        Landing landing,
        @Nullable TorqueSpec torque,
        List<LugFit> lugs,
        List<Crimp> dies,
        List<Die> shapes,
        @Nullable MatchedLug match,
        List<ContactFit> contacts,
        @Nullable MatchedContact contact,
        Handiness handy) {
    /** What stands at the end; null where nothing was found. */
    public @Nullable Termination termination() {
        return contact == null ? match : contact;
    }

    /** What decides its steps. */
    public EndKind kind() {
        MatchedContact matched = contact;
        return matched == null
                ? EndKind.LUG
                : new EndKind(
                        matched.contact().family(),
                        matched.contact().style(),
                        matched.fit().demand().method());
    }

    /**
     * What is done to an end.
     *
     * @param code lug or contact
     * @param dies tag of the dies; empty without any
     * @param sleeve name of the heat-shrink; empty without any
     */
    record Made(String code, String dies, double stripMm, String sleeve, double sleeveMm) {
        /** The same on any lug. */
        Made crimped() {
            return new Made("", dies, stripMm, sleeve, sleeveMm);
        }
    }

    /** What is done to it; empty where nothing was found to stand at it. */
    Optional<Made> made() {
        Termination end = termination();
        if (end == null) {
            return Optional.empty();
        }
        Crimp crimp = end.crimp();
        Die shape = contact == null ? null : contact.die();
        ShrinkChoice sleeve = end.sleeve();
        return Optional.of(new Made(
                end.code(),
                crimp != null ? crimp.die().tag() : shape != null ? shape.tag() : "",
                end.stripMm(),
                sleeve == null || sleeve.tube() == null ? "" : sleeve.tube().name(),
                sleeve == null ? 0 : sleeve.cover().cutLengthMm()));
    }

    /** Stop without a lug or a die, else the worst of its checks. */
    public Verdict verdict() {
        Termination end = termination();
        return end == null ? Verdict.STOP : end.verdict();
    }
}
