package org.ulnaris.app.ribbon;

import java.util.Optional;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.EndPart;

/** What a page of a cable says at its places, below what is there, and where a press leads: its plan, its making, its proof. */
public interface Telling {
    /**
     * What is said at a place.
     *
     * @param text beside what is there; may be empty
     * @param verdict what is to be marked; a pass or a note has no mark
     * @param address where a press leads
     * @param current whether it is what the page is about
     */
    record Place(String text, Verdict verdict, String address, boolean current) {}

    /** At {@code part}; empty where nothing stands there. {@code there} tells whether the plan has anything there. */
    Optional<Place> at(Side side, EndPart part, boolean there);

    /** Of an end as a whole. */
    Place of(Side side);

    /** Of the cable between its ends. */
    Place run();

    /** Whether what is the same at both ends is said once. */
    boolean once();
}
