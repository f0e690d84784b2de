package org.ulnaris.app.plan;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.ulnaris.app.drawing.RibbonMap;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.ribbon.CableMap;
import org.ulnaris.app.ribbon.EndSpot;
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
                        worked.rung().size().designation(),
                        verdict(worked, job.fmt(), words),
                        cables.idsOf(job.id())));
        return worked;
    }

    /** Adds the ribbon with its dimensions. */
    public void ribbon(Model model, Job job, WorkedCable worked) {
        model.addAttribute("ribbon", ribbons.of(job, worked, true));
    }

    /**
     * Adds the ribbon on which ends and run are pressed, with {@code spot} open; null for the run. On a phone an end stands upright, of the
     * run it is drawn without a word.
     */
    public void map(Model model, Job job, Cable cable, WorkedCable worked, @Nullable EndSpot spot) {
        RibbonMap map = new RibbonMap(ribbons.drawer(job, worked, false));
        RibbonMap.Told told = new CableMap(cable.id(), worked, job.fmt(), words, spot).told();
        model.addAttribute("across", map.across(told));
        if (spot == null) {
            model.addAttribute("plain", ribbons.of(job, worked, false));
        } else {
            model.addAttribute("upright", map.upright(told));
        }
    }

    /** The verdict of a cable with its first reason. */
    public static VerdictView verdict(WorkedCable cable, Fmt fmt, Words words) {
        long asking =
                cable.findings().stream().filter(said -> said.verdict().asks()).count();
        return new VerdictView(
                cable.verdict(),
                cable.reason().map(said -> reason(said, fmt, words)).orElse(""),
                Math.max(0, asking - 1));
    }

    /** A finding with its place, in one line. */
    public static String reason(JobFinding said, Fmt fmt, Words words) {
        String where = said.where().isEmpty() ? "" : " " + said.where();
        return words.of("finding." + said.finding().code().name()) + where + ": " + words.sentence(said.finding(), fmt);
    }
}
