package org.ulnaris.core.budget;

import java.util.Arrays;
import java.util.List;

/**
 * Choose one option for each item so that the total weight is least and no limit is passed: the mathematics of a drop budget, with
 * cables as items, real sizes as options, mass or cost as weight and paths as limits.
 *
 * @param weights weight of each option, by item and option; any unit
 * @param uses what each option takes of each limit, by item, option and limit; a negative use gives back
 * @param limits the limits, in the unit of the uses
 */
public record SizeProblem(List<double[]> weights, List<double[][]> uses, double[] limits) {
    public SizeProblem {
        weights = List.copyOf(weights);
        uses = List.copyOf(uses);
        if (weights.size() != uses.size()) {
            throw new IllegalArgumentException(
                    "as many weights as uses; have " + weights.size() + " and " + uses.size());
        }
        for (int item = 0; item < weights.size(); item++) {
            boolean fits = weights.get(item).length > 0 && weights.get(item).length == uses.get(item).length;
            for (double[] use : uses.get(item)) {
                fits &= use.length == limits.length;
            }
            if (!fits) {
                throw new IllegalArgumentException("item " + item + " needs options with one use for each limit");
            }
        }
    }

    int items() {
        return weights.size();
    }

    int options(int item) {
        return weights.get(item).length;
    }

    double weight(int item, int option) {
        return weights.get(item)[option];
    }

    double use(int item, int option, int limit) {
        return uses.get(item)[option][limit];
    }

    /** Total weight of a choice. */
    public double weight(int[] choice) {
        double total = 0;
        for (int item = 0; item < choice.length; item++) {
            total += weight(item, choice[item]);
        }
        return total;
    }

    /** Whether a choice passes no limit, but for rounding. */
    public boolean keeps(int[] choice) {
        for (int limit = 0; limit < limits.length; limit++) {
            double used = 0;
            for (int item = 0; item < choice.length; item++) {
                used += use(item, choice[item], limit);
            }
            if (used > limits[limit] + slack(limit)) {
                return false;
            }
        }
        return true;
    }

    double slack(int limit) {
        return 1e-9 * Math.abs(limits[limit]) + 1e-15;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof SizeProblem that
                && Arrays.equals(limits, that.limits)
                && weights.equals(that.weights)
                && uses.equals(that.uses);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(limits) + weights.hashCode();
    }
}
