package org.ulnaris.app.budget;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.budget.BudgetTask.Progress;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.stock.PriceList;
import org.ulnaris.core.budget.BudgetPlan;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.RunResult;

/** Plan: the drop budget of the paths. */
@Controller
class BudgetController {
    /** What a search makes least. */
    enum Aim {
        COPPER,
        COST
    }

    private final JobService jobs;
    private final BudgetService budget;
    private final PriceList prices;
    private final JobPage jobPage;

    BudgetController(JobService jobs, BudgetService budget, PriceList prices, JobPage jobPage) {
        this.jobPage = jobPage;
        this.jobs = jobs;
        this.budget = budget;
        this.prices = prices;
    }

    /** A path with its allowance. */
    record PathRow(String load, String caseName, String before, String after, String allowed, Verdict verdict) {}

    /** A cable with its size. */
    record SizeRow(String tag, String before, String after, String metre, boolean same, boolean thicker) {}

    @GetMapping("/jobs/{id}/budget")
    String show(Model model, @PathVariable long id, @RequestParam(defaultValue = "false") boolean changed) {
        Job job = jobs.get(id);
        model.addAttribute("changed", changed);
        return page(model, job, Map.of(), Map.of());
    }

    private String page(Model model, Job job, Map<String, String> typed, Map<String, Fault> faults) {
        Optional<InstallationResult> now = budget.now(job.id());
        BudgetTask task = budget.task(job.id()).orElse(null);
        jobPage.open(model, job);
        model.addAttribute("ready", now.isPresent());
        model.addAttribute("unprotected", budget.unprotected(job.id()));
        model.addAttribute("paths", now.map(result -> paths(result, job.fmt())).orElse(List.of()));
        model.addAttribute("copperNow", now.map(result -> kg(result.metalKg())).orElse(""));
        Map<String, String> shown = new HashMap<>(Map.of(PriceList.FIELD, prices.text()));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("began", Merge.began(prices.texts()));
        model.addAttribute("task", task);
        if (task != null) {
            Progress progress = task.progress();
            model.addAttribute("byCost", !task.request().pricePerM().isEmpty());
            model.addAttribute("running", progress.running());
            model.addAttribute(
                    "nodes", String.format(Locale.ROOT, "%,d", progress.nodes()).replace(',', ' '));
            model.addAttribute("failure", progress.failure());
            plan(model, progress.plan(), job.fmt());
        }
        return "budget/budget";
    }

    private static void plan(Model model, @Nullable BudgetPlan plan, Fmt fmt) {
        if (plan == null) {
            return;
        }
        List<SizeRow> sizes = new ArrayList<>();
        for (RunResult run : plan.before().runs()) {
            var size = plan.sizes().get(run.run().tag());
            if (size != null) {
                String before = run.inUse().size().designation();
                sizes.add(new SizeRow(
                        run.run().tag(),
                        before,
                        size.designation(),
                        fmt.route(run.run().lengthM()),
                        before.equals(size.designation()),
                        size.areaMm2() > run.inUse().size().areaMm2()));
            }
        }
        model.addAttribute("plan", plan);
        model.addAttribute("sizes", sizes);
        model.addAttribute(
                "tooLow",
                plan.after().cases().stream()
                        .flatMap(one -> one.findings(plan.after().installation()).stream()
                                .filter(found -> found.finding().code() == FindingCode.LOAD_VOLTAGE
                                        && found.finding().stops())
                                .map(found ->
                                        found.load() + ", " + one.operating().name()))
                        .toList());
        model.addAttribute("copperThen", kg(plan.after().metalKg()));
        model.addAttribute(
                "planPaths",
                plan.paths().stream()
                        .map(path -> new PathRow(
                                path.load(),
                                path.caseName(),
                                fmt.percent(path.beforePercent()),
                                fmt.percent(path.afterPercent()),
                                fmt.percent(path.allowedPercent()),
                                path.kept() ? Verdict.PASS : Verdict.STOP))
                        .toList());
    }

    private static List<PathRow> paths(InstallationResult result, Fmt fmt) {
        List<PathRow> rows = new ArrayList<>();
        for (CaseResult one : result.cases()) {
            for (CaseResult.LoadFinding found : one.findings(result.installation())) {
                if (found.finding().code() == FindingCode.PATH_DROP) {
                    rows.add(new PathRow(
                            found.load(),
                            one.operating().name(),
                            fmt.percent(found.finding().figure()),
                            "",
                            fmt.percent(found.finding().limit()),
                            found.finding().verdict()));
                }
            }
        }
        return rows;
    }

    private static String kg(double kg) {
        return Figures.significant(kg, 3) + Fmt.SPACE + "kg";
    }

    @PostMapping("/jobs/{id}/budget")
    ModelAndView start(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "false") boolean keep) {
        Job job = jobs.get(id);
        Merge merge = Merge.of(prices.texts(), typed);
        Entries entries = new Entries(merge.typed(), job.details().units());
        if (merge.conflict() != null) {
            entries.fault(PriceList.FIELD, Fault.Code.MEANWHILE, prices.text());
        }
        Aim aim = entries.choice("aim", Aim.class, Aim.COPPER);
        Map<String, Double> read = entries.present(PriceList.FIELD) ? PriceList.read(entries) : prices.all();
        if (entries.clean() && aim == Aim.COST && read.isEmpty()) {
            entries.fault(PriceList.FIELD, Fault.Code.EMPTY, "16 mm² 4.20");
        }
        Optional<InstallationResult> now = budget.now(id);
        if (!entries.clean() || now.isEmpty()) {
            model.addAttribute("changed", false);
            return new ModelAndView(
                    page(model, job, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        prices.replace(read);
        budget.start(id, now.get(), keep, aim == Aim.COST ? read : Map.of());
        return new ModelAndView("redirect:/jobs/" + id + "/budget");
    }

    @PostMapping("/jobs/{id}/budget/stop")
    String stop(@PathVariable long id) {
        budget.task(jobs.get(id).id()).ifPresent(BudgetTask::stop);
        return "redirect:/jobs/" + id + "/budget";
    }

    @PostMapping("/jobs/{id}/budget/drop")
    String drop(@PathVariable long id) {
        budget.drop(jobs.get(id).id());
        return "redirect:/jobs/" + id + "/budget";
    }

    @PostMapping("/jobs/{id}/budget/take")
    String take(@PathVariable long id) {
        BudgetPlan plan = budget.task(jobs.get(id).id())
                .map(task -> task.progress().plan())
                .orElse(null);
        if (plan == null) {
            return "redirect:/jobs/" + id + "/budget";
        }
        boolean taken = budget.take(id, plan);
        budget.drop(id);
        return taken ? "redirect:/jobs/" + id + "/plan" : "redirect:/jobs/" + id + "/budget?changed=true";
    }
}
