package org.ulnaris.core.worked;

import org.ulnaris.core.solving.RunResult;

/**
 * What a cable carries.
 *
 * @param currentA continuous current that it is sized for, A
 * @param worstCase the case whose loads ask most of it; empty where its current was typed or none ever flows
 * @param surgeA greatest current with surges, A
 * @param surgeS how long a surge lasts, s; 0 without one
 * @param known whether a current is known at all
 */
public record Carried(double currentA, String worstCase, double surgeA, double surgeS, boolean known) {
    /** A cable that no case makes current flow in is kept at so little, A. */
    private static final double LEAST_A = 0.001;

    static final Carried NOTHING = new Carried(LEAST_A, "", LEAST_A, 0, false);

    static Carried typed(double currentA) {
        return new Carried(currentA, "", currentA, 0, true);
    }

    static Carried of(RunResult run) {
        double current = run.sizedForA();
        return current > 0
                ? new Carried(
                        run.sizing().demand().load().currentA(),
                        run.run().typedA() >= run.continuousA() ? "" : run.worstCase(),
                        Math.max(current, run.surgeA()),
                        run.surgeS(),
                        true)
                : NOTHING;
    }
}
