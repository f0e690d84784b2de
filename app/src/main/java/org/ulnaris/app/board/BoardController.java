package org.ulnaris.app.board;

import java.util.List;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.ulnaris.app.board.BoardService.Place;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;

/** Plan: the findings board of a job. */
@Controller
class BoardController {
    private final JobService jobs;
    private final BoardService board;
    private final Words words;

    BoardController(JobService jobs, BoardService board, Words words) {
        this.jobs = jobs;
        this.board = board;
        this.words = words;
    }

    /** A finding as a line of the board. */
    record Row(String subject, String where, FindingView finding, String link) {}

    @GetMapping("/jobs/{id}/findings")
    String show(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        BoardService.Board found = board.of(job);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("verdict", found.verdict());
        model.addAttribute("passed", found.passed());
        model.addAttribute("stops", rows(job, found, entry -> entry.finding().verdict() == Verdict.STOP));
        model.addAttribute("watches", rows(job, found, entry -> watch(entry) && entry.place() != Place.END));
        model.addAttribute("atEnds", rows(job, found, entry -> watch(entry) && entry.place() == Place.END));
        return "board/findings";
    }

    private static boolean watch(BoardService.Entry entry) {
        return entry.finding().verdict() == Verdict.WATCH;
    }

    private List<Row> rows(Job job, BoardService.Board found, Predicate<BoardService.Entry> wanted) {
        return found.open().stream()
                .filter(wanted)
                .map(entry ->
                        new Row(entry.subject(), where(entry), words.view(entry.finding(), job.fmt()), entry.link()))
                .toList();
    }

    private String where(BoardService.Entry entry) {
        return entry.place() == Place.END ? words.of("board.end", entry.where()) : entry.where();
    }
}
