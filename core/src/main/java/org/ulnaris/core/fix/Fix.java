package org.ulnaris.core.fix;

import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.protection.FuseFamily;

/** One change of a job that could mend a finding. */
public sealed interface Fix {
    /** Tag of the cable or fuse that is changed. */
    String subject();

    /**
     * A cable in another size.
     *
     * @param subject the cable
     * @param size the size to take
     * @param proposed whether it is the proposal, so that no size by hand is kept
     */
    record TakeSize(String subject, ConductorSize size, boolean proposed) implements Fix {}

    /**
     * Another fuse in the same place.
     *
     * @param subject the fuse
     * @param family family to take
     * @param ratingA rating to take, A
     */
    record ChangeFuse(String subject, FuseFamily family, double ratingA) implements Fix {}

    /**
     * A fuse where a cable begins, with a short cable before it.
     *
     * @param subject the cable
     * @param near the end at which its source is
     * @param family family to take
     * @param ratingA rating to take, A
     */
    record PutFuse(String subject, Side near, FuseFamily family, double ratingA) implements Fix {}

    /** A lug, contact or die that was picked by hand is given up for the proposal. */
    record FreeEnd(String subject, Side side) implements Fix {}
}
