package org.ulnaris.app.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.DeclaredField;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.sizing.ParallelPair;
import org.ulnaris.core.sizing.TerminalLimit;
import org.ulnaris.core.worked.Carried;
import org.ulnaris.core.worked.WorkedCable;

/** Plan: one cable and its size. */
@Controller
class PlanController {
    private final JobService jobs;
    private final CableService cables;
    private final CablePage page;
    private final JobWiring terminals;
    private final Words words;

    PlanController(JobService jobs, CableService cables, CablePage page, JobWiring terminals, Words words) {
        this.terminals = terminals;
        this.jobs = jobs;
        this.cables = cables;
        this.page = page;
        this.words = words;
    }

    @GetMapping("/cables/{id}/plan")
    @Transactional(readOnly = true)
    String cable(
            Model model,
            @PathVariable long id,
            @RequestParam(defaultValue = "false") boolean restored,
            @RequestParam(defaultValue = "false") boolean renamed) {
        model.addAttribute("renamed", renamed);
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        model.addAttribute("restored", restored);
        return cablePage(model, job, cable, CableReader.texts(cable.details(), job.fmt()), Map.of());
    }

    private String terminals(TerminalLimit limit, Fmt fmt) {
        return limit.bySteps()
                ? words.of(
                        "terminal.steps",
                        fmt.temperature(TerminalLimit.SMALL_C),
                        fmt.temperature(TerminalLimit.LARGE_C))
                : fmt.temperature(limit.limitC());
    }

    private String cablePage(Model model, Job job, Cable cable, Map<String, String> typed, Map<String, Fault> faults) {
        return cablePage(model, new Subject(job, cable, terminals.of(job.id())), typed, faults);
    }

    /** The cable of a page, with the terminals that it may join. */
    private record Subject(Job job, Cable cable, Set<String> terminals) {}

    private String cablePage(Model model, Subject subject, Map<String, String> typed, Map<String, Fault> faults) {
        Job job = subject.job();
        Cable cable = subject.cable();
        Set<String> known = subject.terminals();
        WorkedCable worked = page.open(model, job, cable);
        TerminalLimit terminal = worked.size().result().demand().terminal();
        String limit = terminal == null ? words.of("terminal.unknown") : terminals(terminal, job.fmt());
        Map<String, String> taken = Map.of(
                "terminal",
                limit,
                "slack",
                job.fmt().entry(worked.plan().route().slackMm(), Unit.MM),
                "drop",
                job.fmt().entry(worked.size().result().demand().load().drop().percent(), Unit.PERCENT));
        model.addAttribute("taken", taken);
        model.addAttribute("known", KnownFields.of(cable.details(), job.details(), taken, job.fmt(), words));
        page.map(model, job, cable, worked, null);
        model.addAttribute("ladder", LadderView.of(worked, job.fmt(), words));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("began", began(CableReader.texts(cable.details(), job.fmt()), typed, faults));
        model.addAttribute(
                "folded",
                CableField.with(CableField.Trait.FOLDED).stream()
                        .map(field ->
                                DeclaredField.of(field.key(), field.kind(), taken.getOrDefault(field.key(), ""), words))
                        .toList());
        model.addAttribute("terminals", known);
        model.addAttribute("loadNote", loadNote(job, worked));
        model.addAttribute(
                "thin",
                ConductorSizes.thin(cable.details().series()).stream()
                        .map(ConductorSize::designation)
                        .toList());
        model.addAttribute("loop", job.fmt().route(2 * cable.details().lengthM()));
        model.addAttribute("byHand", worked.size().byHand());
        model.addAttribute("pair", pair(worked));
        return "plan/cable";
    }

    /** What the form begins from: it shows what was typed, of which what is faulty is not saved. */
    private static String began(Map<String, String> saved, Map<String, String> typed, Map<String, Fault> faults) {
        Map<String, String> shown = new HashMap<>(typed);
        shown.keySet().removeAll(faults.keySet());
        return Merge.began(saved, shown);
    }

