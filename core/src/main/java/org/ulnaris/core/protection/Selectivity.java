package org.ulnaris.core.protection;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/**
 * Whether the branch's fuse opens before the main's: at every current up to the branch's short circuit the slowest time of the
 * branch lies below the fastest of the main.
 *
 * @param main towards the source
 * @param branch towards the load
 * @param faultA greatest short-circuit current behind the branch's fuse, A
 */
public record Selectivity(FuseCurve main, FuseCurve branch, double faultA) {
    private static final int STEPS = 60;
    private static final int HALVINGS = 40;
    private static final double BESIDE = 1e-9;

    /** Lowest current from which the order is no longer certain, A; infinity when it always is. */
    public double uncertainFromA() {
        double last = Double.NaN;
        for (double current : tried()) {
            if (uncertain(current)) {
                return Double.isNaN(last) ? current : between(last, current);
            }
            last = current;
        }
        return Double.POSITIVE_INFINITY;
    }

    private boolean uncertain(double current) {
        double slowest = branch.slowestS(current);
        return slowest < Double.POSITIVE_INFINITY && slowest >= main.fastestS(current);
    }

    /** Currents up to the fault: a grid, and both sides of each gate, where the times jump. */
    private double[] tried() {
        double first = branch.gates().get(0).multiple() * branch.ratingA();
        DoubleStream grid = IntStream.rangeClosed(0, STEPS)
                .mapToDouble(i -> first * Math.pow(Math.max(1, faultA / first), (double) i / STEPS));
        DoubleStream gates = Stream.of(main, branch)
                .flatMapToDouble(curve -> curve.gates().stream().mapToDouble(gate -> gate.multiple() * curve.ratingA()))
                .flatMap(gate -> DoubleStream.of(gate * (1 - BESIDE), gate, gate * (1 + BESIDE)))
                .filter(current -> current >= first && current <= faultA);
        return DoubleStream.concat(grid, gates).sorted().toArray();
    }

    /** From where it is uncertain, between a current at which it is not and one at which it is. */
    private double between(double certainA, double uncertainA) {
        double low = certainA;
        double high = uncertainA;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = Math.sqrt(low * high);
            if (uncertain(middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    /** Pass when the branch opens first up to the full fault; else good to know: the wrong fuse opening is a nuisance, no hazard. */
    public Finding finding() {
        double from = uncertainFromA();
        Verdict verdict = from > faultA ? Verdict.PASS : Verdict.NOTE;
        Explanation explanation = Explanation.read(
                note("Selectivity.up-to-there"),
                term("I", Math.min(from, faultA), "A"),
                term("I_branch", branch.ratingA(), "A"),
                term("I_main", main.ratingA(), "A"));
        return new Finding(
                FindingCode.FUSE_SELECTIVITY,
                verdict,
                Math.min(from, faultA),
                faultA,
                "A",
                explanation,
                FuseFamily.gateSource());
    }
}
