package org.ulnaris.app.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.InsulationKind;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.TerminalLimit;

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
        Double bendMm = entries.optionalQuantity("bend", Unit.MM, CableDetails.BEND_MM, standing.bendMm());
        Way way = way(entries, typed.get("length"), bendMm, standing);
        return new CableDetails(
                entries.text("tag", CableDetails.LONGEST_TAG, true, standing.tag()),
                from,
                to,
                entries.choice("polarity", Polarity.class, standing.polarity()),
                fromLoads
                        ? standing.currentA()
                        : entries.quantity("current", Unit.AMPERE, CableDemand.Load.CURRENT_A, standing.currentA()),
                way.lengthM(),
                entries.quantity("drop", Unit.PERCENT, CableDemand.Load.MAX_DROP_PERCENT, standing.dropPercent()),
                entries.quantity(
                        "insulation", Unit.CELSIUS, AmpacityConditions.INSULATION_TEMP_C, standing.insulationTempC()),
                entries.quantity("ambient", Unit.CELSIUS, AmpacityConditions.AMBIENT_C, standing.ambientC()),
                entries.optionalQuantity("terminal", Unit.CELSIUS, TerminalLimit.LIMIT_C, standing.terminalTempC()),
                entries.flag("engineSpace", standing.engineSpace()),
                entries.flag("conduit", standing.conduit()),
                entries.flag("walled", standing.walled()),
                entries.optionalChoice("material", InsulationKind.class, standing.material()),
                entries.count("bundled", AmpacityConditions.BUNDLED, standing.bundled()),
                series,
                metal(entries, typed, standing),
                entries.quantity("slack", Unit.MM, CableDetails.SLACK_MM, standing.slackMm()),
                entries.optionalQuantity("clock", Unit.DEGREE, CableDetails.CLOCK_DEG, standing.clockDeg()),
                entries.optionalQuantity("outer", Unit.MM, CableDetails.OUTER_MM, standing.outerMm()),
                size(entries, typed.get("size"), series, standing.chosenSize()),
                entries.count("joints", Run.EXTRA_JOINTS, standing.extraJoints()),
                way.legs(),
                bendMm,
                fromLoads);
    }

    /** Strands of copper, tinned or not, or of aluminium; older tables say only whether they are tinned. */
    private static ConductorMetal metal(Entries entries, Map<String, String> typed, CableDetails standing) {
        return typed.containsKey("tinned") && !typed.containsKey("strands")
                ? ConductorMetal.copper(entries.flag("tinned", standing.metal() == ConductorMetal.TINNED))
                : entries.choice("strands", ConductorMetal.class, standing.metal());
    }

    /** Length and, where it was typed leg by leg, the legs as they are kept. */
    private record Way(double lengthM, @Nullable String legs) {}

    /** "0.4 m + 1.2 m" or "0.4 m up" is a route of straight legs, anything else one figure. */
    private static Way way(Entries entries, @Nullable String typed, @Nullable Double bendMm, CableDetails standing) {
        String text = typed == null ? standing.legs() : typed;
        if (text == null || !CableRoute.hasLegs(text)) {
            return new Way(
                    entries.quantity("length", Unit.M, CableDemand.Load.ONE_WAY_LENGTH_M, standing.lengthM()), null);
        }
        try {
            Unit bare = typed == null ? Unit.M : entries.bareUnit(Unit.M);
            CableRoute route = CableRoute.parse(text, bare, bendMm == null ? 0 : bendMm);
            double length = Figures.rounded(route.lengthM(), 9);
            if (text.length() <= CableDetails.LONGEST_ROUTE && CableDemand.Load.ONE_WAY_LENGTH_M.contains(length)) {
                return new Way(length, route.text());
            }
            entries.fault("length", Fault.Code.OUT_OF_RANGE, "0", "500 m");
        } catch (MeasureException e) {
            entries.fault("length", Fault.Code.valueOf(e.reason().name()), e.example());
        }
        return new Way(standing.lengthM(), standing.legs());
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
        texts.put("length", cable.legs() == null ? fmt.entry(cable.lengthM(), Unit.M) : cable.legs());
        texts.put("drop", fmt.entry(cable.dropPercent(), Unit.PERCENT));
        texts.put("insulation", fmt.entry(cable.insulationTempC(), Unit.CELSIUS));
        texts.put("ambient", fmt.entry(cable.ambientC(), Unit.CELSIUS));
        texts.put("terminal", fmt.entry(cable.terminalTempC(), Unit.CELSIUS));
        texts.put("engineSpace", Boolean.toString(cable.engineSpace()));
        texts.put("conduit", Boolean.toString(cable.conduit()));
        texts.put("walled", Boolean.toString(cable.walled()));
        InsulationKind material = cable.material();
        texts.put("material", material == null ? "" : material.name());
        texts.put("bundled", Integer.toString(cable.bundled()));
        texts.put("series", cable.series().name());
        texts.put("strands", cable.metal().name());
        texts.put("slack", fmt.entry(cable.slackMm(), Unit.MM));
        texts.put("clock", fmt.entry(cable.clockDeg(), Unit.DEGREE));
        texts.put("outer", fmt.entry(cable.outerMm(), Unit.MM));
        texts.put("joints", Integer.toString(cable.extraJoints()));
        texts.put("bend", fmt.entry(cable.bendMm(), Unit.MM));
        texts.put("size", cable.chosenSize() == null ? "" : cable.chosenSize());
        return texts;
    }
}
