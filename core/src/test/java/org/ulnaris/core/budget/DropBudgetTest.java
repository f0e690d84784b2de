package org.ulnaris.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

class DropBudgetTest {
    private static Run run(String tag, String from, String to, double lengthM, @Nullable ConductorSize fixed) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 50);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), lengthM, laying, fixed);
    }

    /** Trunk, bar and two branches; the negatives are one thick cable each, fixed by hand. */
    private static Installation job(double allowA, double allowB, @Nullable ConductorSize trunk) {
        ConductorSize thick = ConductorSizes.designated("95 mm²").orElseThrow();
        return new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 2, 100)),
                        new Device.Bar("BUS"),
                        new Device.Link("SW", 0.0002),
                        new Device.Consumer("A", Device.Draw.steady(Device.DrawKind.POWER, 400, 0.9, 10.5), allowA),
                        new Device.Consumer("B", Device.Draw.steady(Device.DrawKind.CURRENT, 15, 1, 10.5), allowB)),
                List.of(
                        run("T1", "BANK.plus", "SW.in", 0.6, null),
                        run("T2", "SW.out", "BUS.bar", 1.1, trunk),
                        run("A+", "BUS.bar", "A.plus", 2.5, null),
                        run("B+", "BUS.bar", "B.plus", 4.5, null),
                        run("A-", "A.minus", "BANK.minus", 3.0, thick),
                        run("B-", "B.minus", "BANK.minus", 5.0, thick)),
                List.of(
                        new OperatingCase("both", Map.of("A", State.ON, "B", State.ON), 2),
                        new OperatingCase("one", Map.of("B", State.ON), 2)));
    }

    private static BudgetPlan plan(Installation job, Map<String, Double> prices) {
        return DropBudget.plan(
                new DropBudget.Request(InstallationSolver.solve(job), true, prices, Map.of()), (nodes, best) -> true);
    }

    private static boolean keeps(InstallationResult result) {
        return result.cases().stream()
                .flatMap(one -> result.installation().devices().stream()
                        .filter(Device.Consumer.class::isInstance)
                        .map(Device.Consumer.class::cast)
                        .filter(load -> one.paths().containsKey(load.tag()))
                        .map(load -> 100 * one.paths().get(load.tag()).dropV() / 12 <= load.allowedDropPercent()))
                .allMatch(kept -> kept);
    }

    /** A plus and its return get one size, and no cable is thinner than its own limits let it be. */
    @Test
    void aPairSharesItsSizeAndKeepsItsOwnLimits() {
        Installation fixed = job(5, 5, null);
        List<Run> runs = fixed.runs().stream().map(run -> run.sized(null)).toList();
        Installation free = new Installation(fixed.system(), fixed.devices(), runs, fixed.cases());
        InstallationResult now = InstallationSolver.solve(free);
        Map<String, String> ties = Ties.ofPairs(runs.stream().map(Run::tag).toList());
        assertThat(ties).isEqualTo(Map.of("A+", "A±", "A-", "A±", "B+", "B±", "B-", "B±"));
        BudgetPlan tied = DropBudget.plan(new DropBudget.Request(now, true, Map.of(), ties), (nodes, best) -> true);
        assertThat(tied.sizes().get("A+")).isEqualTo(tied.sizes().get("A-"));
        assertThat(tied.sizes().get("B+")).isEqualTo(tied.sizes().get("B-"));
        assertThat(tied.kept()).isTrue();
        BudgetPlan loose =
                DropBudget.plan(new DropBudget.Request(now, true, Map.of(), Map.of()), (nodes, best) -> true);
        assertThat(kg(tied)).isGreaterThanOrEqualTo(kg(loose) * (1 - 1e-9));
        tied.sizes()
                .forEach((tag, size) -> assertThat(now.run(tag).sizing().rungs().stream()
                                .filter(rung -> rung.size().equals(size))
                                .findFirst()
                                .orElseThrow()
                                .stands())
                        .isTrue());
    }

    /** Every combination of real sizes from the least that its current allows, each solved in full. */
    private static double exhaustiveKg(Installation job, List<String> free) {
        InstallationResult now = InstallationSolver.solve(job);
        List<List<ConductorSize>> options = new ArrayList<>();
        for (String tag : free) {
            options.add(now.run(tag).sizing().rungs().stream()
                    .filter(Rung::stands)
                    .map(rung -> rung.size())
                    .filter(size -> size.areaMm2() <= 70)
                    .toList());
        }
        double best = Double.POSITIVE_INFINITY;
        int[] at = new int[free.size()];
        while (true) {
            Map<String, ConductorSize> sizes = new HashMap<>();
            double kg = 0;
            for (int i = 0; i < at.length; i++) {
                ConductorSize size = options.get(i).get(at[i]);
                sizes.put(free.get(i), size);
                kg += 8.89e-3 * size.areaMm2() * now.run(free.get(i)).run().lengthM();
            }
            if (kg < best - 1e-12) {
                List<Run> runs = job.runs().stream()
                        .map(run -> sizes.containsKey(run.tag()) ? run.sized(sizes.get(run.tag())) : run)
                        .toList();
                if (keeps(InstallationSolver.solve(new Installation(job.system(), job.devices(), runs, job.cases())))) {
                    best = kg;
                }
            }
            int i = 0;
            while (i < at.length && ++at[i] == options.get(i).size()) {
                at[i++] = 0;
            }
            if (i == at.length) {
                return best;
            }
        }
    }

    private static double kg(BudgetPlan plan) {
        return plan.sizes().entrySet().stream()
                .mapToDouble(entry -> 8.89e-3
                        * entry.getValue().areaMm2()
                        * plan.before().run(entry.getKey()).run().lengthM())
                .sum();
    }

    @ParameterizedTest
    @CsvSource({"3,3", "5,3", "4,8", "2.5,2.5", "10,10", "3.3,6"})
    void theLeastCopperIsThatOfExhaustiveSearch(double allowA, double allowB) {
        Installation job = job(allowA, allowB, null);
        BudgetPlan plan = plan(job, Map.of());
        assertThat(plan.proven()).isTrue();
        assertThat(plan.kept()).isTrue();
        assertThat(kg(plan)).isCloseTo(exhaustiveKg(job, List.of("T1", "T2", "A+", "B+")), within(1e-9));
    }

    @Test
    void whatWasFixedByHandStays() {
        ConductorSize hand = ConductorSizes.designated("35 mm²").orElseThrow();
        Installation job = job(4, 4, hand);
        BudgetPlan plan = plan(job, Map.of());
        assertThat(plan.sizes()).doesNotContainKeys("T2", "A-", "B-").containsOnlyKeys("T1", "A+", "B+");
        assertThat(plan.after().run("T2").inUse().size()).isEqualTo(hand);
        assertThat(kg(plan)).isCloseTo(exhaustiveKg(job, List.of("T1", "A+", "B+")), within(1e-9));
    }

    /** Where a thick cable is dear, more of the drop is left to it. */
    @Test
    void pricesChangeTheSplit() {
        Map<String, Double> prices = new HashMap<>();
        for (ConductorSize size : ConductorSizes.of(SizeSeries.METRIC)) {
            prices.put(size.designation(), size.areaMm2() > 16 ? 100 + size.areaMm2() : 1 + 0.1 * size.areaMm2());
        }
        Installation job = job(6, 6, null);
        BudgetPlan dear = plan(job, prices);
        BudgetPlan copper = plan(job, Map.of());
        assertThat(dear.kept()).isTrue();
        assertThat(kg(dear)).isGreaterThanOrEqualTo(kg(copper));
        assertThat(cost(dear, prices)).isLessThanOrEqualTo(cost(copper, prices) + 1e-9);
    }

    private static double cost(BudgetPlan plan, Map<String, Double> prices) {
        return plan.sizes().entrySet().stream()
                .mapToDouble(entry -> prices.get(entry.getValue().designation())
                        * plan.before().run(entry.getKey()).run().lengthM())
                .sum();
    }

    @Test
    void anAllowanceThatNothingKeepsIsSaid() {
        BudgetPlan plan = plan(job(0.05, 3, null), Map.of());
        assertThat(plan.sizes()).isEmpty();
        assertThat(plan.kept()).isFalse();
    }

    @Test
    void aLargerAllowanceIsNeverHeavier() {
        double last = Double.POSITIVE_INFINITY;
        for (double allow : new double[] {2, 2.5, 3, 4, 6, 10}) {
            double now = kg(plan(job(allow, allow, null), Map.of()));
            assertThat(now).isLessThanOrEqualTo(last + 1e-9);
            last = now;
        }
    }
}
