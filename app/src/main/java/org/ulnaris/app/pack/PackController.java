package org.ulnaris.app.pack;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;

/** Pack: what leaves with the job. */
@Controller
class PackController {
    private final JobService jobs;
    private final CableService cables;
    private final SheetService sheets;
    private final CablePage page;

    PackController(JobService jobs, CableService cables, SheetService sheets, CablePage page) {
        this.jobs = jobs;
        this.cables = cables;
        this.sheets = sheets;
        this.page = page;
    }

    @GetMapping("/jobs/{id}/pack")
    String job(Model model, @PathVariable long id) {
        model.addAttribute("job", JobView.of(jobs.get(id)));
        model.addAttribute("count", cables.of(id).size());
        return "pack/job";
    }

    @GetMapping("/cables/{id}/pack")
    String cable(Model model, @PathVariable long id) {
        Cable cable = cables.get(id);
        Job job = jobs.get(cable.jobId());
        page.open(model, job, cable);
        return "pack/cable";
    }

    @GetMapping("/jobs/{id}/pack/sheet.pdf")
    ResponseEntity<byte[]> jobSheet(@PathVariable long id) {
        return pdf(sheets.ofJob(id), "job-" + id);
    }

    @GetMapping("/cables/{id}/pack/sheet.pdf")
    ResponseEntity<byte[]> cableSheet(@PathVariable long id) {
        return pdf(sheets.ofCable(id), "cable-" + id);
    }

    private static ResponseEntity<byte[]> pdf(byte[] bytes, String name) {
        ContentDisposition disposition = ContentDisposition.inline()
                .filename("build-sheet-" + name + ".pdf")
                .build();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(bytes);
    }
}
