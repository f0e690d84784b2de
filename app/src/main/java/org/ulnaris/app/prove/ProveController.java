package org.ulnaris.app.prove;

import java.util.Comparator;
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
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.make.Reading;
import org.ulnaris.app.make.ReadingView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;

/** Prove: what was read, and how it was judged. */
@Controller
class ProveController {
    private final JobService jobs;
    private final CableService cables;
    private final MakeService make;
    private final CablePage page;
    private final Words words;

    ProveController(JobService jobs, CableService cables, MakeService make, CablePage page, Words words) {
        this.jobs = jobs;
        this.cables = cables;
        this.make = make;
        this.page = page;
        this.words = words;
    }

    /** A cable as a line of the job's proof. */
    record ProveRow(
            long id,
            String tag,
            boolean finished,
            int readings,
            long watch,
            long stop,
            long deviations,
            VerdictView verdict) {
        boolean proven() {
            return finished && readings > 0;
        }
    }

    @GetMapping("/jobs/{id}/prove")
    String list(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        List<Cable> all = cables.of(id);
        Map<Long, Making> makings = make.ofAll(all);
        List<ProveRow> rows = all.stream()
                .map(cable -> row(cable, Objects.requireNonNull(makings.get(cable.id())), job.fmt()))
                .toList();
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("rows", rows);
        model.addAttribute("worst", worst(rows));
        return "prove/list";
    }

    /** What was read of all cables: the worst, else what is not proven yet. */
    private VerdictView worst(List<ProveRow> rows) {
        List<ProveRow> asking = rows.stream()
                .filter(row -> row.verdict().verdict().asks())
                .sorted(Comparator.comparing((ProveRow row) -> row.verdict().verdict())
                        .reversed())
                .toList();
        if (!asking.isEmpty()) {
            VerdictView first = asking.get(0).verdict();
            long all =
                    asking.stream().mapToLong(row -> row.verdict().more() + 1).sum();
            return new VerdictView(first.verdict(), asking.get(0).tag() + " " + first.reason(), all - 1);
        }
        long unproven = rows.stream().filter(row -> !row.proven()).count();
        return unproven > 0
                ? new VerdictView(Verdict.OPEN, words.of("prove.list.unproven", unproven, rows.size()), 0)
                : new VerdictView(Verdict.PASS, words.of("prove.list.all-proven"), 0);
    }

    private ProveRow row(Cable cable, Making making, Fmt fmt) {
        List<Reading> readings = making.inForce();
        return new ProveRow(
                cable.id(),
                cable.details().tag(),
                making.finished(),
                readings.size(),
                count(readings, Verdict.WATCH),
                count(readings, Verdict.STOP),
                readings.stream().filter(reading -> reading.deviation() != null).count(),
                verdict(readings, fmt));
    }

    /** The worst of all readings, with the first that is so. */
    private VerdictView verdict(List<Reading> readings, Fmt fmt) {
        Verdict worst = readings.stream().map(Reading::verdict).reduce(Verdict.PASS, Verdict::and);
        long asking =
                readings.stream().filter(reading -> reading.verdict().asks()).count();
        String reason = readings.stream()
                .filter(reading -> worst.asks() && reading.verdict() == worst)
                .findFirst()
                .map(reading -> ReadingView.of(reading, fmt, words))
                .map(view -> view.step() + ": " + view.sentence())
                .orElse("");
        return new VerdictView(worst, reason, Math.max(0, asking - 1));
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
        model.addAttribute("verdict", verdict(making.inForce(), job.fmt()));
        model.addAttribute("open", making.unread());
        model.addAttribute("proven", making.finished() && !making.inForce().isEmpty());
        return "prove/cable";
    }
}
