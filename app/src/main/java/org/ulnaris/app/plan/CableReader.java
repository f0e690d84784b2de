package org.ulnaris.app.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;

/** Typed text of a cable to its details and back; the form and the CSV file use the same. */
public final class CableReader {
    private CableReader() {}

    /**
     * Reads what was typed over {@code standing}; faults stay in {@code entries}. An empty current means the loads' where both ends are
     * {@code terminals}.
     */
    public static CableDetails read(
            Entries entries, Map<String, String> typed, CableDetails standing, Set<String> terminals) {
        String from = entries.text("from", CableDetails.LONGEST_POINT, false, standing.fromPoint());
        String to = entries.text("to", CableDetails.LONGEST_POINT, false, standing.toPoint());
        boolean joined = terminals.contains(from) && terminals.contains(to);
        boolean fromLoads =
                joined && (entries.blank("current") || (standing.currentFromLoads() && typed.get("current") == null));
        SizeSeries series = entries.choice("series", SizeSeries.class, standing.series());
        return new CableDetails(
                entries.text("tag", CableDetails.LONGEST_TAG, true, standing.tag()),
                from,
                to,
                entries.choice("polarity", Polarity.class, standing.polarity()),
                fromLoads
                        ? standing.currentA()
                        : entries.quantity("current", Unit.AMPERE, CableDemand.Load.CURRENT_A, standing.currentA()),
                entries.quantity("length", Unit.M, CableDemand.Load.ONE_WAY_LENGTH_M, standing.lengthM()),
                entries.quantity("drop", Unit.PERCENT, CableDemand.Load.MAX_DROP_PERCENT, standing.dropPercent()),
                entries.quantity(
                        "insulation", Unit.CELSIUS, AmpacityConditions.INSULATION_TEMP_C, standing.insulationTempC()),
                entries.quantity("ambient", Unit.CELSIUS, AmpacityConditions.AMBIENT_C, standing.ambientC()),
                entries.optionalQuantity(
                        "terminal", Unit.CELSIUS, CableDemand.TERMINAL_TEMP_C, standing.terminalTempC()),
                entries.flag("engineSpace", standing.engineSpace()),
                entries.count("bundled", AmpacityConditions.BUNDLED, standing.bundled()),
                series,
                entries.flag("tinned", standing.tinned()),
                entries.quantity("slack", Unit.MM, CableDetails.SLACK_MM, standing.slackMm()),
                entries.quantity("clock", Unit.DEGREE, CableDetails.CLOCK_DEG, standing.clockDeg()),
                entries.optionalQuantity("outer", Unit.MM, CableDetails.OUTER_MM, standing.outerMm()),
                size(entries, typed.get("size"), series, standing.chosenSize()),
                fromLoads);
    }

    private static @Nullable String size(
            Entries entries, @Nullable String typed, SizeSeries series, @Nullable String standing) {
        if (typed == null) {
            return standing;
        }
        if (typed.isBlank()) {
            return null;
        }
        try {
            return ConductorSizes.parse(typed, series).designation();
        } catch (MeasureException e) {
            entries.fault("size", Fault.Code.UNKNOWN_SIZE, e.example());
            return standing;
        }
    }

    /** The text of each field, as a form shows it and a file holds it. */
    public static Map<String, String> texts(CableDetails cable, Fmt fmt) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("tag", cable.tag());
        texts.put("from", cable.fromPoint());
        texts.put("to", cable.toPoint());
        texts.put("polarity", cable.polarity().name());
        texts.put("current", cable.currentFromLoads() ? "" : fmt.entry(cable.currentA(), Unit.AMPERE));
        texts.put("length", fmt.entry(cable.lengthM(), Unit.M));
        texts.put("drop", fmt.entry(cable.dropPercent(), Unit.PERCENT));
        texts.put("insulation", fmt.entry(cable.insulationTempC(), Unit.CELSIUS));
        texts.put("ambient", fmt.entry(cable.ambientC(), Unit.CELSIUS));
        texts.put("terminal", fmt.entry(cable.terminalTempC(), Unit.CELSIUS));
        texts.put("engineSpace", Boolean.toString(cable.engineSpace()));
        texts.put("bundled", Integer.toString(cable.bundled()));
        texts.put("series", cable.series().name());
        texts.put("tinned", Boolean.toString(cable.tinned()));
        texts.put("slack", fmt.entry(cable.slackMm(), Unit.MM));
        texts.put("clock", fmt.entry(cable.clockDeg(), Unit.DEGREE));
        texts.put("outer", fmt.entry(cable.outerMm(), Unit.MM));
        texts.put("size", cable.chosenSize() == null ? "" : cable.chosenSize());
        return texts;
    }
}
