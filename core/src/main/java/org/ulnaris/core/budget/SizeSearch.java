package org.ulnaris.core.budget;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Exact search for the least weight: branch and bound, depth first. What the open items will weigh at least comes from a Lagrangian
 * relaxation whose multipliers are found once by subgradient steps, so that a node costs little more than an addition.
 */
public final class SizeSearch {
    private static final int SUBGRADIENT_STEPS = 400;
    private static final long REPORT_EVERY = 1 << 14;

    private final SizeProblem problem;
    private final Watch watch;
    private final int[] order;
    private final double[] multipliers;
    /** Least weight plus priced use of all items from a depth on. */
    private final double[] priced;
    /** Least use of each limit by all items from a depth on. */
    private final double[][] least;

    private SizeSearch(SizeProblem problem, Watch watch) {
        this.problem = problem;
        this.watch = watch;
        this.multipliers = multipliers(problem);
        this.order = order(problem);
        int items = problem.items();
        this.priced = new double[items + 1];
        this.least = new double[items + 1][problem.limits().length];
        for (int depth = items - 1; depth >= 0; depth--) {
            int item = order[depth];
            priced[depth] = priced[depth + 1] + cheapest(problem, multipliers, item);
            for (int limit = 0; limit < problem.limits().length; limit++) {
                least[depth][limit] = least[depth + 1][limit] + leastUse(problem, item, limit);
            }
        }
    }

    /** Follows a search from outside. */
    @FunctionalInterface
    public interface Watch {
        /** Called now and then with the nodes visited and the best weight so far; false stops the search. */
        boolean goOn(long nodes, double best);
    }

    /**
     * How a search ended.
     *
     * @param choice option of each item; empty when none keeps all limits, or none was found before it was stopped
     * @param weight its weight; infinity without a choice
     * @param proven whether no lighter choice exists
     * @param nodes nodes visited
     */
    public record Outcome(int[] choice, double weight, boolean proven, long nodes) {}

    /** The lightest choice of {@code problem}; {@code watch} may stop the search early. */
    public static Outcome solve(SizeProblem problem, Watch watch) {
        SizeSearch search = new SizeSearch(problem, watch);
        Run run = search.new Run();
        run.greedy();
        run.visit(0, 0);
        boolean found = run.best < Double.POSITIVE_INFINITY;
        return new Outcome(found ? run.bestChoice : new int[0], run.best, !run.stopped, run.nodes);
    }

    private static double cheapest(SizeProblem problem, double[] multipliers, int item) {
        return price(problem, multipliers, item, cheapestOption(problem, multipliers, item));
    }

    private static double price(SizeProblem problem, double[] multipliers, int item, int option) {
        double price = problem.weight(item, option);
        for (int limit = 0; limit < multipliers.length; limit++) {
            price += multipliers[limit] * problem.use(item, option, limit);
        }
        return price;
    }

    private static double leastUse(SizeProblem problem, int item, int limit) {
        double least = Double.POSITIVE_INFINITY;
        for (int option = 0; option < problem.options(item); option++) {
            least = Math.min(least, problem.use(item, option, limit));
        }
        return least;
    }

