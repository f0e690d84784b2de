package org.ulnaris.app.ribbon;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;

/** What is planned at each place: what is wrong there, else what else to know of it. */
public final class PlanTelling implements Telling {
    private final long id;
    private final WorkedCable cable;
    private final Fmt fmt;
    private final Words words;
    private final @Nullable EndSpot spot;
    private final boolean run;

    private PlanTelling(long id, WorkedCable cable, Fmt fmt, Words words, @Nullable EndSpot spot, boolean run) {
        this.id = id;
        this.cable = cable;
        this.fmt = fmt;
        this.words = words;
        this.spot = spot;
        this.run = run;
    }

    /** Of the cable kept under {@code id} with {@code spot} pressed; null for the run. */
    public static PlanTelling pressed(long id, WorkedCable cable, Fmt fmt, Words words, @Nullable EndSpot spot) {
        return new PlanTelling(id, cable, fmt, words, spot, spot == null);
    }

    /** Of the cable kept under {@code id} with nothing pressed. */
    public static PlanTelling whole(long id, WorkedCable cable, Fmt fmt, Words words) {
        return new PlanTelling(id, cable, fmt, words, null, false);
    }

    @Override
    public boolean once() {
        return true;
    }

    @Override
    public Place of(Side side) {
        return new Place(
                "", cable.verdict(side), new EndSpot(side, null).address(id), spot != null && spot.side() == side);
    }

    @Override
    public Optional<Place> at(Side side, EndPart part, boolean there) {
        Optional<JobFinding> worst = cable.at(side, part).stream()
                .filter(said -> said.verdict().asks())
                .min(JobFinding.WORST_FIRST);
        if (!there && worst.isEmpty()) {
            return Optional.empty();
        }
        EndSpot here = new EndSpot(side, part);
        return Optional.of(new Place(
                worst.map(this::title).orElseGet(() -> also(cable.plan().end(side), part)),
                worst.map(JobFinding::verdict).orElse(Verdict.PASS),
                here.address(id),
                here.equals(spot)));
    }

    private String title(JobFinding said) {
        return words.of("finding." + said.finding().code().name());
    }

    private String also(EndPlan plan, EndPart part) {
        Termination end = plan.termination();
        MatchedLug lug = plan.match();
        return switch (part) {
            case STUD -> cable.cable().points().at(plan.side());
            case LUG -> end == null ? "" : EndWords.onShelf(plan.handy(), end.code(), words);
            case CRIMP -> lug == null || lug.tooling() == null ? "" : EndWords.fetch(lug.tooling(), words);
            case STRIP -> end == null || !(end.gapMm() > 0) ? "" : words.of("map.gap", fmt.small(end.gapMm()));
            case SLEEVE -> {
                ShrinkChoice sleeve = end == null ? null : end.sleeve();
                yield sleeve == null ? "" : words.of(sleeve.beforeLug() ? "map.sleeve.before" : "map.sleeve.after");
            }
        };
    }

    @Override
    public Place run() {
        List<JobFinding> ends = new ArrayList<>(cable.at(Side.A));
        ends.addAll(cable.at(Side.B));
        Optional<JobFinding> worst = cable.findings().stream()
                .filter(said -> said.verdict().asks() && !ends.contains(said))
                .min(JobFinding.WORST_FIRST);
        return new Place(
                worst.map(this::title).orElseGet(this::current),
                worst.map(JobFinding::verdict).orElse(Verdict.PASS),
                "/cables/" + id + "/plan",
                run);
    }

    private String current() {
        Rung rung = cable.rung();
        return cable.carried().known() && rung.ampacityA() > 0
                ? words.of("map.current", fmt.current(cable.carried().currentA()), fmt.current(rung.ampacityA()))
                : "";
    }
}
