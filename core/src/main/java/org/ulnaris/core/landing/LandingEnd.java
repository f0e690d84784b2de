package org.ulnaris.core.landing;

import org.ulnaris.core.making.Side;

/**
 * An end in the order of a job's landing.
 *
 * @param number its place in the order, from 1
 * @param cable tag of its cable
 * @param side which end of it
 * @param point where it goes, as it was written; empty where nobody said
 * @param group its part of the order
 * @param landed whether the bench has kept that it is landed
 */
public record LandingEnd(int number, String cable, Side side, String point, LandingGroup group, boolean landed) {
    /** The end itself, wherever it comes in an order. */
    public BareEnds.End end() {
        return new BareEnds.End(cable, side);
    }
}
