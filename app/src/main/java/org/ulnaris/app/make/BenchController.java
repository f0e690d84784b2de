package org.ulnaris.app.make;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.crib.ToolDetails;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.RibbonDrawer;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.plan.Ribbons;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.landing.LandingGroup;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.proving.PullTable;
import org.ulnaris.core.record.ReadingJudge;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Make: the bench, one step a screen. */
@Controller
class BenchController {
    private static final int LONGEST_REASON = 400;
    private static final int LONGEST_NAME = 80;

    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final MakeService make;
    private final CribService crib;
    private final Works works;
    private final Ribbons ribbons;
    private final CablePage page;
    private final Words words;

    private final Clock clock;
    private final JobPage jobPage;

    BenchController(
            JobService jobs,
            CableService cables,
            MatchService match,
            MakeService make,
            CribService crib,
            Works works,
            Ribbons ribbons,
            CablePage page,
            Words words,
            Clock clock,
            JobPage jobPage) {
        this.jobPage = jobPage;
        this.clock = clock;
        this.works = works;
        this.ribbons = ribbons;
        this.jobs = jobs;
        this.cables = cables;
        this.match = match;
        this.make = make;
        this.crib = crib;
        this.page = page;
        this.words = words;
    }

    /**
     * A cable as a line of the job's list of work.
     *
     * @param verdict of its plan
     * @param stops readings that came out as a stop
     */
    record MakeRow(
            long id,
            String tag,
            String route,
            int done,
            int total,
            String next,
            boolean finished,
            boolean sized,
            VerdictView verdict,
            long stops) {}

    @GetMapping("/jobs/{id}/make")
    String list(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        List<Cable> all = cables.of(id);
        Map<Long, Making> makings = make.ofAll(all);
        jobPage.open(model, job);
        WorkedJob worked = works.of(id);
        model.addAttribute(
                "rows",
                all.stream()
                        .map(cable -> row(
                                job,
                                worked.cable(cable.details().tag()),
                                cable,
                                Objects.requireNonNull(makings.get(cable.id()))))
                        .toList());
        return "make/list";
    }

    private MakeRow row(Job job, WorkedCable worked, Cable cable, Making making) {
        return new MakeRow(
                cable.id(),
                cable.details().tag(),
                cable.details().fromPoint() + " → " + cable.details().toPoint(),
                making.doneCount(),
                making.steps().size(),
                making.current().map(this::name).orElse(""),
                making.finished(),
                making.sized(),
                CablePage.verdict(worked, job.fmt(), words),
                making.inForce().stream()
                        .filter(reading -> reading.verdict() == Verdict.STOP)
                        .count());
    }

    private String name(BuildStep step) {
        String side = step.side() == null
                ? ""
                : " · " + words.of("step.end", step.side().name());
        return words.of("step." + step.kind().name()) + side;
    }

    /** A step in the list of a cable's work. */
    record StepRow(String key, String name, boolean done, boolean current, Verdict verdict) {}

