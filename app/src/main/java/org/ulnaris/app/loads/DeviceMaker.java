package org.ulnaris.app.loads;

import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.sizing.DropLimit;

/** Equipment as the core knows it. */
final class DeviceMaker {
    /** Behind a charger's terminals (ours): a hundredth of an ohm, so that two chargers share. */
    private static final double CHARGER_OHM = 0.01;

    /** A balancer works on whatever its battery has left (ours). */
    private static final double BALANCER_LOWEST_V = 1;

    private DeviceMaker() {}

    static Device device(EquipmentDetails e, JobDetails job) {
        double nominalV = job.nominalVoltageV();
        DropLimit usual = job.rules().usualDrop(e.kind().isMotor());
        return switch (e.kind()) {
            case BANK -> new Device.Bank(e.tag(), build(e));
            case INVERTER -> load(e, usual, Device.DrawKind.POWER, need(e.powerW()), need(e.efficiencyPercent()) / 100);
            case ELECTRONICS, MOTOR, STARTER, BALANCER ->
                load(e, usual, Device.DrawKind.CURRENT, need(e.currentA()), 1);
            case HEATER ->
                load(
                        e,
                        usual,
                        Device.DrawKind.RESISTANCE,
                        within(nominalV * nominalV / need(e.powerW()), Device.Draw.VALUE),
                        1);
            case CHARGER -> new Device.Charger(e.tag(), need(e.setV()), CHARGER_OHM, need(e.currentA()));
            case ALTERNATOR -> Device.Charger.alternator(e.tag(), need(e.setV()), CHARGER_OHM, need(e.currentA()));
            case SOLAR ->
                new Device.Charger(
                        e.tag(),
                        need(e.setV()),
                        CHARGER_OHM,
                        within(need(e.powerW()) / need(e.setV()), Device.Charger.MAX_A));
            case PANELS -> Device.Charger.panels(e.tag(), panels(e));
            case PANEL_INPUT ->
                new Device.PanelInput(
                        e.tag(),
                        e.highestV(),
                        e.currentA(),
                        e.dropPercent() == null ? usual : DropLimit.given(need(e.dropPercent())));
            case BUS_BAR, CHASSIS, BRANCH -> new Device.Bar(e.tag(), e.ratingA());
            case FUSE ->
                new Device.Fuse(
                        e.tag(),
                        within(need(e.ohm()), Device.Link.OHM),
                        Objects.requireNonNullElse(e.fuseFamily(), FuseFamily.SF51),
                        need(e.ratingA()),
                        e.mount().orElse(null));
            case SWITCH, SHUNT, PLUG ->
                new Device.Link(
                        e.tag(), within(need(e.ohm()), Device.Link.OHM), e.ratingA(), e.kind() == EquipmentKind.SHUNT);
        };
    }

    private static PanelString panels(EquipmentDetails e) {
        Double perKelvin = e.percentPerKelvin();
        return new PanelString(
                Objects.requireNonNullElse(e.inSeries(), 1),
                need(e.openV()),
                need(e.setV()),
                need(e.shortA()),
                need(e.currentA()),
                perKelvin == null ? null : -Math.abs(perKelvin),
                e.coldestC(),
                e.ratingA());
    }

    private static Device.BankBuild build(EquipmentDetails e) {
        Chemistry chemistry = Objects.requireNonNullElse(e.chemistry(), Chemistry.LITHIUM_IRON);
        int series = Objects.requireNonNullElse(e.inSeries(), 1);
        int parallel = Objects.requireNonNullElse(e.inParallel(), 1);
        double capacity = need(e.capacityAh());
        Double ohm = e.ohm();
        Device.BankBuild build = ohm == null
                ? Device.BankBuild.typical(chemistry, series, parallel, capacity)
                : new Device.BankBuild(chemistry, series, parallel, capacity, within(ohm, Device.BankBuild.UNIT_OHM));
        build = build.joined(
                new Device.Strings(Optional.ofNullable(e.stringTap()), Optional.ofNullable(e.stringFuses())));
        if (e.chargeV() == null && e.cutOffV() == null) {
            return build;
        }
        return build.within(new Device.Window(
                Objects.requireNonNullElse(e.cutOffV(), build.lowestV()),
                Objects.requireNonNullElse(e.chargeV(), build.chargeV())));
    }

    private static Device.Consumer load(
            EquipmentDetails e, DropLimit usual, Device.DrawKind kind, double value, double efficiency) {
        double lowestV = e.kind() == EquipmentKind.BALANCER ? BALANCER_LOWEST_V : need(e.lowestV());
        Double surge = e.surge();
        Double surgeS = e.surgeS();
        Device.Draw draw = surge != null && surgeS != null && surge > value
                ? new Device.Draw(kind, value, efficiency, lowestV, surge, surgeS)
                : Device.Draw.steady(kind, value, efficiency, lowestV);
        Double on = e.dutyOnS();
        Double off = e.dutyOffS();
        return new Device.Consumer(
                e.tag(),
                draw,
                e.dropPercent() == null ? usual : DropLimit.given(need(e.dropPercent())),
                e.kind() == EquipmentKind.STARTER,
                on == null || off == null ? null : new Device.Duty(on, off),
                Objects.requireNonNullElse(e.idleW(), 0.0),
                e.highestV(),
                e.kind() == EquipmentKind.BALANCER);
    }

    /**
     * A figure worked out from others, or kept before its range began so high, stays within it: a heater of a milliwatt draws nothing that
     * counts, and less than a nanoohm is none.
     */
    private static double within(double value, Range range) {
        return Math.min(Math.max(value, Math.nextUp(range.above())), range.upTo());
    }

    private static double need(@Nullable Double value) {
        return Objects.requireNonNull(value, "a figure of its kind is missing");
    }
}
