package org.ulnaris.app.loads;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.solving.InstallationResult;

/** Plan: the job's network, drawn by itself. */
@Controller
class LayoutController {
    private final JobService jobs;
    private final LoadsService loads;
    private final CableService cables;
    private final Works works;
    private final Words words;

    LayoutController(JobService jobs, LoadsService loads, CableService cables, Works works, Words words) {
        this.works = works;
        this.jobs = jobs;
        this.loads = loads;
        this.cables = cables;
        this.words = words;
    }

    @GetMapping("/jobs/{id}/layout")
    String show(Model model, @PathVariable long id, @RequestParam(name = "case", defaultValue = "1") int number) {
        Job job = jobs.get(id);
        Optional<InstallationResult> result = works.of(id).network();
        List<String> names = result.map(solved -> solved.cases().stream()
                        .map(one -> one.operating().name())
                        .toList())
                .orElse(List.of());
        if (number < 1 || number > Math.max(1, names.size())) {
            throw new NotFoundException("case " + number + " of job " + id);
        }
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("cases", names);
        model.addAttribute("shown", number);
        model.addAttribute(
                "drawing",
                result.map(solved -> LayoutView.draw(subject(id, solved), number - 1, job.fmt(), words))
                        .orElse(null));
        return "loads/layout";
    }

    private LayoutView.Subject subject(long id, InstallationResult solved) {
        Map<String, String> names =
                loads.details(id).stream().collect(Collectors.toMap(EquipmentDetails::tag, EquipmentDetails::name));
        Map<String, Long> ids = cables.of(id).stream()
                .collect(Collectors.toMap(cable -> cable.details().tag(), cable -> cable.id()));
        return new LayoutView.Subject(solved, names, ids);
    }
}
