package org.ulnaris.core.sizing;

import java.util.Objects;
import java.util.OptionalDouble;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

/**
 * What is asked of a cable.
 *
 * @param load current, length and allowed drop
 * @param conditions where and how it runs
 * @param terminalTempC temperature that the terminals at its ends stand, °C; empty when not below the insulation's
 * @param ruleSet the ampacity method in force
 * @param series the sizes to choose from
 * @param tinned whether its strands are tinned
 * @param heatBalanceDecides whether the heat balance may refuse a size that the table allows
 */
public record CableDemand(
        Load load,
        AmpacityConditions conditions,
        OptionalDouble terminalTempC,
        RuleSet ruleSet,
        SizeSeries series,
        boolean tinned,
        boolean heatBalanceDecides) {
    /** Range of {@link #terminalTempC}, °C. */
    public static final Range TERMINAL_TEMP_C = new Range(39.999, 250);

    public CableDemand {
        Objects.requireNonNull(load, "load");
        Objects.requireNonNull(conditions, "conditions");
        Objects.requireNonNull(ruleSet, "ruleSet");
        Objects.requireNonNull(series, "series");
        terminalTempC.ifPresent(t -> TERMINAL_TEMP_C.check("terminalTempC", t));
    }

    /** Where the stricter of both schools decides. */
    public CableDemand(
            Load load,
            AmpacityConditions conditions,
            OptionalDouble terminalTempC,
            RuleSet ruleSet,
            SizeSeries series,
            boolean tinned) {
        this(load, conditions, terminalTempC, ruleSet, series, tinned, true);
    }

    /**
     * What the cable carries, how far, and what it may lose.
     *
     * @param currentA continuous current, A
     * @param oneWayLengthM one way, along the route, m; the drop counts the loop of twice that
     * @param systemVoltageV nominal voltage, V
     * @param maxDropPercent allowed drop over the loop, % of nominal
     */
    public record Load(double currentA, double oneWayLengthM, double systemVoltageV, double maxDropPercent) {
        public static final Range CURRENT_A = new Range(0, 5000);
        public static final Range ONE_WAY_LENGTH_M = new Range(0, 500);
        public static final Range SYSTEM_VOLTAGE_V = new Range(0, 1500);
        public static final Range MAX_DROP_PERCENT = new Range(0, 50);

        public Load {
            CURRENT_A.check("currentA", currentA);
            ONE_WAY_LENGTH_M.check("oneWayLengthM", oneWayLengthM);
            SYSTEM_VOLTAGE_V.check("systemVoltageV", systemVoltageV);
            MAX_DROP_PERCENT.check("maxDropPercent", maxDropPercent);
        }

        /** Length out and back, m. */
        public double loopLengthM() {
            return 2 * oneWayLengthM;
        }

        /** Allowed drop, V. */
        public double maxDropV() {
            return systemVoltageV * maxDropPercent / 100;
        }
    }
}
