package org.ulnaris.app.make;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobBoard;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.BrokenJobException;

/** The list of jobs with how far the cables of each are. */
@Component
class MakeBoard implements JobBoard {
    private final CableService cables;
    private final MakeService make;

    MakeBoard(CableService cables, MakeService make) {
        this.cables = cables;
        this.make = make;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Card> cards(List<Job> jobs) {
        List<Cable> all = cables.ofAll(jobs.stream().map(Job::id).toList());
        Map<Long, List<Cable>> byJob = all.stream().collect(Collectors.groupingBy(Cable::jobId));
        Set<Long> begun = make.begun(all);
        return jobs.stream()
                .map(job -> card(job, byJob.getOrDefault(job.id(), List.of()), begun))
                .toList();
    }

    private Card card(Job job, List<Cable> cables, Set<Long> begun) {
        try {
            Collection<Making> makings = make.ofAll(cables.stream()
                            .filter(cable -> begun.contains(cable.id()))
                            .toList())
                    .values();
            return new Card(
                    JobView.of(job),
                    cables.size(),
                    (int) makings.stream().filter(Making::finished).count(),
                    (int) makings.stream()
                            .filter(making -> making.doneCount() > 0)
                            .count(),
                    false);
        } catch (BrokenJobException e) {
            return new Card(JobView.of(job), cables.size(), 0, 0, true);
        }
    }
}
