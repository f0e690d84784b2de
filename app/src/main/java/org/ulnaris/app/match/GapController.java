package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.tooling.CribGap;
import org.ulnaris.core.worked.WorkedCable;

/** Crib: what the open jobs need and the crib can't make. */
@Controller
class GapController {
    private static final Fmt FMT = new Fmt(Units.METRIC);

    private final JobService jobs;
    private final Works works;
    private final CribService crib;
    private final Words words;

    GapController(JobService jobs, Works works, CribService crib, Words words) {
        this.jobs = jobs;
        this.works = works;
        this.crib = crib;
        this.words = words;
    }

    /** A gap in words. */
    record GapRow(String what, String area, List<String> places, String wanted, String force, String substitute) {}

    @GetMapping("/crib/gaps")
    String gaps(Model model) {
        List<CribGap.Need> needs = new ArrayList<>();
        List<String> broken = new ArrayList<>();
        for (Job job : jobs.all()) {
            if (!job.archived()) {
                try {
                    needs.addAll(needs(job));
                } catch (BrokenJobException e) {
                    broken.add(job.details().name());
                }
            }
        }
        model.addAttribute("broken", broken);
        model.addAttribute("ends", needs.size());
        model.addAttribute(
                "gaps",
                CribGap.of(needs, crib.toolbox()).stream().map(this::row).toList());
        return "crib/gaps";
    }

    private List<CribGap.Need> needs(Job job) {
        List<CribGap.Need> needs = new ArrayList<>();
        for (WorkedCable cable : works.of(job.id()).cables()) {
            CablePlan plan = cable.plan();
            for (Side side : Side.values()) {
                String place = words.of("gap.place", job.details().name(), cable.tag());
                MatchedLug lug = plan.end(side).match();
                MatchedContact contact = plan.end(side).contact();
                if (lug != null) {
                    needs.add(new CribGap.Need(
                            place, lug.lug().barrel(), lug.fit().conductorAreaMm2()));
                }
                if (contact != null) {
                    double areaMm2 = plan.cable().conductor().size().areaMm2();
                    contact.contact().tube().ifPresent(tube -> needs.add(new CribGap.Need(place, tube, areaMm2)));
                }
            }
        }
        return needs;
    }

    private GapRow row(CribGap gap) {
        CribGap.Wanted wanted = gap.wanted();
        return new GapRow(
                words.name(gap.kind()),
                words.of(
                        "gap.barrel",
                        FMT.area(Figures.rounded(gap.conductorAreaMm2(), 3)),
                        Figures.significant(gap.barrel().outerMm(), 3),
                        Figures.significant(gap.barrel().boreMm(), 3)),
                gap.places().stream().distinct().toList(),
                words.of(
                        "gap.wanted",
                        Figures.fixed(Math.ceil(wanted.flatsFromMm() * 10) / 10, 1),
                        Figures.fixed(Math.floor(wanted.flatsToMm() * 10) / 10, 1),
                        Figures.fixed(wanted.widthUpToMm(), 0),
                        words.name(gap.barrel().material()).toLowerCase(Locale.ROOT)),
                words.of("gap.force", Figures.fixed(wanted.forceKn(), 0)),
                substitute(gap.substitute(), gap.consequence()));
    }

    private String substitute(@Nullable Crimp crimp, CribGap.@Nullable Consequence consequence) {
        return crimp == null || consequence == null
                ? words.of("gap.none")
                : words.of(
                        "gap.substitute",
                        crimp.die().tag(),
                        Figures.fixed(crimp.compaction(), 2),
                        words.name(consequence));
    }
}
