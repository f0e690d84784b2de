package org.ulnaris.app.plan;

import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.sizing.Rung;

/** A cable as a line of the job's plan. */
record PlanRow(
        long id,
        String tag,
        String route,
        Polarity polarity,
        String current,
        String loadCase,
        String length,
        String size,
        boolean byHand,
        String decidedBy,
        String drop,
        LadderView.Bar margin,
        Verdict verdict,
        Drawing ribbon) {
    static PlanRow of(Job job, Cable cable, CableSizing sizing, Drawing ribbon, Words words) {
        Fmt fmt = job.fmt();
        CableDetails details = cable.details();
        Rung rung = sizing.inUse();
        return new PlanRow(
                cable.id(),
                details.tag(),
                details.fromPoint() + (details.toPoint().isEmpty() ? "" : " → " + details.toPoint()),
                details.polarity(),
                fmt.current(details.currentA()),
                cable.loadCase(),
                fmt.route(details.lengthM()),
                rung.size().designation(),
                sizing.byHand(),
                words.of("finding." + sizing.result().decidedBy().name()),
                fmt.percent(rung.dropPercent()),
                LadderView.Bar.of(rung.worstCheck(), rung.verdict(), rung.use(rung.worstCheck()), words),
                rung.verdict(),
                ribbon);
    }
}
