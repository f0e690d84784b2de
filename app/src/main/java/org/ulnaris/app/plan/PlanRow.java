package org.ulnaris.app.plan;

import java.util.Map;
import java.util.function.Supplier;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.worked.WorkedCable;

/**
 * A cable as a line of the job's plan.
 *
 * @param typed text of the fields that are edited in place
 * @param faults what is wrong with them
 * @param drawn draws the cable, where the line is shown
 * @param figures what the list is sorted by
 */
record PlanRow(
        long id,
        String began,
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
        VerdictView verdict,
        Supplier<Drawing> drawn,
        Figures figures,
        Map<String, String> typed,
        Map<String, Fault> faults) {
    /** Figures of a line, in A, m, mm², % and used ÷ allowed. */
    record Figures(double currentA, double lengthM, double areaMm2, double dropPercent, double use) {}

    /** Where a line comes from. */
    record Line(Cable cable, WorkedCable worked, Supplier<Drawing> drawn) {}

    static PlanRow of(Job job, Line line, Words words) {
        Fmt fmt = job.fmt();
        CableDetails details = line.cable().details();
        WorkedCable worked = line.worked();
        Rung rung = worked.rung();
        boolean known = worked.carried().known();
        double use = rung.use(rung.worstCheck());
        LadderView.Bar bar = LadderView.Bar.of(rung.worstCheck(), rung.verdict(), use, words);
        return new PlanRow(
                line.cable().id(),
                Merge.began(inPlace(details, fmt)),
                details.tag(),
                details.fromPoint() + (details.toPoint().isEmpty() ? "" : " → " + details.toPoint()),
                worked.circuit(),
                known ? fmt.current(worked.carried().currentA()) : "—",
                worked.carried().worstCase(),
                worked.sizeSaid().orElse("—"),
                worked.size().byHand(),
                known ? words.of("finding." + worked.decidedBy().name()) : "—",
                known ? fmt.percent(rung.dropPercent()) : "—",
                known ? bar : bar.unknown(words),
                CablePage.verdict(worked, fmt, words),
                line.drawn(),
                new Figures(
                        worked.carried().currentA(),
                        details.lengthM(),
                        rung.size().areaMm2(),
                        rung.dropPercent(),
                        use),
                CableReader.texts(details, fmt),
                Map.of());
    }

    private static Map<String, String> inPlace(CableDetails details, Fmt fmt) {
        Map<String, String> texts = CableReader.texts(details, fmt);
        texts.keySet().retainAll(PlanListController.IN_PLACE);
        return texts;
    }

    /** The line with what was typed and can't be used. */
    PlanRow refused(Map<String, String> kept, Map<String, Fault> found) {
        return new PlanRow(
                id, began, tag, route, circuit, current, loadCase, size, byHand, decidedBy, drop, margin, verdict,
                drawn, figures, kept, found);
    }

    public Drawing ribbon() {
        return drawn.get();
    }

    /** All words by which it can be found. */
    String words() {
        return String.join(" ", tag, route, circuit, size, decidedBy, loadCase, verdict.reason());
    }
}
