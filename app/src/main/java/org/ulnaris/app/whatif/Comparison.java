package org.ulnaris.app.whatif;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.ulnaris.app.loads.InstallationMaker;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableSizing;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.InstallationResult;
import org.ulnaris.core.installation.InstallationSolver;
import org.ulnaris.core.installation.ProtectionCheck;
import org.ulnaris.core.installation.RunResult;
import org.ulnaris.core.sizing.Rung;

/**
 * A job before and after a trial.
 *
 * @param cables one a cable, in the job's order
 * @param before sums before
 * @param after sums after
 */
record Comparison(List<CableChange> cables, Sums before, Sums after) {
    /** A cable before and after. */
    record CableChange(String tag, State before, State after) {
        boolean same() {
            return before.size().equals(after.size()) && Math.abs(before.currentA() - after.currentA()) < 0.05;
        }
    }

    /**
     * A cable in one of both.
     *
     * @param size its designation
     * @param areaMm2 its area, mm²
     * @param currentA continuous current, A
     * @param dropPercent drop over its loop, %
     * @param verdict worst check of its size
     */
    record State(String size, double areaMm2, double currentA, double dropPercent, Verdict verdict) {}

    /**
     * What all of it comes to.
     *
     * @param copperKg copper in all cables, kg
     * @param lossW greatest loss of a case, W
     * @param lossWhPerDay loss of all cases over their hours, Wh a day
     * @param stops findings of paths and protection that stop
     * @param cost what the cables cost of which a price is known
     */
    record Sums(double copperKg, double lossW, double lossWhPerDay, long stops, Cost cost) {}

    /**
     * Price of the cables.
     *
     * @param known sum of those whose size has a price
     * @param unpriced how many have none
     */
    record Cost(double known, int unpriced) {
        Cost and(double price) {
            return new Cost(known + price, unpriced);
        }

        Cost andUnpriced() {
            return new Cost(known, unpriced + 1);
        }
    }

    static Comparison of(InstallationMaker.Parts before, InstallationMaker.Parts after, Map<String, Double> pricePerM) {
        Solved was = Solved.of(before, pricePerM);
        Solved would = Solved.of(after, pricePerM);
        List<CableChange> changes = new ArrayList<>();
        for (CableDetails cable : before.cables()) {
            changes.add(new CableChange(
                    cable.tag(),
                    Objects.requireNonNull(was.states().get(cable.tag())),
                    Objects.requireNonNull(would.states().get(cable.tag()))));
        }
        return new Comparison(List.copyOf(changes), was.sums(), would.sums());
    }

    private record Solved(Map<String, State> states, Sums sums) {
        static Solved of(InstallationMaker.Parts parts, Map<String, Double> pricePerM) {
            Optional<InstallationResult> result = InstallationMaker.make(parts).map(InstallationSolver::solve);
            Map<String, RunResult> runs = new HashMap<>();
            result.ifPresent(
                    solved -> solved.runs().forEach(run -> runs.put(run.run().tag(), run)));
            Map<String, State> states = new HashMap<>();
            double copper = 0;
            Cost cost = new Cost(0, 0);
            for (CableDetails cable : parts.cables()) {
                RunResult run = cable.currentFromLoads() ? runs.get(cable.tag()) : null;
                Rung rung = run == null ? CableSizing.of(parts.job(), cable).inUse() : run.inUse();
                double current = run == null ? cable.currentA() : run.continuousA();
                states.put(
                        cable.tag(),
                        new State(
                                rung.size().designation(),
                                rung.size().areaMm2(),
                                current,
                                rung.dropPercent(),
                                rung.verdict()));
                copper += rung.size().copperKgPerM() * cable.lengthM();
                Double price = pricePerM.get(rung.size().designation());
                cost = price == null ? cost.andUnpriced() : cost.and(price * cable.lengthM());
            }
            return new Solved(states, sums(result, copper, cost));
        }

        private static Sums sums(Optional<InstallationResult> result, double copperKg, Cost cost) {
            if (result.isEmpty()) {
                return new Sums(copperKg, 0, 0, 0, cost);
            }
            InstallationResult solved = result.get();
            long stops = ProtectionCheck.check(solved).subjects().stream()
                    .filter(subject -> subject.finding().stops())
                    .count();
            stops += solved.cases().stream()
                    .flatMap(one -> one.findings(solved.installation()).stream())
                    .filter(found -> found.finding().stops())
                    .count();
            return new Sums(
                    copperKg,
                    solved.cases().stream()
                            .mapToDouble(one -> one.lossW())
                            .max()
                            .orElse(0),
                    solved.cases().stream()
                            .mapToDouble(one -> one.lossWhPerDay())
                            .sum(),
                    stops,
                    cost);
        }
    }
}
