package org.ulnaris.app.rules;

import java.util.LinkedHashMap;
import java.util.Map;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.TerminalLimit;

/** Typed text of house rules to the rules and back. */
public final class RulesReader {
    /** Fields of practices are called by their practice. */
    static final String FIELD = "practice-";

    private static final int LONGEST_OPTION = 40;

    private RulesReader() {}

    /** The text of each field, as a form shows it. */
    public static Map<String, String> texts(JobRules rules) {
        Map<String, String> texts = new LinkedHashMap<>();
        Placement.School placement = rules.placement();
        texts.put("placement", placement == null ? "" : placement.name());
        texts.put("heat", Boolean.toString(rules.heatBalanceDecides()));
        texts.put("margin", Figures.significant(rules.sizeMarginPercent(), 4) + " %");
        texts.put("clean", Boolean.toString(rules.cleanProposal()));
        Double terminalC = rules.terminalC();
        texts.put("terminal", terminalC == null ? "" : Figures.significant(terminalC, 4) + " °C");
        texts.put("lugs", Integer.toString(rules.mostLugs()));
        texts.put("bend", Figures.significant(rules.bendDiameters(), 4));
        texts.put("sealed", Boolean.toString(rules.sealedTerminals()));
        texts.put("facing", rules.facing().name());
        texts.put("fuseLoad", Figures.significant(rules.fuseOverLoadPercent(), 4) + " %");
        texts.put("fuseNext", Figures.significant(rules.fuseOverAmpacityPercent(), 4) + " %");
        texts.put("drop", Figures.significant(rules.newDropPercent(), 4) + " %");
        for (Practice practice : Practice.values()) {
            texts.put(FIELD + practice, rules.practices().of(practice));
        }
        return texts;
    }

    private static Practices practices(Entries entries, Practices standing) {
        Practices read = standing;
        for (Practice practice : Practice.values()) {
            String option = entries.text(FIELD + practice, LONGEST_OPTION, false, standing.of(practice));
            if (practice.options().contains(option)) {
                read = read.with(practice, option);
            } else {
                entries.fault(FIELD + practice, Fault.Code.UNKNOWN_CHOICE, String.join(", ", practice.options()));
            }
        }
        return read;
    }

    /** Reads what was typed over {@code standing}; faults stay in {@code entries}. */
    public static JobRules read(Entries entries, JobRules standing) {
        return new JobRules(
                entries.optionalChoice("placement", Placement.School.class, standing.placement()),
                entries.flag("heat", standing.heatBalanceDecides()),
                entries.quantity("margin", Unit.PERCENT, SizePolicy.MARGIN_PERCENT, standing.sizeMarginPercent()),
                entries.flag("clean", standing.cleanProposal()),
                entries.optionalQuantity("terminal", Unit.CELSIUS, TerminalLimit.LIMIT_C, standing.terminalC()),
                entries.count("lugs", HouseRules.MOST_LUGS, standing.mostLugs()),
                entries.number("bend", HouseRules.BEND_DIAMETERS, standing.bendDiameters()),
                entries.quantity("drop", Unit.PERCENT, JobRules.NEW_DROP_PERCENT, standing.newDropPercent()),
                entries.flag("sealed", standing.sealedTerminals()),
                entries.choice("facing", JobRules.Facing.class, standing.facing()),
                entries.quantity(
                        "fuseLoad",
                        Unit.PERCENT,
                        ProtectedCable.Margins.OVER_LOAD_PERCENT,
                        standing.fuseOverLoadPercent()),
                entries.quantity(
                        "fuseNext",
                        Unit.PERCENT,
                        ProtectedCable.Margins.OVER_AMPACITY_PERCENT,
                        standing.fuseOverAmpacityPercent()),
                practices(entries, standing.practices()));
    }
}
