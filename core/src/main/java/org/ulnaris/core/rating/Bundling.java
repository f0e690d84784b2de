package org.ulnaris.core.rating;

import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** Adjustment for current-carrying conductors bundled together, by publication. */
enum Bundling {
    /** Printed for 50 V and over; marine practice uses it for direct current under 50 V as well. */
    CFR("33 CFR 183.425", note("Bundling.table-5-note")),
    ISO("ISO 13297", note("Bundling.annex-a")),
    NEC("NEC (NFPA 70)", "310.15(C)(1)");

    private record Step(double from, double to, double factor) {}

    private final Source source;
    private final List<Step> steps;

    Bundling(String document, String clause) {
        ReferenceTable table = ReferenceTable.load("bundling.csv");
        this.source = new Source(document, clause, table.source().confidence());
        this.steps = table.rows().stream()
                .filter(row -> row.text("rule").equals(name()))
                .map(row -> new Step(
                        row.number("from"),
                        row.optionalNumber("to").orElse(Double.POSITIVE_INFINITY),
                        row.number("factor")))
                .toList();
    }

    Source source() {
        return source;
    }

    /** Factor for {@code conductors} together; 1 below the first step. */
    double factor(int conductors) {
        for (Step step : steps) {
            if (conductors >= step.from && conductors <= step.to) {
                return step.factor;
            }
        }
        return 1;
    }
}
