package org.ulnaris.app.whatif;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.InstallationMaker;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;

/** Works out trials, and takes them. */
@Service
@Transactional
class WhatIfService {
    private final JobService jobs;
    private final LoadsService loads;
    private final CableService cables;

    WhatIfService(JobService jobs, LoadsService loads, CableService cables) {
        this.jobs = jobs;
        this.loads = loads;
        this.cables = cables;
    }

    @Transactional(readOnly = true)
    public InstallationMaker.Parts parts(long jobId) {
        return loads.parts(jobId);
    }

    /** Changes the job itself. */
    public void take(long jobId, Trial trial) {
        InstallationMaker.Parts would = trial.over(loads.parts(jobId));
        jobs.change(jobId, would.job());
        loads.changeAll(jobId, would.equipment());
        List<Cable> all = cables.of(jobId);
        Map<Long, CableDetails> changed = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            changed.put(all.get(i).id(), would.cables().get(i));
        }
        cables.changeAll(changed);
    }

    /** Leaves the job alone and changes a copy of it; the copy. */
    public Job takeCopy(long jobId, Trial trial) {
        Job copy = jobs.copy(jobId);
        String name = copy.details().name();
        take(copy.id(), trial);
        return jobs.rename(copy.id(), name);
    }
}
