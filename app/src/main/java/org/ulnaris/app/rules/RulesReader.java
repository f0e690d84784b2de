package org.ulnaris.app.rules;

import java.util.List;
import java.util.Map;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FieldKind;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.FormFields.Field;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.measure.Range;
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

    private static final Fmt FMT = new Fmt(Units.METRIC);

    /** The fields beside the practices. */
    private static final FormFields<JobRules> FIELDS = new FormFields<>(
            JobRules.USUAL,
            List.of(
                    Field.of("placement", FieldKind.optionalChoice(Placement.School.class)),
                    Field.of("heat", "heatBalanceDecides", FieldKind.flag()),
                    Field.of("margin", "sizeMarginPercent", percent(SizePolicy.MARGIN_PERCENT)),
                    Field.of("clean", "cleanProposal", FieldKind.flag()),
                    Field.of("terminal", "terminalC", FieldKind.optionalQuantity(Unit.CELSIUS, TerminalLimit.LIMIT_C)),
                    Field.of("lugs", "mostLugs", FieldKind.count(HouseRules.MOST_LUGS)),
                    Field.of("bend", "bendDiameters", FieldKind.number(HouseRules.BEND_DIAMETERS)),
                    Field.of("sealed", "sealedTerminals", FieldKind.flag()),
                    Field.of("facing", FieldKind.choice(JobRules.Facing.class)),
                    Field.of("fuseLoad", "fuseOverLoadPercent", percent(ProtectedCable.Margins.OVER_LOAD_PERCENT)),
                    Field.of(
                            "fuseNext",
                            "fuseOverAmpacityPercent",
                            percent(ProtectedCable.Margins.OVER_AMPACITY_PERCENT)),
                    Field.of("drop", "newDropPercent", percent(JobRules.NEW_DROP_PERCENT)),
                    Field.of("slack", "slackMm", FieldKind.quantity(Unit.MM, JobRules.SLACK_MM)),
                    Field.of("slackMoving", "slackMovingMm", FieldKind.quantity(Unit.MM, JobRules.SLACK_MM))));

    private static FieldKind percent(Range range) {
        return FieldKind.quantity(Unit.PERCENT, range);
    }

    private RulesReader() {}

    /** The text of each field, as a form shows it. */
    public static Map<String, String> texts(JobRules rules) {
        Map<String, String> texts = FIELDS.texts(rules, FMT);
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
        JobRules read = FIELDS.read(entries, standing);
        return Records.with(read, Map.of("practices", practices(entries, standing.practices())));
    }
}
