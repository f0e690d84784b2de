package org.ulnaris.app.rules;

import java.util.Arrays;
import java.util.LinkedHashMap;
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
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.TerminalLimit;

/** House rules: which school holds where practice differs, for the shop and for one job. */
@Controller
class RulesController {
    private static final String FIELD = "practice-";
    private static final int LONGEST_OPTION = 40;

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

    /** An open job: whether it has the shop's rules, and what they would do to its findings. */
    record JobRow(long id, String name, boolean same, String would) {}

    private List<PracticeRow> practices() {
        return Arrays.stream(Practice.values())
                .map(practice -> new PracticeRow(
                        FIELD + practice,
                        words.of("practice." + practice),
                        words.of("practice." + practice + ".why"),
                        practice.options().stream()
                                .map(option -> new Option(option, words.of("practice." + practice + "." + option)))
                                .toList()))
                .toList();
    }

    @GetMapping("/rules")
    String shop(Model model) {
        return page(model, null, texts(rules.rules()), Map.of());
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
        return page(model, job, texts(job.details().rules()), Map.of());
    }

    private String page(Model model, @Nullable Job job, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", job == null ? null : JobView.of(job));
        model.addAttribute("shop", texts(rules.rules()));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute(
                "began",
                Merge.began(texts(job == null ? rules.rules() : job.details().rules())));
        model.addAttribute("facings", JobRules.Facing.values());
        model.addAttribute("schools", Placement.School.values());
        model.addAttribute("practices", practices());
        model.addAttribute(
                "openJobs",
                job != null
                        ? List.of()
                        : jobs.all().stream()
                                .filter(open -> !open.archived())
                                .map(open -> row(open, rules.rules()))
                                .toList());
        model.addAttribute("fixed", FIXED);
        model.addAttribute("action", job == null ? "/rules" : "/jobs/" + job.id() + "/rules");
        return "rules/rules";
    }

    private JobRow row(Job open, JobRules shop) {
        boolean same = open.details().rules().equals(shop);
        String would = "";
        if (!same) {
            RulesPreview.Count now = preview.now(open);
            RulesPreview.Count then = preview.under(open, shop);
            would = words.of(
                    now.equals(then) ? "rules.would.same" : "rules.would",
                    now.stops(),
                    now.watches(),
                    then.stops(),
                    then.watches());
        }
        return new JobRow(open.id(), open.details().name(), same, would);
    }

    private static Map<String, String> texts(JobRules rules) {
        Map<String, String> texts = new LinkedHashMap<>();
        Placement.School placement = rules.placement();
        texts.put("placement", placement == null ? "" : placement.name());
        texts.put("heat", Boolean.toString(rules.heatBalanceDecides()));
        texts.put("margin", Figures.significant(rules.sizeMarginPercent(), 4) + " %");
        texts.put("clean", Boolean.toString(rules.cleanProposal()));
        Double terminalC = rules.terminalC();
        texts.put("terminal", terminalC == null ? "" : Figures.significant(terminalC, 4) + " °C");
        texts.put("lugs", Integer.toString(rules.mostLugs()));
        texts.put("bend", Figures.significant(rules.bendDiameters(), 4));
        texts.put("sealed", Boolean.toString(rules.sealedTerminals()));
        texts.put("facing", rules.facing().name());
        texts.put("fuseLoad", Figures.significant(rules.fuseOverLoadPercent(), 4) + " %");
        texts.put("fuseNext", Figures.significant(rules.fuseOverAmpacityPercent(), 4) + " %");
        texts.put("drop", Figures.significant(rules.newDropPercent(), 4) + " %");
        for (Practice practice : Practice.values()) {
            texts.put(FIELD + practice, rules.practices().of(practice));
        }
        return texts;
    }

    private static Practices practices(Entries entries, Practices standing) {
        Practices read = standing;
        for (Practice practice : Practice.values()) {
            String option = entries.text(FIELD + practice, LONGEST_OPTION, false, standing.of(practice));
            if (practice.options().contains(option)) {
                read = read.with(practice, option);
            } else {
                entries.fault(FIELD + practice, Fault.Code.UNKNOWN_CHOICE, String.join(", ", practice.options()));
            }
        }
        return read;
    }

    private static JobRules read(Entries entries, JobRules standing) {
        return new JobRules(
                entries.optionalChoice("placement", Placement.School.class, standing.placement()),
                entries.flag("heat", standing.heatBalanceDecides()),
                entries.quantity("margin", Unit.PERCENT, SizePolicy.MARGIN_PERCENT, standing.sizeMarginPercent()),
                entries.flag("clean", standing.cleanProposal()),
                entries.optionalQuantity("terminal", Unit.CELSIUS, TerminalLimit.LIMIT_C, standing.terminalC()),
                entries.count("lugs", HouseRules.MOST_LUGS, standing.mostLugs()),
                entries.number("bend", HouseRules.BEND_DIAMETERS, standing.bendDiameters()),
                entries.quantity("drop", Unit.PERCENT, JobRules.NEW_DROP_PERCENT, standing.newDropPercent()),
                entries.flag("sealed", standing.sealedTerminals()),
                entries.choice("facing", JobRules.Facing.class, standing.facing()),
                entries.quantity(
                        "fuseLoad",
                        Unit.PERCENT,
                        ProtectedCable.Margins.OVER_LOAD_PERCENT,
                        standing.fuseOverLoadPercent()),
                entries.quantity(
                        "fuseNext",
                        Unit.PERCENT,
                        ProtectedCable.Margins.OVER_AMPACITY_PERCENT,
                        standing.fuseOverAmpacityPercent()),
                practices(entries, standing.practices()));
    }

    @PostMapping("/rules")
    ModelAndView changeShop(Model model, @RequestParam Map<String, String> typed) {
        Map<String, String> saved = texts(rules.rules());
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null) {
            return conflict(model, merge.conflict(), page(model, null, saved, Map.of()));
        }
        Entries entries = new Entries(merge.typed(), Units.METRIC);
        JobRules changed = read(entries, rules.rules());
        if (!entries.clean()) {
            return refused(model, page(model, null, typed, entries.faults()));
        }
        rules.change(changed);
        return new ModelAndView("redirect:/rules");
    }

    @PostMapping("/jobs/{id}/rules")
    ModelAndView changeJob(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Map<String, String> saved = texts(job.details().rules());
        boolean asShop = typed.containsKey("asShop");
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null && !asShop) {
            return conflict(model, merge.conflict(), page(model, job, saved, Map.of()));
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        JobRules changed = asShop ? rules.rules() : read(entries, job.details().rules());
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
