package org.ulnaris.app.loads;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.fastening.TorqueSpec.Bound;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Landing;

/** Typed text of the terminals of a piece of equipment, and back. */
final class TerminalReader {
    /** Names of the fields, in order. */
    static final List<String> FIELDS =
            List.of("stud", "torque", "torqueMin", "torqueMax", "clear", "studLength", "lugs", "metal");

    private static final int LONGEST_STUD = 12;

    private TerminalReader() {}

    /** Reads what was typed over {@code standing}; null while no stud is named. */
    static @Nullable TerminalSpec read(Entries entries, @Nullable TerminalSpec standing) {
        String text = entries.text("stud", LONGEST_STUD, false, standing == null ? "" : standing.stud());
        Double nominal = torque(entries, "torque", standing == null ? null : standing.torqueNm());
        Double min = torque(entries, "torqueMin", standing == null ? null : standing.torqueMinNm());
        Double max = torque(entries, "torqueMax", standing == null ? null : standing.torqueMaxNm());
        Bound contradicted = TorqueSpec.contradicted(nominal, min, max).orElse(null);
        if (contradicted == Bound.LOWEST || min != null && nominal == null) {
            entries.fault("torqueMin", Fault.Code.CONTRADICTS, Expected.of("to-nominal-torque"));
        }
        if (contradicted == Bound.HIGHEST || max != null && nominal == null) {
            entries.fault("torqueMax", Fault.Code.CONTRADICTS, Expected.of("from-nominal-torque"));
        }
        Double clear = entries.optionalQuantity(
                "clear", Unit.MM, Landing.CLEAR_WIDTH_MM, standing == null ? null : standing.clearWidthMm());
        Double length = entries.optionalQuantity(
                "studLength", Unit.MM, Landing.STUD_LENGTH_MM, standing == null ? null : standing.studLengthMm());
        Integer most = standing == null ? null : standing.mostLugs();
        if (entries.blank("lugs")) {
            most = null;
        } else {
            int lugs = entries.count("lugs", TerminalSpec.MOST_LUGS, most == null ? 0 : most);
            most = lugs == 0 ? null : Integer.valueOf(lugs);
        }
        TerminalMetal metal =
                entries.optionalChoice("metal", TerminalMetal.class, standing == null ? null : standing.metal());
        if (text.isEmpty()) {
            boolean more = nominal != null || clear != null || length != null || most != null;
            if (more) {
                entries.fault("stud", Fault.Code.EMPTY, "M8");
            }
            return null;
        }
        Optional<Stud> stud = Studs.named(text);
        if (stud.isEmpty()) {
            entries.fault(
                    "stud",
                    Fault.Code.UNKNOWN_CHOICE,
                    Studs.all().stream().map(Stud::name).collect(Collectors.joining(", ")));
            return standing;
        }
        return new TerminalSpec(stud.get().name(), nominal, min, max, clear, length, most, metal);
    }

    private static @Nullable Double torque(Entries entries, String field, @Nullable Double standing) {
        return entries.optionalQuantity(field, Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing);
    }

    /** The text of each field, as a form shows it. */
    static Map<String, String> texts(@Nullable TerminalSpec spec, Fmt fmt) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("stud", spec == null ? "" : spec.stud());
        texts.put("torque", spec == null ? "" : fmt.entry(spec.torqueNm(), Unit.NEWTON_METRE));
        texts.put("torqueMin", spec == null ? "" : fmt.entry(spec.torqueMinNm(), Unit.NEWTON_METRE));
        texts.put("torqueMax", spec == null ? "" : fmt.entry(spec.torqueMaxNm(), Unit.NEWTON_METRE));
        texts.put("clear", spec == null ? "" : fmt.entry(spec.clearWidthMm(), Unit.MM));
        texts.put("studLength", spec == null ? "" : fmt.entry(spec.studLengthMm(), Unit.MM));
        texts.put("lugs", spec == null || spec.mostLugs() == null ? "" : Integer.toString(spec.mostLugs()));
        texts.put(
                "metal",
                spec == null || spec.metal() == null ? "" : spec.metal().name());
        return texts;
    }
}
