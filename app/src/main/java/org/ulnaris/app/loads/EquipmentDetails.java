package org.ulnaris.app.loads;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;

/**
 * What a person says about a piece of equipment; what its kind lacks is null.
 *
 * @param inSeries units of a bank, or solar panels, in series
 * @param inParallel strings of a bank in parallel
 * @param capacityAh capacity of a unit, Ah
 * @param ohm resistance, Ω; of a bank that of a unit, null for the typical
 * @param powerW output of an inverter or heater, peak of solar panels, W
 * @param currentA current of a load, greatest current of a charger, of a solar panel at its greatest power, or of the panels that a
 *     controller stands, A
 * @param efficiencyPercent output ÷ input, %
 * @param lowestV lowest working voltage, V
 * @param surge peak power in W or inrush in A
 * @param surgeS how long, s
 * @param dutyOnS how long a motor works, s; null when it works on
 * @param dutyOffS how long it then rests, s
 * @param setV voltage that a charger holds, or of one solar panel at its greatest power, V
 * @param dropPercent what may be lost between source and load, %; null where nobody gave it
 * @param fuseFamily family of a fuse
 * @param ratingA rating of a fuse, switch, shunt, plug, branch or bar, or largest fuse of a solar panel, A; null but of a fuse where
 *     nobody gave it
 * @param chargeV voltage at which a bank is charged, V; null for that of its kind
 * @param cutOffV voltage at which a bank is cut off, V; null for that of its kind
 * @param idleW what an inverter takes while it feeds nothing, W
 * @param highestV highest voltage that a load or a controller's panel side stands, V; null where nobody gave it
 * @param stringTap how the strings of a bank are joined; null where nobody said
 * @param stringFuses whether each string of a bank has its own fuse; null where nobody said
 * @param openV open-circuit voltage of one solar panel, V
 * @param shortA short-circuit current of one solar panel, A
 * @param coldestC lowest air temperature at solar panels, °C; null where nobody gave it
 * @param percentPerKelvin change of a solar panel's open-circuit voltage, % for each kelvin; null where nobody gave it
 * @param mountedOn the terminal or the bar on which a fuse sits, as TAG.terminal or TAG; null where a cable leads to it
 * @param terminal what its terminals are like; null when nothing is said
 */
@Embeddable
public record EquipmentDetails(
        String tag,
        String name,
        @Enumerated(EnumType.STRING) EquipmentKind kind,
        @Enumerated(EnumType.STRING) @Nullable Chemistry chemistry,
        @Nullable Integer inSeries,
        @Nullable Integer inParallel,
        @Nullable Double capacityAh,
        @Nullable Double ohm,
        @Nullable Double powerW,
        @Nullable Double currentA,
        @Nullable Double efficiencyPercent,
        @Nullable Double lowestV,
        @Nullable Double surge,
        @Nullable Double surgeS,
        @Nullable Double dutyOnS,
        @Nullable Double dutyOffS,
        @Nullable Double setV,
        @Nullable Double dropPercent,
        @Enumerated(EnumType.STRING) @Nullable FuseFamily fuseFamily,
        @Nullable Double ratingA,
        @Nullable Double chargeV,
        @Nullable Double cutOffV,
        @Nullable Double idleW,
        @Nullable Double highestV,
        @Enumerated(EnumType.STRING) @Nullable StringTap stringTap,
        @Enumerated(EnumType.STRING) @Nullable StringFuses stringFuses,
        @Nullable Double openV,
        @Nullable Double shortA,
        @Nullable Double coldestC,
        @Nullable Double percentPerKelvin,
        @Nullable String mountedOn,
        @Embedded @Nullable TerminalSpec terminal) {
    public static final int LONGEST_TAG = Tags.LONGEST;
    public static final int LONGEST_NAME = 80;
    static final int LONGEST_TERMINAL = LONGEST_TAG + 6;

    /** The terminal on which a fuse sits; a bar may go by its tag alone. */
    Optional<Terminal> mount() {
        String text = mountedOn;
        return text == null || text.isBlank()
                ? Optional.empty()
                : Terminal.read(text).or(() -> Optional.of(new Terminal(text, Terminal.Port.BAR)));
    }

    /** The same piece under another tag. */
    EquipmentDetails tagged(String newTag) {
        return Records.with(this, Map.of("tag", newTag));
    }

    /**
     * As the core knows it, in {@code job}.
     *
     * @throws IllegalArgumentException when a figure is out of its range
     */
    public Piece model(JobDetails job) {
        TerminalSpec spec = terminal;
        Integer most = spec == null ? null : spec.mostLugs();
        return new Piece(
                DeviceMaker.device(this, job),
                kind == EquipmentKind.CHASSIS,
                most == null ? OptionalInt.empty() : OptionalInt.of(most),
                spec == null ? null : spec.metal());
    }
}
