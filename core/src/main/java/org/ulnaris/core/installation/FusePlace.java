package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.protection.Placement;

/**
 * How far from the bank the first fuse sits, by the school in force.
 *
 * @param school whose rule
 * @param unfusedMm length along the conductor, mm
 */
record FusePlace(Placement.School school, double unfusedMm) {
    private double bareMm() {
        return Placement.limitMm(school, Placement.Run.OPEN);
    }

    private double sheathedMm() {
        return Placement.limitMm(school, Placement.Run.SHEATHED_FROM_BATTERY);
    }

    private Verdict verdict() {
        if (unfusedMm <= bareMm()) {
            return Verdict.PASS;
        }
        return unfusedMm <= sheathedMm() ? Verdict.WATCH : Verdict.STOP;
    }

    Finding finding() {
        Verdict verdict = verdict();
        Placement.Run run = verdict == Verdict.PASS ? Placement.Run.OPEN : Placement.Run.SHEATHED_FROM_BATTERY;
        return new Finding(
                FindingCode.FUSE_POSITION,
                verdict,
                unfusedMm,
                verdict == Verdict.STOP ? sheathedMm() : bareMm(),
                "mm",
                Explanation.read(
                        "along the conductor from the battery; bare, and in a sheath all the way",
                        term("L", unfusedMm, "mm"),
                        term("L_bare", bareMm(), "mm"),
                        term("L_sheath", sheathedMm(), "mm")),
                Placement.source(school, run));
    }
}
