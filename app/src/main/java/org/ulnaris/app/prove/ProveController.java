package org.ulnaris.app.prove;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.make.Reading;
import org.ulnaris.app.make.ReadingView;
import org.ulnaris.app.make.RedoView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.worked.WorkedJob;

/** Prove: what was read, and how it was judged. */
@Controller
class ProveController {
    private final JobService jobs;
    private final CableService cables;
    private final MakeService make;
    private final Works works;
    private final JobPage jobPage;
    private final CablePage page;
    private final Words words;

    ProveController(
            JobService jobs,
            CableService cables,
            MakeService make,
            Works works,
            JobPage jobPage,
            CablePage page,
            Words words) {
        this.jobs = jobs;
        this.cables = cables;
        this.make = make;
        this.works = works;
        this.jobPage = jobPage;
        this.page = page;
        this.words = words;
    }

    /**
     * A cable as a line of the job's proof.
     *
     * @param begun whether anything of it is made
     * @param verdict the cable's one verdict: the worst of plan and readings
     */
    record ProveRow(
            long id,
            String tag,
            boolean begun,
            boolean finished,
            int readings,
            long watch,
            long stop,
            long deviations,
            VerdictView verdict) {}

    @GetMapping("/jobs/{id}/prove")
    String list(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        List<Cable> all = cables.of(id);
        Map<Long, Making> makings = make.ofAll(all);
        jobPage.open(model, job);
        List<ProveRow> rows = all.isEmpty() ? List.of() : rows(job, all, makings);
        model.addAttribute("rows", rows);
        model.addAttribute(
                "unproven", rows.stream().filter(row -> !row.finished()).count());
        return "prove/list";
    }

    private List<ProveRow> rows(Job job, List<Cable> all, Map<Long, Making> makings) {
        WorkedJob worked = works.of(job.id());
        return all.stream()
                .map(cable -> row(
                        cable,
                        Objects.requireNonNull(makings.get(cable.id())),
                        CablePage.verdict(worked.cable(cable.details().tag()), job.fmt(), words)))
                .toList();
    }

    private static ProveRow row(Cable cable, Making making, VerdictView verdict) {
        List<Reading> readings = making.inForce();
        return new ProveRow(
                cable.id(),
                cable.details().tag(),
                making.record().begun(),
                making.finished(),
                readings.size(),
                count(readings, Verdict.WATCH),
                count(readings, Verdict.STOP),
                readings.stream().filter(reading -> reading.deviation() != null).count(),
                verdict);
    }

    private static long count(List<Reading> readings, Verdict verdict) {
        return readings.stream().filter(reading -> reading.verdict() == verdict).count();
    }

    @GetMapping("/cables/{id}/prove")
    String cable(Model model, @PathVariable long id) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        Making making = make.of(id);
        page.map(model, job, page.open(model, job, cable), new ProofTelling(id, making, job.fmt(), words));
        Map<Boolean, List<ReadingView>> readings = making.readings().stream()
                .map(reading -> ReadingView.of(reading, job.fmt(), words))
                .collect(Collectors.partitioningBy(ReadingView::superseded));
        model.addAttribute("readings", readings.get(false));
        model.addAttribute("superseded", readings.get(true));
        model.addAttribute(
                "redos",
                making.redos().stream()
                        .map(redo -> RedoView.of(redo, job.fmt(), words))
                        .toList());
        model.addAttribute("open", making.unread());
        model.addAttribute("begun", making.record().begun());
        return "prove/cable";
    }
}
