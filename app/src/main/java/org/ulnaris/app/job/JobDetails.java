package org.ulnaris.app.job;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.rating.RuleSet;

/**
 * What a person says about a job.
 *
 * @param nominalVoltageV nominal voltage, V
 * @param chargingVoltageV highest charging voltage, V
 * @param rules the house's choice where practice differs
 */
@Embeddable
public record JobDetails(
        String name,
        @Enumerated(EnumType.STRING) JobKind kind,
        double nominalVoltageV,
        double chargingVoltageV,
        @Enumerated(EnumType.STRING) Units units,
        @Enumerated(EnumType.STRING) RuleSet ruleSet,
        @Embedded JobRules rules) {
    public static final int LONGEST_NAME = 80;
    /** What a new job starts from. */
    public static final JobDetails FRESH =
            new JobDetails("", JobKind.MOBILE, 12, 14.4, Units.METRIC, RuleSet.CFR_183_425, JobRules.USUAL);

    public static final Range VOLTAGE_V = new Range(0, 1500);

    /** A charging voltage that is usual for a lithium or lead bank of a nominal voltage, within what may be said. */
    public static double usualChargingV(double nominalVoltageV) {
        return Math.min(VOLTAGE_V.upTo(), Figures.rounded(1.2 * nominalVoltageV, 6));
    }

    /** As the core knows it. */
    public Installation.System system() {
        return new Installation.System(nominalVoltageV, chargingVoltageV, ruleSet, rules.house());
    }

    /** Whose pull-out forces hold. */
    public PullSchool pull() {
        return PullSchool.of(rules.practices(), kind == JobKind.MARINE);
    }

    JobDetails named(String newName) {
        return new JobDetails(newName, kind, nominalVoltageV, chargingVoltageV, units, ruleSet, rules);
    }

    /** The same job under other rules. */
    public JobDetails ruled(JobRules other) {
        return new JobDetails(name, kind, nominalVoltageV, chargingVoltageV, units, ruleSet, other);
    }
}
