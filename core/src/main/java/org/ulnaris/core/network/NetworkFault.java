package org.ulnaris.core.network;

import java.util.List;

/**
 * Why a part of a network can't be fed.
 *
 * @param kind what is wrong
 * @param elements the loads that it concerns, worst first
 * @param feedableShare share of the power loads that could be fed; 0 without a source
 */
public record NetworkFault(Kind kind, List<String> elements, double feedableShare) {
    /** What is wrong. */
    public enum Kind {
        /** No path from a source to these loads. */
        NO_SOURCE,
        /** The source and the cables can't deliver that power: the voltage falls without end. */
        COLLAPSE,
        /** Its resistances are too far apart for figures of 16 digits: no answer is better than a wrong one. */
        TOO_FAR_APART
    }

    public NetworkFault {
        elements = List.copyOf(elements);
    }
}
