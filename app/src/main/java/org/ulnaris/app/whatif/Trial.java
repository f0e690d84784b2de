package org.ulnaris.app.whatif;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.InstallationMaker;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.RuleSet;

/**
 * What is changed on trial.
 *
 * @param nominalV another system voltage, V; null for the same
 * @param rules another school; null for the same
 * @param freeSizes whether sizes chosen by hand are given up
 * @param piece a piece of equipment as it would be; null when none changes
 * @param cable a cable as it would be; null when none changes
 */
public record Trial(
        @Nullable Double nominalV,
        @Nullable RuleSet rules,
        boolean freeSizes,
        @Nullable EquipmentDetails piece,
        @Nullable CableDetails cable) {
    /** Nothing changes. */
    static final Trial NONE = new Trial(null, null, false, null, null);

    /** Whether nothing changes. */
    public boolean idle() {
        return nominalV == null && rules == null && !freeSizes && piece == null && cable == null;
    }

    /**
     * The job as it would be. Under another voltage every load keeps its power: voltages scale, currents scale the other way, a bank gets
     * as many units in series as the voltage needs and fewer strings in parallel, its energy kept as nearly as whole units allow, a fuse the next standard rating.
     */
    public InstallationMaker.Parts over(InstallationMaker.Parts now) {
        double factor = nominalV == null ? 1 : nominalV / now.job().nominalVoltageV();
        JobDetails job = new JobDetails(
                now.job().name(),
                now.job().kind(),
                now.job().nominalVoltageV() * factor,
                now.job().chargingVoltageV() * factor,
                now.job().units(),
                rules == null ? now.job().ruleSet() : rules,
                now.job().rules());
        List<EquipmentDetails> equipment = now.equipment().stream()
                .map(details -> piece != null && piece.tag().equals(details.tag()) ? piece : details)
                .map(details -> factor == 1 ? details : at(details, factor, job.nominalVoltageV()))
                .toList();
        List<CableDetails> cables = now.cables().stream()
                .map(details -> cable != null && cable.tag().equals(details.tag()) ? cable : details)
                .map(details -> freeSizes ? details.sized(null) : details)
                .map(details -> details.carrying(details.currentA() / factor))
                .toList();
        return new InstallationMaker.Parts(job, equipment, cables, now.cases());
    }

    private static EquipmentDetails at(EquipmentDetails e, double factor, double nominalV) {
        Integer series = e.inSeries();
        Integer parallel = e.inParallel();
        if (e.kind() == EquipmentKind.BANK && series != null && parallel != null) {
            Chemistry chemistry = e.chemistry() == null ? Chemistry.LITHIUM_IRON : e.chemistry();
            int units = series * parallel;
            series = Math.max(1, (int) Math.rint(nominalV / chemistry.nominalV()));
            parallel = Math.max(1, (int) Math.rint((double) units / series));
        }
        boolean motor = e.kind().fields().contains("surgeCurrent");
        return new EquipmentDetails(
                e.tag(),
                e.name(),
                e.kind(),
                e.chemistry(),
                series,
                parallel,
                e.capacityAh(),
                e.ohm(),
                e.powerW(),
                scaled(e.currentA(), 1 / factor),
                e.efficiencyPercent(),
                scaled(e.lowestV(), factor),
                motor ? scaled(e.surge(), 1 / factor) : e.surge(),
                e.surgeS(),
                e.dutyOnS(),
                e.dutyOffS(),
                scaled(e.setV(), factor),
                e.dropPercent(),
                e.fuseFamily(),
                rating(e, factor),
                e.terminal());
    }

    /** A fuse for the current that its load then draws: the next standard rating. */
    private static @Nullable Double rating(EquipmentDetails e, double factor) {
        Double now = e.ratingA();
        FuseFamily family = e.fuseFamily();
        if (now == null || family == null) {
            return now;
        }
        return family.ratingsA().stream()
                .filter(rating -> rating >= now / factor)
                .findFirst()
                .orElse(now);
    }

    private static @Nullable Double scaled(@Nullable Double value, double factor) {
        return value == null ? null : Double.valueOf(value * factor);
    }
}
