package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** What every page of a whole job begins with: the job, and its one verdict with the worst reason. */
@Component
public class JobPage {
    private final Works works;
    private final Words words;

    JobPage(Works works, Words words) {
        this.works = works;
        this.words = words;
    }

    /** Fills {@code model}: a verdict where there is a cable. A job that can't be worked out stands there without a verdict: what can be taken from it still can. */
    public void open(Model model, Job job) {
        model.addAttribute("job", JobView.of(job));
        try {
            WorkedJob worked = works.of(job.id());
            model.addAttribute("jobVerdict", worked.cables().isEmpty() ? null : verdict(worked, job.fmt(), words));
        } catch (BrokenJobException e) {
            model.addAttribute("jobVerdict", null);
        }
    }

    private static VerdictView verdict(WorkedJob worked, Fmt fmt, Words words) {
        List<JobFinding> asking = worked.findings().stream()
                .filter(said -> said.verdict().asks())
                .sorted(JobFinding.WORST_FIRST)
                .toList();
        String reason =
                asking.isEmpty() ? "" : asking.get(0).subject() + " " + CablePage.reason(asking.get(0), fmt, words);
        List<String> accepted = new ArrayList<>();
        for (WorkedCable cable : worked.cables()) {
            CablePage.accepted(cable.findings(), fmt, words).forEach(one -> accepted.add(cable.tag() + " " + one));
        }
        accepted.remove(reason);
        return new VerdictView(worked.verdict(), reason, Math.max(0, asking.size() - 1), accepted);
    }
}
