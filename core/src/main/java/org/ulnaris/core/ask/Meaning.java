package org.ulnaris.core.ask;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;

/** What a word of the line stands for. */
public enum Meaning {
    /** What flows, A. */
    CURRENT(Unit.AMPERE, CableDemand.Load.CURRENT_A),
    /** What the load takes, or an inverter gives, W. */
    POWER(Unit.WATT, Device.Draw.VALUE),
    /** How far, m. */
    LENGTH(Unit.M, CableDemand.Load.ONE_WAY_LENGTH_M),
    /** Nominal voltage, V. */
    VOLTAGE(Unit.VOLT, CableDemand.Load.SYSTEM_VOLTAGE_V),
    /** Allowed drop over the loop, %. */
    DROP(Unit.PERCENT, CableDemand.Load.MAX_DROP_PERCENT),
    /** Air around the cable, °C. */
    AMBIENT(Unit.CELSIUS, AmpacityConditions.AMBIENT_C),
    /** Capacity of the battery, Ah. */
    CAPACITY(Unit.AMPERE_HOUR, Device.BankBuild.UNIT_AH),
    /** How long a motor or a starter works at a time, s. */
    SPELL(Unit.SECOND, Device.Duty.SECONDS),
    /** Allowed drop over the loop, V. */
    DROP_V(Unit.VOLT, CableDemand.Load.SYSTEM_VOLTAGE_V),
    /** What the insulation stands, °C. */
    INSULATION(Unit.CELSIUS, AmpacityConditions.INSULATION_TEMP_C),
    /** Rating of the fuse that was chosen by hand, A. */
    FUSE(Unit.AMPERE, Device.Fuse.RATING_A),
    /** How many loaded conductors lie together; a count. */
    BUNDLED(Unit.AMPERE, AmpacityConditions.BUNDLED),
    /** It runs through an engine space. */
    ENGINE_SPACE,
    CONDUIT,
    /** It runs in a wall or within insulation. */
    WALLED,
    /** What its insulation is made of. */
    MATERIAL,
    /** What its strands are made of. */
    STRANDS,
    /** What kind of battery feeds it. */
    CHEMISTRY,
    /** A stud that a lug goes on. */
    STUD,
    /** A conductor size chosen by hand. */
    SIZE,
    /** What the cable feeds. */
    LOAD,
    /** The length was that of the loop, out and back. */
    LOOP,
    /** A word that only joins others. */
    JOINING,
    /** Not understood. */
    UNKNOWN;

    private final @Nullable Unit unit;
    private final @Nullable Range range;

    Meaning() {
        this(null, null);
    }

    Meaning(@Nullable Unit unit, @Nullable Range range) {
        this.unit = unit;
        this.range = range;
    }

    /** The unit of its figure; empty where it has none. */
    public Optional<Unit> unit() {
        return Optional.ofNullable(unit);
    }

    /** What its figure may be, in {@link #unit()}; empty where it has none. */
    public Optional<Range> range() {
        return Optional.ofNullable(range);
    }
}
