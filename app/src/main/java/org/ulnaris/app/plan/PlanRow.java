package org.ulnaris.app.plan;

import java.util.Map;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.sizing.Rung;

/**
 * A cable as a line of the job's plan.
 *
 * @param typed text of the fields that are edited in place
 * @param faults what is wrong with them
 * @param figures what the list is sorted by
 */
record PlanRow(
        long id,
        long version,
        String tag,
        String route,
        String circuit,
        String current,
        String loadCase,
        String size,
        boolean byHand,
        String decidedBy,
        String drop,
        LadderView.Bar margin,
        Verdict verdict,
        Drawing ribbon,
        Figures figures,
        Map<String, String> typed,
        Map<String, Fault> faults) {
    /** Figures of a line, in A, m, mm², % and used ÷ allowed. */
    record Figures(double currentA, double lengthM, double areaMm2, double dropPercent, double use) {}

    /** Where a line comes from. */
    record Line(Cable cable, CableSizing sizing, Drawing ribbon, String circuit) {}

    static PlanRow of(Job job, Line line, Words words) {
        Fmt fmt = job.fmt();
        CableDetails details = line.cable().details();
        Rung rung = line.sizing().inUse();
        double use = rung.use(rung.worstCheck());
        return new PlanRow(
                line.cable().id(),
                line.cable().version(),
                details.tag(),
                details.fromPoint() + (details.toPoint().isEmpty() ? "" : " → " + details.toPoint()),
                line.circuit(),
                fmt.current(details.currentA()),
                line.cable().loadCase(),
                rung.size().designation(),
                line.sizing().byHand(),
                words.of("finding." + line.sizing().result().decidedBy().name()),
                fmt.percent(rung.dropPercent()),
                LadderView.Bar.of(rung.worstCheck(), rung.verdict(), use, words),
                rung.verdict(),
                line.ribbon(),
                new Figures(details.currentA(), details.lengthM(), rung.size().areaMm2(), rung.dropPercent(), use),
                CableReader.texts(details, fmt),
                Map.of());
    }

    /** The line with what was typed and can't be used. */
    PlanRow refused(Map<String, String> kept, Map<String, Fault> found) {
        return new PlanRow(
                id, version, tag, route, circuit, current, loadCase, size, byHand, decidedBy, drop, margin, verdict,
                ribbon, figures, kept, found);
    }

    /** All words by which it can be found. */
    String words() {
        return String.join(" ", tag, route, circuit, size, decidedBy, loadCase);
    }
}
