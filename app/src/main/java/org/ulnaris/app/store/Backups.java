package org.ulnaris.app.store;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.ulnaris.app.shell.Daemon;

/** Backups of the running shop: one on request, and one a day of which the last ones are kept, so many as the house rule says. */
@Service
@Lazy(false)
public class Backups {
    /** Kept where the house says nothing else. */
    public static final int USUAL = 7;

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final long HOURLY = 60;

    private final DataSource source;
    private final JdbcTemplate database;
    private final DataFolder folder;
    private final Clock clock;
    private final ScheduledExecutorService daily = Executors.newSingleThreadScheduledExecutor(new Daemon("backup"));

    Backups(DataSource source, JdbcTemplate database, DataFolder folder, Clock clock) {
        this.source = source;
        this.database = database;
        this.folder = folder;
        this.clock = clock;
    }

    /** A kept backup. */
    public record Generation(String name, long bytes) {}

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        daily.scheduleWithFixedDelay(this::ofToday, 1, HOURLY, TimeUnit.MINUTES);
    }

    /** Makes the backup of the day where there is none yet, and throws those away that are one too many. */
    synchronized void ofToday() {
        try {
            int keep = keep();
            Path file = folder.backups().resolve("ulnaris-" + LocalDate.now(clock) + ".zip");
            if (keep > 0 && !Files.exists(file)) {
                write(file);
            }
            List<Path> all = files();
            for (Path old : all.subList(Math.min(keep, all.size()), all.size())) {
                Files.delete(old);
            }
            folder.prepare();
        } catch (IOException | RuntimeException e) {
            LOG.warn("no backup was made today: {}", e.getMessage());
        }
    }

    /** How many the house keeps. */
    public int keep() {
        List<Integer> kept = database.queryForList("select generations from backup_rule", Integer.class);
        return kept.isEmpty() ? USUAL : kept.get(0);
    }

    /** Changes how many the house keeps, 0 for none. */
    public void keep(int generations) {
        if (database.update("update backup_rule set generations = ?", generations) == 0) {
            database.update("insert into backup_rule (id, generations) values (1, ?)", generations);
        }
        ofToday();
    }

    /** The kept ones, newest first. */
    public List<Generation> generations() {
        try {
            List<Generation> all = new java.util.ArrayList<>();
            for (Path file : files()) {
                all.add(new Generation(file.getFileName().toString(), Files.size(file)));
            }
            return all;
        } catch (IOException e) {
            throw new StoreException("the folder " + folder.backups() + " can't be read", e);
        }
    }

    private List<Path> files() throws IOException {
        if (!Files.isDirectory(folder.backups())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder.backups())) {
            return files.filter(file -> file.getFileName().toString().matches("ulnaris-\\d{4}-\\d\\d-\\d\\d\\.zip"))
                    .sorted(Comparator.comparing(Path::getFileName).reversed())
                    .toList();
        }
    }

    /** The shop as it stands, in a file of its own that the caller removes. */
    public Path now() throws IOException {
        Path file = Files.createTempFile("ulnaris-backup", ".zip");
        write(file);
        return file;
    }

    private void write(Path file) throws IOException {
        try (Connection connection = source.getConnection()) {
            Backup.write(connection, file, clock.instant());
        } catch (SQLException e) {
            throw new StoreException("the backup was not written: " + e.getMessage(), e);
        }
    }

    public String folder() {
        return folder.backups().toString();
    }

    @PreDestroy
    void end() {
        daily.shutdownNow();
    }
}
