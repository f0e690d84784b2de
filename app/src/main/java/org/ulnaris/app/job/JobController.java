package org.ulnaris.app.job;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Paged;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.rating.RuleSet;

/** The shop's jobs. */
@Controller
class JobController {
    private final JobService jobs;
    private final JobBoard board;
    private final ShopDefaults shop;

    /** Cards on a page. */
    static final int LONGEST_PAGE = 48;

    private final KindGuard guard;
    private final Words words;

    JobController(JobService jobs, JobBoard board, ShopDefaults shop, KindGuard guard, Words words) {
        this.guard = guard;
        this.words = words;
        this.jobs = jobs;
        this.board = board;
        this.shop = shop;
    }

    @GetMapping("/jobs")
    String list(
            Model model,
            @RequestParam(required = false) @Nullable Long deleted,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "touched") String sort,
            @RequestParam(defaultValue = "") String page,
            @RequestParam(defaultValue = "") String archived) {
        Map<String, String> typed = new LinkedHashMap<>(JobService.texts(JobDetails.FRESH));
        typed.put("charging", "");
        typed.put("ruleSet", "");
        return list(model, new Wanted(find.strip(), sort, deleted, page, archived), typed, Map.of());
    }

    /**
     * Which jobs are listed, and how.
     *
     * @param find what their names hold; empty for all
     * @param sort by name or by when it was last changed, else newest first
     * @param deleted a job whose deletion can be taken back
     * @param page which page of them
     * @param archived which page of the archive; empty while it is shut
     */
    private record Wanted(
            String find, String sort, @Nullable Long deleted, String page, String archived) {
        static final Wanted ALL = new Wanted("", "touched", null, "", "");

        private Comparator<Job> order() {
            return switch (sort) {
                case "name" ->
                    Comparator.comparing(job -> Tags.fold(job.details().name()));
                case "touched" -> Comparator.comparing(Job::touched).reversed();
                default -> (one, other) -> 0;
            };
        }

        List<Job> of(List<Job> all) {
            return all.stream()
                    .filter(job -> Tags.fold(job.details().name()).contains(Tags.fold(find)))
                    .sorted(order())
                    .toList();
        }
    }

    private String list(Model model, Wanted wanted, Map<String, String> typed, Map<String, Fault> faults) {
        List<Job> found = wanted.of(jobs.all());
        List<Job> open = found.stream().filter(job -> !job.archived()).toList();
        List<Job> archived = found.stream().filter(Job::archived).toList();
        model.addAttribute("cards", cards(open, wanted.page()));
        model.addAttribute("archive", cards(archived, wanted.archived()));
        model.addAttribute("archived", archived.size());
        model.addAttribute("archiveOpen", !wanted.archived().isEmpty());
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("kinds", JobKind.values());
        model.addAttribute("ruleSets", RuleSet.values());
        model.addAttribute("deletedId", wanted.deleted());
        model.addAttribute("find", wanted.find());
        model.addAttribute("sort", wanted.sort());
        return "job/list";
    }

    private Paged<JobBoard.Card> cards(List<Job> found, String asked) {
        Paged<Job> shown = Paged.of(found, asked, LONGEST_PAGE);
        return new Paged<>(board.cards(shown.items()), shown.number(), shown.pages());
    }

    @PostMapping("/jobs")
    ModelAndView create(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        JobDetails details = JobService.read(entries, JobDetails.FRESH.ruled(shop.rules()));
        if (entries.clean()) {
            return new ModelAndView("redirect:/jobs/" + jobs.create(details).id());
        }
        return new ModelAndView(
                list(model, Wanted.ALL, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @GetMapping("/jobs/{id}/settings")
    String settings(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        return settings(model, job, JobService.texts(job.details()), Map.of());
    }

    private String settings(Model model, Job job, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("began", Merge.began(JobService.texts(job.details())));
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("kinds", JobKind.values());
        model.addAttribute("ruleSets", RuleSet.values());
        return "job/settings";
    }

    @PostMapping("/jobs/{id}/settings")
    ModelAndView change(Model model, @PathVariable long id, @RequestParam Map<String, String> typed) {
        Job job = jobs.get(id);
        Map<String, String> saved = JobService.texts(job.details());
        Merge merge = Merge.of(saved, typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return new ModelAndView(settings(model, job, saved, Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), job.details().units());
        JobDetails details = JobService.read(entries, job.details());
        guard.refused(id, details.kind())
                .ifPresent(part ->
                        entries.fault("kind", Fault.Code.CONTRADICTS, words.of("job.kind.refuses-chassis", part)));
        if (entries.clean()) {
            jobs.change(id, details);
            return new ModelAndView("redirect:/jobs/" + id);
        }
        return new ModelAndView(
                settings(model, job, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/jobs/{id}/copy")
    String copy(@PathVariable long id) {
        return "redirect:/jobs/" + jobs.copy(id).id() + "/settings";
    }

    @PostMapping("/jobs/{id}/archive")
    String archive(@PathVariable long id, @RequestParam boolean archive) {
        jobs.archive(id, archive);
        return archive ? "redirect:/jobs" : "redirect:/jobs/" + id;
    }

    @PostMapping("/jobs/{id}/delete")
    String delete(@PathVariable long id) {
        return "redirect:/jobs?deleted=" + jobs.delete(id).id();
    }

    @PostMapping("/jobs/{id}/restore")
    String restore(@PathVariable long id) {
        return "redirect:/jobs/" + jobs.restore(id).id();
    }
}
