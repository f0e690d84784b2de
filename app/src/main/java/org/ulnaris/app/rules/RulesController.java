package org.ulnaris.app.rules;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import org.ulnaris.app.shell.KeepsNothing;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

/** House rules: which school holds where practice differs, for the shop and for one job. */
@Controller
class RulesController {

    /** Rules that hold everywhere and can't be chosen; their words are in the message bundle. */
    private static final List<String> FIXED = List.of("ampacity", "starter", "joints", "torque");

    /** In so many open jobs the effect of a rule is tried at most. */
    private static final int MOST_TRIED = 12;

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

    /** An open job: whether it has the shop's rules. */
    record JobRow(long id, String name, boolean same) {}

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
        model.addAttribute("sheets", RuleSheet.of(words));
        model.addAttribute("beside", job == null ? others() : shop(typed));
        model.addAttribute(
                "openJobs",
                job != null
                        ? List.of()
                        : open().stream()
                                .map(open -> new JobRow(
                                        open.id(),
                                        open.details().name(),
                                        open.details().rules().equals(rules.rules())))
                                .toList());
        model.addAttribute("fixed", FIXED);
        model.addAttribute("action", job == null ? "/rules" : "/jobs/" + job.id() + "/rules");
        return "rules/rules";
    }

    private List<Job> open() {
        return jobs.all().stream().filter(job -> !job.archived()).toList();
    }

    /** Beside each rule of the shop, the open jobs that have another; by field. */
    private Map<String, String> others() {
        Map<String, String> shop = RulesReader.texts(rules.rules());
        Map<String, List<String>> others = new LinkedHashMap<>();
        for (Job job : open()) {
            RulesReader.texts(job.details().rules()).forEach((field, text) -> {
                if (!text.equals(shop.get(field))) {
                    others.computeIfAbsent(field, key -> new ArrayList<>())
                            .add(job.details().name());
                }
            });
        }
        Map<String, String> said = new HashMap<>();
        others.forEach(
                (field, names) -> said.put(field, words.of("rule.others", String.join(", ", names), names.size())));
        return said;
    }

    /** Beside each rule of a job, what the shop has where that is another; by field. */
    private Map<String, String> shop(Map<String, String> typed) {
        Map<String, RuleSheet.Rule> sheet = RuleSheet.byField(words);
        Map<String, String> said = new HashMap<>();
        RulesReader.texts(rules.rules()).forEach((field, text) -> {
            RuleSheet.Rule rule = sheet.get(field);
            if (rule != null && !text.equals(typed.get(field))) {
                String has = rule.options().stream()
                        .filter(option -> option.value().equals(text))
                        .findFirst()
                        .map(RuleSheet.Option::words)
                        .orElse(text.isEmpty() ? words.of("rule.empty") : text);
                said.put(field, words.of("rule.shop", has));
            }
        });
        return said;
    }

    /** What one rule as it is typed would do to the open jobs; nothing is kept. */
    @KeepsNothing
    @PostMapping("/rules/effect")
    String shopEffect(Model model, @RequestParam String field, @RequestParam Map<String, String> typed) {
        return effect(model, open(), field, entry(field, typed, Units.METRIC));
    }

    /** The same for one job. */
    @KeepsNothing
    @PostMapping("/jobs/{id}/rules/effect")
    String jobEffect(
            Model model, @PathVariable long id, @RequestParam String field, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        return effect(
                model, List.of(job), field, entry(field, typed, job.details().units()));
    }

    private static Entries entry(String field, Map<String, String> typed, Units units) {
        return new Entries(Map.of(field, typed.getOrDefault(field, "")), units);
    }

    private String effect(Model model, List<Job> open, String field, Entries entries) {
        if (!RuleSheet.byField(words).containsKey(field)) {
            throw new NotFoundException("rule " + field);
        }
        RulesReader.read(entries, rules.rules());
        List<String> lines = new ArrayList<>();
        if (!entries.clean()) {
            entries.faults().values().forEach(fault -> lines.add(words.fault(fault)));
        } else {
            for (Job job : open.stream().limit(MOST_TRIED).toList()) {
                effect(job, entries).ifPresent(lines::add);
            }
            if (lines.isEmpty()) {
                lines.add(words.of("rule.effect.none", Math.min(open.size(), MOST_TRIED)));
            }
            if (open.size() > MOST_TRIED) {
                lines.add(words.of("rule.effect.rest", open.size() - MOST_TRIED));
            }
        }
        model.addAttribute("field", field);
        model.addAttribute("lines", lines);
        return "rules/rules :: effect";
    }

    private Optional<String> effect(Job job, Entries one) {
        String name = job.details().name();
        try {
            RulesPreview.Count now = preview.now(job);
            RulesPreview.Count then =
                    preview.under(job, RulesReader.read(one, job.details().rules()));
            return now.equals(then)
                    ? Optional.empty()
                    : Optional.of(words.of(
                            "rule.effect.line", name, now.stops(), now.watches(), then.stops(), then.watches()));
        } catch (BrokenJobException e) {
            return Optional.of(words.of("rule.effect.broken", name));
        }
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
                "labels",
                RuleSheet.byField(words).values().stream()
                        .collect(Collectors.toMap(RuleSheet.Rule::field, RuleSheet.Rule::label)));
        return new ModelAndView(view, model.asMap(), HttpStatus.CONFLICT);
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
