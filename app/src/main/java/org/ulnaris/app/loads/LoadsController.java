package org.ulnaris.app.loads;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.shell.DeclaredField;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.job.JobLimits;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.network.SpiceNetlist;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.worked.WorkedJob;

/** Loads: equipment, cases, and what they come to. */
@Controller
class LoadsController {
    /** Fields of a case are called by the id of the equipment. */
    private static final String STATE = "state-";

    private final JobService jobs;
    private final LoadsService loads;
    private final PieceEditor editor;
    private final Works works;
    private final Words words;
    private final JobPage jobPage;

    LoadsController(
            JobService jobs, LoadsService loads, PieceEditor editor, Works works, Words words, JobPage jobPage) {
        this.jobPage = jobPage;
        this.editor = editor;
        this.works = works;
        this.jobs = jobs;
        this.loads = loads;
        this.words = words;
    }

    /**
     * A column of the table of cases.
     *
     * @param result what it comes to; null while nothing is worked out
     */
    record CaseColumn(
            long id,
            String name,
            String hours,
            Map<Long, State> states,
            String began,
            LoadsView.@Nullable CaseView result) {
        public State state(long equipmentId) {
            return states.getOrDefault(equipmentId, State.OFF);
        }
    }

    /** A row of the equipment. */
    record ItemRow(long id, EquipmentDetails details, List<FigureView> figures) {}

    /** A figure with its name. */
    record FigureView(String label, String value) {}

    @GetMapping("/jobs/{id}/loads")
    String show(
            Model model,
            @PathVariable long id,
            @RequestParam(required = false) @Nullable EquipmentKind kind,
            @RequestParam(required = false) @Nullable Integer preset,
            @RequestParam(required = false) @Nullable Long deleted,
            @RequestParam(required = false) @Nullable Long deletedCase,
            @RequestParam(required = false) @Nullable Long restored,
            @RequestParam(defaultValue = "false") boolean renamed) {
        Job job = jobs.get(id);
        model.addAttribute("renamed", renamed);
        model.addAttribute(
                "restoredTag",
                loads.equipment(id).stream()
                        .filter(item -> item.id().equals(restored))
                        .map(item -> item.details().tag())
                        .findFirst()
                        .orElse(null));
        model.addAttribute("deletedId", deleted);
        model.addAttribute("deletedCaseId", deletedCase);
        if (preset != null && preset >= 0 && preset < StarterSet.all().size()) {
            StarterSet.Preset chosen = StarterSet.all().get(preset);
            return page(model, job, chosen.kind(), kept(freshTexts(job, chosen.kind()), chosen.typed()), Map.of());
        }
        return page(model, job, kind, kind == null ? Map.of() : freshTexts(job, kind), Map.of());
    }

    private static Map<String, String> freshTexts(Job job, EquipmentKind kind) {
        return EquipmentReader.texts(EquipmentReader.fresh(kind, job.details()), job.fmt());
    }

    private String page(
            Model model, Job job, @Nullable EquipmentKind kind, Map<String, String> typed, Map<String, Fault> faults) {
        List<Equipment> items = loads.equipment(job.id());
        jobPage.open(model, job);
        model.addAttribute("items", items.stream().map(item -> row(job, item)).toList());
        LoadsView result = LoadsView.of(job, works.of(job.id()), words).orElse(null);
        Map<String, LoadsView.CaseView> worked = new HashMap<>();
        if (result != null) {
            result.cases().forEach(one -> worked.put(one.name(), one));
        }
        model.addAttribute(
                "cases",
                loads.cases(job.id()).stream()
                        .map(one -> new CaseColumn(
                                one.id(),
                                one.name(),
                                hours(one),
                                one.states(),
                                Merge.began(texts(one, items)),
                                worked.get(one.name())))
                        .toList());
        model.addAttribute("result", result);
        model.addAttribute("presets", StarterSet.all());
        model.addAttribute("kinds", EquipmentKind.values());
        model.addAttribute("kind", kind);
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("declared", kind == null ? List.of() : declared(kind));
        model.addAttribute("metals", TerminalMetal.values());
        model.addAttribute("terminalFields", TerminalReader.KEYS);
        return "loads/loads";
    }

