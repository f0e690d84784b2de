package org.ulnaris.app.make;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
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
import org.ulnaris.app.shell.Words;

/** The list of jobs with how far the cables of each are. */
@Component
class MakeBoard implements JobBoard {
    private final CableService cables;
    private final MakeService make;
    private final Words words;
    private final Clock clock;

    MakeBoard(CableService cables, MakeService make, Words words, Clock clock) {
        this.words = words;
        this.clock = clock;
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
                    touched(job),
                    false);
        } catch (BrokenJobException e) {
            return new Card(JobView.of(job), cables.size(), 0, 0, touched(job), true);
        }
    }

    private String touched(Job job) {
        LocalDateTime at = LocalDateTime.ofInstant(job.touched(), clock.getZone());
        LocalDate today = LocalDate.now(clock);
        String time = DateTimeFormatter.ofPattern("HH:mm").format(at);
        if (at.toLocalDate().equals(today)) {
            return words.of("job.touched.today", time);
        }
        return at.toLocalDate().equals(today.minusDays(1))
                ? words.of("job.touched.yesterday", time)
                : words.of("job.touched.day", at.toLocalDate());
    }
}
