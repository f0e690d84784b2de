package org.ulnaris.core.sizing;

import org.ulnaris.core.measure.Range;
import org.ulnaris.core.rating.WarmingUp;

/**
 * Work and rest by turns: what a cable carries while its one load works, and nothing while that rests.
 *
 * @param onS how long it works, s
 * @param offS how long it then rests, s
 * @param otherA greatest current that flows for good in other cases, A
 */
public record Spells(double onS, double offS, double otherA) {
    private static final Range SECONDS = new Range(0, 86_400);
    private static final Range OTHER_A = new Range(-1e-9, 1e6);

    public Spells {
        SECONDS.check("onS", onS);
        SECONDS.check("offS", offS);
        OTHER_A.check("otherA", otherA);
    }

    /** The same of a cable that carries {@code share} of the current. */
    Spells share(double share) {
        return new Spells(onS, offS, share * otherA);
    }

    /**
     * The current that would heat {@code cable} for good as much as it is heated at the end of each spell of {@code currentA}, A: the peak
     * of the cycle by one time constant, and its rise with the square of the current.
     */
    double heatingA(double currentA, WarmingUp cable) {
        return Math.max(otherA, currentA * Math.sqrt(cable.dutyShare(onS, offS)));
    }
}
