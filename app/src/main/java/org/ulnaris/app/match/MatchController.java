package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.drawing.CaliperDrawer;
import org.ulnaris.app.drawing.FacePairDrawer;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.ribbon.EndSpot;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Reason;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.conductor.Twist;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.RunSleeves;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Threading;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.SharedStuds;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Match: lug, dies, sleeve and hardware of both ends. */
@Controller
class MatchController {
    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final Works works;
    private final CablePage page;
    private final Words words;
    private final JobPage jobPage;

    MatchController(
            JobService jobs,
            CableService cables,
            MatchService match,
            Works works,
            CablePage page,
            Words words,
            JobPage jobPage) {
        this.jobPage = jobPage;
        this.works = works;
        this.jobs = jobs;
        this.cables = cables;
        this.match = match;
        this.page = page;
        this.words = words;
    }

    /** A cable as a line of the job's match list. */
    record MatchRow(long id, String tag, String size, String a, String b, String cut, VerdictView verdict) {}

    /** What was sent of an end, with what is wrong with it. */
    private record Sent(Map<String, String> typed, Map<String, Fault> faults) {
        static final Sent NOTHING = new Sent(Map.of(), Map.of());
    }

    @GetMapping("/jobs/{id}/match")
    String list(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        WorkedJob worked = works.of(id);
        jobPage.open(model, job);
        model.addAttribute(
                "rows",
                cables.of(id).stream()
                        .map(cable ->
                                row(job, cable, worked.cable(cable.details().tag())))
                        .toList());
        return "match/list";
    }

    private MatchRow row(Job job, Cable cable, WorkedCable worked) {
        CablePlan plan = worked.plan();
        CutLength cut = plan.cutLength();
        return new MatchRow(
                cable.id(),
                worked.tag(),
                worked.sizeSaid().orElse("—"),
                end(worked, Side.A),
                end(worked, Side.B),
                cut == null ? "—" : job.fmt().route(cut.cutMm() / 1000),
                CablePage.verdict(worked, job.fmt(), words));
    }

    private String end(WorkedCable worked, Side side) {
        if (worked.sizeSaid().isEmpty()) {
            return "—";
        }
        CablePlan plan = worked.plan();
        MatchedContact contact = plan.end(side).contact();
        if (contact != null) {
            return contact.code();
        }
        MatchedLug matched = plan.end(side).match();
        if (matched == null) {
            return words.of("match.none");
        }
        String die = matched.crimp() == null
                ? words.of("match.nodie")
                : matched.crimp().die().tag();
        return matched.lug().code() + " / " + die;
    }

    @GetMapping("/cables/{id}/match")
    String cable(
            Model model,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(required = false) @Nullable Integer spread,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Cable cable = cables.get(id);
        model.addAttribute("spread", spread);
        String view = cablePage(model, jobs.get(cable.jobId()), cable, at, Sent.NOTHING);
        return htmx == null ? view : view + " :: result";
    }

    /** Fills {@code model} with the cable and the end that {@code at} names; where it names none, the one that asks for most. */
    private String cablePage(Model model, Job job, Cable cable, String at, Sent sent) {
        WorkedCable worked = page.open(model, job, cable);
        CablePlan plan = worked.plan();
        Optional<EndSpot> pressed = EndSpot.read(at);
        EndSpot spot = pressed.orElseGet(() -> new EndSpot(worse(worked), null));
        model.addAttribute("spot", spot);
        model.addAttribute("pressed", pressed.isPresent());
        model.addAttribute("e", end(spot.side(), cable, worked, job, sent));
        model.addAttribute("otherEnd", new EndSpot(spot.side().other(), null).address(cable.id()));
        model.addAttribute("alike", plan.sameEnds());
        model.addAttribute(
                "both", !sent.typed().containsKey("_both") || sent.typed().containsKey("both"));
        page.map(model, job, cable, worked, spot);
        model.addAttribute("studs", Studs.all().stream().map(Stud::name).toList());
        CutLength cut = plan.cutLength();
        model.addAttribute("cutLength", cut == null ? "—" : job.fmt().bench(cut.cutMm()));
        model.addAttribute("cutWhy", cut == null ? null : new Reason(cut.explanation()));
        boolean sized = worked.sizeSaid().isPresent();
        model.addAttribute("sized", sized);
        model.addAttribute(
                "bend", job.fmt().small(plan.bendRadiusMm(job.details().rules().bendDiameters())));
        model.addAttribute("clock", match.clockDrawing(plan).orElse(null));
        model.addAttribute("clockNote", clockNote(worked));
        model.addAttribute("headings", Heading.values());
        model.addAttribute("caliper", CaliperDrawer.lug(words.of("caliper.label"), words::caliper));
        model.addAttribute("families", Family.values());
        model.addAttribute("cribEmpty", worked.input().shop().dies().isEmpty());
        model.addAttribute("methods", JoinMethod.values());
        model.addAttribute("threading", threading(plan));
        model.addAttribute("lugTyped", LugStock.FRESH);
        model.addAttribute("noFaults", Map.of());
        return "match/cable";
    }

    private static Side worse(WorkedCable worked) {
        return worked.verdict(Side.B).compareTo(worked.verdict(Side.A)) > 0 ? Side.B : Side.A;
    }

