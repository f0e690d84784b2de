package org.ulnaris.app.crib;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.SpikeCrimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.Sample;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.ToolKind;

/** Typed text of dies, tools and samples to their details, and back. */
final class CribReader {
    static final DieDetails FRESH_DIE =
            new DieDetails("", DieShape.HEX, 0, 5, LugMaterial.COPPER, CribService.STANDARD_FAMILY, "", "", "");
    static final ToolDetails FRESH_TOOL = new ToolDetails(
            "", "", ToolKind.HYDRAULIC_HAND, "", null, null, true, null, null, null, null, null, null, null, null);

    private static final Fmt FMT = new Fmt(Units.METRIC);
    private static final int LONGEST_LUG = 60;

    private CribReader() {}

    /** Dies as typed over {@code standing}; a tag once given stays. */
    static DieDetails die(Entries entries, DieDetails standing) {
        return new DieDetails(
                tag(entries, standing.tag(), DieDetails.LONGEST_TAG),
                entries.choice("shape", DieShape.class, standing.shape()),
                entries.quantity("acrossFlats", Unit.MM, Die.ACROSS_FLATS_MM, standing.acrossFlatsMm()),
                entries.quantity("width", Unit.MM, Die.WIDTH_MM, standing.widthMm()),
                entries.choice("material", LugMaterial.class, standing.material()),
                entries.text("family", DieDetails.LONGEST_FAMILY, false, standing.family()),
                entries.text("stamped", DieDetails.LONGEST_MARK, false, standing.stamped()),
                entries.text("series", DieDetails.LONGEST_MARK, false, standing.series()),
                entries.text("colour", DieDetails.LONGEST_MARK, false, standing.colour()));
    }

