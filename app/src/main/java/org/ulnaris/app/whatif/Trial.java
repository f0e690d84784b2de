package org.ulnaris.app.whatif;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.VoltageChange;
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
    public JobParts over(JobParts now) {
        double nowV = now.job().nominalVoltageV();
        VoltageChange change = new VoltageChange(nowV, nominalV == null ? nowV : nominalV);
        JobDetails job = new JobDetails(
                now.job().name(),
                now.job().kind(),
                change.toV(),
                change.voltage(now.job().chargingVoltageV()),
                now.job().units(),
                rules == null ? now.job().ruleSet() : rules,
                now.job().rules());
        List<EquipmentDetails> equipment = now.equipment().stream()
                .map(details -> piece != null && piece.tag().equals(details.tag()) ? piece : details)
                .map(details -> change.none() ? details : at(details, change))
                .toList();
        List<CableDetails> cables = now.cables().stream()
                .map(details -> cable != null && cable.tag().equals(details.tag()) ? cable : details)
                .map(details -> freeSizes ? details.sized(null) : details)
                .map(details -> details.carrying(change.current(details.currentA())))
                .toList();
        return new JobParts(job, equipment, cables, now.ends(), now.cases(), now.shop(), now.records());
    }

    private static EquipmentDetails at(EquipmentDetails e, VoltageChange change) {
        Map<String, @Nullable Object> parts = new HashMap<>();
        Integer series = e.inSeries();
        Integer parallel = e.inParallel();
        if (e.kind() == EquipmentKind.BANK && series != null && parallel != null) {
            Chemistry chemistry = e.chemistry() == null ? Chemistry.LITHIUM_IRON : e.chemistry();
            int then = change.inSeries(chemistry);
            parts.put("inSeries", then);
            parts.put("inParallel", VoltageChange.inParallel(series * parallel, then));
        }
        if (e.kind().fields().contains("surgeCurrent")) {
            parts.put("surge", scaled(e.surge(), change::current));
        }
        parts.put("currentA", scaled(e.currentA(), change::current));
        parts.put("lowestV", scaled(e.lowestV(), change::voltage));
        parts.put("setV", scaled(e.setV(), change::voltage));
        parts.put("ratingA", rating(e, change));
        parts.put("chargeV", scaled(e.chargeV(), change::voltage));
        parts.put("cutOffV", scaled(e.cutOffV(), change::voltage));
        parts.put("highestV", scaled(e.highestV(), change::voltage));
        return Records.with(e, parts);
    }

    /** A fuse for the current that its load then draws: the next standard rating. */
    private static @Nullable Double rating(EquipmentDetails e, VoltageChange change) {
        Double now = e.ratingA();
        FuseFamily family = e.fuseFamily();
        return now == null || family == null ? now : Double.valueOf(change.fuseRating(family, now));
    }

    private static @Nullable Double scaled(@Nullable Double value, DoubleUnaryOperator change) {
        return value == null ? null : Double.valueOf(change.applyAsDouble(value));
    }
}
