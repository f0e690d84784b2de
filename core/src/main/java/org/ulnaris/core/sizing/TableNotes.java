package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.TableRating;

/** Where the table was read beside the size, the insulation or the voltage that are there. */
record TableNotes(Rung rung) {
    Stream<Finding> findings() {
        return Stream.of(metal(), row(), column(), voltage(), smallConductor()).flatMap(Optional::stream);
    }

    /** A metal that the publication does not know is refused under it; its figures are ours. */
    private Optional<Finding> metal() {
        ConductorMetal metal = rung.conductor().metal();
        return rung.demand().ruleSet().method().knows(metal)
                ? Optional.empty()
                : Optional.of(Finding.said(
                        FindingCode.CONDUCTOR_METAL,
                        Verdict.STOP,
                        "",
                        note("TableNotes.afloat-conductors-are"),
                        new Source(
                                "33 CFR 183.425(a), ISO 13297",
                                note("TableNotes.conductors-of-stranded"),
                                Confidence.RECALLED_HIGH)));
    }

    private Optional<Finding> row() {
        TableRating rating = rung.rating();
        return rating == null || rating.exact()
                ? Optional.empty()
                : Optional.of(said(
                        rating.beyond() ? FindingCode.TABLE_END : FindingCode.TABLE_ROW,
                        rating.beyond() ? Verdict.NOTE : Verdict.PASS,
                        Explanation.read(
                                rating.beyond()
                                        ? note("TableNotes.the-table-ends")
                                        : note("TableNotes.largest-row-not"),
                                term("A_row", rating.row().areaMm2(), "mm²"),
                                term("A", rung.size().areaMm2(), "mm²"))));
    }

    private Optional<Finding> column() {
        double columnC = rung.derating().columnTempC();
        double insulationC = rung.demand().conditions().insulationTempC();
        return rung.derating().hasColumn() && columnC < insulationC
                ? Optional.of(said(
                        FindingCode.TABLE_COLUMN,
                        Verdict.PASS,
                        Explanation.read(
                                note("TableNotes.highest-column-not"),
                                term("T_col", columnC, "°C"),
                                term("T_ins", insulationC, "°C"))))
                : Optional.empty();
    }

    private Optional<Finding> voltage() {
        double volt = rung.demand().load().systemVoltageV();
        double upTo = rung.demand().ruleSet().method().upToVoltageV();
        return volt >= upTo
                ? Optional.of(said(
                        FindingCode.TABLE_VOLTAGE,
                        Verdict.WATCH,
                        Explanation.read(
                                note("TableNotes.the-table-ends-below"),
                                term("U", volt, "V"),
                                term("U_table", upTo, "V"))))
                : Optional.empty();
    }

    /** The land code holds the fuse of a small conductor lower than its ampacity. */
    private Optional<Finding> smallConductor() {
        return rung.smallFuseA().stream()
                .filter(fuseA -> fuseA < rung.ampacityA())
                .mapToObj(fuseA -> new Finding(
                        FindingCode.SMALL_CONDUCTOR,
                        Verdict.PASS,
                        fuseA,
                        rung.ampacityA(),
                        "A",
                        Explanation.read(
                                note("TableNotes.small-conductor"),
                                term("I_n", fuseA, "A"),
                                term("I_z", rung.ampacityA(), "A")),
                        new Source("NEC 240.4(D)", note("TableNotes.small-conductor"), Confidence.RECALLED_HIGH)))
                .findFirst();
    }

    /** Figure and limit are the two values of the reason. */
    private Finding said(FindingCode code, Verdict verdict, Explanation reason) {
        return new Finding(
                code,
                verdict,
                reason.given().get(0).value(),
                reason.given().get(1).value(),
                reason.given().get(0).unit(),
                reason,
                rung.demand().ruleSet().method().source());
    }
}
