package org.ulnaris.app.loads;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.fastening.TorqueSpec.Bound;

/** Typed text of the terminals of a piece of equipment, and back. */
final class TerminalReader {
    private static final FormFields<TerminalSpec> FIELDS = TerminalSpec.FIELDS;

    /** Names of the fields, in order. */
    static final List<String> KEYS = FIELDS.keys();

    private TerminalReader() {}

    /** Reads what was typed over {@code standing}; null while no stud is named. */
    static @Nullable TerminalSpec read(Entries entries, @Nullable TerminalSpec standing) {
        TerminalSpec read = FIELDS.read(entries, requireNonNullElse(standing, FIELDS.fresh()));
        Double nominal = read.torqueNm();
        Double min = read.torqueMinNm();
        Double max = read.torqueMaxNm();
        Bound contradicted = TorqueSpec.contradicted(nominal, min, max).orElse(null);
        if (contradicted == Bound.LOWEST || min != null && nominal == null) {
            entries.fault("torqueMin", Fault.Code.CONTRADICTS, Expected.of("to-nominal-torque"));
        }
        if (contradicted == Bound.HIGHEST || max != null && nominal == null) {
            entries.fault("torqueMax", Fault.Code.CONTRADICTS, Expected.of("from-nominal-torque"));
        }
        if (!read.stud().isEmpty()) {
            return read;
        }
        if (nominal != null || read.clearWidthMm() != null || read.studLengthMm() != null || read.mostLugs() != null) {
            entries.fault("stud", Fault.Code.EMPTY, "M8");
        }
        return null;
    }

    /** The text of each field, as a form shows it. */
    static Map<String, String> texts(@Nullable TerminalSpec spec, Fmt fmt) {
        return FIELDS.texts(requireNonNullElse(spec, FIELDS.fresh()), fmt);
    }
}
