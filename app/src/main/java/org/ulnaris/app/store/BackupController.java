package org.ulnaris.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.measure.Range;

/** House rules: how the shop is kept safe. */
@Controller
class BackupController {
    private static final Range GENERATIONS = Range.from(0, 60);

    private final Backups backups;
    private final Clock clock;

    BackupController(Backups backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    @GetMapping("/backups")
    String show(Model model, @RequestParam Map<String, String> asked) {
        model.addAttribute("tried", asked.getOrDefault("tried", ""));
        return show(model, texts(), Map.of());
    }

    private Map<String, String> texts() {
        return Map.of("generations", Integer.toString(backups.keep()));
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        Instant tried = backups.triedAt();
        model.addAttribute("generations", backups.generations());
        model.addAttribute(
                "triedOn",
                tried == null ? "" : LocalDate.ofInstant(tried, clock.getZone()).toString());
        model.addAttribute("worry", backups.worry());
        model.addAttribute("folder", backups.folder());
        model.addAttribute("began", Merge.began(texts()));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        return "store/backups";
    }

    /** Where kept backups would go it asks first; the answer is for the number that was asked about. */
    @PostMapping("/backups")
    ModelAndView keep(Model model, @RequestParam Map<String, String> typed) {
        Merge merge = Merge.of(texts(), typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return new ModelAndView(show(model, texts(), Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(typed, Units.METRIC);
        int keep = entries.count("generations", GENERATIONS, backups.keep());
        if (!entries.clean()) {
            return new ModelAndView(
                    show(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        List<Backups.Generation> going = backups.tooMany(keep);
        if (!going.isEmpty() && !Integer.toString(keep).equals(typed.get("sure"))) {
            model.addAttribute("going", going);
            model.addAttribute("keep", keep);
            return new ModelAndView(show(model, typed, Map.of()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        backups.keep(keep);
        return new ModelAndView("redirect:/backups");
    }

    /** Brings the newest one back into an empty folder, to see that it can be. */
    @PostMapping("/backups/try")
    String trial() {
        try {
            return "redirect:/backups?tried=" + (backups.trial() ? "whole" : "none");
        } catch (StoreException e) {
            return "redirect:/backups?tried=broken";
        }
    }

    /** The shop as it stands, read from the disk while it is sent: its size is no matter of memory. */
    @GetMapping("/backups/now.zip")
    ResponseEntity<Resource> now() throws IOException {
        Path file = backups.now();
        ContentDisposition disposition = ContentDisposition.attachment()
                .filename("ulnaris-" + LocalDate.now(clock) + ".zip")
                .build();
        long length = Files.size(file);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .contentLength(length)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(new InputStreamResource(Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE)));
    }
}
