package org.ulnaris.core.sizing;

import java.util.Objects;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.SizePolicy;

/**
 * What is asked of a cable.
 *
 * @param load current, length and allowed drop
 * @param conditions where and how it runs
 * @param terminal what the terminals at its ends stand; null where that is not known
 * @param ruleSet the ampacity method in force
 * @param series the sizes to choose from
 * @param metal what its strands are made of
 * @param policy how the house chooses among them
 * @param guard what can flow into it from outside; null where that is not known
 * @param spells how its current comes and goes; null where all of it flows for good
 */
public record CableDemand(
        Load load,
        AmpacityConditions conditions,
        @Nullable TerminalLimit terminal,
        RuleSet ruleSet,
        SizeSeries series,
        ConductorMetal metal,
        SizePolicy policy,
        @Nullable Guard guard,
        @Nullable Spells spells) {
    public CableDemand {
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(conditions, "conditions");
        Objects.requireNonNull(ruleSet, "ruleSet");
        Objects.requireNonNull(series, "series");
    }

    /** Of a current that flows for good. */
    public CableDemand(
            Load load,
            AmpacityConditions conditions,
            @Nullable TerminalLimit terminal,
            RuleSet ruleSet,
            SizeSeries series,
            ConductorMetal metal,
            SizePolicy policy,
            @Nullable Guard guard) {
        this(load, conditions, terminal, ruleSet, series, metal, policy, guard, null);
    }

    /** Of copper, as the tables are read, with terminals as given, for a cable of which it is not known what feeds it. */
    public CableDemand(
            Load load,
            AmpacityConditions conditions,
            OptionalDouble terminalTempC,
            RuleSet ruleSet,
            SizeSeries series,
            boolean tinned) {
        this(
                load,
                conditions,
                terminalTempC.isPresent() ? TerminalLimit.given(terminalTempC.getAsDouble()) : null,
                ruleSet,
                series,
                ConductorMetal.copper(tinned),
                SizePolicy.BARE,
                null);
    }

    /**
     * What the cable carries, how far, and what it may lose.
     *
     * @param currentA continuous current, A
     * @param oneWayLengthM one way, along the route, m; the drop counts the loop of twice that
     * @param systemVoltageV nominal voltage, V
     * @param drop allowed drop over the loop
     */
    public record Load(double currentA, double oneWayLengthM, double systemVoltageV, DropLimit drop) {
        public static final Range CURRENT_A = new Range(0, 5000);
        public static final Range ONE_WAY_LENGTH_M = new Range(0, 500);
        public static final Range SYSTEM_VOLTAGE_V = new Range(0, 1500);
        public static final Range MAX_DROP_PERCENT = new Range(0, 50);

        public Load {
            CURRENT_A.check("currentA", currentA);
            ONE_WAY_LENGTH_M.check("oneWayLengthM", oneWayLengthM);
            SYSTEM_VOLTAGE_V.check("systemVoltageV", systemVoltageV);
            MAX_DROP_PERCENT.check("maxDropPercent", drop.percent());
        }

        /** With an allowed drop that somebody gave, % of nominal. */
        public Load(double currentA, double oneWayLengthM, double systemVoltageV, double maxDropPercent) {
            this(currentA, oneWayLengthM, systemVoltageV, DropLimit.given(maxDropPercent));
        }

        /** Length out and back, m. */
        public double loopLengthM() {
            return 2 * oneWayLengthM;
        }

        /** Allowed drop, V. */
        public double maxDropV() {
            return systemVoltageV * drop.percent() / 100;
        }
    }
}
