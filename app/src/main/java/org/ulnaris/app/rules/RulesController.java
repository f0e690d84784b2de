package org.ulnaris.app.rules;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.rules.HouseRules;

/** House rules: which school holds where practice differs, for the shop and for one job. */
@Controller
class RulesController {
    /** Rules that hold everywhere and can't be chosen; their words are in the message bundle. */
    private static final List<String> FIXED =
            List.of("ampacity", "fuse-load", "fuse-next", "starter", "joints", "torque", "watch");

    private final RulesService rules;
    private final JobService jobs;

    RulesController(RulesService rules, JobService jobs) {
        this.rules = rules;
        this.jobs = jobs;
    }

    @GetMapping("/rules")
    String shop(Model model) {
        return page(model, null, texts(rules.rules()), Map.of());
    }

    @GetMapping("/jobs/{id}/rules")
    String job(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        return page(model, job, texts(job.details().rules()), Map.of());
    }

    private String page(Model model, @Nullable Job job, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", job == null ? null : JobView.of(job));
        model.addAttribute("shop", texts(rules.rules()));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("facings", JobRules.Facing.values());
        model.addAttribute("schools", Placement.School.values());
        model.addAttribute("fixed", FIXED);
        model.addAttribute("action", job == null ? "/rules" : "/jobs/" + job.id() + "/rules");
        return "rules/rules";
    }

    private static Map<String, String> texts(JobRules rules) {
        Map<String, String> texts = new LinkedHashMap<>();
        Placement.School placement = rules.placement();
        texts.put("placement", placement == null ? "" : placement.name());
        texts.put("heat", Boolean.toString(rules.heatBalanceDecides()));
        texts.put("lugs", Integer.toString(rules.mostLugs()));
        texts.put("bend", Figures.significant(rules.bendDiameters(), 4));
        texts.put("sealed", Boolean.toString(rules.sealedTerminals()));
        texts.put("facing", rules.facing().name());
        texts.put("drop", Figures.significant(rules.newDropPercent(), 4) + " %");
        return texts;
    }

    private static JobRules read(Entries entries, JobRules standing) {
        return new JobRules(
                entries.blank("placement")
                        ? null
                        : entries.choice("placement", Placement.School.class, Placement.School.US_MARINE),
                entries.flag("heat", standing.heatBalanceDecides()),
                entries.count("lugs", HouseRules.MOST_LUGS, standing.mostLugs()),
                entries.number("bend", HouseRules.BEND_DIAMETERS, standing.bendDiameters()),
                entries.quantity("drop", Unit.PERCENT, JobRules.NEW_DROP_PERCENT, standing.newDropPercent()),
                entries.flag("sealed", standing.sealedTerminals()),
                entries.choice("facing", JobRules.Facing.class, standing.facing()));
    }

    @PostMapping("/rules")
    ModelAndView changeShop(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
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
        Entries entries = new Entries(typed, job.details().units());
        JobRules changed = typed.containsKey("asShop")
                ? rules.rules()
                : read(entries, job.details().rules());
        if (!entries.clean()) {
            return refused(model, page(model, job, typed, entries.faults()));
        }
        jobs.change(id, job.details().ruled(changed));
        return new ModelAndView("redirect:/jobs/" + id + "/rules");
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
