package org.ulnaris.app.crib;

import static java.util.Objects.requireNonNullElse;

import java.time.LocalDate;
import java.util.Map;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.tooling.Sample;

/** Typed text of dies, tools and samples to their details, and back: what no field says by itself. */
final class CribReader {
    static final DieDetails FRESH_DIE = DieDetails.FIELDS.fresh();
    static final ToolDetails FRESH_TOOL = ToolDetails.FIELDS.fresh();

    private static final Fmt FMT = new Fmt(Units.METRIC);

    private CribReader() {}

    /** Dies as typed over {@code standing}; a tag once given stays. */
    static DieDetails die(Entries entries, DieDetails standing) {
        DieDetails read = DieDetails.FIELDS.read(entries, standing);
        tag(entries, standing.tag(), read.tag());
        return read;
    }

    /** Tags stand in addresses and lists; one that stands is not judged. */
    private static void tag(Entries entries, String standing, String tag) {
        if (!standing.isEmpty()) {
            return;
        }
        if (tag.indexOf('/') == 0 || tag.indexOf('\\') >= 0 || tag.indexOf(';') >= 0 || tag.indexOf('%') >= 0) {
            entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("die-tag"));
        }
    }

    static Map<String, String> texts(DieDetails die) {
        return DieDetails.FIELDS.texts(die, FMT);
    }

    /** A tool as typed over {@code standing}; a tag once given stays. */
    static ToolDetails tool(Entries entries, ToolDetails standing) {
        ToolDetails read = ToolDetails.FIELDS.read(entries, standing);
        tag(entries, standing.tag(), read.tag());
        Double from = read.torqueFromNm();
        Double to = read.torqueToNm();
        if (from != null && to != null && from >= to) {
            entries.fault("torqueTo", Fault.Code.CONTRADICTS, Expected.of("above-lowest-torque"));
        }
        LocalDate on = read.calibratedOn();
        LocalDate due = read.calibrationDue();
        if (on != null && due != null && due.isBefore(on)) {
            entries.fault("calibrationDue", Fault.Code.CONTRADICTS, Expected.of("after-calibration"));
        }
        if ((read.dialZeroMm() == null) != (read.dialMarkMm() == null)) {
            entries.fault(read.dialZeroMm() == null ? "dialZero" : "dialMark", Fault.Code.EMPTY, "0.5 mm");
        }
        return read;
    }

    static Map<String, String> texts(ToolDetails tool) {
        return ToolDetails.FIELDS.texts(tool, FMT);
    }

    /** A sample made with {@code tool}, on {@code today} where nothing else is said. */
    static SampleDetails sample(Entries entries, String tool, LocalDate today) {
        FormFields<SampleDetails> fields = SampleDetails.fields(tool, today);
        SampleDetails read = fields.read(entries, fields.fresh());
        LocalDate made = requireNonNullElse(read.made(), today);
        if (made.isAfter(today)) {
            entries.fault("made", Fault.Code.CONTRADICTS, Expected.of("to-today", today.toString()));
        }
        Double pull = read.pullN();
        if (pull != null && read.parted() == Sample.Parted.NOT_PULLED) {
            entries.fault("parted", Fault.Code.CONTRADICTS, Expected.of("parted"));
        }
        if (pull == null && read.parted() != Sample.Parted.NOT_PULLED) {
            entries.fault("pull", Fault.Code.EMPTY, Expected.of("force"));
        }
        if (entries.clean() && read.voidsPercent() == null && pull == null) {
            entries.fault("voids", Fault.Code.EMPTY, Expected.of("voids-or-pull"));
        }
        return Records.with(read, Map.of("made", made, "size", size(entries, read.size())));
    }

    private static String size(Entries entries, String text) {
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
