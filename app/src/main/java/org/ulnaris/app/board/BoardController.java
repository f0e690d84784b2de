package org.ulnaris.app.board;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.ulnaris.app.fix.FixService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.worked.JobFinding;

/** Plan: the findings board of a job. */
@Controller
class BoardController {
    private static final int MOST_OFFERS = 8;

    private final JobService jobs;
    private final BoardService board;
    private final FixService fixes;
    private final Words words;

    BoardController(JobService jobs, BoardService board, FixService fixes, Words words) {
        this.fixes = fixes;
        this.jobs = jobs;
        this.board = board;
        this.words = words;
    }

    /** Where a finding stands. */
    record Place(String subject, String where, String link) {}

    /**
     * A finding as a line of the board; at one place, or at many that say the same.
     *
     * @param offer what mends it by one press; null where nothing is known to
     */
    record Row(FindingView finding, List<Place> places, FixService.@Nullable Offer offer) {
        public Place first() {
            return places.get(0);
        }
    }

    /** Findings of one verdict. */
    record Group(Verdict verdict, String title, int count, List<Row> rows) {}

    @GetMapping("/jobs/{id}/findings")
    String show(Model model, @PathVariable long id) {
        Job job = jobs.get(id);
        BoardService.Board found = board.of(job);
        List<Group> groups = new ArrayList<>();
        Set<String> offered = new HashSet<>();
        for (Verdict verdict : List.of(Verdict.STOP, Verdict.WATCH, Verdict.OPEN, Verdict.NOTE)) {
            List<BoardService.Entry> some = found.open().stream()
                    .filter(entry -> entry.verdict() == verdict)
                    .toList();
            if (!some.isEmpty()) {
                groups.add(new Group(verdict, words.of("board." + verdict), some.size(), rows(job, some, offered)));
            }
        }
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("verdict", found.verdict());
        model.addAttribute("passed", found.passed());
        model.addAttribute("unknown", found.count(Verdict.OPEN));
        model.addAttribute("groups", groups);
        return "board/findings";
    }

    /** One line a finding; what ends, tools, wiring and protection say alike is one line with all its places. */
    private List<Row> rows(Job job, List<BoardService.Entry> entries, Set<String> offered) {
        Map<Object, Row> rows = new LinkedHashMap<>();
        for (BoardService.Entry entry : entries) {
            FindingView view = words.view(entry.finding(), job.fmt());
            JobFinding said = entry.said();
            Object key = entry.line(view.sentence());
            rows.computeIfAbsent(
                    key, first -> new Row(view, new ArrayList<>(), offer(job, said, rows.size(), offered)));
            Objects.requireNonNull(rows.get(key)).places().add(new Place(said.subject(), where(entry), entry.link()));
        }
        return List.copyOf(rows.values());
    }

    /** Each is worked out: for the first lines of a group; the same press is offered once. */
    private FixService.@Nullable Offer offer(Job job, JobFinding said, int line, Set<String> offered) {
        return said.verdict().asks() && line < MOST_OFFERS
                ? fixes.offer(job, said)
                        .filter(offer -> offered.add(offer.label()))
                        .orElse(null)
                : null;
    }

    private String where(BoardService.Entry entry) {
        String where = entry.said().where();
        return entry.isAlike() && !where.isEmpty() ? words.of("board.end", where) : where;
    }
}
