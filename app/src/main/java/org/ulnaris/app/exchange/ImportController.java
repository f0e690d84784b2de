package org.ulnaris.app.exchange;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
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
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Words;

/** Files in and out. */
@Controller
class ImportController {
    private static final int LONGEST = 1_000_000;
    private static final int LONGEST_MENDED = 100_000;

    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final ExchangeService exchange;
    private final JobService jobs;
    private final Words words;

    ImportController(ExchangeService exchange, JobService jobs, Words words) {
        this.exchange = exchange;
        this.jobs = jobs;
        this.words = words;
    }

    /** A fault of a file as the page lists it. */
    record FaultRow(String place, String typed, String words) {}

    @GetMapping("/jobs/{id}/import")
    String show(Model model, @PathVariable long id) {
        return show(model, jobs.get(id), "", null);
    }

    private String show(Model model, Job job, String text, CableCsv.@Nullable Parsed parsed) {
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("text", text);
        model.addAttribute("began", Merge.began(standing(job.id())));
        model.addAttribute("columns", String.join(", ", CableCsv.COLUMNS.values()));
        model.addAttribute("parsed", parsed != null);
        List<CableCsv.Row> rows = parsed == null || !parsed.faults().isEmpty() ? List.of() : parsed.rows();
        model.addAttribute("rows", rows.stream().map(row -> line(row, job)).toList());
        model.addAttribute(
                "fresh", rows.stream().filter(row -> row.id() == null).count());
        model.addAttribute(
                "changed",
                rows.stream().filter(row -> row.id() != null && !row.same()).count());
        model.addAttribute(
                "fileFaults",
                parsed == null
                        ? List.of()
                        : parsed.faults().stream().map(this::row).toList());
        return "exchange/import";
    }

    private Map<String, String> standing(long id) {
        return Map.of("cables", exchange.csv(id));
    }

    /** A cable of the table as the page lists it. */
    record Line(Map<String, String> texts, String what) {}

    private Line line(CableCsv.Row row, Job job) {
        String what = row.id() == null ? "new" : row.same() ? "same" : "changed";
        return new Line(CableReader.texts(row.cable(), job.fmt()), words.of("import." + what));
    }

    private FaultRow row(CableCsv.FileFault fault) {
        String place = fault.row() == 0
                ? words.of("import.file")
                : words.of("import.place", Long.toString(fault.row()), fault.column());
        return new FaultRow(place, fault.fault().typed(), words.fault(fault.fault()));
    }

    @PostMapping("/jobs/{id}/import")
    ModelAndView preview(
            Model model,
            @PathVariable long id,
            @RequestParam(required = false) @Nullable MultipartFile file,
            @RequestParam(defaultValue = "") String text)
            throws IOException {
        Job job = jobs.get(id);
        String content = file == null || file.isEmpty()
                ? text
                : CsvText.decode(file.getBytes()).orElse(null);
        if (content == null) {
            return refused(model, job, Fault.of(Fault.Code.NOT_A_NUMBER, "", Expected.of("utf-8")));
        }
        if (content.length() > LONGEST) {
            return refused(model, job, Fault.of(Fault.Code.TOO_LONG, "", Integer.toString(LONGEST)));
        }
        CableCsv.Parsed parsed = exchange.preview(id, content);
        return answer(
                show(model, job, shown(content, parsed), parsed),
                model,
                parsed.faults().isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/jobs/{id}/import/accept")
    ModelAndView accept(
            Model model,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(name = Merge.FIELD, required = false) @Nullable String began) {
        Job job = jobs.get(id);
        if (Merge.isStale(standing(id), began)) {
            model.addAttribute("meanwhile", true);
            CableCsv.Parsed again = exchange.preview(id, text);
            return answer(show(model, job, shown(text, again), again), model, HttpStatus.CONFLICT);
        }
        CableCsv.Parsed parsed = exchange.importCsv(id, text);
        if (parsed.faults().isEmpty()) {
            return new ModelAndView("redirect:/jobs/" + id + "/plan");
        }
        return answer(show(model, job, shown(text, parsed), parsed), model, HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** The table with its faults, to be mended; a long one only where it is taken as it stands: escaped it is longer still. */
    private static String shown(String content, CableCsv.Parsed parsed) {
        return parsed.faults().isEmpty() || content.length() <= LONGEST_MENDED ? content : "";
    }

    private ModelAndView refused(Model model, Job job, Fault fault) {
        CableCsv.Parsed nothing = new CableCsv.Parsed(List.of(), List.of(new CableCsv.FileFault(0, "", fault)));
        return answer(show(model, job, "", nothing), model, HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static ModelAndView answer(String view, Model model, HttpStatus status) {
        return new ModelAndView(view, model.asMap(), status);
    }

    @GetMapping("/jobs/{id}/pack/cables.csv")
    ResponseEntity<String> csv(@PathVariable long id) {
        return file(exchange.csv(id), CSV, jobs.get(id), "cables.csv");
    }

    @GetMapping("/jobs/{id}/pack/job.json")
    ResponseEntity<String> json(@PathVariable long id) {
        return file(exchange.json(id), MediaType.APPLICATION_JSON, jobs.get(id), "job.json");
    }

    private static ResponseEntity<String> file(String text, MediaType type, Job job, String name) {
        String safe = job.details().name().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(java.util.Locale.ROOT);
        ContentDisposition disposition =
                ContentDisposition.attachment().filename(safe + "-" + name).build();
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(text);
    }

    @PostMapping("/jobs/import")
    ModelAndView importJob(Model model, @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        String text = file == null || file.isEmpty()
                ? null
                : CsvText.decode(file.getBytes()).orElse(null);
        try {
            if (text == null) {
                throw new ExchangeService.RefusedException(List.of(words.of("import.choose")));
            }
            return new ModelAndView(
                    "redirect:/jobs/" + exchange.importJson(text).id() + "/plan");
        } catch (ExchangeService.RefusedException e) {
            return new ModelAndView(
                    "exchange/refused", Map.of("refusals", e.faults()), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }
}
