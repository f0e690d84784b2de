package org.ulnaris.app.pack;

import java.io.IOException;
import java.net.URI;
import org.springframework.core.io.FileSystemResource;
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
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobPage;

/** Pack: what leaves with the job. */
@Controller
class PackController {
    /** So many sheets are printed while the browser waits: about two seconds. */
    private static final int AT_ONCE = 20;

    private final JobService jobs;
    private final CableService cables;
    private final Prints prints;
    private final CablePage page;
    private final JobPage jobPage;

    PackController(JobService jobs, CableService cables, Prints prints, CablePage page, JobPage jobPage) {
        this.jobPage = jobPage;
        this.prints = prints;
        this.jobs = jobs;
        this.cables = cables;
        this.page = page;
    }

    @GetMapping("/jobs/{id}/pack")
    String job(Model model, @PathVariable long id) {
        int count = cables.idsOf(id).size();
        jobPage.open(model, jobs.get(id));
        model.addAttribute("count", count);
        model.addAttribute("many", count > AT_ONCE);
        Print print = prints.of(id).orElse(null);
        model.addAttribute("print", print == null ? null : PrintView.of(print, prints.outdated(print)));
        return "pack/job";
    }

    @GetMapping("/cables/{id}/pack")
    String cable(Model model, @PathVariable long id) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        page.map(model, job, cable, page.open(model, job, cable));
        return "pack/cable";
    }

    /** A print as the page shows it. */
    record PrintView(Print.State state, boolean running, int done, int count, boolean outdated) {
        static PrintView of(Print print, boolean outdated) {
            Print.Progress progress = print.progress();
            return new PrintView(progress.state(), progress.running(), progress.done(), progress.count(), outdated);
        }
    }

    /** Few sheets at once; of many the file that was printed, or the page on which printing is begun. */
    @GetMapping("/jobs/{id}/pack/sheet.pdf")
    ResponseEntity<?> jobSheet(@PathVariable long id) throws IOException {
        if (cables.idsOf(jobs.get(id).id()).size() <= AT_ONCE) {
            return pdf(prints.atOnce(id), "job-" + id);
        }
        return prints.of(id)
                .flatMap(Print::file)
                .<ResponseEntity<?>>map(file -> pdf(new FileSystemResource(file), "job-" + id))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.SEE_OTHER)
                        .location(URI.create("/jobs/" + id + "/pack"))
                        .build());
    }

    @PostMapping("/jobs/{id}/pack/print")
    String print(@PathVariable long id) {
        prints.start(jobs.get(id).id());
        return "redirect:/jobs/" + id + "/pack";
    }

    @PostMapping("/jobs/{id}/pack/print/drop")
    String dropPrint(@PathVariable long id) {
        prints.drop(jobs.get(id).id());
        return "redirect:/jobs/" + id + "/pack";
    }

    @GetMapping("/cables/{id}/pack/sheet.pdf")
    ResponseEntity<byte[]> cableSheet(@PathVariable long id) {
        return pdf(prints.ofCable(id), "cable-" + id);
    }

    private static <T> ResponseEntity<T> pdf(T body, String name) {
        ContentDisposition disposition = ContentDisposition.inline()
                .filename("build-sheet-" + name + ".pdf")
                .build();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(body);
    }
}
