package org.ulnaris.core.contact;

/** Forms within a family. */
public enum Style {
    /** The contact of a connector. */
    CONTACT,
    RING,
    /** A ring with an adhesive-lined sleeve. */
    SEALED_RING,
    /** Open: it slips off when the screw loosens. */
    FORK,
    PUSH_ON,
    PIGGYBACK,
    BULLET,
    /** A splice without adhesive. */
    BUTT,
    SEALED_BUTT,
    SLEEVE,
    FERRULE;

    /** Whether water may creep in. */
    public boolean open() {
        return switch (this) {
            case RING, FORK, PUSH_ON, PIGGYBACK, BULLET, BUTT -> true;
            default -> false;
        };
    }
}
