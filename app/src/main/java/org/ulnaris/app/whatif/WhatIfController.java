package org.ulnaris.app.whatif;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.EquipmentReader;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.plan.JobPage;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rating.RuleSet;

/** Plan: what if. The address says what is tried; nothing is kept before it is taken. */
@Controller
class WhatIfController {
    private static final List<String> PIECE_FIELDS =
            List.of("inParallel", "capacity", "power", "current", "surgePower", "surgeCurrent", "rating", "lowest");

    private final JobService jobs;
    private final WhatIfService trials;
    private final Words words;
    private final JobPage jobPage;

    WhatIfController(JobService jobs, WhatIfService trials, Words words, JobPage jobPage) {
        this.jobPage = jobPage;
        this.words = words;
        this.jobs = jobs;
        this.trials = trials;
    }

    /** A cable as a line of the comparison. */
    record Row(
            String tag,
            String sizeBefore,
            String sizeAfter,
            String currentBefore,
            String currentAfter,
            String dropBefore,
            String dropAfter,
            VerdictView verdict,
            boolean same,
            String turned) {}

    /** A sum before and after. */
    record SumRow(String key, String before, String after, boolean better, boolean worse) {}

    /** What was typed, read: the trial with what it comes to, and what is wrong with it. */
    private record Asked(Trial trial, Comparison comparison, Entries entries) {}

    @GetMapping("/jobs/{id}/what-if")
    ModelAndView show(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        JobParts parts = trials.parts(id);
        return page(model, job, parts, typed, read(job, parts, typed));
    }

