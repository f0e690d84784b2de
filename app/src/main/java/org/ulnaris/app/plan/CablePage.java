package org.ulnaris.app.plan;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.ulnaris.app.drawing.RibbonMap;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.ribbon.CableMap;
import org.ulnaris.app.ribbon.EndSpot;
import org.ulnaris.app.ribbon.PlanTelling;
import org.ulnaris.app.ribbon.Telling;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** What every page of one cable shows: the job, the cable, its neighbours, its verdict; and its ribbon in two ways. */
@Component
public class CablePage {
    private final CableService cables;
    private final Works works;
    private final Ribbons ribbons;
    private final Words words;

    CablePage(CableService cables, Works works, Ribbons ribbons, Words words) {
        this.cables = cables;
        this.works = works;
        this.ribbons = ribbons;
        this.words = words;
    }

    /** Fills {@code model}; the cable worked out. */
    public WorkedCable open(Model model, Job job, Cable cable) {
        WorkedJob whole = works.of(job.id());
        WorkedCable worked = whole.cable(cable.details().tag());
        model.addAttribute("waysOut", WaysOut.of(whole, worked, job.fmt(), words));
        model.addAttribute("job", JobView.of(job));
        model.addAttribute(
                "cable",
                CableView.of(
                        cable,
                        worked.sizeSaid().orElseGet(() -> words.of("size.unsaid")),
                        verdict(worked, job.fmt(), words),
                        cables.idsOf(job.id())));
        return worked;
    }

    /** Adds the ribbon with {@code spot} open; null for the run, whose page tells of its ends in short on a phone. */
    public void map(Model model, Job job, Cable cable, WorkedCable worked, @Nullable EndSpot spot) {
        map(model, job, worked, PlanTelling.pressed(cable.id(), worked, job.fmt(), words, spot), spot == null);
    }

    /** Adds the ribbon with what is planned, nothing of it open. */
    public void map(Model model, Job job, Cable cable, WorkedCable worked) {
        map(model, job, worked, PlanTelling.whole(cable.id(), worked, job.fmt(), words));
    }

    /** Adds the ribbon on which ends, places and run are pressed: across for the desk, upright for a phone. */
    public void map(Model model, Job job, WorkedCable worked, Telling telling) {
        map(model, job, worked, telling, false);
    }

    private void map(Model model, Job job, WorkedCable worked, Telling telling, boolean brief) {
        RibbonMap map = new RibbonMap(ribbons.drawer(job, worked, false));
        CableMap cable = new CableMap(
                worked, job.fmt(), words, telling, job.details().rules().bendDiameters());
        RibbonMap.Told told = cable.told();
        model.addAttribute("across", map.across(told));
        model.addAttribute("upright", map.upright(brief ? cable.brief() : told));
    }

    /** The verdict of a cable with its first reason. */
    public static VerdictView verdict(WorkedCable cable, Fmt fmt, Words words) {
        long asking =
                cable.findings().stream().filter(said -> said.verdict().asks()).count();
        String reason = cable.reason().map(said -> reason(said, fmt, words)).orElse("");
        List<String> accepted = accepted(cable.findings(), fmt, words).stream()
                .filter(one -> !one.equals(reason))
                .toList();
        return new VerdictView(cable.verdict(), reason, Math.max(0, asking - 1), accepted);
    }

    /** The stops among {@code findings} that somebody answers for. */
    static List<String> accepted(List<JobFinding> findings, Fmt fmt, Words words) {
        return findings.stream()
                .filter(said -> said.finding().deviation() != null)
                .map(said -> reason(said, fmt, words))
                .distinct()
                .toList();
    }

    /** A finding with its place, in one line. */
    public static String reason(JobFinding said, Fmt fmt, Words words) {
        String where = said.where().isEmpty() ? "" : " " + said.where();
        return words.of("finding." + said.finding().code().name()) + where + ": " + words.sentence(said.finding(), fmt);
    }
}
