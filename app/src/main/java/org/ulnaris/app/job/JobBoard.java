package org.ulnaris.app.job;

import java.util.List;

/** What the list of jobs shows of each; filled by the features that know. */
public interface JobBoard {
    /**
     * One card a job.
     *
     * @param cables number of cables
     * @param finished cables whose every step is done
     * @param begun cables with at least one step done
     */
    record Card(JobView job, int cables, int finished, int begun) {}

    List<Card> cards(List<Job> jobs);
}
