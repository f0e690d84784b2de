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
     * @param touched when anything of it was last changed, in words
     * @param broken whether the job can't be worked out; then nothing is known of its cables' steps
     */
    record Card(JobView job, int cables, int finished, int begun, String touched, boolean broken) {}

    List<Card> cards(List<Job> jobs);
}
