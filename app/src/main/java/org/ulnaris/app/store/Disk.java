package org.ulnaris.app.store;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.ulnaris.app.shell.Room;

/** Makes sure that what was accepted outlives a power cut, where that matters: readings and what is signed for. */
@Component
public class Disk implements Room {
    private static final Logger LOG = LoggerFactory.getLogger(Disk.class);
    private static final long QUIET_S = 600;

    private final JdbcTemplate database;
    private final HikariDataSource source;
    private final Clock clock;
    private final AtomicLong toldAt = new AtomicLong();

    Disk(JdbcTemplate database, HikariDataSource source, Clock clock) {
        this.source = source;
        this.database = database;
        this.clock = clock;
    }

    @Override
    public boolean isFull(Throwable problem) {
        if (!DiskFull.isBehind(problem)) {
            return false;
        }
        if (source.getHikariPoolMXBean() != null) {
            source.getHikariPoolMXBean().softEvictConnections();
        }
        long now = clock.instant().getEpochSecond();
        long last = toldAt.get();
        if (now - last > QUIET_S && toldAt.compareAndSet(last, now)) {
            LOG.error("disk full: nothing is kept until there is room ({})", problem.getMessage());
        }
        return true;
    }

    /** Has the file synced to the disk once the running transaction is committed, before it is acknowledged. */
    public void syncAfterCommit() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            sync();
            return;
        }
        if (TransactionSynchronizationManager.getSynchronizations().stream().noneMatch(Syncs.class::isInstance)) {
            TransactionSynchronizationManager.registerSynchronization(new Syncs());
        }
    }

    private void sync() {
        database.execute("CHECKPOINT SYNC");
    }

    private final class Syncs implements TransactionSynchronization {
        @Override
        public void afterCommit() {
            sync();
        }
    }
}
