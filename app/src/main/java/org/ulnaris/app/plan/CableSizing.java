package org.ulnaris.app.plan;

import java.util.Optional;
import java.util.OptionalDouble;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizingResult;

/**
 * The sizes of a cable, and the one in use: chosen by hand, else proposed, else the thickest.
 *
 * @param result the ladder
 * @param inUse the rung in use
 * @param byHand whether a person chose it
 */
public record CableSizing(SizingResult result, Rung inUse, boolean byHand) {
    /** Sizes the cable under the job's rules. */
    public static CableSizing of(JobDetails job, CableDetails cable) {
        SizingResult result = CableSizer.size(demand(job, cable));
        Rung proposed = result.chosen()
                .orElseGet(() -> result.rungs().get(result.rungs().size() - 1));
        String chosen = cable.chosenSize();
        if (chosen == null) {
            return new CableSizing(result, proposed, false);
        }
        return ConductorSizes.designated(chosen)
                .flatMap(size -> result.rung(size).or(() -> thin(result, size)))
                .map(rung -> new CableSizing(result, rung, true))
                .orElseGet(() -> new CableSizing(result, proposed, false));
    }

    private static Optional<Rung> thin(SizingResult result, ConductorSize size) {
        return ConductorSizes.thin(size.series()).contains(size)
                ? Optional.of(CableSizer.rung(result.demand(), size))
                : Optional.empty();
    }

    /** What the cable is asked for. */
    public static CableDemand demand(JobDetails job, CableDetails cable) {
        return new CableDemand(
                new CableDemand.Load(cable.currentA(), cable.lengthM(), job.nominalVoltageV(), cable.dropPercent()),
                new AmpacityConditions(
                        cable.insulationTempC(),
                        cable.ambientC(),
                        cable.engineSpace(),
                        cable.bundled(),
                        cable.conduit()),
                cable.terminalTempC() == null ? OptionalDouble.empty() : OptionalDouble.of(cable.terminalTempC()),
                job.ruleSet(),
                cable.series(),
                cable.tinned(),
                job.rules().heatBalanceDecides());
    }

    public Conductor conductor() {
        return inUse.conductor();
    }
}
