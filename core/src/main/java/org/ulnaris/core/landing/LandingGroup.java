package org.ulnaris.core.landing;

/** The parts of a landing, in their order: from what is dead to the battery. */
public enum LandingGroup {
    /** Ends that go to nothing drawn. */
    LOOSE,
    /** Loads and chargers. */
    DEVICES,
    /** Bars, shunts and switches of the returns. */
    RETURNS,
    /** Fuses, switches and bars of the other pole. */
    FEEDS,
    /** Fuses next to a battery: their holders stay empty. */
    MAINS,
    /** From battery to battery. */
    LINKS,
    PLUS,
    /** The minus of the batteries. */
    MINUS,
    /** Solar panels, covered: a controller wants its battery first. */
    PANELS;

    /** Whether a lug of it is live when it touches its stud. */
    public boolean live() {
        return compareTo(LINKS) >= 0;
    }
}
