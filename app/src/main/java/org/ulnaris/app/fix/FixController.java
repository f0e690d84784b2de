package org.ulnaris.app.fix;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.ulnaris.app.job.JobService;

/** Takes what mends a finding; back to the picture of the job, where it is seen and can be taken back. */
@Controller
class FixController {
    private final JobService jobs;
    private final FixService fixes;

    FixController(JobService jobs, FixService fixes) {
        this.jobs = jobs;
        this.fixes = fixes;
    }

    @PostMapping("/jobs/{id}/fix")
    String take(RedirectAttributes to, @PathVariable long id, @RequestParam(defaultValue = "") String finding) {
        jobs.get(id);
        Optional<String> changed = fixes.take(id, finding);
        changed.ifPresent(tag -> to.addAttribute("at", tag));
        to.addAttribute(changed.isPresent() ? "mended" : "gone", true);
        return "redirect:/jobs/" + id;
    }
}