    @GetMapping("/cables/{id}/make")
    String overview(
            Model model,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String ask,
            @RequestParam Map<String, String> asked) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        WorkedCable worked = page.open(model, job, cable);
        CablePlan plan = worked.plan();
        Making making = make.of(id);
        if (making.sized()) {
            page.map(model, job, worked, new MakingTelling(id, making, words));
        } else {
            page.map(model, job, cable, worked);
        }
        String current = making.current().map(BuildStep::key).orElse("");
        model.addAttribute("steps", stepRows(making, current));
        model.addAttribute("making", making);
        model.addAttribute("total", making.steps().size());
        model.addAttribute("unfit", worked.planVerdict() == Verdict.STOP);
        model.addAttribute(
                "undoable",
                making.undoable()
                        .map(redo -> RedoView.of(redo, job.fmt(), words))
                        .orElse(null));
        model.addAttribute("asksStartOver", ask.equals("start-over"));
        model.addAttribute("late", asked.containsKey("late"));
        model.addAttribute("slackLeft", job.fmt().small(plan.route().slackMm() - making.usedMm()));
        return "make/overview";
    }

    private List<StepRow> stepRows(Making making, String current) {
        return making.steps().stream()
                .map(step -> new StepRow(
                        step.key(),
                        name(step),
                        making.done().contains(step.key()),
                        step.key().equals(current),
                        making.worst(List.of(step))))
                .toList();
    }

    @GetMapping("/cables/{id}/bench")
    String resume(@PathVariable long id) {
        return Optional.of(make.of(id))
                .filter(Making::sized)
                .flatMap(Making::current)
                .map(step -> "redirect:/cables/" + id + "/bench/" + step.key())
                .orElse("redirect:/cables/" + id + "/make");
    }

    @GetMapping("/cables/{id}/bench/{stepKey}")
    String bench(Model model, @PathVariable long id, @PathVariable String stepKey) {
        Cable cable = cables.get(id);
        BuildStep step = step(id, stepKey);
        return make.of(id).sized() ? bench(model, cable, step, Map.of(), Map.of()) : "redirect:/cables/" + id + "/make";
    }

    private WorkedCable worked(Cable cable) {
        return works.of(cable.jobId()).cable(cable.details().tag());
    }

    /** A step that the cable's ends ask for. */
    private BuildStep step(long cableId, String key) {
        return make.of(cableId).steps().stream()
                .filter(step -> step.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("step " + key + " of cable " + cableId));
    }

    private String bench(
            Model model, Cable cable, BuildStep step, Map<String, String> typed, Map<String, Fault> faults) {
        Job job = jobs.get(cable.jobId());
        WorkedCable worked = worked(cable);
        CablePlan plan = worked.plan();
        Making making = make.of(cable.id());
        LandingOrder landing = LandingOrder.of(works.of(job.id()));
        BenchGuide.Guide guide = new BenchGuide(job, cable.details(), worked, landing, words).guide(step);
        List<Reading> taken = making.inForce(step);
        boolean stopped = making.record().stopped(step);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("cableId", cable.id());
        model.addAttribute("tag", cable.details().tag());
        model.addAttribute("step", step);
        model.addAttribute("guide", guide);
        model.addAttribute("wrench", wrench(step, plan, job.fmt()));
        model.addAttribute("cautions", plan.cautions(step));
        model.addAttribute("readings", plan.readings(step));
        model.addAttribute("picture", picture(job, worked, step).with(guide.lit()));
        model.addAttribute("coin", coin(plan, step));
        model.addAttribute("number", making.place(step) + 1);
        model.addAttribute("total", making.steps().size());
        model.addAttribute("previous", neighbour(making, step, -1));
        model.addAttribute("next", neighbour(making, step, 1));
        model.addAttribute("current", making.current().map(BuildStep::key).orElse(""));
        model.addAttribute("currentName", making.current().map(this::name).orElse(""));
        model.addAttribute("done", making.done().contains(step.key()));
        model.addAttribute(
                "taken",
                taken.stream().map(r -> ReadingView.of(r, job.fmt(), words)).toList());
        model.addAttribute("readingsBeside", taken.stream().anyMatch(reading -> reading.verdict() != Verdict.STOP));
        model.addAttribute(
                "remedies",
                taken.stream()
                        .map(reading ->
                                ReadingView.of(reading, job.fmt(), words).remedy())
                        .filter(remedy -> !remedy.isEmpty())
                        .distinct()
                        .toList());
        model.addAttribute("stopped", stopped);
        model.addAttribute("typed", typed.isEmpty() ? rightAnswers(taken) : typed);
        model.addAttribute("faults", faults);
        model.addAttribute("planStops", planStops(worked, making, step, job.fmt()));
        model.addAttribute(
                "landing", landingBegins(making, step) ? LandingNotice.of(landing, worked, step, words) : null);
        model.addAttribute("asksMaker", asksMaker(worked, step));
        model.addAttribute("answerable", !stopped && taken.stream().anyMatch(Reading::answerable));
        model.addAttribute("holdS", (int) PullTable.HOLD_S);
        model.addAttribute("strands", plan.cable().usualStrands());
        model.addAttribute("units", job.details().units());
        if (stopped && step.side() != null) {
            Termination end = plan.end(step.side()).termination();
            boolean joined = Stream.of(StepKind.CRIMP, StepKind.SOLDER)
                    .anyMatch(kind -> making.done().contains(new BuildStep(kind, step.side()).key()));
            model.addAttribute("lostPart", end == null || !joined ? "" : end.code());
            model.addAttribute(
                    "redoCost", job.fmt().small(plan.redoCostMm(step.side()).orElse(0)));
            FindingView slack = words.view(plan.slackFinding(step.side(), making.usedMm()), job.fmt());
            model.addAttribute("slack", slack);
        }
        return "make/bench";
    }

    /** What was answered rightly beside a wrong answer stays answered. */
    private static Map<String, String> rightAnswers(List<Reading> taken) {
        Map<String, String> typed = new HashMap<>();
        for (Reading reading : taken) {
            if (reading.kind().yesOrNo() && reading.notMeasured() == null && reading.figure() > 0) {
                typed.put(reading.kind().name(), ReadingReader.Answer.YES.name());
            }
            if (reading.total() != null) {
                typed.put("TOTAL", String.valueOf(reading.total()));
            }
        }
        return typed;
    }

    /** Why a cable should not be begun: its plan is stopped. Null where it may, and at every step but the first. */
    private @Nullable String planStops(WorkedCable worked, Making making, BuildStep step, Fmt fmt) {
        boolean first = making.place(step) == 0 && !making.done().contains(step.key());
        return first && worked.planVerdict() == Verdict.STOP
                ? worked.findings().stream()
                        .filter(said -> said.topic() != Topic.MADE)
                        .min(JobFinding.WORST_FIRST)
                        .map(said -> CablePage.reason(said, fmt, words))
                        .orElse("")
                : null;
    }

    /** Whether a step tightens a lug by a table, or by nothing: what the device's maker asks can be said there. */
    private static boolean asksMaker(WorkedCable worked, BuildStep step) {
        if (step.kind() != StepKind.TORQUE || step.side() == null) {
            return false;
        }
        EndPlan end = worked.plan().end(step.side());
        TorqueSpec torque = end.torque();
        return end.match() != null && (torque == null || torque.isFromTable());
    }

    /** Whether a step is the first that lands its end. */
    private static boolean landingBegins(Making making, BuildStep step) {
        return making.steps().stream()
                .filter(one -> one.kind().scope() == StepKind.Scope.LANDING && one.side() == step.side())
                .findFirst()
                .filter(step::equals)
                .isPresent();
    }

    /** Whether a lug is live that this step would land: somebody has to say that all else is dead. */
    private boolean asksDead(Job job, WorkedCable worked, Making making, BuildStep step) {
        Side side = step.side();
        return side != null
                && landingBegins(making, step)
                && !making.done().contains(step.key())
                && LandingOrder.of(works.of(job.id()))
                        .at(worked.tag(), side)
                        .group()
                        .live();
    }

    /** Which torque wrench of the crib to take; empty at other steps, and in a shop that keeps none. */
    private String wrench(BuildStep step, CablePlan plan, Fmt fmt) {
        if (step.kind() != StepKind.TORQUE || step.side() == null || !crib.anyWrench()) {
            return "";
        }
        TorqueSpec torque = plan.end(step.side()).torque();
        if (torque == null) {
            return words.of("torque.ask.why");
        }
        return crib.wrench(torque.nominalNm())
                .map(tool -> (tool.overdue(LocalDate.now(clock))
                                ? words.of(
                                        "note.wrench.overdue",
                                        tool.tag(),
                                        tool.name(),
                                        String.valueOf(tool.calibrationDue()))
                                : words.of("note.wrench", tool.tag(), tool.name()))
                        + setting(tool, torque, fmt))
                .orElseGet(() -> words.of("note.wrench.none", fmt.torque(torque.nominalNm())));
    }

    /** What a wrench with steps is set to, and whether that still lies within what the maker accepts. */
    private String setting(ToolDetails tool, TorqueSpec torque, Fmt fmt) {
        if (tool.torqueStepNm() == null) {
            return "";
        }
        double set = tool.settingNm(torque.nominalNm());
        boolean within = set >= torque.minNm() && set <= torque.maxNm();
        return " " + words.of(within ? "note.wrench.set" : "note.wrench.coarse", fmt.torque(set));
    }

    private Drawing picture(Job job, WorkedCable cable, BuildStep step) {
        Side side = step.side();
        Optional<Drawing> clock =
                step.kind() == StepKind.CLOCK && side == Side.B ? match.clockDrawing(cable.plan()) : Optional.empty();
        if (clock.isPresent()) {
            return clock.get();
        }
        RibbonDrawer drawer = ribbons.drawer(job, cable, true);
        String label = words.of("ribbon.end", cable.tag(), side == null ? "A" : side.name());
        return side == null ? ribbons.of(job, cable, false) : drawer.end(side, label);
    }

    /** What the section looks like after a sound crimp; null at steps that do not press. */
    private @Nullable Drawing coin(CablePlan plan, BuildStep step) {
        Side side = step.side();
        Termination end = side == null ? null : plan.end(side).termination();
        Crimp crimp = end == null ? null : end.crimp();
        boolean pressing = step.kind() == StepKind.CRIMP || step.kind() == StepKind.MEASURE;
        return crimp == null || !pressing
                ? null
                : new CoinDrawer(crimp).coin(words.of("coin.label", Figures.fixed(crimp.compaction(), 2)));
    }

    private static @Nullable String neighbour(Making making, BuildStep step, int by) {
        int at = making.place(step) + by;
        List<BuildStep> all = making.steps();
        return at < 0 || at >= all.size() ? null : all.get(at).key();
    }

    @PostMapping("/cables/{id}/bench/{stepKey}")
    ModelAndView finish(
            Model model, @PathVariable long id, @PathVariable String stepKey, @RequestParam Map<String, String> typed) {
        Cable cable = cables.get(id);
        BuildStep step = step(id, stepKey);
        if (!make.of(id).reached(step)) {
            return outOfOrder(model, cable, step, typed);
        }
        Job job = jobs.get(cable.jobId());
        WorkedCable worked = worked(cable);
        Entries entries = new Entries(typed, job.details().units());
        if (planStops(worked, make.of(id), step, job.fmt()) != null && !entries.present("anyway")) {
            entries.fault("anyway", Fault.Code.EMPTY, Expected.of("tick"));
        }
        if (asksDead(job, worked, make.of(id), step) && !entries.present("dead")) {
            entries.fault("dead", Fault.Code.EMPTY, Expected.of("tick"));
        }
        Double makerNm = asksMaker(worked, step) && entries.present("MAKER") && !entries.blank("MAKER")
                ? entries.quantity("MAKER", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, 1)
                : null;
        List<Reading> readings =
                new ReadingReader(new ReadingJudge(worked.plan(), job.details().pull()), entries).read(id, step);
        if (!entries.clean()) {
            return refused(model, bench(model, cable, step, typed, entries.faults()));
        }
        if (makerNm != null && step.side() != null) {
            match.change(
                    id, step.side(), match.end(cable, step.side()).details().torqued(makerNm));
            readings = new ReadingReader(
                            new ReadingJudge(worked(cable).plan(), job.details().pull()), entries)
                    .read(id, step);
        }
        make.record(id, step, readings);
        boolean stopped = readings.stream().anyMatch(reading -> reading.verdict() == Verdict.STOP);
        return new ModelAndView("redirect:" + (stopped ? "/cables/" + id + "/bench/" + stepKey : after(cable, step)));
    }

    /** Where the bench goes on: with the next step of an end that is being landed, then with the job's next lug, else where the cable is. */
    private String after(Cable cable, BuildStep step) {
        String bench = "/cables/" + cable.id() + "/bench";
        if (step.kind().scope() != StepKind.Scope.LANDING) {
            return bench;
        }
        Making making = make.of(cable.id());
        return making.steps().stream()
                .filter(next -> next.side() == step.side() && next.kind().scope() == StepKind.Scope.LANDING)
                .filter(next -> !making.done().contains(next.key()))
                .findFirst()
                .map(next -> bench + "/" + next.key())
                .orElse(making.finished() && inOrder(cable, step) ? "/jobs/" + cable.jobId() + "/landing" : bench);
    }

    /** Whether the end of a step has a place in the job's order of landing. */
    private boolean inOrder(Cable cable, BuildStep step) {
        Side side = step.side();
        LandingOrder order = LandingOrder.of(works.of(cable.jobId()));
        return side != null && order.at(cable.details().tag(), side).group() != LandingGroup.LOOSE;
    }

    private ModelAndView outOfOrder(Model model, Cable cable, BuildStep step, Map<String, String> typed) {
        model.addAttribute("outOfOrder", true);
        return new ModelAndView(bench(model, cable, step, typed, Map.of()), model.asMap(), HttpStatus.CONFLICT);
    }

    /** The readings of a step could not be taken: the reason is kept, and what they would have shown stays open. */
    @PostMapping("/cables/{id}/bench/{stepKey}/not-measured")
    ModelAndView notMeasured(
            Model model, @PathVariable long id, @PathVariable String stepKey, @RequestParam Map<String, String> typed) {
        Cable cable = cables.get(id);
        BuildStep step = step(id, stepKey);
        Entries entries = new Entries(typed, Units.METRIC);
        String reason = reason(entries, "why");
        List<ReadingKind> kinds = worked(cable).plan().readings(step);
        if (kinds.isEmpty()) {
            throw new NotFoundException("a reading of step " + stepKey);
        }
        if (!entries.clean()) {
            return refused(model, bench(model, cable, step, typed, entries.faults()));
        }
        if (!make.of(id).reached(step)) {
            return outOfOrder(model, cable, step, typed);
        }
        if (make.of(id).record().stopped(step)) {
            return new ModelAndView(bench(model, cable, step, typed, Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        make.notMeasured(id, step, kinds, reason);
        return new ModelAndView("redirect:/cables/" + id + "/bench");
    }

    private static String reason(Entries entries, String field) {
        return said(entries, field, LONGEST_REASON);
    }

    private static String said(Entries entries, String field, int longest) {
        String reason = entries.text(field, longest, true, "");
        if (!entries.present(field)) {
            entries.fault(field, Fault.Code.EMPTY, Expected.of("text"));
        }
        return reason;
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/cables/{id}/bench/{stepKey}/redo")
    String redo(@PathVariable long id, @PathVariable String stepKey) {
        Cable cable = cables.get(id);
        BuildStep step = step(id, stepKey);
        if (step.side() == null) {
            return "redirect:/cables/" + id + "/make?ask=start-over#start-over";
        }
        CablePlan plan = worked(cable).plan();
        make.redo(id, step, plan.redoCostMm(step.side()).orElse(0));
        return "redirect:/cables/" + id + "/bench";
    }

    @PostMapping("/cables/{id}/bench/{stepKey}/deviation")
    ModelAndView deviate(
            Model model, @PathVariable long id, @PathVariable String stepKey, @RequestParam Map<String, String> typed) {
        Cable cable = cables.get(id);
        BuildStep step = step(id, stepKey);
        Entries entries = new Entries(typed, Units.METRIC);
        Deviation accepted = new Deviation(said(entries, "by", LONGEST_NAME), reason(entries, "reason"));
        if (!entries.clean()) {
            return refused(model, bench(model, cable, step, typed, entries.faults()));
        }
        if (!make.of(id).reached(step)) {
            return outOfOrder(model, cable, step, typed);
        }
        if (!make.deviate(id, step, accepted)) {
            entries.fault("reason", Fault.Code.CONTRADICTS, words.of("bench.nothing-to-accept"));
            return refused(model, bench(model, cable, step, typed, entries.faults()));
        }
        return new ModelAndView("redirect:/cables/" + id + "/bench");
    }

    /** Begins the cable anew, once somebody has said that it shall be. */
    @PostMapping("/cables/{id}/make/start-over")
    String startOver(@PathVariable long id, @RequestParam(defaultValue = "") String sure) {
        cables.get(id);
        if (sure.isEmpty()) {
            return "redirect:/cables/" + id + "/make?ask=start-over#start-over";
        }
        make.startOver(id);
        return "redirect:/cables/" + id + "/make";
    }

    @PostMapping("/cables/{id}/make/undo-redo")
    String undoRedo(@PathVariable long id, @RequestParam(defaultValue = "0") long redo) {
        cables.get(id);
        return "redirect:/cables/" + id + "/make" + (make.undoRedo(id, redo) ? "" : "?late");
    }
}
