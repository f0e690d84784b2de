package org.ulnaris.app.rules;

import org.springframework.stereotype.Service;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedJob;

/** What a job's findings are, and what they would be under other rules. */
@Service
class RulesPreview {
    private final Assembler assembler;
    private final Works works;

    RulesPreview(Assembler assembler, Works works) {
        this.assembler = assembler;
        this.works = works;
    }

    /** Findings that stop and that are to be watched. */
    record Count(long stops, long watches) {
        static Count of(WorkedJob job) {
            return new Count(count(job, Verdict.STOP), count(job, Verdict.WATCH));
        }

        private static long count(WorkedJob job, Verdict verdict) {
            return job.findings().stream()
                    .map(JobFinding::verdict)
                    .filter(verdict::equals)
                    .count();
        }
    }

    Count now(Job job) {
        return Count.of(works.of(job.id()));
    }

    Count under(Job job, JobRules rules) {
        return Count.of(JobWorker.work(assembler.parts(job.id()).ruled(rules).model(), works.of(job.id())));
    }
}
