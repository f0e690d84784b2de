package org.ulnaris.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SizeSearchTest {
    private static final double[] AREAS = {1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120};

    /** Cables of made-up lengths and currents behind one another and in branches, sizes of IEC 60228, a limit a branch. */
    private static SizeProblem job(int cables, int branches, int sizes, long seed) {
        Random random = new Random(seed);
        List<double[]> weights = new ArrayList<>();
        List<double[][]> uses = new ArrayList<>();
        double[] limits = new double[branches];
        for (int branch = 0; branch < branches; branch++) {
            limits[branch] = 0.3 + random.nextDouble();
        }
        for (int cable = 0; cable < cables; cable++) {
            double length = 0.3 + 6 * random.nextDouble();
            double[] weight = new double[sizes];
            double[][] use = new double[sizes][branches];
            boolean trunk = cable % 3 == 0;
            int own = random.nextInt(branches);
            for (int size = 0; size < sizes; size++) {
                double area = AREAS[size + AREAS.length - sizes];
                weight[size] = 8.89e-3 * area * length;
                for (int branch = 0; branch < branches; branch++) {
                    double ampere = trunk ? 60 + 20 * branch : branch == own ? 10 + 30 * random.nextDouble() : 0;
                    use[size][branch] = 0.0175 * length / area * ampere;
                }
            }
            weights.add(weight);
            uses.add(use);
        }
        return new SizeProblem(weights, uses, limits);
    }

    /** Every choice there is. */
    private static double exhaustive(SizeProblem problem) {
        int[] choice = new int[problem.items()];
        double best = Double.POSITIVE_INFINITY;
        while (true) {
            if (problem.keeps(choice)) {
                best = Math.min(best, problem.weight(choice));
            }
            int item = 0;
            while (item < choice.length && ++choice[item] == problem.options(item)) {
                choice[item++] = 0;
            }
            if (item == choice.length) {
                return best;
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void asLightAsExhaustiveSearch(long seed) {
        SizeProblem problem = job(5, 1 + (int) (seed % 3), 8, seed);
        SizeSearch.Outcome outcome = SizeSearch.solve(problem, (nodes, best) -> true);
        double expected = exhaustive(problem);
        assertThat(outcome.proven()).isTrue();
        if (expected == Double.POSITIVE_INFINITY) {
            assertThat(outcome.choice()).isEmpty();
        } else {
            assertThat(outcome.weight()).isCloseTo(expected, within(1e-9));
            assertThat(problem.keeps(outcome.choice())).isTrue();
            assertThat(problem.weight(outcome.choice())).isCloseTo(outcome.weight(), within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {10, 20, 40, 60})
    void aJobsSizesAreProven(int cables) {
        SizeProblem problem = job(cables, 4, 13, cables);
        SizeSearch.Outcome outcome = SizeSearch.solve(problem, (nodes, best) -> nodes < 20_000_000);
        if (outcome.choice().length > 0) {
            assertThat(problem.keeps(outcome.choice())).isTrue();
        }
        assertThat(outcome.proven()).as("nodes " + outcome.nodes()).isTrue();
    }

    @Test
    void itCanBeStopped() {
        SizeProblem hard = job(60, 6, 13, 99);
        SizeSearch.Outcome outcome = SizeSearch.solve(hard, (nodes, best) -> false);
        assertThat(outcome.nodes()).isLessThanOrEqualTo(1 << 14);
    }

    @Test
    void aLooserLimitIsNeverHeavier() {
        SizeProblem tight = job(8, 2, 10, 5);
        double[] looser = {tight.limits()[0] * 1.5, tight.limits()[1] * 1.5};
        SizeProblem loose = new SizeProblem(tight.weights(), tight.uses(), looser);
        assertThat(SizeSearch.solve(loose, (n, b) -> true).weight())
                .isLessThanOrEqualTo(SizeSearch.solve(tight, (n, b) -> true).weight());
    }

    @Test
    void whatDoesNotFitTogetherIsRefused() {
        assertThatThrownBy(() -> new SizeProblem(List.of(new double[] {1}), List.of(), new double[] {1}))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new SizeProblem(
                        List.of(new double[] {1}), List.<double[][]>of(new double[][] {{1, 2}}), new double[] {1}))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