    /** Where the angle comes from, and how much of it the cable forgives. */
    private String clockNote(WorkedCable worked) {
        CablePlan plan = worked.plan();
        OptionalDouble byRoute = worked.cable().clockByRouteDeg();
        String degrees = Fmt.turn(plan.route().clockDeg());
        String from = words.of("clock.open", degrees);
        if (worked.cable().way().clockDeg().isPresent()) {
            from = byRoute.isPresent()
                    ? words.of("clock.both", degrees, Fmt.turn(byRoute.getAsDouble()))
                    : words.of("clock.typed", degrees);
        } else if (byRoute.isPresent()) {
            from = words.of("clock.route", degrees);
        }
        return from + " "
                + words.of(
                        "note.CLOCK.forgives",
                        Figures.fixed(
                                Twist.forgivenDegrees(
                                        plan.route().lengthMm(), plan.cable().outerMm()),
                                0));
    }

    /** What must be on before which end is closed, in words. */
    private List<String> threading(CablePlan plan) {
        Threading threading = Threading.of(plan);
        List<String> lines = new ArrayList<>();
        for (Side side : Side.values()) {
            List<Threading.Part> before = threading.before(side);
            if (!before.isEmpty()) {
                lines.add(words.of(
                        "threading.before",
                        side.name(),
                        before.stream()
                                .map(part -> words.name(part.item()) + " (" + words.name(part.latest()) + ")")
                                .collect(Collectors.joining(", "))));
            }
        }
        ShrinkTube tag = plan.sleeves().tag();
        if (tag != null) {
            lines.add(words.of("run.tag", tag.name(), Figures.fixed(RunSleeves.TAG_MM, 0)));
        }
        RunSleeves.Loom loom = plan.sleeves().loom();
        ShrinkTube end = plan.sleeves().loomEnd();
        if (loom != null) {
            lines.add(
                    end == null
                            ? words.of("run.loom.open", loom.name())
                            : words.of("run.loom", loom.name(), end.name(), Figures.fixed(RunSleeves.LOOM_END_MM, 0)));
        }
        return lines;
    }

    private EndView end(Side side, Cable cable, WorkedCable worked, Job job, Sent sent) {
        MatchService.Kept kept = match.end(cable, side);
        EndView.Typed shown = EndView.Typed.over(texts(kept, worked, side, job), sent.typed(), sent.faults());
        boolean redLeft = job.details().rules().facing() == JobRules.Facing.RED_LEFT;
        SharedStuds.Shared shared = worked.cable()
                .points()
                .terminal(side)
                .map(terminal -> works.of(job.id()).studs().get(terminal))
                .orElse(null);
        return EndView.of(
                worked,
                side,
                kept,
                shown,
                new EndView.Shown(
                        job.fmt(),
                        words,
                        new FacePairDrawer.Facing(
                                redLeft, cable.details().polarity().css()),
                        worked.plan().cable(),
                        shared));
    }

    /** The text of each field; an end of which nothing was said shows the family that was taken for it. */
    private static Map<String, String> texts(MatchService.Kept kept, WorkedCable worked, Side side, Job job) {
        Map<String, String> texts = EndReader.texts(kept.details(), job.fmt());
        if (!kept.said()) {
            texts.put("family", worked.plan().end(side).kind().family().name());
        }
        return texts;
    }

    @PostMapping("/cables/{id}/match/{side}")
    ModelAndView change(
            Model model,
            @PathVariable long id,
            @PathVariable Side side,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        MatchService.Kept kept = match.end(cable, side);
        WorkedCable worked = works.of(job.id()).cable(cable.details().tag());
        Map<String, String> saved = texts(kept, worked, side, job);
        EndSpot spot = EndSpot.read(typed.getOrDefault("at", ""))
                .filter(pressed -> pressed.side() == side)
                .orElseGet(() -> new EndSpot(side, null));
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            Map<String, String> carried = new HashMap<>(ofBoth(typed));
            carried.put("at", spot.at());
            model.addAttribute("carried", carried);
            return answer(
                    cablePage(model, job, cable, spot.at(), new Sent(ofBoth(typed), Map.of())),
                    htmx,
                    model,
                    HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        EndDetails details = EndReader.read(
                entries,
                kept.details(),
                new EndReader.House(match.contacts(), job.details().rules().practices()));
        boolean firstSaid = !kept.said() && typed.containsKey("family");
        boolean both = typed.containsKey("both") && worked.plan().sameEnds() && details.ofKind(kept.details());
        if (both && !details.as(kept.details()).equals(details)) {
            match.pickForBoth(cable, side, details);
        } else if (firstSaid || !details.equals(kept.details())) {
            match.change(id, side, details);
        }
        if (entries.clean() && htmx == null) {
            return new ModelAndView("redirect:" + spot.address(id));
        }
        Map<String, String> shown = new HashMap<>(merge.typed());
        shown.putAll(ofBoth(typed));
        return answer(
                cablePage(model, job, cable, spot.at(), new Sent(shown, entries.faults())),
                htmx,
                model,
                entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What was sent of the tick that picks for both ends: no field of an end, so nobody else can have changed it. */
    private static Map<String, String> ofBoth(Map<String, String> typed) {
        return typed.entrySet().stream()
                .filter(sent -> sent.getKey().equals("both") || sent.getKey().equals("_both"))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** Gives every end of the job that is like this one the same lug, dies and contact: the same conductor, and on a lug the same stud. */
    @PostMapping("/cables/{id}/match/{side}/spread")
    String spread(@PathVariable long id, @PathVariable Side side) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        return "redirect:/cables/" + id + "/match?at=" + side + "&spread="
                + match.spread(works.of(job.id()), cable, side);
    }

    private static ModelAndView answer(String view, @Nullable String htmx, Model model, HttpStatus status) {
        return new ModelAndView(htmx == null ? view : view + " :: result", model.asMap(), status);
    }
}
