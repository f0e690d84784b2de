package org.ulnaris.app.budget;

import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.budget.BudgetPlan;
import org.ulnaris.core.budget.DropBudget;
import org.ulnaris.core.budget.SizeSearch;

/** A search for one job that runs beside the pages; it can be watched and stopped. */
final class BudgetTask implements Runnable, SizeSearch.Watch {
    private final DropBudget.Request request;
    private final AtomicBoolean stop = new AtomicBoolean();
    private volatile Progress progress = new Progress(0, null, null);

    /**
     * How far it is.
     *
     * @param nodes choices visited in the present round
     * @param plan the outcome; null while it runs
     * @param failure what went wrong, as it was thrown; null when nothing did
     */
    record Progress(
            long nodes, @Nullable BudgetPlan plan, @Nullable String failure) {
        boolean running() {
            return plan == null && failure == null;
        }
    }

    BudgetTask(DropBudget.Request request) {
        this.request = request;
    }

    DropBudget.Request request() {
        return request;
    }

    Progress progress() {
        return progress;
    }

    void stop() {
        stop.set(true);
    }

    @Override
    public boolean goOn(long nodes, double best) {
        progress = new Progress(nodes, null, null);
        return !stop.get();
    }

    @Override
    public void run() {
        try {
            BudgetPlan plan = DropBudget.plan(request, this);
            progress = new Progress(plan.nodes(), plan, null);
        } catch (RuntimeException e) {
            progress = new Progress(0, null, String.valueOf(e.getMessage()));
        }
    }
}
