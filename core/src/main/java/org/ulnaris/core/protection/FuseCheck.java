package org.ulnaris.core.protection;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.List;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

/**
 * A fuse before a cable: rating over {@value #OVER_LOAD} × the continuous current and within the ampacity, voltage, interrupting
 * rating, short-circuit withstand against the fuse's slowest time, surge against its fastest.
 *
 * @param family family
 * @param ratingA rating, A
 * @param guarded what it protects
 */
public record FuseCheck(FuseFamily family, double ratingA, ProtectedCable guarded) {
    /** Beyond the last gate both ends are as bad as one another but for rounding. */
    private static final double CLEARLY = 1 + 1e-9;

    /** Short circuit by the usual resistance of a kind and size ÷ the least that such batteries give (common practice: two). */
    private static final double TYPICAL_SPREAD = 2;

    /** A rating that meets its limit is within it, whatever the last digits of a quotient say. */
    private static final double EQUAL = 1 + 1e-9;

    public FuseCheck {
        if (!(ratingA > 0 && ratingA <= 10_000)) {
            throw new IllegalArgumentException("ratingA must be above 0 and at most 10000; have " + ratingA);
        }
    }

    /** The same fuse before another cable. */
    public FuseCheck on(ProtectedCable other) {
        return new FuseCheck(family, ratingA, other);
    }

    /** All checks. */
    public List<Finding> findings() {
        return List.of(
                loadFinding(),
                ampacityFinding(),
                voltageFinding(),
                interruptingFinding(),
                withstandFinding(),
                surgeFinding());
    }

    public Verdict verdict() {
        return Verdict.worstOf(findings());
    }

    private Finding loadFinding() {
        double least = leastA();
        Verdict verdict = Verdict.STOP;
        if (ratingA * EQUAL >= least) {
            verdict = Verdict.PASS;
        } else if (ratingA * EQUAL * share() >= guarded.load().continuousA()) {
            verdict = Verdict.WATCH;
        }
        double share = share();
        Expression asked = term("m", guarded.margins().overLoad(), "")
                .times(term("I", guarded.load().continuousA(), "A"));
        Explanation explanation =
                Explanation.of(term("I_min", least, "A"), share < 1 ? asked.over(term("f_warm", share, "")) : asked);
        return new Finding(FindingCode.FUSE_LOAD, verdict, ratingA, least, "A", explanation, AmpacityLimit.SOURCE);
    }

    private Finding ampacityFinding() {
        return new AmpacityLimit(
                        ratingA,
                        guarded.cable().ampacityA(),
                        leastA(),
                        guarded.margins().overAmpacity())
                .finding("");
    }

    /** What the load asks of a rating in the air around the fuse, A. */
    private double leastA() {
        return guarded.margins().overLoad() * guarded.load().continuousA() / share();
    }

    private double share() {
        return family.share(guarded.load().aroundC());
    }

    private Finding voltageFinding() {
        double volt = guarded.supply().highestV();
        Explanation explanation = Explanation.read(
                note("FuseCheck.highest-charging-voltage"), term("U", volt, "V"), term("U_n", family.voltV(), "V"));
        return new Finding(
                FindingCode.FUSE_VOLTAGE,
                volt <= family.voltV() ? Verdict.PASS : Verdict.STOP,
                volt,
                family.voltV(),
                "V",
                explanation,
                FuseFamily.source());
    }

    private Finding interruptingFinding() {
        double fault = guarded.supply().faultNearA();
        double breaksA = family.interruptingA(guarded.supply().highestV());
        boolean breaks = fault <= breaksA;
        boolean mayBreak = guarded.supply().typical() && fault <= TYPICAL_SPREAD * breaksA;
        Explanation explanation = Explanation.read(
                mayBreak && !breaks ? note("FuseCheck.short-circuit-by-kind") : note("FuseCheck.short-circuit-just"),
                term("I_k", fault, "A"));
        return new Finding(
                FindingCode.FUSE_INTERRUPTING,
                breaks ? Verdict.PASS : mayBreak ? Verdict.WATCH : Verdict.STOP,
                fault,
                breaksA,
                "A",
                explanation,
                FuseFamily.source());
    }

    /** Worst of the short circuits at both ends of the cable; of two that open nothing the larger. */
    public Finding withstandFinding() {
        double fault = guarded.supply().faultNearA();
        for (double far :
                new double[] {guarded.supply().faultFarMostA(), guarded.supply().faultFarA()}) {
            if (withstandUse(far) > withstandUse(fault) * CLEARLY) {
                fault = far;
            }
        }
        double allowed = ShortCircuitHeat.withstandS(
                guarded.cable().areaMm2(), fault, guarded.cable().k());
        double slowest = family.curve(ratingA).slowestS(fault);
        if (slowest == Double.POSITIVE_INFINITY) {
            return blindFinding(fault);
        }
        Explanation explanation = Explanation.of(
                term("t", allowed, "s"),
                term("k", guarded.cable().k(), "A·√s/mm²")
                        .times(term("A", guarded.cable().areaMm2(), "mm²"))
                        .over(term("I_k", fault, "A"))
                        .squared());
        return new Finding(
                FindingCode.FUSE_WITHSTAND,
                slowest <= allowed ? Verdict.PASS : Verdict.STOP,
                slowest,
                allowed,
                "s",
                explanation,
                ShortCircuitHeat.source().and(FuseFamily.gateSource()));
    }

    /** A short circuit that draws too little for the fuse to open: no harm where the cable may carry it. */
    private Finding blindFinding(double faultA) {
        double opensA = family.curve(ratingA).opensFromA();
        Explanation explanation = Explanation.read(
                note("FuseCheck.short-circuit-at"),
                term("I_k", faultA, "A"),
                term("I_opens", opensA, "A"),
                term("I_z", guarded.cable().ampacityA(), "A"));
        return new Finding(
                FindingCode.FUSE_BLIND,
                faultA <= guarded.cable().ampacityA() * EQUAL ? Verdict.PASS : Verdict.STOP,
                faultA,
                opensA,
                "A",
                explanation,
                FuseFamily.gateSource());
    }

    private double withstandUse(double faultA) {
        return family.curve(ratingA).slowestS(faultA)
                / ShortCircuitHeat.withstandS(
                        guarded.cable().areaMm2(), faultA, guarded.cable().k());
    }

    private Finding surgeFinding() {
        double holds = family.curve(ratingA).fastestS(guarded.load().surgeA());
        double surge = guarded.load().surgeS();
        Explanation explanation = Explanation.read(
                note("FuseCheck.shortest-opening-time"),
                term("t", holds, "s"),
                term("I_surge", guarded.load().surgeA(), "A"),
                term("I_n", ratingA, "A"));
        Verdict verdict = Verdict.PASS;
        if (surge > 0 && surge > holds) {
            verdict = holds > 0 ? Verdict.STOP : Verdict.NOTE;
        }
        return new Finding(FindingCode.FUSE_SURGE, verdict, surge, holds, "s", explanation, FuseFamily.gateSource());
    }
}
