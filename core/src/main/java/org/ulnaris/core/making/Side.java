package org.ulnaris.core.making;

/** An end of a cable. */
public enum Side {
    A,
    B;

    public Side other() {
        return this == A ? B : A;
    }
}
