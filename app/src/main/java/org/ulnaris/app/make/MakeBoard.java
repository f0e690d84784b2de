package org.ulnaris.app.make;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobBoard;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;

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
        Map<Long, Making> makings = make.ofAll(
                all.stream().filter(cable -> begun.contains(cable.id())).toList());
        return jobs.stream()
                .map(job -> card(job, byJob.getOrDefault(job.id(), List.of()), makings))
                .toList();
    }

    private static Card card(Job job, List<Cable> cables, Map<Long, Making> makings) {
        List<Making> begun = cables.stream()
                .map(cable -> makings.get(cable.id()))
                .filter(Objects::nonNull)
                .toList();
        return new Card(
                JobView.of(job),
                cables.size(),
                (int) begun.stream().filter(Making::finished).count(),
                (int) begun.stream().filter(making -> making.doneCount() > 0).count());
    }
}
