package org.ulnaris.app.identify;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.drawing.CaliperDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.conductor.Bar;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.Identification;
import org.ulnaris.core.conductor.Material;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rating.BarHeat;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugReadings;

/** Names cables, lugs and bars from readings; the address holds what was entered. */
@Controller
class IdentifyController {
    /** A bar may get this much warmer than the air (ours; DIN 43671 rates at 30 K). */
    private static final double USUAL_RISE_K = 30;

    private static final double ROOM_C = 20;
    private static final Range AMPERE = new Range(0, 10_000);
    private static final Range AMBIENT_C = new Range(-60, 120);
    private static final Range CONTACT_OHM = Range.from(0, 1);

    private static final int NEAREST = 3;

    private final LugStock stock;
    private final Words words;

    IdentifyController(LugStock stock, Words words) {
        this.stock = stock;
        this.words = words;
    }

    /** One way of measuring with what it says; without a verdict where there is nothing to hold it against. */
    record CableRow(String by, String size, @Nullable Verdict verdict, String words) {}

    /** A line of the bar's results. */
    record BarRow(String name, String value) {}

    /** What is in the hand. */
    enum Held {
        CABLE,
        LUG,
        BAR;

        /** As it was pressed, else by what was typed; empty where nothing tells. */
        static Optional<Held> of(Map<String, String> typed) {
            Optional<Held> pressed = Stream.of(values())
                    .filter(held -> held.name().equalsIgnoreCase(typed.get("hold")))
                    .findFirst();
            if (pressed.isPresent() || typed.isEmpty()) {
                return pressed;
            }
            boolean bar = typed.keySet().stream().anyMatch(name -> name.startsWith("bar") || name.equals("moves"));
            boolean lug = typed.containsKey("outer") || typed.containsKey("bore");
            return Optional.of(bar ? BAR : lug ? LUG : CABLE);
        }
    }

    /** Something that can be held, as it is pressed. */
    record HeldView(Held held, String name, Drawing drawing) {}

    /** A lug that it could be. */
    record LugRow(String code, String size, String dimensions, String off) {}

