package org.ulnaris.core.installation;

import java.util.Objects;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.protection.InsulationKind;
import org.ulnaris.core.protection.ShortCircuitHeat;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.DropLimit;
import org.ulnaris.core.sizing.Guard;
import org.ulnaris.core.sizing.Spells;
import org.ulnaris.core.sizing.TerminalLimit;

/**
 * A single conductor from terminal to terminal.
 *
 * @param tag name, unique among the runs
 * @param from one end
 * @param to the other end
 * @param lengthM its length, m
 * @param laying what decides its size beside current and length
 * @param fixed the size chosen by hand; null when Ulnaris may choose
 * @param extraJoints splices and other joints beside its two ends
 * @param typedA continuous current that a person asks of it at least, A; 0 where only the loads ask
 * @param spareM what is cut beside its length, m
 */
public record Run(
        String tag,
        Terminal from,
        Terminal to,
        double lengthM,
        Laying laying,
        @Nullable ConductorSize fixed,
        int extraJoints,
        double typedA,
        double spareM) {
    /**
     * How a conductor is laid and what it may lose.
     *
     * @param conditions insulation, ambient, engine space, bundle
     * @param terminalTempC limit of its terminals, °C; empty where nobody gave it
     * @param series sizes to choose from
     * @param metal what its strands are made of
     * @param drop what the whole loop may lose when this conductor and its return are all there is
     * @param insulation what its insulation is made of; null where that is not known
     * @param soldered whether solder joins one of its ends: a short circuit may warm it less
     */
    public record Laying(
            AmpacityConditions conditions,
            OptionalDouble terminalTempC,
            SizeSeries series,
            ConductorMetal metal,
            DropLimit drop,
            @Nullable InsulationKind insulation,
            boolean soldered) {
        /** Of copper, insulation that is not known, without solder; its allowed drop was given, % of nominal. */
        public Laying(
                AmpacityConditions conditions,
                OptionalDouble terminalTempC,
                SizeSeries series,
                boolean tinned,
                double maxDropPercent) {
            this(
                    conditions,
                    terminalTempC,
                    series,
                    ConductorMetal.copper(tinned),
                    DropLimit.given(maxDropPercent),
                    null,
                    false);
        }

        /**
         * What is asked of a cable that is laid so, under {@code system}: one of two conductors of a loop.
         *
         * @param lengthM its length, m
         * @param currentA what it is sized for, A; what lies beyond the range is beyond every size as well
         * @param guard what can flow into it; null where that is not known
         */
        public CableDemand demand(
                Installation.System system,
                double lengthM,
                double currentA,
                @Nullable Guard guard,
                @Nullable Spells spells) {
            double loadA = Math.min(currentA, CableDemand.Load.CURRENT_A.upTo());
            return new CableDemand(
                    new CableDemand.Load(loadA, lengthM, system.nominalV(), drop),
                    conditions,
                    TerminalLimit.of(
                                    terminalTempC,
                                    system.ruleSet(),
                                    system.house().terminalC())
                            .orElse(null),
                    system.ruleSet(),
                    series,
                    metal,
                    system.house().sizes(),
                    guard,
                    spells);
        }

        /** What a short circuit may heat it to, as the k of its metal, A·√s/mm². */
        public double shortCircuitK() {
            double insulationC = conditions.insulationTempC();
            double insulationEndC =
                    ShortCircuitHeat.Insulation.of(insulation, insulationC).finalC();
            double jointC = soldered ? ShortCircuitHeat.Insulation.SOLDERED_90.finalC() : ShortCircuitHeat.CRIMPED_C;
            double finalC = Math.min(jointC, insulationEndC);
            return ShortCircuitHeat.Metal.of(metal).k(Math.min(insulationC, finalC - 10), finalC);
        }

        public Laying {
            Objects.requireNonNull(conditions, "conditions");
            Objects.requireNonNull(series, "series");
            Objects.requireNonNull(metal, "metal");
            CableDemand.Load.MAX_DROP_PERCENT.check("maxDropPercent", drop.percent());
        }
    }

    /** Its ends: a joint each. */
    public static final int ENDS = 2;

    public static final Range EXTRA_JOINTS = Range.from(0, 100);
    public static final Range TYPED_A = Range.from(0, 5000);
    public static final Range SPARE_M = Range.from(0, 5);
    public static final Range LENGTH_M = CableDemand.Load.ONE_WAY_LENGTH_M;

    public Run {
        Objects.requireNonNull(from, "from");
        Objects.requireNonNull(to, "to");
        Objects.requireNonNull(laying, "laying");
        LENGTH_M.check("lengthM", lengthM);
        EXTRA_JOINTS.check("extraJoints", extraJoints);
        TYPED_A.check("typedA", typedA);
        SPARE_M.check("spareM", spareM);
    }

    /** A run with nothing to spare. */
    public Run(
            String tag,
            Terminal from,
            Terminal to,
            double lengthM,
            Laying laying,
            @Nullable ConductorSize fixed,
            int extraJoints,
            double typedA) {
        this(tag, from, to, lengthM, laying, fixed, extraJoints, typedA, 0);
    }

    /** A run of which only the loads ask. */
    public Run(
            String tag,
            Terminal from,
            Terminal to,
            double lengthM,
            Laying laying,
            @Nullable ConductorSize fixed,
            int extraJoints) {
        this(tag, from, to, lengthM, laying, fixed, extraJoints, 0);
    }

    /** An unbroken run. */
    public Run(String tag, Terminal from, Terminal to, double lengthM, Laying laying, @Nullable ConductorSize fixed) {
        this(tag, from, to, lengthM, laying, fixed, 0);
    }

    /** The same run in a size chosen by hand; null where Ulnaris may choose. */
    public Run sized(@Nullable ConductorSize size) {
        return new Run(tag, from, to, lengthM, laying, size, extraJoints, typedA, spareM);
    }

    /** The conductor that is cut, m: what lies between a fuse and what feeds it. */
    public double cutM() {
        return lengthM + spareM;
    }

    /** All its joints, the ends among them. */
    public int joints() {
        return ENDS + extraJoints;
    }
}
