package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.StepBar;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.job.JobLimits;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Plan: the cables of a job as a list that is sorted, searched, grouped and edited in place. */
@Controller
class PlanListController {
    /** Fields that many cables can be given at once. */
    static final List<String> BULK_FIELDS = CableField.keys(CableField.Trait.OF_MANY);

    /** Fields that are edited in their line. */
    static final List<String> IN_PLACE = List.of("current", "length", "size");

    private final JobService jobs;
    private final CableService cables;
    private final Works works;
    private final Ribbons ribbons;
    private final CableEditor editor;
    private final JobWiring wiring;
    private final Words words;
    private final LastSteps steps;
    private final JobPage jobPage;

    PlanListController(
            JobService jobs,
            CableService cables,
            Works works,
            Ribbons ribbons,
            CableEditor editor,
            JobWiring wiring,
            Words words,
            LastSteps steps,
            JobPage jobPage) {
        this.jobPage = jobPage;
        this.editor = editor;
        this.steps = steps;
        this.jobs = jobs;
        this.cables = cables;
        this.works = works;
        this.ribbons = ribbons;
        this.wiring = wiring;
        this.words = words;
    }

    @GetMapping("/jobs/{id}/plan")
    String list(Model model, @PathVariable long id, @RequestParam Map<String, String> asked) {
        Job job = jobs.get(id);
        String deleted = asked.getOrDefault("deleted", "");
        model.addAttribute("deletedId", deleted.matches("\\d{1,18}") ? Long.valueOf(deleted) : null);
        return list(model, job, asked, new Typed(fresh(job), Map.of(), Map.of()));
    }

    private Map<String, String> fresh(Job job) {
        Map<String, String> typed =
                CableReader.texts(CableDetails.fresh(job.details(), cables.proposeTag(job.id())), job.fmt());
        typed.put("current", "");
        typed.put("length", "");
        return typed;
    }

    private static ListOrder order(Map<String, String> asked) {
        return new ListOrder(
                constant(ListOrder.Sort.values(), asked.get("sort")).orElse(ListOrder.Sort.PLACE),
                "true".equals(asked.get("down")),
                asked.getOrDefault("find", ""),
                constant(Verdict.values(), asked.get("verdict")).orElse(null),
                "true".equals(asked.get("grouped")),
                asked.getOrDefault("page", ""));
    }

    private static <E extends Enum<E>> Optional<E> constant(E[] all, @Nullable String name) {
        return Arrays.stream(all).filter(one -> one.name().equals(name)).findFirst();
    }

    /** What stands in the forms: that of a new cable, and that of many. */
    private record Typed(Map<String, String> cable, Map<String, Fault> faults, Map<String, String> bulk) {}

    private String list(Model model, Job job, Map<String, String> asked, Typed typed) {
        ListOrder order = order(asked);
        List<PlanRow> rows = rows(job, cables.of(job.id()));
        jobPage.open(model, job);
        model.addAttribute("total", rows.size());
        model.addAttribute(
                "stepBar", StepBar.of(steps.of(LastSteps.job(job.id())).orElse(null), asked));
        model.addAttribute("groups", order.arrange(rows));
        model.addAttribute("order", order);
        model.addAttribute("verdicts", Verdict.values());
        model.addAttribute("typed", typed.cable());
        model.addAttribute("faults", typed.faults());
        model.addAttribute("bulk", typed.bulk());
        model.addAttribute("bulkFields", BULK_FIELDS);
        model.addAttribute("polarities", Polarity.values());
        model.addAttribute("terminals", wiring.of(job.id()));
        return "plan/list";
    }

    private List<PlanRow> rows(Job job, List<Cable> some) {
        WorkedJob worked = works.of(job.id());
        List<PlanRow> rows = new ArrayList<>();
        for (Cable cable : some) {
            WorkedCable own = worked.cable(cable.details().tag());
            rows.add(PlanRow.of(job, new PlanRow.Line(cable, own, () -> ribbons.of(job, own, false)), words));
        }
        return rows;
    }

