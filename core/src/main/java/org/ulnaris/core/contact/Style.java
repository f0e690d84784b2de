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
    /** A heavy tube for two conductors end to end; its sleeve is shrunk over it. */
    HEAVY_BUTT,
    FERRULE;

    /** Whether another cable goes on from it: nothing passes it once it is closed. */
    public boolean joins() {
        return switch (this) {
            case BUTT, SEALED_BUTT, SLEEVE, HEAVY_BUTT -> true;
            default -> false;
        };
    }

    /** Whether water may creep in. */
    public boolean open() {
        return switch (this) {
            case RING, FORK, PUSH_ON, PIGGYBACK, BULLET, BUTT -> true;
            default -> false;
        };
    }
}
