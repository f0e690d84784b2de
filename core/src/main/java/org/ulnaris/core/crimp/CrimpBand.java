package org.ulnaris.core.crimp;

import org.ulnaris.core.finding.Verdict;

/**
 * What a compaction means (ours; DIN 46235 pairs with across flats 0.85 × code lie at 0.82–0.96).
 */
public enum CrimpBand {
    /** Above 1.00: the closed die is larger than the metal; voids stay. */
    LOOSE(Verdict.STOP),
    /** 0.96–1.00: little reserve for thin strands or a thin wall. */
    LIGHT(Verdict.WATCH),
    /** 0.82–0.96: gap-free. */
    SOUND(Verdict.PASS),
    /** 0.75–0.82: gap-free, but metal escapes as wings. */
    HARD(Verdict.WATCH),
    /** Below 0.75: sharp fins, thinned wall. */
    OVER_CRIMPED(Verdict.STOP);

    /** Above it the crimp is loose. */
    public static final double LOOSE_ABOVE = 1.00;
    /** Above it the crimp is light. */
    public static final double LIGHT_ABOVE = 0.96;
    /** Below it wings form. */
    public static final double HARD_BELOW = 0.82;
    /** Below it the crimp is over-crimped. */
    public static final double OVER_BELOW = 0.75;

    private final Verdict verdict;

    CrimpBand(Verdict verdict) {
        this.verdict = verdict;
    }

    public Verdict verdict() {
        return verdict;
    }

    /** The band of a compaction. */
    public static CrimpBand of(double compaction) {
        if (!(compaction <= LOOSE_ABOVE)) {
            return LOOSE;
        }
        if (compaction > LIGHT_ABOVE) {
            return LIGHT;
        }
        if (compaction >= HARD_BELOW) {
            return SOUND;
        }
        return compaction >= OVER_BELOW ? HARD : OVER_CRIMPED;
    }
}