    @PostMapping("/jobs/{id}/cables")
    ModelAndView create(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Entries entries = new Entries(typed, job.details().units());
        CableDetails fresh = CableDetails.fresh(job.details(), cables.proposeTag(id));
        CableDetails details = CableReader.read(entries, typed, fresh, wiring.of(id));
        int count = Objects.requireNonNullElse(entries.optionalCount("count", CableRow.COUNT, null), 1);
        CableRow row = CableRow.of(details, count, wiring.of(id));
        row.missing().ifPresent(end -> entries.fault("count", Fault.Code.CONTRADICTS, Expected.of("ends-there", end)));
        List<CableDetails> made = new ArrayList<>();
        for (CableDetails one : row.cables()) {
            made.add(one);
            CableDetails back = typed.containsKey("pair") ? back(id, one, typed, entries) : null;
            if (back != null) {
                made.add(back);
                if (cables.taken(id, back.tag(), -1)) {
                    entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("free-return", back.tag()));
                }
            }
            if (cables.taken(id, one.tag(), -1)) {
                entries.fault("tag", Fault.Code.TAKEN);
            } else if (one.tag().length() > Tags.LONGEST) {
                entries.fault("tag", Fault.Code.TOO_LONG, Integer.toString(Tags.LONGEST));
            }
        }
        if (cables.idsOf(id).size() + made.size() > JobLimits.MOST_CABLES) {
            entries.fault("tag", Fault.Code.OUT_OF_RANGE, "0", Expected.of("cables", JobLimits.MOST_CABLES));
        }
        if (entries.clean() && count > 1) {
            cables.addAll(id, made);
            return new ModelAndView("redirect:/jobs/" + id + "/plan");
        }
        if (entries.clean()) {
            return new ModelAndView(
                    "redirect:/cables/" + cables.createAll(id, made).get(0).id() + "/plan");
        }
        Map<String, String> kept = CableReader.texts(fresh, job.fmt());
        kept.putAll(typed);
        return refused(model, job, new Typed(kept, entries.faults(), Map.of()));
    }

    private @Nullable CableDetails back(long jobId, CableDetails out, Map<String, String> typed, Entries entries) {
        Nets nets = works.of(jobId)
                .network()
                .map(result -> new Nets(result.installation()))
                .orElse(null);
        CablePair pair = new CablePair(out, typed.getOrDefault("back", "").strip(), wiring.of(jobId), nets);
        Optional<CableDetails> back = pair.back();
        if (back.isEmpty()) {
            entries.fault("back", Fault.Code.CONTRADICTS, pair.expected());
        }
        return back.orElse(null);
    }

    private ModelAndView refused(Model model, Job job, Typed typed) {
        return new ModelAndView(list(model, job, Map.of(), typed), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** One line edited in place. */
    @PostMapping("/cables/{id}/row")
    @Transactional
    ModelAndView row(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        CableEditor.Outcome edited = editor.edit(cable, job, typed, IN_PLACE);
        if (htmx == null && edited.clean()) {
            return new ModelAndView("redirect:/jobs/" + job.id() + "/plan");
        }
        PlanRow row = rows(job, List.of(edited.cable())).get(0);
        if (!edited.clean()) {
            Map<String, String> kept = new LinkedHashMap<>(row.typed());
            IN_PLACE.stream().filter(typed::containsKey).forEach(field -> kept.put(field, typed.get(field)));
            row = row.refused(kept, edited.faults());
        }
        model.addAttribute("r", row);
        jobPage.open(model, job);
        return new ModelAndView(
                "plan/row :: answer", model.asMap(), edited.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** One field of many cables: all of them, or none when it can't be used for one. */
    @PostMapping("/jobs/{id}/bulk")
    @Transactional
    ModelAndView bulk(
            Model model,
            @PathVariable long id,
            @RequestParam(name = "cable", required = false) @Nullable List<Long> chosen,
            @RequestParam(defaultValue = "") String field,
            @RequestParam(defaultValue = "") String value) {
        Job job = jobs.get(id);
        List<Cable> some = cables.of(id).stream()
                .filter(cable -> chosen != null && chosen.contains(cable.id()))
                .toList();
        if (chosen != null && some.size() < chosen.size()) {
            throw new NotFoundException("a cable of job " + id);
        }
        Map<String, String> only = Map.of(field, value);
        Map<Long, CableDetails> changed = new LinkedHashMap<>();
        Entries entries = new Entries(only, job.details().units());
        if (some.isEmpty() || !BULK_FIELDS.contains(field)) {
            entries.fault("value", Fault.Code.EMPTY, Expected.of("ticked"));
        } else {
            Set<String> terminals = wiring.of(id);
            for (Cable cable : some) {
                changed.put(cable.id(), CableReader.read(entries, only, cable.details(), terminals));
            }
        }
        if (!entries.clean()) {
            Map<String, Fault> faults = new LinkedHashMap<>();
            entries.faults().forEach((name, fault) -> faults.put("value", fault));
            return refused(model, job, new Typed(fresh(job), faults, Map.of("field", field, "value", value)));
        }
        cables.changeAll(id, LastSteps.What.BULK, changed);
        return new ModelAndView("redirect:/jobs/" + id + "/plan");
    }
}
