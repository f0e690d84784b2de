package org.ulnaris.app.budget;

import jakarta.annotation.PreDestroy;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.Daemon;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.budget.BudgetPlan;
import org.ulnaris.core.budget.DropBudget;
import org.ulnaris.core.budget.Ties;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;

/** Runs one search a job at most, and takes its sizes into the job. */
@Service
class BudgetService {
    /** So many jobs may have a search that was neither taken nor dropped. */
    private static final int MOST_TASKS = 100;

    private final Works works;
    private final CableService cables;
    private final Map<Long, BudgetTask> tasks = new ConcurrentHashMap<>();
    private final ExecutorService workers = Executors.newFixedThreadPool(2, new Daemon("budget"));

    BudgetService(Works works, CableService cables) {
        this.works = works;
        this.cables = cables;
    }

    Optional<InstallationResult> now(long jobId) {
        return works.of(jobId).network();
    }

    /** Cables and fuses of which the protection is stopped: to be mended before metal is bought for it. */
    List<String> unprotected(long jobId) {
        return works.of(jobId).findings().stream()
                .filter(said -> said.topic() == Topic.PROTECTION && said.verdict() == Verdict.STOP)
                .map(JobFinding::subject)
                .distinct()
                .toList();
    }

    Optional<BudgetTask> task(long jobId) {
        return Optional.ofNullable(tasks.get(jobId));
    }

    void start(long jobId, InstallationResult now, boolean keepFixed, Map<String, Double> prices) {
        drop(jobId);
        if (tasks.size() >= MOST_TASKS) {
            tasks.values().forEach(BudgetTask::stop);
            tasks.clear();
        }
        BudgetTask task = new BudgetTask(new DropBudget.Request(
                now,
                keepFixed,
                prices,
                Ties.ofPairs(now.runs().stream().map(run -> run.run().tag()).toList())));
        tasks.put(jobId, task);
        workers.execute(task);
    }

    void drop(long jobId) {
        BudgetTask old = tasks.remove(jobId);
        if (old != null) {
            old.stop();
        }
    }

    /** Writes the sizes into the job; false when the job has changed since the search began. */
    @Transactional
    public boolean take(long jobId, BudgetPlan plan) {
        Installation now =
                works.of(jobId).network().map(InstallationResult::installation).orElse(null);
        if (!plan.before().installation().equals(now)) {
            return false;
        }
        Map<Long, CableDetails> changed = new HashMap<>();
        for (Cable cable : cables.of(jobId)) {
            ConductorSize size = plan.sizes().get(cable.details().tag());
            if (size != null) {
                changed.put(cable.id(), cable.details().sized(size.designation()));
            }
        }
        cables.changeAll(jobId, LastSteps.What.BUDGET, changed);
        return true;
    }

    @PreDestroy
    void end() {
        workers.shutdownNow();
    }
}
