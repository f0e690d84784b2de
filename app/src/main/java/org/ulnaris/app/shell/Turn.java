package org.ulnaris.app.shell;

import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;

/** Whose turn it is: who holds it edits, or reads while nobody edits. First come, first served. */
public final class Turn {
    private final ReentrantLock lock = new ReentrantLock(true);

    /** What is done in a turn. */
    @FunctionalInterface
    public interface Doing {
        @Nullable
        Object get() throws Throwable;
    }

    /** Does something once nobody else has the turn. */
    public @Nullable Object take(Doing doing) throws Throwable {
        lock.lock();
        try {
            return doing.get();
        } finally {
            lock.unlock();
        }
    }
}
