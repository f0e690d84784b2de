package org.ulnaris.core.contact;

/** How conductor and contact are joined: three schools. */
public enum JoinMethod {
    /** Crimp only: a cold weld. */
    CRIMP,
    /** Crimp, then solder, where nothing flexes. */
    CRIMP_THEN_SOLDER,
    /** The contact is filled with solder and the conductor set into it; it can be used again. */
    SOLDER_FILLED;

    public boolean soldered() {
        return this != CRIMP;
    }
}
