package org.ulnaris.app.store;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;
import org.ulnaris.app.shell.Daemon;

/** Backups of the running shop: one on request, and one a day of which the last ones are kept, so many as the house rule says. */
@Service
@Lazy(false)
public class Backups {
    /** Kept where the house says nothing else. */
    public static final int USUAL = 7;

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final long HOURLY = 60;

    /** After so long without a test a backup is worth a word. */
    private static final Duration TRIED_FOR = Duration.ofDays(31);

    /** A clock may be so far ahead of another. */
    private static final Duration AHEAD = Duration.ofHours(1);

    private final DataSource source;
    private final JdbcTemplate database;
    private final DataFolder folder;
    private final Clock clock;
    private volatile boolean failed;
    private volatile boolean broken;
    private final ScheduledExecutorService daily = Executors.newSingleThreadScheduledExecutor(new Daemon("backup"));

    Backups(DataSource source, JdbcTemplate database, DataFolder folder, Clock clock) {
        this.source = source;
        this.database = database;
        this.folder = folder;
        this.clock = clock;
    }

    /**
     * A kept backup.
     *
     * @param name of its file
     * @param bytes how long it is
     * @param madeAt when, as it says itself; the beginning of time for one that can't be read
     */
    public record Generation(String name, long bytes, Instant madeAt) {}

    /** What there is to worry about. */
    public enum Worry {
        /** The last try to make one failed. */
        FAILED,
        /** The newest could not be brought back in a test. */
        BROKEN,
        /** None was brought back in a test for a month. */
        UNTRIED
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        daily.scheduleWithFixedDelay(this::ofToday, 1, HOURLY, TimeUnit.MINUTES);
    }

    /** Makes the backup of the day where there is none yet and tries whether it can be brought back, and throws those away that are too many. */
    synchronized void ofToday() {
        try {
            int keep = keep();
            Path file = folder.backups().resolve("ulnaris-" + LocalDate.now(clock) + ".zip");
            if (keep > 0 && !Files.exists(file)) {
                write(file);
            }
            for (Generation old : tooMany(keep)) {
                Files.delete(folder.backups().resolve(old.name()));
            }
            folder.prepare();
            failed = false;
            if (isUntried()) {
                trial();
            }
        } catch (IOException | RuntimeException e) {
            failed = !broken;
            LOG.warn("no backup that can be restored was made today: {}", e.getMessage());
        }
    }

    /** Whether the newest was made since one was last brought back in a test. */
    private boolean isUntried() {
        Instant tried = triedAt();
        return generations().stream().limit(1).anyMatch(newest -> tried == null || tried.isBefore(newest.madeAt()));
    }

    /**
     * The newest backup is brought back into an empty folder, which is removed again; false where there is none.
     *
     * @throws StoreException where it can't be
     */
    public synchronized boolean trial() {
        List<Generation> all = generations();
        broken = !all.isEmpty();
        if (!all.isEmpty()) {
            trial(folder.backups().resolve(all.get(0).name()));
            broken = false;
        }
        return !all.isEmpty();
    }

    private void trial(Path file) {
        DataFolder empty = new DataFolder(folder.scratch().resolve("trial"));
        try {
            FileSystemUtils.deleteRecursively(empty.path());
            empty.prepare();
            Backup.build(file, Backup.check(file, Backup.newestSchema()), empty);
            rule("tried_at", clock.instant().atOffset(ZoneOffset.UTC));
        } catch (IOException e) {
            throw new StoreException(file + " could not be brought back: " + e.getMessage(), e);
        } finally {
            try {
                FileSystemUtils.deleteRecursively(empty.path());
            } catch (IOException e) {
                LOG.warn("{} can't be removed: {}", empty.path(), e.getMessage());
            }
        }
    }

    /** When a backup was last brought back in a test; null for never, and for a time that is still to come, of a clock that was ahead. */
    public @Nullable Instant triedAt() {
        List<OffsetDateTime> tried = database.queryForList(
                "select tried_at from backup_rule where tried_at is not null", OffsetDateTime.class);
        Instant latest = clock.instant().plus(AHEAD);
        return tried.stream()
                .map(OffsetDateTime::toInstant)
                .filter(at -> !at.isAfter(latest))
                .findFirst()
                .orElse(null);
    }

    /** What is to be said on the first page; null where all is well. */
    public @Nullable Worry worry() {
        if (failed) {
            return Worry.FAILED;
        }
        if (broken && !paths().isEmpty()) {
            return Worry.BROKEN;
        }
        Instant tried = triedAt();
        boolean stale = tried == null || tried.plus(TRIED_FOR).isBefore(clock.instant());
        return stale && !paths().isEmpty() ? Worry.UNTRIED : null;
    }

    /** How many the house keeps. */
    public int keep() {
        List<Integer> kept = database.queryForList("select generations from backup_rule", Integer.class);
        return kept.isEmpty() ? USUAL : kept.get(0);
    }

    /** Changes how many the house keeps, 0 for none. */
    public void keep(int generations) {
        rule("generations", generations);
        ofToday();
    }

    private void rule(String column, Object value) {
        if (database.update("update backup_rule set " + column + " = ?", value) == 0) {
            database.update("insert into backup_rule (id, generations) values (1, ?)", USUAL);
            database.update("update backup_rule set " + column + " = ?", value);
        }
    }

    /** The kept ones, newest first; those of a time that is still to come, when a clock was ahead, count as the oldest. */
    public List<Generation> generations() {
        Instant latest = clock.instant().plus(AHEAD);
        return paths().stream()
                .map(Backups::generation)
                .sorted(Comparator.comparing((Generation one) -> one.madeAt().isAfter(latest))
                        .thenComparing(Generation::madeAt, Comparator.reverseOrder()))
                .toList();
    }

    /** Which of them go where so many are kept. Today's stays, unless none is to be kept. */
    public List<Generation> tooMany(int keep) {
        List<Generation> all = generations();
        return all.subList(Math.min(keep, all.size()), all.size());
    }

    private static Generation generation(Path file) {
        try {
            Instant madeAt;
            try {
                madeAt = Backup.about(file).madeAt();
            } catch (StoreException e) {
                madeAt = Instant.EPOCH;
            }
            return new Generation(file.getFileName().toString(), Files.size(file), madeAt);
        } catch (IOException e) {
            throw new StoreException(file + " can't be read", e);
        }
    }

    private List<Path> paths() {
        if (!Files.isDirectory(folder.backups())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder.backups())) {
            return files.filter(file -> file.getFileName().toString().matches("ulnaris-\\d{4}-\\d\\d-\\d\\d\\.zip"))
                    .toList();
        } catch (IOException e) {
            throw new StoreException("the folder " + folder.backups() + " can't be read", e);
        }
    }

    /** The shop as it stands, in a file of its own that the caller removes. */
    public Path now() throws IOException {
        Path file = Files.createTempFile(folder.scratch(), "backup", ".zip");
        try {
            write(file);
            return file;
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(file);
            throw e;
        }
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
