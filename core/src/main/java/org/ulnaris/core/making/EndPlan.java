package org.ulnaris.core.making;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugFit;

/**
 * One end of a cable, planned.
 *
 * @param side which end
 * @param landing where it goes
 * @param torque torque in force
 * @param lugs the lugs that could be considered, best first
 * @param dies every die of the crib for the lug in use, best first
 * @param match the lug in use with all that follows; null when no lug is near
 */
public record EndPlan(
        Side side,
        Landing landing,
        TorqueSpec torque,
        List<LugFit> lugs,
        List<Crimp> dies,
        @Nullable MatchedLug match) {
    /** Stop without a lug or a die, else the worst of its checks. */
    public Verdict verdict() {
        return match == null ? Verdict.STOP : match.verdict();
    }
}
