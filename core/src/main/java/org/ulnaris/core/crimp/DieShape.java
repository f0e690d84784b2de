package org.ulnaris.core.crimp;

/** The form that a pair of dies closes to. */
public enum DieShape {
    HEX
}
