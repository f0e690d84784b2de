package org.ulnaris.core.job;

import org.ulnaris.core.termination.Place;

/** What every job keeps to, whichever way something comes into it: typed, from a file or by REST. */
public final class JobLimits {
    /** Enough for any van, boat or cabin; keeps a recalculation felt at once. */
    public static final int MOST_PIECES = 500;

    public static final int MOST_CASES = 24;

    /** So many cables come in by a form, a table or a file, and go out again. */
    public static final int MOST_CABLES = 2000;

    private JobLimits() {}

    /** Whether chassis or hull may not be a piece of the job: current in a hull corrodes it and its fittings (common practice). */
    public static boolean refusesChassis(Place place) {
        return place == Place.BOAT;
    }
}
