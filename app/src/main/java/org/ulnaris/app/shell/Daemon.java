package org.ulnaris.app.shell;

import java.util.concurrent.ThreadFactory;

/** Threads called {@code name} that work beside the pages and do not keep the application from ending. */
public record Daemon(String name) implements ThreadFactory {
    @Override
    public Thread newThread(Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        return thread;
    }
}
