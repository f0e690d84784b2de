package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.tooling.CribGap;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

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

    /**
     * A gap as an empty nest.
     *
     * @param drawing the dies that would do, all to one scale
     * @param window their width across flats, in short
     * @param places who needs them, by job
     */
    record GapRow(
            Drawing drawing,
            String window,
            String what,
            String area,
            Map<String, List<String>> places,
            String wanted,
            String force,
            String substitute) {}

    @GetMapping("/crib/gaps")
    String gaps(Model model) {
        fill(model);
        return "crib/gaps";
    }

    /** The empty nests for the picture of the crib. */
    @GetMapping("/crib/gaps/nests")
    String nests(Model model) {
        fill(model);
        return "crib/gaps :: nests";
    }

    private void fill(Model model) {
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
        List<CribGap> gaps = CribGap.of(needs, crib.toolbox());
        double widest = gaps.stream()
                .mapToDouble(gap -> gap.wanted().flatsToMm() * DieShape.HEX.widestFactor())
                .max()
                .orElse(0);
        model.addAttribute(
                "gaps",
                gaps.stream().map(gap -> row(gap, DieDrawer.blockMm(widest))).toList());
    }

    private List<CribGap.Need> needs(Job job) {
        List<CribGap.Need> needs = new ArrayList<>();
        WorkedJob worked = works.of(job.id());
        MarkRule rule = worked.model().ground().marks();
        for (WorkedCable cable : worked.cables()) {
            CablePlan plan = cable.plan();
            for (Side side : Side.values()) {
                String place = job.details().name() + "\t" + cable.tag();
                MatchedLug lug = plan.end(side).match();
                MatchedContact contact = plan.end(side).contact();
                if (lug != null) {
                    needs.add(new CribGap.Need(
                            place, lug.lug().barrel(), lug.fit().conductorAreaMm2(), rule));
                }
                if (contact != null) {
                    double areaMm2 = plan.cable().conductor().size().areaMm2();
                    contact.contact().tube().ifPresent(tube -> needs.add(new CribGap.Need(place, tube, areaMm2, rule)));
                }
            }
        }
        return needs;
    }

    private GapRow row(CribGap gap, double blockMm) {
        CribGap.Wanted wanted = gap.wanted();
        String from = Figures.fixed(Math.ceil(wanted.flatsFromMm() * 10) / 10, 1);
        String to = Figures.fixed(Math.floor(wanted.flatsToMm() * 10) / 10, 1);
        Map<String, List<String>> places = new LinkedHashMap<>();
        gap.places().stream()
                .distinct()
                .map(place -> place.split("\t", 2))
                .forEach(place -> places.computeIfAbsent(place[0], job -> new ArrayList<>())
                        .add(place[1]));
        String window = words.of("gap.window", from, to);
        return new GapRow(
                DieDrawer.gap(wanted.flatsFromMm(), wanted.flatsToMm(), blockMm, words.of("gap.outline", window)),
                window,
                words.name(gap.kind()),
                words.of(
                        "gap.barrel",
                        FMT.area(Figures.rounded(gap.conductorAreaMm2(), 3)),
                        Figures.significant(gap.barrel().outerMm(), 3),
                        Figures.significant(gap.barrel().boreMm(), 3)),
                places,
                words.of(
                        "gap.wanted",
                        from,
                        to,
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
