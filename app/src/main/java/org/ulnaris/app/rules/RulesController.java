package org.ulnaris.app.rules;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.rules.Practice;

/** House rules: which school holds where practice differs, for the shop and for one job. */
@Controller
class RulesController {

    /** Rules that hold everywhere and can't be chosen; their words are in the message bundle. */
    private static final List<String> FIXED = List.of("ampacity", "starter", "joints", "torque");

    private final RulesService rules;
    private final JobService jobs;
    private final RulesPreview preview;
    private final Words words;

    RulesController(RulesService rules, JobService jobs, RulesPreview preview, Words words) {
        this.preview = preview;
        this.rules = rules;
        this.jobs = jobs;
        this.words = words;
    }

    /** A practice with its options in words. */
    record PracticeRow(String field, String label, String why, List<Option> options) {}

    /** An option of a practice. */
    record Option(String value, String words) {}

    /** An open job: whether it has the shop's rules. */
    record JobRow(long id, String name, boolean same) {}

    private List<PracticeRow> practices() {
        return Arrays.stream(Practice.values())
                .map(practice -> new PracticeRow(
                        RulesReader.FIELD + practice,
                        words.of("practice." + practice),
                        words.of("practice." + practice + ".why"),
                        practice.options().stream()
                                .map(option -> new Option(option, words.of("practice." + practice + "." + option)))
                                .toList()))
                .toList();
    }

    @GetMapping("/rules")
    String shop(Model model) {
        return page(model, null, RulesReader.texts(rules.rules()), Map.of());
    }

    @GetMapping("/jobs/{id}/rules")
    String job(
            Model model,
            @PathVariable long id,
            @RequestParam(required = false) @Nullable Long stops,
            @RequestParam(required = false) @Nullable Long watches) {
        Job job = jobs.get(id);
        if (stops != null && watches != null) {
            RulesPreview.Count now = preview.now(job);
            model.addAttribute("changes", words.of("rules.changes", stops, watches, now.stops(), now.watches()));
        }
        return page(model, job, RulesReader.texts(job.details().rules()), Map.of());
    }

    private String page(Model model, @Nullable Job job, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", job == null ? null : JobView.of(job));
        model.addAttribute("shop", RulesReader.texts(rules.rules()));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute(
                "began",
                Merge.began(RulesReader.texts(
                        job == null ? rules.rules() : job.details().rules())));
        model.addAttribute("facings", JobRules.Facing.values());
        model.addAttribute("schools", Placement.School.values());
        model.addAttribute("practices", practices());
        model.addAttribute(
                "openJobs",
                job != null
                        ? List.of()
                        : jobs.all().stream()
                                .filter(open -> !open.archived())
                                .map(open -> new JobRow(
                                        open.id(),
                                        open.details().name(),
                                        open.details().rules().equals(rules.rules())))
                                .toList());
        model.addAttribute("fixed", FIXED);
        model.addAttribute("action", job == null ? "/rules" : "/jobs/" + job.id() + "/rules");
        return "rules/rules";
    }

    /** What the shop's rules would do to a job that has its own: asked for by each line, for it is worked out anew. */
    @GetMapping("/jobs/{id}/rules/would")
    String would(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        model.addAttribute("would", would(job, rules.rules()));
        return "rules/rules :: would";
    }

    private String would(Job open, JobRules shop) {
        try {
            RulesPreview.Count now = preview.now(open);
            RulesPreview.Count then = preview.under(open, shop);
            return words.of(
                    now.equals(then) ? "rules.would.same" : "rules.would",
                    now.stops(),
                    now.watches(),
                    then.stops(),
                    then.watches());
        } catch (BrokenJobException e) {
            return words.of("rules.broken");
        }
    }

    @PostMapping("/rules")
    ModelAndView changeShop(Model model, @RequestParam Map<String, String> typed) {
        Map<String, String> saved = RulesReader.texts(rules.rules());
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null) {
            return conflict(model, merge.conflict(), page(model, null, saved, Map.of()));
        }
        Entries entries = new Entries(merge.typed(), Units.METRIC);
        JobRules changed = RulesReader.read(entries, rules.rules());
        if (!entries.clean()) {
            return refused(model, page(model, null, typed, entries.faults()));
        }
        rules.change(changed);
        return new ModelAndView("redirect:/rules");
    }

    @PostMapping("/jobs/{id}/rules")
    ModelAndView changeJob(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Map<String, String> saved = RulesReader.texts(job.details().rules());
        boolean asShop = typed.containsKey("asShop");
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null && !asShop) {
            return conflict(model, merge.conflict(), page(model, job, saved, Map.of()));
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        JobRules changed =
                asShop ? rules.rules() : RulesReader.read(entries, job.details().rules());
        if (!entries.clean()) {
            return refused(model, page(model, job, typed, entries.faults()));
        }
        RulesPreview.Count before = preview.now(job);
        jobs.change(id, job.details().ruled(changed));
        return new ModelAndView(
                "redirect:/jobs/" + id + "/rules?stops=" + before.stops() + "&watches=" + before.watches());
    }

    private ModelAndView conflict(Model model, Merge.Conflict conflict, String view) {
        model.addAttribute("conflict", conflict);
        model.addAttribute(
                "labels", practices().stream().collect(Collectors.toMap(PracticeRow::field, PracticeRow::label)));
        return new ModelAndView(view, model.asMap(), HttpStatus.CONFLICT);
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