    private static String tag(Entries entries, String standing, int longest) {
        if (!standing.isEmpty()) {
            return standing;
        }
        String tag = entries.text("tag", longest, true, standing);
        if (tag.indexOf('/') == 0 || tag.indexOf('\\') >= 0 || tag.indexOf(';') >= 0 || tag.indexOf('%') >= 0) {
            entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("die-tag"));
        }
        return tag;
    }

    static Map<String, String> texts(DieDetails die) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("tag", die.tag());
        texts.put("shape", die.shape().name());
        texts.put("acrossFlats", die.acrossFlatsMm() > 0 ? FMT.entry(die.acrossFlatsMm(), Unit.MM) : "");
        texts.put("width", FMT.entry(die.widthMm(), Unit.MM));
        texts.put("material", die.material().name());
        texts.put("family", die.family());
        texts.put("stamped", die.stamped());
        texts.put("series", die.series());
        texts.put("colour", die.colour());
        return texts;
    }

    /** A tool as typed over {@code standing}; a tag once given stays. */
    static ToolDetails tool(Entries entries, ToolDetails standing) {
        Double from = entries.optionalQuantity(
                "torqueFrom", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueFromNm());
        Double to =
                entries.optionalQuantity("torqueTo", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueToNm());
        if (from != null && to != null && from >= to) {
            entries.fault("torqueTo", Fault.Code.CONTRADICTS, Expected.of("above-lowest-torque"));
        }
        LocalDate on = entries.optionalDate("calibratedOn", standing.calibratedOn());
        LocalDate due = entries.optionalDate("calibrationDue", standing.calibrationDue());
        if (on != null && due != null && due.isBefore(on)) {
            entries.fault("calibrationDue", Fault.Code.CONTRADICTS, Expected.of("after-calibration"));
        }
        Double zero = entries.optionalQuantity("dialZero", Unit.MM, SpikeCrimp.Dial.AT_ZERO_MM, standing.dialZeroMm());
        Double mark = entries.optionalQuantity("dialMark", Unit.MM, SpikeCrimp.Dial.PER_MARK_MM, standing.dialMarkMm());
        if ((zero == null) != (mark == null)) {
            entries.fault(zero == null ? "dialZero" : "dialMark", Fault.Code.EMPTY, "0.5 mm");
        }
        return new ToolDetails(
                tag(entries, standing.tag(), ToolDetails.LONGEST_TAG),
                entries.text("name", ToolDetails.LONGEST_NAME, true, standing.name()),
                entries.choice("kind", ToolKind.class, standing.kind()),
                entries.text("family", DieDetails.LONGEST_FAMILY, false, standing.family()),
                entries.optionalQuantity("force", Unit.KILONEWTON, Tool.FORCE_KN, standing.forceKn()),
                area(entries, standing.upToMm2()),
                entries.flag("fullCycle", standing.fullCycle()),
                on,
                due,
                from,
                to,
                entries.optionalQuantity("spike", Unit.MM, SpikeCrimp.Spike.WIDTH_MM, standing.spikeMm()),
                zero,
                mark,
                entries.optionalQuantity(
                        "torqueStep", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueStepNm()));
    }

    private static @Nullable Double area(Entries entries, @Nullable Double standing) {
        return entries.blank("upTo")
                ? null
                : optional(entries.number("upTo", Crimp.CONDUCTOR_AREA_MM2, standing == null ? 0 : standing));
    }

    private static @Nullable Double optional(double value) {
        return value == 0 ? null : Double.valueOf(value);
    }

    static Map<String, String> texts(ToolDetails tool) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("tag", tool.tag());
        texts.put("name", tool.name());
        texts.put("kind", tool.kind().name());
        texts.put("family", tool.family());
        texts.put("force", FMT.entry(tool.forceKn(), Unit.KILONEWTON));
        texts.put("upTo", tool.upToMm2() == null ? "" : Figures.significant(tool.upToMm2(), 6));
        texts.put("fullCycle", Boolean.toString(tool.fullCycle()));
        texts.put("calibratedOn", day(tool.calibratedOn()));
        texts.put("calibrationDue", day(tool.calibrationDue()));
        texts.put("torqueFrom", FMT.entry(tool.torqueFromNm(), Unit.NEWTON_METRE));
        texts.put("torqueTo", FMT.entry(tool.torqueToNm(), Unit.NEWTON_METRE));
        texts.put("spike", FMT.entry(tool.spikeMm(), Unit.MM));
        texts.put("dialZero", FMT.entry(tool.dialZeroMm(), Unit.MM));
        texts.put("dialMark", FMT.entry(tool.dialMarkMm(), Unit.MM));
        texts.put("torqueStep", FMT.entry(tool.torqueStepNm(), Unit.NEWTON_METRE));
        return texts;
    }

    private static String day(@Nullable LocalDate day) {
        return day == null ? "" : day.toString();
    }

    /** A sample made with {@code tool}. */
    static SampleDetails sample(Entries entries, String tool, LocalDate today) {
        LocalDate made = entries.optionalDate("made", today);
        if (made != null && made.isAfter(today)) {
            entries.fault("made", Fault.Code.CONTRADICTS, Expected.of("to-today", today.toString()));
        }
        Double voids = entries.optionalQuantity("voids", Unit.PERCENT, Sample.VOIDS_PERCENT, null);
        Double pull = entries.optionalQuantity("pull", Unit.NEWTON, Sample.FORCE_N, null);
        Sample.Parted parted = entries.choice("parted", Sample.Parted.class, Sample.Parted.NOT_PULLED);
        if (pull != null && parted == Sample.Parted.NOT_PULLED) {
            entries.fault("parted", Fault.Code.CONTRADICTS, Expected.of("parted"));
        }
        if (pull == null && parted != Sample.Parted.NOT_PULLED) {
            entries.fault("pull", Fault.Code.EMPTY, Expected.of("force"));
        }
        if (entries.clean() && voids == null && pull == null) {
            entries.fault("voids", Fault.Code.EMPTY, Expected.of("voids-or-pull"));
        }
        return new SampleDetails(
                tool,
                entries.text("die", DieDetails.LONGEST_TAG, false, ""),
                entries.text("lug", LONGEST_LUG, false, ""),
                size(entries),
                made == null ? today : made,
                voids,
                pull,
                parted,
                entries.text("note", SampleDetails.LONGEST_NOTE, false, ""));
    }

    private static String size(Entries entries) {
        String text = entries.text("size", DieDetails.LONGEST_TAG, true, "");
        try {
            return text.isEmpty()
                    ? ""
                    : ConductorSizes.parse(text, SizeSeries.METRIC).designation();
        } catch (MeasureException e) {
            entries.fault("size", Fault.Code.UNKNOWN_SIZE, e.example());
            return "";
        }
    }
}
