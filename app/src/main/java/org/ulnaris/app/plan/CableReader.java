package org.ulnaris.app.plan;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.sizing.CableDemand;

/** Typed text of a cable to its details and back; the form and the CSV file use the same. */
public final class CableReader {
    private static final CableField CURRENT = CableField.of("current");
    private static final CableField LENGTH = CableField.of("length");

    private CableReader() {}

    /**
     * Reads what was typed over {@code standing}; faults stay in {@code entries}. An empty current means the loads' where both ends are
     * {@code terminals}.
     */
    public static CableDetails read(
            Entries entries, Map<String, String> typed, CableDetails standing, Set<String> terminals) {
        Map<String, @Nullable Object> parts = new HashMap<>();
        for (CableField field : CableField.ALL) {
            if (!field.traits().contains(CableField.Trait.TOGETHER)) {
                parts.put(field.part(), field.read(entries, standing));
            }
        }
        CableDetails alone = Records.with(standing, parts);
        boolean joined = terminals.contains(alone.fromPoint()) && terminals.contains(alone.toPoint());
        boolean fromLoads =
                joined && (entries.blank("current") || (standing.currentFromLoads() && typed.get("current") == null));
        Way way = way(entries, typed.get("length"), alone.bendMm(), standing);
        Map<String, @Nullable Object> together = new HashMap<>();
        together.put("currentFromLoads", fromLoads);
        together.put("currentA", fromLoads ? standing.currentA() : CURRENT.read(entries, standing));
        together.put("lengthM", way.lengthM());
        together.put("legs", way.legs());
        together.put("metal", metal(entries, typed, alone));
        together.put("chosenSize", size(entries, typed.get("size"), alone.series(), standing.chosenSize()));
        return Records.with(alone, together);
    }

    /** Older tables say of the strands only whether they are tinned. */
    private static ConductorMetal metal(Entries entries, Map<String, String> typed, CableDetails read) {
        return typed.containsKey("tinned") && !typed.containsKey("strands")
                ? ConductorMetal.copper(entries.flag("tinned", read.metal() == ConductorMetal.TINNED))
                : read.metal();
    }

    /** Length and, where it was typed leg by leg, the legs as they are kept. */
    private record Way(double lengthM, @Nullable String legs) {}

    /** "0.4 m + 1.2 m" or "0.4 m up" is a route of straight legs, anything else one figure. */
    private static Way way(Entries entries, @Nullable String typed, @Nullable Double bendMm, CableDetails standing) {
        String text = typed == null ? standing.legs() : typed;
        if (text == null || !CableRoute.hasLegs(text)) {
            return new Way((Double) Objects.requireNonNull(LENGTH.read(entries, standing)), null);
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
        CableField.ALL.forEach(field -> texts.put(field.key(), field.text(cable, fmt)));
        if (cable.currentFromLoads()) {
            texts.put("current", "");
        }
        if (cable.legs() != null) {
            texts.put("length", cable.legs());
        }
        return texts;
    }
}
