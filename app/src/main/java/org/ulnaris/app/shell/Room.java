package org.ulnaris.app.shell;

/** Room on the disk of the shop. */
public interface Room {
    /** Whether {@code problem} comes from a disk that takes no more. */
    boolean isFull(Throwable problem);
}
