package org.ulnaris.app.whatif;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.stock.PriceList;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedJob;

/** Works out trials, and takes them. */
@Service
@Transactional
class WhatIfService {
    private final JobService jobs;
    private final LoadsService loads;
    private final CableService cables;
    private final Assembler assembler;
    private final Works works;
    private final PriceList prices;

    WhatIfService(
            JobService jobs,
            LoadsService loads,
            CableService cables,
            Assembler assembler,
            Works works,
            PriceList prices) {
        this.works = works;
        this.prices = prices;
        this.assembler = assembler;
        this.jobs = jobs;
        this.loads = loads;
        this.cables = cables;
    }

    @Transactional(readOnly = true)
    public JobParts parts(long jobId) {
        return assembler.parts(jobId);
    }

    /**
     * The job as it is and as it would be.
     *
     * @throws IllegalArgumentException when the trial drives a figure out of its range
     */
    @Transactional(readOnly = true)
    public Comparison compare(long jobId, JobParts parts, Trial trial) {
        WorkedJob now = works.of(jobId);
        WorkedJob then = trial.idle() ? now : JobWorker.work(trial.over(parts).model(), now);
        return Comparison.of(now, then, prices.all());
    }

    /** Changes the job itself. */
    public void take(long jobId, Trial trial) {
        JobParts would = trial.over(assembler.parts(jobId));
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
