package org.ulnaris.app.crib;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.SpikeCrimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.ToolKind;

/**
 * A tool as the crib keeps it; what does not belong to its kind is null.
 *
 * @param tag its number; printed, so it does not change
 * @param name what it is
 * @param kind its kind
 * @param family the dies that its jaw takes; empty for none
 * @param forceKn what it presses with, kN
 * @param upToMm2 largest conductor that its maker names, mm²
 * @param fullCycle whether it opens only after the full stroke
 * @param calibratedOn last calibration
 * @param calibrationDue next calibration
 * @param torqueFromNm lowest torque of a wrench, N·m
 * @param torqueToNm highest torque of a wrench, N·m
 * @param spikeMm width of an indent's spike, mm
 * @param dialZeroMm depth of the spike at the mark 0, mm
 * @param dialMarkMm depth of a mark, mm
 * @param torqueStepNm from one mark of a wrench to the next, N·m; null where it is set without steps
 */
@Embeddable
public record ToolDetails(
        String tag,
        String name,
        @Enumerated(EnumType.STRING) ToolKind kind,
        String family,
        @Nullable Double forceKn,
        @Nullable Double upToMm2,
        boolean fullCycle,
        @Nullable LocalDate calibratedOn,
        @Nullable LocalDate calibrationDue,
        @Nullable Double torqueFromNm,
        @Nullable Double torqueToNm,
        @Nullable Double spikeMm,
        @Nullable Double dialZeroMm,
        @Nullable Double dialMarkMm,
        @Nullable Double torqueStepNm) {
    public static final int LONGEST_TAG = 24;
    public static final int LONGEST_NAME = 60;

    private static final double USUAL_SPIKE_MM = 7;
    private static final FieldKind TORQUE = FieldKind.optionalQuantity(Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM);

    /** The fields of a tool; a tag once given stays. */
    public static final FormFields<ToolDetails> FIELDS = new FormFields<>(
            Records.of(
                    ToolDetails.class,
                    Map.of("tag", "", "name", "", "kind", ToolKind.HYDRAULIC_HAND, "family", "", "fullCycle", true)),
            List.of(
                    Field.of("tag", FieldKind.text(LONGEST_TAG, true).onlyOnce()),
                    Field.of("name", FieldKind.text(LONGEST_NAME, true)),
                    Field.of("kind", FieldKind.choice(ToolKind.class)),
                    Field.of("family", FieldKind.text(DieDetails.LONGEST_FAMILY, false)),
                    Field.of("force", "forceKn", FieldKind.optionalQuantity(Unit.KILONEWTON, Tool.FORCE_KN)),
                    Field.of("upTo", "upToMm2", FieldKind.optionalNumber(Crimp.CONDUCTOR_AREA_MM2)),
                    Field.of("fullCycle", FieldKind.flag()),
                    Field.of("calibratedOn", FieldKind.optionalDay()),
                    Field.of("calibrationDue", FieldKind.optionalDay()),
                    Field.of("torqueFrom", "torqueFromNm", TORQUE),
                    Field.of("torqueTo", "torqueToNm", TORQUE),
                    Field.of("torqueStep", "torqueStepNm", TORQUE),
                    Field.of("spike", "spikeMm", FieldKind.optionalQuantity(Unit.MM, SpikeCrimp.Spike.WIDTH_MM)),
                    Field.of("dialZero", "dialZeroMm", FieldKind.optionalQuantity(Unit.MM, SpikeCrimp.Dial.AT_ZERO_MM)),
                    Field.of(
                            "dialMark",
                            "dialMarkMm",
                            FieldKind.optionalQuantity(Unit.MM, SpikeCrimp.Dial.PER_MARK_MM))));

    /** As the core knows it. */
    public Tool tool() {
        OptionalDouble force = forceKn == null ? OptionalDouble.empty() : OptionalDouble.of(forceKn);
        return new Tool(tag, kind, family, force, fullCycle);
    }

    /** Its spike; one of a usual width where none was measured. */
    public SpikeCrimp.Spike spike() {
        SpikeCrimp.Dial dial = dialZeroMm == null || dialMarkMm == null
                ? SpikeCrimp.Dial.NONE
                : new SpikeCrimp.Dial(dialZeroMm, dialMarkMm);
        return new SpikeCrimp.Spike(
                kind == ToolKind.HAMMER ? SpikeCrimp.Form.WEDGE : SpikeCrimp.Form.BAR,
                spikeMm == null ? USUAL_SPIKE_MM : spikeMm,
                dial);
    }

    /** Whether a wrench's range holds {@code torqueNm}. */
    public boolean covers(double torqueNm) {
        return torqueFromNm != null && torqueToNm != null && torqueNm >= torqueFromNm && torqueNm <= torqueToNm;
    }

    /** What a wrench is set to for {@code torqueNm}: the nearest of its marks, counted from its lowest torque, N·m. */
    public double settingNm(double torqueNm) {
        if (torqueStepNm == null || torqueFromNm == null) {
            return torqueNm;
        }
        return torqueFromNm + Math.rint((torqueNm - torqueFromNm) / torqueStepNm) * torqueStepNm;
    }

    /** How far {@code torqueNm} lies off the middle of a wrench's range, as a share of it; infinity without a range. */
    double offMiddle(double torqueNm) {
        return torqueFromNm == null || torqueToNm == null
                ? Double.POSITIVE_INFINITY
                : Math.abs(torqueNm - (torqueFromNm + torqueToNm) / 2) / (torqueToNm - torqueFromNm);
    }

    /** Whether its calibration has run out on {@code today}. */
    public boolean overdue(LocalDate today) {
        return calibrationDue != null && calibrationDue.isBefore(today);
    }
}
