package org.ulnaris.app.picture;

import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
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
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.loads.PieceEditor;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableEditor;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.StepBar;
import org.ulnaris.core.installation.OperatingCase.State;

/** Plan: the job as its picture. The address says what of it is seen; what is changed beside it is seen in it at once. */
@Controller
class PictureController {
    private final JobService jobs;
    private final CableService cables;
    private final LoadsService loads;
    private final CableEditor cableEditor;
    private final PieceEditor pieceEditor;
    private final JobWiring wiring;
    private final Joiner joiner;
    private final Panels panels;
    private final LastSteps steps;

    PictureController(
            JobService jobs,
            CableService cables,
            LoadsService loads,
            CableEditor cableEditor,
            PieceEditor pieceEditor,
            JobWiring wiring,
            Joiner joiner,
            Panels panels,
            LastSteps steps) {
        this.steps = steps;
        this.wiring = wiring;
        this.jobs = jobs;
        this.cables = cables;
        this.loads = loads;
        this.cableEditor = cableEditor;
        this.pieceEditor = pieceEditor;
        this.joiner = joiner;
        this.panels = panels;
    }

    /** The drawing alone once was a page; its address shows the same. */
    @GetMapping({"/jobs/{id}", "/jobs/{id}/layout"})
    @Transactional(readOnly = true)
    String show(
            Model model,
            @PathVariable long id,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam Map<String, String> asked,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        StepBar bar = StepBar.of(steps.of(LastSteps.job(id)).orElse(null), asked);
        model.addAttribute("stepBar", asked.containsKey("mended") || bar.pressed() ? bar : StepBar.of(null, asked));
        model.addAttribute("renamed", "true".equals(asked.get("renamed")));
        model.addAttribute("deleted", restoring(asked));
        model.addAttribute("gone", asked.containsKey("gone"));
        panels.fill(model, jobs.get(id), new Spot(id, loadCase, at, from, to, kind, part), Panels.Typed.NONE);
        return htmx == null ? "picture/picture" : "picture/picture :: picture";
    }

    /** What mends the findings of a panel; fetched when the panel of a large job is seen. */
    @GetMapping("/jobs/{id}/offers")
    @Transactional(readOnly = true)
    String offers(Model model, @PathVariable long id, @RequestParam(defaultValue = "") String at) {
        panels.offers(model, jobs.get(id), Spot.whole(id, 1).open(at));
        return "picture/panels :: said(named=" + at.isEmpty() + ")";
    }

    /** Where what was just deleted is brought back; empty where nothing was. */
    private static String restoring(Map<String, String> asked) {
        return Stream.of("cables", "equipment")
                .filter(kind -> asked.getOrDefault(kind, "").matches("\\d{1,18}"))
                .map(kind -> "/" + kind + "/" + asked.get(kind) + "/restore")
                .findFirst()
                .orElse("");
    }

    /** Sketch and counts of a job for its card; fetched when the card is seen. */
    @GetMapping("/jobs/{id}/card")
    @Transactional(readOnly = true)
    String card(Model model, @PathVariable long id) {
        panels.card(model, jobs.get(id));
        return "picture/card :: card";
    }

    @PostMapping("/cables/{id}/picture")
    @Transactional
    ModelAndView changeCable(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "0") int part,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        CableEditor.Outcome edited = cableEditor.edit(cable, job, typed, Panels.CABLE_FIELDS);
        Spot spot = Spot.whole(job.id(), panels.caseOf(job.id(), loadCase))
                .drawing(part)
                .open(edited.cable().details().tag());
        return answer(model, job, spot, new Panels.Typed(typed, edited.faults()), htmx);
    }

    @PostMapping("/equipment/{id}/picture")
    @Transactional
    ModelAndView changePiece(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "0") int part,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Job job = jobs.get(loads.jobOf(id));
        PieceEditor.Outcome edited = pieceEditor.edit(id, job, typed, Panels.PIECE_FIELDS);
        Spot spot = Spot.whole(job.id(), panels.caseOf(job.id(), loadCase))
                .drawing(part)
                .open(panels.tagOf(job.id(), id));
        return answer(model, job, spot, new Panels.Typed(typed, edited.faults()), htmx);
    }

    /** Says whether a piece works in the case that is shown. */
    @PostMapping("/equipment/{id}/state")
    String switchTo(
            @PathVariable long id,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "0") int part,
            @RequestParam State state) {
        loads.switchTo(id, loadCase, state);
        long jobId = loads.jobOf(id);
        return "redirect:"
                + Spot.whole(jobId, loadCase)
                        .drawing(part)
                        .open(panels.tagOf(jobId, id))
                        .address();
    }

    /** A piece from the shelf. One that works or rests works in the case that is shown. */
    @PostMapping("/jobs/{id}/pieces")
    @Transactional
    ModelAndView add(
            Model model,
            @PathVariable long id,
            @RequestParam EquipmentKind kind,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "0") int part) {
        Job job = jobs.get(id);
        PieceEditor.Outcome added = pieceEditor.add(job, kind, typed);
        Spot spot = Spot.whole(id, panels.caseOf(id, loadCase)).drawing(part);
        if (!added.clean()) {
            return answer(model, job, spot.adding(kind.name()), new Panels.Typed(typed, added.faults()), null);
        }
        if (kind.switched()) {
            loads.switchTo(added.id(), spot.loadCase(), State.ON);
        }
        return new ModelAndView(
                "redirect:" + spot.open(panels.tagOf(id, added.id())).address());
    }

    /** A cable between two terminals that were pressed, and its return where that is wanted. */
    @PostMapping("/jobs/{id}/joins")
    @Transactional
    ModelAndView join(
            Model model,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(name = "case", defaultValue = "1") int loadCase,
            @RequestParam(defaultValue = "0") int part) {
        Job job = jobs.get(id);
        Joiner.Outcome joined = joiner.join(job, typed);
        Spot spot = Spot.whole(id, panels.caseOf(id, loadCase)).drawing(part);
        if (!joined.tag().isEmpty()) {
            return new ModelAndView("redirect:" + spot.open(joined.tag()).address());
        }
        Set<String> known = wiring.of(id);
        Spot begun = known.contains(from) ? spot.pressed(from) : spot;
        Spot shown = known.contains(from) && known.contains(to) ? begun.pressed(to) : begun;
        return answer(model, job, shown, new Panels.Typed(typed, joined.faults()), null);
    }

    private ModelAndView answer(Model model, Job job, Spot spot, Panels.Typed typed, @Nullable String htmx) {
        Map<String, Fault> faults = typed.faults();
        if (htmx == null && faults.isEmpty()) {
            return new ModelAndView("redirect:" + spot.address());
        }
        panels.fill(model, job, spot, typed);
        return new ModelAndView(
                htmx == null ? "picture/picture" : "picture/picture :: picture",
                model.asMap(),
                faults.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
