package org.ulnaris.app.loads;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.job.JobLimits;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.protection.FuseFamily;

/** A fuse panel entered at once: a bar, and a fuse on it for each circuit. */
@Controller
class FusePanelController {
    private static final int MOST_FUSES = 24;
    private static final int LONGEST_RATINGS = 200;

    private final JobService jobs;
    private final LoadsService loads;
    private final LastSteps steps;

    FusePanelController(JobService jobs, LoadsService loads, LastSteps steps) {
        this.jobs = jobs;
        this.loads = loads;
        this.steps = steps;
    }

    @GetMapping("/jobs/{id}/fuse-panel")
    String show(Model model, @PathVariable long id) {
        return page(model, jobs.get(id), Map.of("family", FuseFamily.BLADE_C.name()), Map.of());
    }

    private static String page(Model model, Job job, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("families", FuseFamily.values());
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        return "loads/fuse-panel";
    }

    @PostMapping("/jobs/{id}/fuse-panel")
    @Transactional
    ModelAndView add(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Entries entries = new Entries(typed, job.details().units());
        List<EquipmentDetails> pieces = read(entries, job);
        if (!entries.clean()) {
            String view = page(model, job, new LinkedHashMap<>(typed), entries.faults());
            return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        List<Change> made = new ArrayList<>();
        pieces.forEach(piece -> made.add(loads.made(id, piece)));
        steps.keep(LastSteps.job(id), LastSteps.What.FUSE_PANEL, made);
        return new ModelAndView("redirect:/jobs/" + id + "?mended");
    }

    /** The bar and its fuses; faults stay in {@code entries}. */
    private List<EquipmentDetails> read(Entries entries, Job job) {
        String tag = entries.text("tag", EquipmentDetails.LONGEST_TAG - 3, true, "");
        if (tag.indexOf('.') >= 0) {
            entries.fault("tag", Fault.Code.CONTRADICTS, Expected.of("pointless-tag"));
        }
        String name = entries.text("name", EquipmentDetails.LONGEST_NAME, false, "");
        FuseFamily family = entries.choice("family", FuseFamily.class, FuseFamily.BLADE_C);
        Double barA = entries.optionalQuantity("rating", Unit.AMPERE, Device.Fuse.RATING_A, null);
        List<Double> ratings = ratings(entries, family);
        EquipmentDetails bar =
                Records.with(EquipmentReader.fresh(EquipmentKind.BUS_BAR, job.details()), parts(tag, name, barA));
        List<EquipmentDetails> pieces = new ArrayList<>(List.of(bar));
        EquipmentDetails fuse = EquipmentReader.fresh(EquipmentKind.FUSE, job.details());
        for (int i = 0; i < ratings.size(); i++) {
            Map<String, @Nullable Object> parts = parts(tag + "-" + (i + 1), "", ratings.get(i));
            parts.put("fuseFamily", family);
            parts.put("mountedOn", bar.tag());
            pieces.add(Records.with(fuse, parts));
        }
        if (pieces.stream().anyMatch(piece -> loads.taken(job.id(), piece.tag(), -1))) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (loads.details(job.id()).size() + pieces.size() > JobLimits.MOST_PIECES) {
            entries.fault("ratings", Fault.Code.OUT_OF_RANGE, "0", Expected.of("pieces", JobLimits.MOST_PIECES));
        }
        return pieces;
    }

    private static Map<String, @Nullable Object> parts(String tag, String name, @Nullable Double ratingA) {
        Map<String, @Nullable Object> parts = new LinkedHashMap<>();
        parts.put("tag", tag);
        parts.put("name", name);
        parts.put("ratingA", ratingA);
        return parts;
    }

    private static List<Double> ratings(Entries entries, FuseFamily family) {
        String text = entries.text("ratings", LONGEST_RATINGS, true, "");
        List<Optional<Double>> read = Stream.of(
                        text.replaceAll("(?i)\\s*a(mps?)?\\b", "").split("[;\\s]+|,\\s+"))
                .filter(word -> !word.isEmpty())
                .map(word -> rating(word, family))
                .toList();
        if (read.size() > MOST_FUSES) {
            entries.fault("ratings", Fault.Code.OUT_OF_RANGE, "0", Expected.of("fuses", MOST_FUSES));
        } else if (entries.clean() && (read.isEmpty() || read.stream().anyMatch(Optional::isEmpty))) {
            String example = family.ratingsA().stream()
                    .limit(8)
                    .map(rating -> Figures.significant(rating, 4))
                    .collect(Collectors.joining(" "));
            entries.fault("ratings", Fault.Code.CONTRADICTS, Expected.of("fuse-ratings", example));
        }
        return read.stream().flatMap(Optional::stream).toList();
    }

    /** A rating that its family is made in; a decimal comma is a point. */
    private static Optional<Double> rating(String word, FuseFamily family) {
        return family.ratingsA().stream()
                .filter(rating -> Figures.significant(rating, 4).equals(word.replace(',', '.')))
                .findFirst();
    }
}