    private ModelAndView page(Model model, Job job, JobParts parts, Map<String, String> typed, Asked asked) {
        Comparison comparison = asked.comparison();
        EquipmentDetails piece = chosen(parts, typed.get("piece"));
        Map<String, String> shown = new LinkedHashMap<>();
        shown.put("voltage", "");
        if (piece != null) {
            shown.putAll(EquipmentReader.texts(piece, job.fmt()));
        }
        cable(parts, typed.get("cable"))
                .forEach(cable ->
                        shown.put("length", CableReader.texts(cable, job.fmt()).get("length")));
        shown.putAll(typed);
        Map<String, Fault> faults = asked.entries().faults();
        jobPage.open(model, job);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("rules", RuleSet.values());
        model.addAttribute("pieces", parts.equipment());
        model.addAttribute("pieceFields", piece == null ? List.of() : fields(piece.kind()));
        model.addAttribute(
                "cableTags", parts.cables().stream().map(CableDetails::tag).toList());
        model.addAttribute("idle", asked.trial().idle());
        model.addAttribute(
                "rows",
                comparison.cables().stream()
                        .map(change -> row(change, job.fmt()))
                        .toList());
        model.addAttribute("sums", sums(comparison));
        return new ModelAndView(
                "whatif/what-if", model.asMap(), faults.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static List<String> fields(EquipmentKind kind) {
        return PIECE_FIELDS.stream().filter(kind.fields()::contains).toList();
    }

    private static @Nullable EquipmentDetails chosen(JobParts parts, @Nullable String tag) {
        return parts.equipment().stream()
                .filter(details -> details.tag().equals(tag))
                .findFirst()
                .orElse(null);
    }

    private static List<CableDetails> cable(JobParts parts, @Nullable String tag) {
        return parts.cables().stream().filter(cable -> cable.tag().equals(tag)).toList();
    }

    private Asked read(Job kept, JobParts parts, Map<String, String> typed) {
        JobDetails job = kept.details();
        Entries entries = new Entries(typed, job.units());
        Double nominal = entries.blank("voltage")
                ? null
                : entries.optionalQuantity("voltage", Unit.VOLT, JobDetails.VOLTAGE_V, null);
        RuleSet rules =
                entries.blank("ruleSet") ? job.ruleSet() : entries.choice("ruleSet", RuleSet.class, job.ruleSet());
        EquipmentDetails piece = chosen(parts, typed.get("piece"));
        EquipmentDetails pieceThen =
                piece == null ? null : EquipmentReader.read(pieceEntries(entries, typed, job, piece), piece);
        CableDetails cableThen = null;
        for (CableDetails cable : cable(parts, typed.get("cable"))) {
            Map<String, String> only = typed.get("length") == null ? Map.of() : Map.of("length", typed.get("length"));
            Entries lengths = new Entries(only, job.units());
            CableDetails read = CableReader.read(lengths, only, cable, Set.of());
            lengths.faults().forEach((field, fault) -> entries.faults().put(field, fault));
            CableDetails along = cable.along(read.lengthM(), read.legs());
            cableThen = along.equals(cable) ? null : along;
        }
        Trial trial = new Trial(
                nominal != null && nominal == job.nominalVoltageV() ? null : nominal,
                rules == job.ruleSet() ? null : rules,
                typed.containsKey("free"),
                pieceThen == null || pieceThen.equals(piece) ? null : pieceThen,
                cableThen);
        try {
            return new Asked(trial, trials.compare(kept.id(), parts, trial), entries);
        } catch (IllegalArgumentException e) {
            entries.fault("voltage", Fault.Code.CONTRADICTS, words.of("what-if.within"));
            return new Asked(Trial.NONE, trials.compare(kept.id(), parts, Trial.NONE), entries);
        }
    }

    /** The fields of the piece alone; their faults come back to the page. */
    private static Entries pieceEntries(
            Entries all, Map<String, String> typed, JobDetails job, EquipmentDetails piece) {
        Map<String, String> own = new LinkedHashMap<>();
        fields(piece.kind()).forEach(field -> {
            String text = typed.get(field);
            if (text != null) {
                own.put(field, text);
            }
        });
        Entries entries = new Entries(own, job.units());
        EquipmentReader.read(entries, piece);
        entries.faults().forEach((field, fault) -> all.faults().put(field, fault));
        return new Entries(own, job.units());
    }

    private Row row(Comparison.CableChange change, Fmt fmt) {
        Comparison.State before = change.before();
        Comparison.State after = change.after();
        return new Row(
                change.tag(),
                before.size(),
                after.size(),
                ampere(before, fmt),
                ampere(after, fmt),
                drop(before, fmt),
                drop(after, fmt),
                CablePage.verdict(after.cable(), fmt, words),
                change.same(),
                turned(before, after));
    }

    private static String ampere(Comparison.State state, Fmt fmt) {
        return known(state) ? fmt.current(Figures.rounded(state.currentA(), 3)) : Comparison.UNSAID;
    }

    private static String drop(Comparison.State state, Fmt fmt) {
        return known(state) ? fmt.percent(state.dropPercent()) : Comparison.UNSAID;
    }

    private static boolean known(Comparison.State state) {
        return state.cable().carried().known();
    }

    /** Whether a cable is thicker or thinner after it; empty where it is neither, or where nobody knows. */
    private String turned(Comparison.State before, Comparison.State after) {
        boolean said = !before.size().equals(Comparison.UNSAID) && !after.size().equals(Comparison.UNSAID);
        if (!said || before.size().equals(after.size())) {
            return "";
        }
        return words.of(after.areaMm2() > before.areaMm2() ? "what-if.thicker" : "what-if.thinner");
    }

    private static List<SumRow> sums(Comparison comparison) {
        Comparison.Sums before = comparison.before();
        Comparison.Sums after = comparison.after();
        List<SumRow> rows = new ArrayList<>(List.of(
                sum("copper", before.metalKg(), after.metalKg(), "kg"),
                sum("loss", before.lossW(), after.lossW(), "W"),
                sum("loss-day", before.lossWhPerDay(), after.lossWhPerDay(), "Wh"),
                sum("stops", before.stops(), after.stops(), "")));
        boolean priced = before.cost().known() > 0 || after.cost().known() > 0;
        boolean whole = before.cost().unpriced() + after.cost().unpriced() == 0;
        if (priced && whole) {
            rows.add(sum("cost", before.cost().known(), after.cost().known(), ""));
        } else if (priced) {
            rows.add(sum("unpriced", before.cost().unpriced(), after.cost().unpriced(), ""));
        }
        return rows;
    }

    private static SumRow sum(String key, double before, double after, String unit) {
        double noise = 1e-6 * Math.max(1, Math.abs(before));
        return new SumRow(
                key, figure(before, unit), figure(after, unit), after < before - noise, after > before + noise);
    }

    private static String figure(double value, String unit) {
        return Figures.significant(value, 3) + (unit.isEmpty() ? "" : Fmt.SPACE + unit);
    }

    @PostMapping("/jobs/{id}/what-if")
    ModelAndView take(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        JobParts parts = trials.parts(id);
        Asked asked = read(job, parts, typed);
        if (!asked.entries().clean() || asked.trial().idle()) {
            return page(model, job, parts, typed, asked);
        }
        long changed = id;
        if (typed.containsKey("copy")) {
            changed = trials.takeCopy(id, asked.trial()).id();
        } else {
            trials.take(id, asked.trial());
        }
        return new ModelAndView("redirect:/jobs/" + changed + "/plan");
    }
}