    /** Saves and works out in one transaction: a recalculation while someone types should not be felt. */
    @PostMapping("/cables/{id}/plan")
    @Transactional
    ModelAndView change(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        Map<String, String> saved = CableReader.texts(cable.details(), job.fmt());
        Merge merge = Merge.of(saved, typed);
        model.addAttribute("theirs", merge.theirs());
        model.addAttribute("sent", typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return answer(cablePage(model, job, cable, saved, Map.of()), htmx, model, HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        Set<String> known = terminals.of(job.id());
        CableDetails details = CableReader.read(entries, merge.typed(), cable.details(), known);
        if (!details.tag().equals(cable.details().tag()) && cables.taken(job.id(), details.tag(), id)) {
            entries.fault("tag", Fault.Code.TAKEN);
            details = details.tagged(cable.details().tag());
        }
        Cable changed = details.equals(cable.details()) ? cable : cables.change(id, details);
        if (entries.clean() && htmx == null) {
            return new ModelAndView("redirect:/cables/" + id + "/plan");
        }
        saved.putAll(merge.typed());
        return answer(
                cablePage(model, new Subject(job, changed, known), saved, entries.faults()),
                htmx,
                model,
                entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static ModelAndView answer(String view, @Nullable String htmx, Model model, HttpStatus status) {
        return new ModelAndView(htmx == null ? view : view + " :: result", model.asMap(), status);
    }

    /** Two thinner cables in place of one, in words; empty where they would not do. */
    private List<String> pair(WorkedCable cable) {
        return ParallelPair.of(cable.size().result().demand())
                .filter(pair -> pair.single()
                        .map(one -> pair.each().size().areaMm2() < one.size().areaMm2())
                        .orElse(true))
                .map(pair -> {
                    String each = "2 × " + pair.each().size().designation();
                    String first = pair.single()
                            .map(one -> words.of(
                                    "pair.single",
                                    each,
                                    one.size().designation(),
                                    Figures.fixed(100 * pair.copperRatio(), 0) + Fmt.SPACE + "%"))
                            .orElseGet(() -> words.of("pair.none", each));
                    String apart = Figures.significant(ParallelPair.imbalancePercent(10), 2) + Fmt.SPACE + "%";
                    return List.of(first, words.of("pair." + pair.allowed().name()), words.of("pair.share", apart));
                })
                .orElse(List.of());
    }

    private String loadNote(Job job, WorkedCable cable) {
        Carried carried = cable.carried();
        if (cable.cable().typedA().isPresent()) {
            return "";
        }
        if (!carried.known()) {
            return words.of("cable.no-load");
        }
        String flows = words.of(
                carried.surgeS() > 0 ? "cable.load-surge" : "cable.load",
                job.fmt().current(carried.currentA()),
                carried.worstCase(),
                job.fmt().current(carried.surgeA()),
                job.fmt().figure(carried.surgeS(), "s"));
        return cable.rung()
                .spell()
                .map(spell -> flows + " "
                        + words.of(
                                "cable.spells",
                                job.fmt().figure(spell.onS(), "s"),
                                job.fmt().figure(spell.offS(), "s"),
                                job.fmt().current(Math.rint(cable.rung().heatingA()))))
                .orElse(flows);
    }

    @PostMapping("/cables/{id}/delete")
    String delete(@PathVariable long id, @RequestParam(defaultValue = "false") boolean picture) {
        Cable cable = cables.delete(id);
        return "redirect:/jobs/" + cable.jobId() + (picture ? "?cables=" : "/plan?deleted=") + id;
    }

    @PostMapping("/cables/{id}/restore")
    String restore(@PathVariable long id, @RequestParam(defaultValue = "false") boolean picture) {
        CableService.Restored back = cables.restore(id);
        if (picture) {
            return "redirect:"
                    + JobView.broughtBack(
                            back.cable().jobId(), back.cable().details().tag(), back.renamed());
        }
        return "redirect:/cables/" + back.cable().id() + "/plan?restored=true&renamed=" + back.renamed();
    }
}
