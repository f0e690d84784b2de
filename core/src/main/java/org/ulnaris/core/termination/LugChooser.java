package org.ulnaris.core.termination;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToIntFunction;
import org.ulnaris.core.finding.Verdict;

/** Ranks lugs for a cable and a landing: what fits first, the stud's own hole before a larger one, the
 * lug made for the size before a neighbour, then the best bore fill. */
public final class LugChooser {
    private static final double BEST_FILL = 0.65;
    /** A lug further off than this is not worth showing. */
    private static final double LOOSEST_FILL_SHOWN = 0.35;

    private static final Comparator<Ranked> ORDER = Comparator.comparingInt(Ranked::coarse)
            .thenComparing(Ranked::verdict)
            .thenComparingInt(ranked -> ranked.fit().lug().form().angleDeg())
            .thenComparingInt(Ranked::unhandy)
            .thenComparingDouble(Ranked::off)
            .thenComparingDouble(ranked -> ranked.fit().holePlayMm());

    private LugChooser() {}

    /** The lugs of {@code catalogue} that could be considered, none of them handier than another. */
    public static List<LugFit> rank(Collection<Lug> catalogue, LugDemand demand) {
        return rank(catalogue, demand, lug -> 0);
    }

    /** The lugs of {@code catalogue} that could be considered, best first, of like ones the handier; those that do not fit come last. */
    public static List<LugFit> rank(Collection<Lug> catalogue, LugDemand demand, ToIntFunction<Lug> unhandy) {
        double areaMm2 = demand.areaMm2();
        return catalogue.stream()
                .filter(lug -> lug.form().conductors() <= demand.conductors())
                .filter(lug -> LugFit.holePlayMm(lug, demand.landing()) > 0
                        && worthShowing(LugFit.boreFill(areaMm2, lug.barrel())))
                .map(lug -> LugFit.of(lug, demand))
                .map(fit -> Ranked.of(fit, unhandy.applyAsInt(fit.lug())))
                .sorted(ORDER)
                .map(Ranked::fit)
                .toList();
    }

    /**
     * A fit with what it is ranked by, worked out once.
     *
     * @param coarse what counts before the verdict, in one number: refused, loose barrel, other form, larger hole, other stud, other size
     * @param verdict of all checks
     * @param unhandy how far from being at hand
     * @param off bore fill off the best
     */
    private record Ranked(LugFit fit, int coarse, Verdict verdict, int unhandy, double off) {
        static Ranked of(LugFit fit, int unhandy) {
            Verdict verdict = fit.verdict();
            int coarse = (verdict == Verdict.STOP ? 128 : 0)
                    + (fit.boreFill() < LugFit.LOOSE_BELOW && !fit.ownSize() ? 64 : 0)
                    + 8 * fit.formsMissed()
                    + (fit.exactHole() ? 0 : 4)
                    + (fit.ownStud() ? 0 : 2)
                    + (fit.ownSize() ? 0 : 1);
            return new Ranked(fit, coarse, verdict, unhandy, Math.abs(fit.boreFill() - BEST_FILL));
        }
    }

    private static boolean worthShowing(double boreFill) {
        return boreFill >= LOOSEST_FILL_SHOWN && boreFill <= 1;
    }
}
