package org.ulnaris.app.pack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.work.Revisions;

/** The sheets of one job on their way to a file; they can be watched and stopped. */
final class Print {
    private static final Logger LOG = LoggerFactory.getLogger(Print.class);

    private final long jobId;
    private final Revisions.Revision revision;
    private final Path file;
    private final Instant begunAt;
    private final int count;
    private SheetService.@Nullable Documents documents;
    private volatile boolean stopped;
    private volatile Progress progress;

    /** Where a print stands. */
    enum State {
        WAITING,
        PRINTING,
        READY,
        FAILED
    }

    /**
     * How far it is.
     *
     * @param done cables that are printed
     * @param count cables in all
     */
    record Progress(State state, int done, int count) {
        public boolean running() {
            return state == State.WAITING || state == State.PRINTING;
        }
    }

    Print(long jobId, Revisions.Revision revision, SheetService.Documents documents, Path file, Instant begunAt) {
        this.jobId = jobId;
        this.revision = revision;
        this.documents = documents;
        this.count = documents.count();
        this.file = file;
        this.begunAt = begunAt;
        this.progress = new Progress(State.WAITING, 0, count);
    }

    long jobId() {
        return jobId;
    }

    /** For what state of the job it is. */
    Revisions.Revision revision() {
        return revision;
    }

    Instant begunAt() {
        return begunAt;
    }

    Progress progress() {
        return progress;
    }

    /** The file; empty until it is whole. */
    Optional<Path> file() {
        return progress.state() == State.READY ? Optional.of(file) : Optional.empty();
    }

    void run(PdfPrinter printer) {
        SheetService.Documents all = documents;
        documents = null;
        try {
            boolean whole = !stopped
                    && all != null
                    && printer.print(all.each(), file, done -> {
                        progress = new Progress(State.PRINTING, done, count);
                        return !stopped;
                    });
            progress = new Progress(whole ? State.READY : State.FAILED, whole ? count : progress.done(), count);
        } catch (IOException | RuntimeException e) {
            LOG.warn("the sheets of job {} were not printed", jobId, e);
            progress = new Progress(State.FAILED, progress.done(), count);
        }
        if (stopped) {
            forget();
        }
    }

    /** Ends it, and removes its file. */
    void forget() {
        stopped = true;
        if (!progress.running()) {
            try {
                Files.deleteIfExists(file);
            } catch (IOException e) {
                LOG.warn("a print was not removed", e);
            }
        }
    }
}