    /** The text of each field of a case, as its form shows it. */
    private static Map<String, String> texts(LoadCase one, List<Equipment> items) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("caseName", one.name());
        texts.put("hours", hours(one));
        Map<Long, State> states = one.states();
        items.forEach(item -> texts.put(
                STATE + item.id(), states.getOrDefault(item.id(), State.OFF).name()));
        return texts;
    }

    private static String hours(LoadCase one) {
        return Figures.significant(one.hoursPerDay(), 4) + " h";
    }

    private List<DeclaredField> declared(EquipmentKind kind) {
        return EquipmentField.of(kind).stream()
                .map(field -> field.shown(kind, words))
                .toList();
    }

    private ItemRow row(Job job, Equipment item) {
        EquipmentDetails piece = item.details();
        List<FigureView> figures = EquipmentField.of(piece.kind()).stream()
                .filter(field -> field.value(piece) != null)
                .map(field -> new FigureView(
                        words.of("equipment." + field.key()),
                        field.value(piece) instanceof Enum<?> chosen
                                ? words.name(chosen)
                                : field.text(piece, job.fmt())))
                .toList();
        return new ItemRow(item.id(), piece, figures);
    }

    @PostMapping("/jobs/{id}/equipment")
    ModelAndView add(
            Model model,
            @PathVariable long id,
            @RequestParam EquipmentKind kind,
            @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        PieceEditor.Outcome added = editor.add(job, kind, typed);
        return added.clean()
                ? new ModelAndView("redirect:/jobs/" + id + "/loads")
                : refused(model, page(model, job, kind, kept(freshTexts(job, kind), typed), added.faults()));
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static Map<String, String> kept(Map<String, String> standing, Map<String, String> typed) {
        Map<String, String> kept = new LinkedHashMap<>(standing);
        kept.putAll(typed);
        return kept;
    }

    @GetMapping("/equipment/{id}")
    String edit(Model model, @PathVariable long id) {
        Equipment item = loads.get(id);
        Job job = jobs.get(item.jobId());
        return editPage(model, job, item, EquipmentReader.texts(item.details(), job.fmt()), Map.of());
    }

    private String editPage(
            Model model, Job job, Equipment item, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("itemId", item.id());
        model.addAttribute("began", Merge.began(EquipmentReader.texts(item.details(), job.fmt())));
        model.addAttribute("kind", item.details().kind());
        model.addAttribute("pieceTag", item.details().tag());
        model.addAttribute(
                "strings",
                item.details().kind() != EquipmentKind.BANK
                        ? null
                        : works.of(job.id())
                                .network()
                                .flatMap(result -> result.installation().devices().stream()
                                        .filter(device -> device.tag()
                                                .equals(item.details().tag()))
                                        .filter(device -> device instanceof Device.Bank bank
                                                && bank.build().parallel() > 1
                                                && bank.build().parallel() <= 64)
                                        .findFirst()
                                        .map(device -> StringsView.of(result, (Device.Bank) device, job.fmt(), words)))
                                .orElse(null));
        model.addAttribute(
                "fuse",
                item.details().kind() != EquipmentKind.FUSE
                        ? null
                        : fuse(job, item.details().tag()));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("declared", declared(item.details().kind()));
        model.addAttribute("metals", TerminalMetal.values());
        model.addAttribute("terminalFields", TerminalReader.KEYS);
        return "loads/equipment";
    }

    private @Nullable FuseView fuse(Job job, String tag) {
        WorkedJob worked = works.of(job.id());
        return worked.network()
                .flatMap(result -> ProtectionCheck.scene(result, tag))
                .map(scene -> FuseView.of(worked, scene, job.fmt(), words))
                .orElse(null);
    }

    @PostMapping("/equipment/{id}")
    ModelAndView change(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Equipment item = loads.get(id);
        Job job = jobs.get(item.jobId());
        Map<String, String> saved = EquipmentReader.texts(item.details(), job.fmt());
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return new ModelAndView(editPage(model, job, item, saved, Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        EquipmentDetails details = EquipmentReader.read(entries, item.details());
        loads.checkMount(entries, job.id(), details);
        if (loads.taken(job.id(), details.tag(), id)) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (!entries.clean()) {
            return refused(model, editPage(model, job, item, kept(saved, typed), entries.faults()));
        }
        loads.change(id, details);
        return new ModelAndView("redirect:/jobs/" + job.id() + "/loads");
    }

    @PostMapping("/equipment/{id}/delete")
    String delete(@PathVariable long id, @RequestParam(defaultValue = "false") boolean picture) {
        return "redirect:/jobs/" + loads.delete(id) + (picture ? "?equipment=" : "/loads?deleted=") + id;
    }

    @PostMapping("/equipment/{id}/restore")
    String restore(@PathVariable long id, @RequestParam(defaultValue = "false") boolean picture) {
        LoadsService.Restored back = loads.restore(id);
        if (picture) {
            return "redirect:"
                    + JobView.broughtBack(
                            back.piece().jobId(), back.piece().details().tag(), back.renamed());
        }
        return "redirect:/jobs/" + back.piece().jobId() + "/loads?restored=" + id + "&renamed=" + back.renamed();
    }

    @PostMapping("/jobs/{id}/cases")
    ModelAndView addCase(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Entries entries = new Entries(typed, job.details().units());
        String name = entries.text("caseName", LoadsService.LONGEST_CASE, true, "");
        double hours = hours(entries, 1);
        if (loads.caseTaken(id, name, -1)) {
            entries.fault("caseName", Fault.Code.TAKEN);
        }
        if (loads.cases(id).size() >= JobLimits.MOST_CASES) {
            entries.fault("caseName", Fault.Code.OUT_OF_RANGE, "0", Expected.of("cases", JobLimits.MOST_CASES));
        }
        if (!entries.clean()) {
            return refused(model, page(model, job, null, typed, entries.faults()));
        }
        loads.addCase(id, name, hours);
        return new ModelAndView("redirect:/jobs/" + id + "/loads#cases");
    }

    private static double hours(Entries entries, double standing) {
        return entries.quantity("hours", Unit.HOUR, OperatingCase.HOURS, standing);
    }

    @PostMapping("/cases/{id}")
    ModelAndView changeCase(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        LoadCase one = loads.loadCase(id);
        Job job = jobs.get(one.jobId());
        List<Equipment> items = loads.equipment(job.id());
        Merge merge = Merge.of(texts(one, items), typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            model.addAttribute("conflictCase", id);
            Map<String, String> labels = new HashMap<>();
            items.forEach(item -> labels.put(STATE + item.id(), item.details().tag()));
            model.addAttribute("labels", labels);
            return new ModelAndView(page(model, job, null, Map.of(), Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        String name = entries.text("caseName", LoadsService.LONGEST_CASE, true, one.name());
        double hours = hours(entries, one.hoursPerDay());
        Map<Long, State> states = new HashMap<>(one.states());
        for (String field : merge.typed().keySet()) {
            if (field.matches(STATE + "\\d{1,18}")) {
                states.put(
                        Long.valueOf(field.substring(STATE.length())), entries.choice(field, State.class, State.OFF));
            }
        }
        if (loads.caseTaken(job.id(), name, id)) {
            entries.fault("caseName", Fault.Code.TAKEN);
        }
        if (!entries.clean()) {
            return refused(model, page(model, job, null, typed, entries.faults()));
        }
        loads.changeCase(id, name, hours, states);
        return new ModelAndView("redirect:/jobs/" + job.id() + "/loads#cases");
    }

    @PostMapping("/cases/{id}/delete")
    String deleteCase(@PathVariable long id) {
        return "redirect:/jobs/" + loads.deleteCase(id) + "/loads?deletedCase=" + id;
    }

    @PostMapping("/cases/{id}/restore")
    String restoreCase(@PathVariable long id) {
        return "redirect:/jobs/" + loads.restoreCase(id) + "/loads#cases";
    }

    /** The solved network of one case, counted from 1, as a SPICE netlist. */
    @GetMapping("/jobs/{id}/export/network.cir")
    ResponseEntity<byte[]> netlist(@PathVariable long id, @RequestParam(name = "case", defaultValue = "1") int number) {
        var result = works.of(id)
                .network()
                .filter(solved -> number >= 1 && number <= solved.cases().size())
                .orElseThrow(() -> new NotFoundException("case " + number + " of job " + id));
        String text = SpiceNetlist.of(result.cases().get(number - 1).solution());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/plain;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"network-" + number + ".cir\"")
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
