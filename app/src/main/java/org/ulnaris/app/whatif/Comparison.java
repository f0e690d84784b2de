package org.ulnaris.app.whatif;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/**
 * A job before and after a trial.
 *
 * @param cables one a cable, in the job's order
 * @param before sums before
 * @param after sums after
 */
record Comparison(List<CableChange> cables, Sums before, Sums after) {
    static final String UNSAID = "—";

    /** A cable before and after. */
    record CableChange(String tag, State before, State after) {
        boolean same() {
            return before.size().equals(after.size()) && Math.abs(before.currentA() - after.currentA()) < 0.05;
        }
    }

    /**
     * A cable in one of both.
     *
     * @param size its designation; {@value #UNSAID} while none is said
     * @param areaMm2 its area, mm²
     * @param currentA continuous current, A
     * @param dropPercent drop over its loop, %
     * @param cable all that was worked out of it
     */
    record State(String size, double areaMm2, double currentA, double dropPercent, WorkedCable cable) {}

    /**
     * What all of it comes to.
     *
     * @param metalKg metal in all cables, kg
     * @param lossW greatest loss of a case, W
     * @param lossWhPerDay loss of all cases over their hours, Wh a day
     * @param stops all findings that stop
     * @param cost what the cables cost of which a price is known
     */
    record Sums(double metalKg, double lossW, double lossWhPerDay, long stops, Cost cost) {}

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

    static Comparison of(WorkedJob before, WorkedJob after, Map<String, Double> pricePerM) {
        List<CableChange> changes = new ArrayList<>();
        for (WorkedCable cable : before.cables()) {
            changes.add(new CableChange(cable.tag(), state(cable), state(after.cable(cable.tag()))));
        }
        return new Comparison(List.copyOf(changes), sums(before, pricePerM), sums(after, pricePerM));
    }

    private static State state(WorkedCable cable) {
        Rung rung = cable.rung();
        return new State(
                cable.sizeSaid().orElse(UNSAID),
                rung.size().areaMm2(),
                cable.carried().known() ? cable.carried().currentA() : 0,
                rung.dropPercent(),
                cable);
    }

    private static Sums sums(WorkedJob job, Map<String, Double> pricePerM) {
        double metal = 0;
        Cost cost = new Cost(0, 0);
        for (WorkedCable cable : job.cables()) {
            if (cable.sizeSaid().isEmpty()) {
                cost = cost.andUnpriced();
                continue;
            }
            ConductorSize size = cable.rung().size();
            double lengthM = cable.cable().way().lengthM();
            metal += cable.rung().conductor().kgPerM() * lengthM;
            Double price = pricePerM.get(size.designation());
            cost = price == null ? cost.andUnpriced() : cost.and(price * lengthM);
        }
        List<CaseResult> cases = job.network().map(InstallationResult::cases).orElse(List.of());
        return new Sums(
                metal,
                cases.stream().mapToDouble(CaseResult::lossW).max().orElse(0),
                cases.stream().mapToDouble(CaseResult::lossWhPerDay).sum(),
                job.findings().stream()
                        .filter(said -> said.verdict() == Verdict.STOP)
                        .count(),
                cost);
    }
}
