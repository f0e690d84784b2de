package org.ulnaris.core.protection;

import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** How far from the source a conductor may run before its fuse. */
public final class Placement {
    private static final ReferenceTable TABLE = ReferenceTable.load("overcurrent-placement.csv");

    private Placement() {}

    /** Whose rule. */
    public enum School {
        US_MARINE,
        ISO_MARINE,
        LAND
    }

    /** How the unfused piece runs. */
    public enum Run {
        OPEN,
        SHEATHED,
        SHEATHED_FROM_BATTERY
    }

    private static ReferenceTable.Row row(School school, Run run) {
        return TABLE.rows().stream()
                .filter(row -> row.text("school").equals(school.name())
                        && row.text("run").equals(run.name()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no placement for " + school + " " + run));
    }

    /** Greatest distance along the conductor, mm. */
    public static double limitMm(School school, Run run) {
        return row(school, run).number("distance");
    }

    public static Source source(School school, Run run) {
        return new Source(
                row(school, run).text("clause"),
                note("Placement.measured-along-the"),
                TABLE.source().confidence());
    }
}
