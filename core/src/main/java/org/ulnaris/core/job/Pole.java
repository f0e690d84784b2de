package org.ulnaris.core.job;

/** Which pole a cable belongs to. */
public enum Pole {
    POSITIVE,
    NEGATIVE,
    OTHER
}
