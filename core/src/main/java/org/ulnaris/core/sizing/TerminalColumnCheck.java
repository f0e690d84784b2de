package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rating.TableRating;

/**
 * The land code's own check of terminals: the circuit against table 310.16 in the column of the terminals, whatever table the laying uses
 * and however cool the room is (NEC 110.14(C), recalled). The column holds the load, and the fuse's rating or the one just below it (NEC
 * 240.4(B)); where no fuse is known, the load with the house's margin.
 *
 * @param limit what the terminals stand
 */
record TerminalColumnCheck(Rung rung, TerminalLimit limit) implements SizeCheck {
    @Override
    public FindingCode code() {
        return FindingCode.TERMINAL_COLUMN;
    }

    @Override
    public double use() {
        double fuseA = fuseA();
        return use(fuseA, heldA(fuseA));
    }

    private double use(double fuseA, double allowedA) {
        return allowedA > 0 ? circuitA(fuseA) / allowedA : Double.POSITIVE_INFINITY;
    }

    @Override
    public Verdict verdict() {
        double fuseA = fuseA();
        double heldA = heldA(fuseA);
        if (fuseA == 0) {
            return rung.demand().policy().verdict(use(fuseA, heldA));
        }
        return circuitA(fuseA) <= heldA * EQUAL ? Verdict.PASS : Verdict.STOP;
    }

    /** The circuit that the column holds: the column itself, or the fuse that is the next standard rating above it and holds the load, A. */
    private double heldA(double fuseA) {
        double allowedA = allowedA(fuseA);
        boolean up = loadA() <= allowedA * EQUAL && isNextStandard(fuseA, allowedA);
        return up ? Math.max(allowedA, fuseA) : allowedA;
    }

    private double loadA() {
        return rung.demand().load().currentA();
    }

    private double circuitA(double fuseA) {
        return Math.max(loadA(), fuseA);
    }

    /** What its fuses let through, of cables side by side its share; 0 where none is known or none suits the size, which is said for itself. */
    private double fuseA() {
        Guard guard = rung.demand().guard();
        if (guard == null) {
            return 0;
        }
        Finding fuse = guard.limit(rung);
        return fuse.stops() ? 0 : guard.circuitA() * rung.protectableA() / fuse.limit();
    }

    /** Not marked: 60 °C, and 75 °C for the sizes that hold a circuit of 100 A even so: a larger circuit never takes a thinner cable. */
    private double allowedA(double fuseA) {
        if (!limit.bySteps()) {
            return columnA(limit.limitC());
        }
        double sixty = columnA(TerminalLimit.SMALL_C);
        boolean large = fuseA > 0
                ? isNextStandard(TerminalLimit.SMALL_CIRCUIT_A, sixty)
                : sixty * rung.demand().policy().cleanUse() >= TerminalLimit.SMALL_CIRCUIT_A;
        return large && circuitA(fuseA) > TerminalLimit.SMALL_CIRCUIT_A ? columnA(TerminalLimit.LARGE_C) : sixty;
    }

    private double columnA(double columnC) {
        TableRating rating = RuleSet.NEC_RACEWAY.method().rating(rung.conductor(), columnC);
        return rating == null ? rung.smallFuseA().orElse(0) : rating.ampacityA();
    }

    /** Whether no standard rating lies from {@code fromA} up to {@code ratingA}; class T comes in those of NEC 240.6(A). */
    private static boolean isNextStandard(double ratingA, double fromA) {
        return ratingA <= fromA * EQUAL
                || FuseFamily.CLASS_T.ratingsA().stream()
                        .noneMatch(rating -> rating * EQUAL < ratingA && rating * EQUAL >= fromA);
    }

    @Override
    public Finding finding() {
        double fuseA = fuseA();
        double heldA = heldA(fuseA);
        return new Finding(
                code(),
                verdict(),
                circuitA(fuseA),
                heldA,
                "A",
                Explanation.read(
                        fuseA > 0
                                ? note("TerminalColumnCheck.rating-of-the")
                                : note("TerminalColumnCheck.load-for-the"),
                        term("I_circuit", circuitA(fuseA), "A"),
                        term("I_table", allowedA(fuseA), "A")),
                limit.source());
    }
}