    @GetMapping("/identify")
    ModelAndView show(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Fmt fmt = new Fmt(Units.METRIC);
        Held held = Held.of(typed).orElse(null);
        model.addAttribute("hands", Stream.of(Held.values()).map(this::view).toList());
        model.addAttribute("held", held);
        model.addAttribute("cableRows", held == Held.CABLE ? cable(entries, typed, fmt) : List.of());
        model.addAttribute("barRows", held == Held.BAR ? bar(model, entries, fmt) : List.of());
        model.addAttribute("lugRows", held == Held.LUG ? lug(model, entries, fmt) : List.of());
        model.addAttribute("typed", typed);
        model.addAttribute("faults", entries.faults());
        model.addAttribute("materials", Bar.CANDIDATES);
        model.addAttribute("moves", typed.containsKey("moves"));
        return new ModelAndView(
                "identify/identify", model.asMap(), entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private List<CableRow> cable(Entries entries, Map<String, String> typed, Fmt fmt) {
        SizeSeries series = entries.blank("series")
                ? SizeSeries.METRIC
                : entries.choice("series", SizeSeries.class, SizeSeries.METRIC);
        ConductorSize claimed = claimed(entries, typed.getOrDefault("claimed", ""), series);
        Map<String, Identification> found = new LinkedHashMap<>();
        Double strand = entries.optionalQuantity("strand", Unit.MM, Identification.DIAMETER_MM, null);
        int strands = entries.blank("strands") ? 0 : entries.count("strands", Identification.STRANDS, 0);
        if (strand != null && strands > 0) {
            found.put("strands", Identification.byStrands(strands, strand, series));
        }
        Double bundle = entries.optionalQuantity("bundle", Unit.MM, Identification.DIAMETER_MM, null);
        if (bundle != null) {
            found.put("bundle", Identification.byBundle(bundle, series));
        }
        Double ohm = entries.optionalQuantity("reading", Unit.OHM, Identification.READING_OHM, null);
        Double length = entries.optionalQuantity("length", Unit.M, Identification.LENGTH_M, null);
        Double celsius = entries.optionalQuantity("temperature", Unit.CELSIUS, Identification.TEMPERATURE_C, null);
        Identification.@Nullable Reading reading = null;
        if (ohm != null && length != null) {
            reading = new Identification.Reading(ohm, length, celsius == null ? ROOM_C : celsius);
            found.put("reading", Identification.byReading(reading, series));
        } else if (ohm != null) {
            entries.fault("length", Fault.Code.EMPTY, "1.5 m");
        }
        List<CableRow> rows = new ArrayList<>();
        for (Map.Entry<String, Identification> by : found.entrySet()) {
            boolean read = by.getKey().equals("reading");
            if (claimed == null) {
                rows.add(row(by.getKey(), by.getValue(), read ? seen(found) : null, fmt));
            } else if (read && reading != null) {
                rows.add(row(by.getValue(), reading, claimed));
            } else {
                rows.add(row(by.getKey(), by.getValue(), claimed, fmt));
            }
        }
        return rows;
    }

    /** Held against the size that it is sold as, which is named first. */
    private CableRow row(String by, Identification one, ConductorSize sold, Fmt fmt) {
        Identification.Suspicion suspicion = one.against(sold.areaMm2());
        return sold(
                by,
                sold,
                suspicion,
                words.of(
                        "identify.suspicion." + suspicion,
                        fmt.area(one.areaMm2()),
                        fmt.area(sold.areaMm2()),
                        Figures.fixed(100 * one.areaMm2() / sold.areaMm2(), 0) + Fmt.SPACE + "%"));
    }

    /** The same by a reading: held against what the standard allows. */
    private CableRow row(Identification one, Identification.Reading reading, ConductorSize sold) {
        Identification.Suspicion suspicion = reading.against(sold);
        return sold(
                "reading",
                sold,
                suspicion,
                words.of(
                        "identify.reading." + suspicion,
                        milliohm(reading.ohmPerMetreAt20()),
                        milliohm(ConductorResistance.mostOhmPerMetreAt20(new Conductor(sold, false))),
                        one.size().map(ConductorSize::designation).orElse("—")));
    }

    private CableRow sold(String by, ConductorSize sold, Identification.Suspicion suspicion, String said) {
        return new CableRow(words.of("identify.by." + by), sold.designation(), verdict(suspicion), said);
    }

    private static Verdict verdict(Identification.Suspicion suspicion) {
        return switch (suspicion) {
            case NONE -> Verdict.PASS;
            case ABOVE -> Verdict.WATCH;
            case THIN, COPPER_CLAD -> Verdict.STOP;
        };
    }

    /** The metal that is seen, against which a reading is held where no size is claimed. */
    private static @Nullable Double seen(Map<String, Identification> found) {
        Identification strands = found.get("strands");
        Identification bundle = found.get("bundle");
        return strands != null ? Double.valueOf(strands.areaMm2()) : bundle != null ? bundle.areaMm2() : null;
    }

    private CableRow row(String by, Identification one, @Nullable Double seen, Fmt fmt) {
        Identification.Suspicion suspicion = seen == null ? Identification.Suspicion.NONE : one.against(seen);
        String said = words.of(
                "identify.suspicion." + (seen == null ? "UNKNOWN" : suspicion.name()),
                fmt.area(one.areaMm2()),
                seen == null ? "" : fmt.area(seen),
                seen == null ? "" : Figures.fixed(100 * one.areaMm2() / seen, 0) + Fmt.SPACE + "%");
        return new CableRow(
                words.of("identify.by." + by),
                one.size().map(ConductorSize::designation).orElse("—"),
                seen == null ? null : verdict(suspicion),
                said);
    }

    private static @Nullable ConductorSize claimed(Entries entries, String text, SizeSeries series) {
        if (text.isBlank()) {
            return null;
        }
        try {
            return ConductorSizes.parse(text, series);
        } catch (MeasureException e) {
            entries.fault("claimed", Fault.Code.UNKNOWN_SIZE, e.example());
            return null;
        }
    }

    private HeldView view(Held held) {
        String name = words.of("held." + held);
        return new HeldView(
                held,
                name,
                switch (held) {
                    case CABLE -> CaliperDrawer.cable(name, words::caliper);
                    case LUG -> CaliperDrawer.lug(name, words::caliper);
                    case BAR -> CaliperDrawer.bar(name, words::caliper);
                });
    }

    private List<LugRow> lug(Model model, Entries entries, Fmt fmt) {
        LugReadings readings = new LugReadings(
                read(entries, "outer", Barrel.OUTER_MM),
                read(entries, "bore", Barrel.BORE_MM),
                read(entries, "hole", Lug.Pad.HOLE_MM));
        if (!readings.ofTheTube()) {
            if (readings.holeMm().isPresent()) {
                entries.fault("outer", Fault.Code.EMPTY, "14.5 mm");
            }
            return List.of();
        }
        List<LugReadings.Like> nearest = readings.nearest(stock.all(), NEAREST);
        long sizes =
                nearest.stream().map(like -> like.lug().forSize()).distinct().count();
        model.addAttribute(
                "lugWords",
                words.of(
                        "identify.lug." + outcome(nearest, sizes),
                        nearest.size(),
                        fmt.small(LugReadings.OFF_MM),
                        sizes));
        return nearest.stream().map(like -> row(like, fmt)).toList();
    }

    private static String outcome(List<LugReadings.Like> nearest, long sizes) {
        if (nearest.isEmpty()) {
            return "no-stock";
        }
        return nearest.get(0).fits() ? (sizes > 1 ? "sizes" : "fits") : "none";
    }

    private static OptionalDouble read(Entries entries, String field, Range range) {
        Double read = entries.optionalQuantity(field, Unit.MM, range, null);
        return read == null ? OptionalDouble.empty() : OptionalDouble.of(read);
    }

    private LugRow row(LugReadings.Like like, Fmt fmt) {
        Lug lug = like.lug();
        return new LugRow(
                lug.code(),
                lug.forSize(),
                words.of(
                        "identify.lug.is",
                        fmt.small(lug.barrel().outerMm()),
                        fmt.small(lug.barrel().boreMm()),
                        fmt.small(lug.pad().holeMm()),
                        words.name(lug.barrel().material())),
                words.of("identify.lug.off", fmt.small(like.offMm())));
    }

    private List<BarRow> bar(Model model, Entries entries, Fmt fmt) {
        Double width = entries.optionalQuantity("barWidth", Unit.MM, Bar.WIDTH_MM, null);
        Double thickness = entries.optionalQuantity("barThickness", Unit.MM, Bar.THICKNESS_MM, null);
        Double length = entries.optionalQuantity("barLength", Unit.MM, Bar.LENGTH_MM, null);
        Material material = entries.blank("barMaterial")
                ? Material.COPPER
                : entries.choice("barMaterial", Material.class, Material.COPPER);
        Double ampere = entries.optionalQuantity("barCurrent", Unit.AMPERE, AMPERE, null);
        Double ambient = entries.optionalQuantity("barAmbient", Unit.CELSIUS, AMBIENT_C, null);
        Double reading = entries.optionalQuantity("barReading", Unit.OHM, Bar.READING_OHM, null);
        Double contact = entries.optionalQuantity("barContact", Unit.OHM, CONTACT_OHM, null);
        List<BarRow> rows = new ArrayList<>();
        if (width != null && thickness != null && length != null) {
            Bar bar = new Bar(width, thickness, length);
            double air = ambient == null ? ROOM_C : ambient;
            BarHeat heat = new BarHeat(bar, material, air);
            rows.add(new BarRow(words.of("identify.bar.area"), fmt.area(bar.areaMm2())));
            rows.add(new BarRow(
                    words.of("identify.bar.ohm", words.name(material)), milliohm(bar.ohm(material, ROOM_C))));
            rows.add(new BarRow(
                    words.of("identify.bar.rated", fmt.temperature(air + USUAL_RISE_K)),
                    fmt.figure(heat.currentA(air + USUAL_RISE_K), "A")));
            if (ampere != null) {
                rows.add(new BarRow(
                        words.of("identify.bar.hot", fmt.current(ampere)), fmt.figure(heat.barC(ampere), "°C")));
                rows.add(new BarRow(
                        words.of("identify.bar.drop", fmt.current(ampere)),
                        Figures.significant(1000 * ampere * bar.ohm(material, ROOM_C), 3) + Fmt.SPACE + "mV"));
            }
            named(model, entries, bar, Optional.ofNullable(reading), contact == null ? 0 : contact);
        } else if (reading != null) {
            entries.fault("barWidth", Fault.Code.EMPTY, "20 mm");
        }
        return rows;
    }

    private void named(Model model, Entries entries, Bar bar, Optional<Double> reading, double contactOhm) {
        if (reading.isEmpty()) {
            return;
        }
        if (contactOhm >= reading.get()) {
            entries.fault("barContact", Fault.Code.CONTRADICTS, Expected.of("below-reading"));
            return;
        }
        Bar.Named named = bar.name(reading.get(), contactOhm, ROOM_C);
        model.addAttribute("named", named);
        model.addAttribute("namedVerdict", named.plausible() ? null : Verdict.STOP);
        model.addAttribute(
                "namedWords",
                words.of(
                        named.plausible() ? "identify.bar.named" : "identify.bar.none",
                        words.name(named.material()),
                        Figures.fixed(100 * Math.max(0, named.confidence()), 0) + Fmt.SPACE + "%",
                        Figures.significant(named.timesCopper(), 2)));
    }

    private static String milliohm(double ohm) {
        return Figures.significant(1000 * ohm, 3) + Fmt.SPACE + "mΩ";
    }
}
