package org.ulnaris.app.rules;

import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.ulnaris.app.board.BoardService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.job.JobService;
import org.ulnaris.core.finding.Verdict;

/** What a job's findings would be under other rules: the job is worked out under them and all of it is rolled back. */
@Service
class RulesPreview {
    private final JobService jobs;
    private final BoardService board;
    private final TransactionTemplate trial;

    RulesPreview(JobService jobs, BoardService board, PlatformTransactionManager transactions) {
        this.jobs = jobs;
        this.board = board;
        this.trial = new TransactionTemplate(transactions);
    }

    /** Findings that stop and that are to be watched. */
    record Count(long stops, long watches) {
        static Count of(BoardService.Board board) {
            return new Count(board.count(Verdict.STOP), board.count(Verdict.WATCH));
        }
    }

    Count now(Job job) {
        return Count.of(board.of(job));
    }

    Count under(Job job, JobRules rules) {
        Count count = trial.execute(status -> {
            status.setRollbackOnly();
            jobs.change(job.id(), job.details().ruled(rules));
            return Count.of(board.of(jobs.get(job.id())));
        });
        return count == null ? new Count(0, 0) : count;
    }
}
