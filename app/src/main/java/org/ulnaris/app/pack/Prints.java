package org.ulnaris.app.pack;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;
import org.ulnaris.app.shell.Daemon;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.store.DataFolder;
import org.ulnaris.app.work.Revisions;

/** Prints the sheets of jobs with many cables, one job at a time, while the pages go on. A print is kept until some later ones are made. */
@Service
class Prints {
    /** So many jobs may have a print that waits, runs or is ready. */
    private static final int MOST = 8;

    private final SheetService sheets;
    private final PdfPrinter printer;
    private final Revisions revisions;
    private final Clock clock;
    private final Path folder;
    private final Map<Long, Print> prints = new LinkedHashMap<>();
    private final ExecutorService press = Executors.newSingleThreadExecutor(new Daemon("print"));

    Prints(SheetService sheets, PdfPrinter printer, Revisions revisions, Clock clock, DataFolder folder) {
        this.folder = folder.scratch().resolve("prints");
        try {
            Files.createDirectories(this.folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.sheets = sheets;
        this.printer = printer;
        this.revisions = revisions;
        this.clock = clock;
    }

    /** The sheet of one cable. */
    byte[] ofCable(long cableId) {
        return printer.print(sheets.document(cableId));
    }

    /** The sheets of a job that has few enough cables to wait for. */
    byte[] atOnce(long jobId) throws IOException {
        Path file = Files.createTempFile(folder, "job", ".pdf");
        try {
            printer.print(sheets.documents(jobId).each(), file, done -> true);
            return Files.readAllBytes(file);
        } finally {
            Files.delete(file);
        }
    }

    /** The print of a job; empty where none was asked for. */
    synchronized Optional<Print> of(long jobId) {
        return Optional.ofNullable(prints.get(jobId));
    }

    /** Whether a job has changed since its print was begun. */
    boolean outdated(Print print) {
        return !print.revision().equals(revisions.of(print.jobId()));
    }

    /** Begins a print of the job as it stands; one that waits or runs already goes on. */
    synchronized void start(long jobId) {
        Print last = prints.get(jobId);
        if (last != null && last.progress().running()) {
            return;
        }
        drop(jobId);
        Iterator<Print> oldest = prints.values().iterator();
        while (prints.size() >= MOST && oldest.hasNext()) {
            Print one = oldest.next();
            if (!one.progress().running()) {
                one.forget();
                oldest.remove();
            }
        }
        Revisions.Revision revision = revisions.of(jobId);
        Print print = new Print(
                jobId, revision, sheets.documents(jobId), folder.resolve("job-" + jobId + ".pdf"), clock.instant());
        prints.put(jobId, print);
        press.execute(() -> print.run(printer));
    }

    /** Ends the print of a job, or throws a ready one away. */
    synchronized void drop(long jobId) {
        Print last = prints.remove(jobId);
        if (last != null) {
            last.forget();
        }
    }

    @PreDestroy
    void end() {
        press.shutdownNow();
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
