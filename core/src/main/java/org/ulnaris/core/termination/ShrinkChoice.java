package org.ulnaris.core.termination;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * The heat-shrink of an end.
 *
 * <p>Supplied bore ≥ {@value #PASS_FACTOR} × the largest thing that it slides over, recovered bore ≤ {@value #GRIP_FACTOR} ×
 * the thinnest that it grips. It covers the barrel and overlaps the insulation by max(25 mm, 1.5 × cable); cut length =
 * (cover + overlap) / (1 − {@value #LENGTHWISE_SHRINK}). What can't pass the pad goes on before the lug.
 *
 * @param tube the tube; null when no size does
 * @param beforeLug whether it must be on the cable before the lug
 * @param cover what it has to cover
 */
public record ShrinkChoice(@Nullable ShrinkTube tube, boolean beforeLug, Cover cover) {
    public static final double PASS_FACTOR = 1.1;
    public static final double GRIP_FACTOR = 0.9;
    public static final double LENGTHWISE_SHRINK = 0.10;

    private static final double LEAST_OVERLAP_MM = 25;
    private static final double OVERLAP_PER_OD = 1.5;

    /**
     * What the sleeve has to cover.
     *
     * @param padMm width of the pad, mm
     * @param barrelMm outside of the barrel, mm
     * @param cableMm outside of the cable, mm
     * @param barrelCoverMm length over the barrel and the gap behind it, mm
     */
    public record Cover(double padMm, double barrelMm, double cableMm, double barrelCoverMm) {
        /** Length over the insulation, mm. */
        public double overlapMm() {
            return Math.max(LEAST_OVERLAP_MM, OVERLAP_PER_OD * cableMm);
        }

        /** Length to cut from the roll, mm. */
        public double cutLengthMm() {
            return (barrelCoverMm + overlapMm()) / (1 - LENGTHWISE_SHRINK);
        }

        double thinnestMm() {
            return Math.min(barrelMm, cableMm);
        }

        double thickestUnderMm() {
            return Math.max(barrelMm, cableMm);
        }
    }

    /** The tightest tube of {@code tubes} that slides on after the lug; else the tightest that goes on before it. */
    public static ShrinkChoice choose(List<ShrinkTube> tubes, Cover cover) {
        Optional<ShrinkTube> overPad = tightest(tubes, cover, Math.max(cover.padMm(), cover.thickestUnderMm()));
        if (overPad.isPresent()) {
            return new ShrinkChoice(overPad.get(), false, cover);
        }
        return new ShrinkChoice(tightest(tubes, cover, cover.thickestUnderMm()).orElse(null), true, cover);
    }

    private static Optional<ShrinkTube> tightest(List<ShrinkTube> tubes, Cover cover, double passesMm) {
        return tubes.stream()
                .filter(tube -> tube.expandedMm() >= PASS_FACTOR * passesMm)
                .filter(tube -> tube.recoveredMm() <= GRIP_FACTOR * cover.thinnestMm())
                .min(Comparator.comparingDouble(ShrinkTube::expandedMm));
    }

    /** Whether a tube was found, and why this one. */
    public Finding finding() {
        Explanation explanation = Explanation.of(
                term("l", cover.cutLengthMm(), "mm"),
                term("l_barrel", cover.barrelCoverMm(), "mm")
                        .plus(term("l_overlap", cover.overlapMm(), "mm"))
                        .over(number(1).minus(term("s", LENGTHWISE_SHRINK, ""))));
        double passes = beforeLug ? cover.thickestUnderMm() : Math.max(cover.padMm(), cover.thickestUnderMm());
        return new Finding(
                FindingCode.SHRINK_FIT,
                tube == null ? Verdict.STOP : Verdict.PASS,
                tube == null ? 0 : tube.expandedMm(),
                PASS_FACTOR * passes,
                "mm",
                explanation,
                Source.practice(note("ShrinkChoice.slides-over-the")));
    }
}