    /** Items whose options differ most in weight first: they move the bound most. */
    private static int[] order(SizeProblem problem) {
        return IntStream.range(0, problem.items())
                .boxed()
                .sorted((a, b) -> Double.compare(spread(problem, b), spread(problem, a)))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    private static double spread(SizeProblem problem, int item) {
        double[] weights = problem.weights().get(item);
        return Arrays.stream(weights).max().orElse(0)
                - Arrays.stream(weights).min().orElse(0);
    }

    /** Multipliers that lift the relaxation's bound, by Polyak's subgradient steps; any that are not negative are valid. */
    private static double[] multipliers(SizeProblem problem) {
        int limits = problem.limits().length;
        double[] unit = Arrays.stream(problem.limits())
                .map(limit -> Math.max(1e-9, Math.abs(limit)))
                .toArray();
        double[] at = new double[limits];
        double[] best = at.clone();
        double bestBound = Double.NEGATIVE_INFINITY;
        double above = IntStream.range(0, problem.items())
                .mapToDouble(
                        item -> Arrays.stream(problem.weights().get(item)).max().orElse(0))
                .sum();
        for (int step = 0; step < SUBGRADIENT_STEPS; step++) {
            double[] over = new double[limits];
            double bound = 0;
            for (int item = 0; item < problem.items(); item++) {
                int taken = cheapestOption(problem, at, item);
                bound += price(problem, at, item, taken);
                for (int limit = 0; limit < limits; limit++) {
                    over[limit] += problem.use(item, taken, limit) / unit[limit];
                }
            }
            double norm = 0;
            for (int limit = 0; limit < limits; limit++) {
                bound -= at[limit] * problem.limits()[limit];
                over[limit] -= problem.limits()[limit] / unit[limit];
                norm += over[limit] * over[limit];
            }
            if (bound > bestBound) {
                bestBound = bound;
                best = at.clone();
            }
            double length = norm > 0 ? (above - bound) / norm / (1 + step / 8.0) : 0;
            for (int limit = 0; limit < limits; limit++) {
                at[limit] = Math.max(0, at[limit] + length * over[limit] / unit[limit]);
            }
        }
        return best;
    }

    private static int cheapestOption(SizeProblem problem, double[] multipliers, int item) {
        int taken = 0;
        for (int option = 1; option < problem.options(item); option++) {
            if (price(problem, multipliers, item, option) < price(problem, multipliers, item, taken)) {
                taken = option;
            }
        }
        return taken;
    }

    /** One search's moving parts. */
    private final class Run {
        private final int[] choice = new int[problem.items()];
        private final double[] used = new double[problem.limits().length];
        private int[] bestChoice = new int[0];
        private double best = Double.POSITIVE_INFINITY;
        private long nodes;
        private boolean stopped;

        /** A first choice: everything at its least use, then lighter wherever the limits allow it. */
        private void greedy() {
            int[] start = new int[problem.items()];
            for (int item = 0; item < start.length; item++) {
                for (int option = 1; option < problem.options(item); option++) {
                    if (total(item, option) < total(item, start[item])) {
                        start[item] = option;
                    }
                }
            }
            if (!problem.keeps(start)) {
                return;
            }
            boolean moved = true;
            while (moved) {
                moved = false;
                for (int item : order) {
                    int kept = start[item];
                    int lightest = kept;
                    for (int option = 0; option < problem.options(item); option++) {
                        start[item] = option;
                        if (problem.weight(item, option) < problem.weight(item, lightest) && problem.keeps(start)) {
                            lightest = option;
                        }
                    }
                    start[item] = lightest;
                    moved |= lightest != kept;
                }
            }
            best = problem.weight(start);
            bestChoice = start.clone();
        }

        private double total(int item, int option) {
            return Arrays.stream(problem.uses().get(item)[option]).sum();
        }

        private void visit(int depth, double weight) {
            nodes++;
            if (nodes % REPORT_EVERY == 0 && !watch.goOn(nodes, best)) {
                stopped = true;
            }
            if (stopped) {
                return;
            }
            if (depth == order.length) {
                if (weight < best) {
                    best = weight;
                    bestChoice = choice.clone();
                }
                return;
            }
            int item = order[depth];
            for (int option = 0; option < problem.options(item); option++) {
                double after = weight + problem.weight(item, option);
                double bound = after + priced[depth + 1];
                boolean fits = true;
                for (int limit = 0; limit < used.length; limit++) {
                    double taken = used[limit] + problem.use(item, option, limit);
                    bound += multipliers[limit] * (taken - problem.limits()[limit]);
                    fits &= taken + least[depth + 1][limit] <= problem.limits()[limit] + problem.slack(limit);
                }
                if (fits && bound < best - 1e-12 * Math.abs(best)) {
                    choice[item] = option;
                    add(item, option, 1);
                    visit(depth + 1, after);
                    add(item, option, -1);
                }
            }
        }

        private void add(int item, int option, int sign) {
            for (int limit = 0; limit < used.length; limit++) {
                used[limit] += sign * problem.use(item, option, limit);
            }
        }
    }
}
