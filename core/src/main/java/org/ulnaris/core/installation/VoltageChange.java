package org.ulnaris.core.installation;

import org.ulnaris.core.measure.Range;
import org.ulnaris.core.protection.FuseFamily;

/**
 * The same job at another system voltage: every load keeps its power, so voltages scale and currents scale the other way.
 *
 * @param fromV nominal voltage now, V
 * @param toV nominal voltage then, V
 */
public record VoltageChange(double fromV, double toV) {
    private static final Range VOLT = new Range(0, 1500);

    public VoltageChange {
        VOLT.check("fromV", fromV);
        VOLT.check("toV", toV);
    }

    public boolean none() {
        return fromV == toV;
    }

    /** What a voltage becomes, V. */
    public double voltage(double volt) {
        return volt * toV / fromV;
    }

    /** What a current becomes, A. */
    public double current(double ampere) {
        return ampere * fromV / toV;
    }

    /** Units in series that come closest to the new voltage. */
    public int inSeries(Chemistry chemistry) {
        return Math.max(1, (int) Math.rint(toV / chemistry.nominalV()));
    }

    /** Strings in parallel that keep the energy of {@code units} as nearly as whole units allow. */
    public static int inParallel(int units, int inSeries) {
        return Math.max(1, (int) Math.rint((double) units / inSeries));
    }

    /** The next standard rating for the current that then flows, A; the present one where the family ends below it. */
    public double fuseRating(FuseFamily family, double ratingA) {
        return family.ratingsA().stream()
                .filter(rating -> rating >= current(ratingA))
                .findFirst()
                .orElse(ratingA);
    }
}
