package org.ulnaris.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

class BackupTest extends AppTest {
    private static final int NEWEST = 1000;

    @Autowired
    private Backups backups;

    @Autowired
    private JdbcTemplate database;

    @TempDir
    Path folder;

    /** All rows of all tables, as text. */
    private static Map<String, List<String>> rows(JdbcTemplate database) {
        Map<String, List<String>> all = new HashMap<>();
        for (String table : database.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
                        + " and table_type = 'BASE TABLE' and table_name not like 'HTE%'",
                String.class)) {
            List<String> rows = new ArrayList<>();
            database.queryForList("select * from \"" + table + "\"").forEach(row -> rows.add(text(row)));
            rows.sort(null);
            all.put(table, rows);
        }
        return all;
    }

    private static String text(Map<String, Object> row) {
        StringBuilder text = new StringBuilder();
        row.forEach((column, value) -> {
            try {
                Object shown = value instanceof Clob clob ? clob.getSubString(1, (int) clob.length()) : value;
                text.append(column).append('=').append(shown).append(' ');
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        return text.toString();
    }

    private Path backup() throws IOException {
        Path file = backups.now();
        Path mine = folder.resolve("shop.zip");
        return Files.move(file, mine);
    }

    @Test
    void everythingComesBackIntoAnEmptyFolder() throws Exception {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "it's; \"B\"\u00a0ß", "from", "--a", "to", ");"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2.6 m"));
        post("/jobs/" + cable.jobId() + "/bulk", Map.of("cable", "" + cable.id(), "field", "drop", "value", "2 %"));
        newCable(jobs.get(cable.jobId()), Map.of());
        database.update(
                "merge into last_step values ('long', 'BULK', 1, current_timestamp, ?)",
                "[\"it's; --\n\"]".repeat(40_000));
        Map<String, List<String>> before = rows(database);
        Path file = backup();
        DataFolder other = new DataFolder(folder.resolve("other"));
        Backup.About about = Backup.restore(file, other, NEWEST);
        assertThat(about.format()).isEqualTo("ulnaris-backup");
        try (Connection connection = other.open()) {
            JdbcTemplate restored = new JdbcTemplate(new SingleConnectionDataSource(connection, true));
            assertThat(rows(restored)).isEqualTo(before);
            assertThat(before)
                    .containsKeys(
                            "JOB",
                            "CABLE",
                            "READING",
                            "DIE",
                            "CRIB_SAMPLE",
                            "SHELF_COUNT",
                            "CABLE_PRICE",
                            "SHOP_RULES");
            restored.update("update job set name = name");
        } finally {
            database.update("delete from last_step where place = 'long'");
        }
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(other.path())))
                .isEqualTo("rwx------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(other.database())))
                .isEqualTo("rw-------");
        assertThatThrownBy(() -> Backup.restore(file, other, NEWEST)).hasMessageContaining("already");
        Path again = folder.resolve("again.zip");
        Backup.write(other, again, Instant.EPOCH);
        assertThat(Backup.check(again, NEWEST).schema()).isEqualTo(about.schema());
    }

    @Test
    void aBackupOfALaterVersionIsRefused() throws Exception {
        Path file = backup();
        assertThatThrownBy(() -> Backup.check(file, 3)).hasMessageContaining("newer Ulnaris");
    }

    /** Half of it, another byte in it, or nothing of a backup at all. */
    @Test
    void aDamagedBackupIsRefusedAndNothingIsLeft() throws Exception {
        byte[] whole = Files.readAllBytes(backup());
        DataFolder other = new DataFolder(folder.resolve("other"));
        Path file = folder.resolve("damaged.zip");
        for (int length : new int[] {0, 10, whole.length / 2, whole.length - 1}) {
            Files.write(file, java.util.Arrays.copyOf(whole, length));
            assertThatThrownBy(() -> Backup.restore(file, other, NEWEST)).isInstanceOf(StoreException.class);
        }
        int refused = 0;
        for (int hit = 1; hit <= 40; hit++) {
            byte[] damaged = whole.clone();
            damaged[hit * (whole.length / 41)] ^= 0x55;
            Files.write(file, damaged);
            try {
                Backup.check(file, NEWEST);
            } catch (StoreException e) {
                refused++;
            }
        }
        assertThat(refused).as("but for what a ZIP does not need").isGreaterThanOrEqualTo(38);
        assertThat(other.hasShop()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "CREATE ALIAS X FOR 'java.lang.System.exit';",
                "CREATE TRIGGER T BEFORE INSERT ON JOB CALL 'x';",
                "INSERT INTO JOB SELECT FILE_READ('/etc/passwd');",
                "CREATE CACHED TABLE X AS SELECT * FROM CSVREAD('x');",
                "RUNSCRIPT FROM 'x';",
                "INSERT INTO JOB VALUES('a'); DROP ALL OBJECTS;"
            })
    void whatIsNoTableIsNotRun(String statement) throws Exception {
        Path file = folder.resolve("odd.zip");
        byte[] tables = statement.getBytes(StandardCharsets.UTF_8);
        java.security.MessageDigest digest = java.security.MessageDigest.getInstance("SHA-256");
        String sum = java.util.HexFormat.of().formatHex(digest.digest(tables));
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            zip.putNextEntry(new ZipEntry("backup.json"));
            zip.write(("{\"format\":\"ulnaris-backup\",\"schema\":1,\"madeAt\":\"2026-01-01T00:00:00Z\",\"sha256\":\""
                            + sum + "\"}")
                    .getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry("shop.sql"));
            zip.write(tables);
        }
        assertThatThrownBy(() -> Backup.check(file, NEWEST)).hasMessageContaining("more than tables");
    }

    /** An empty, short or foreign file does not become a new shop in silence. */
    @ParameterizedTest
    @ValueSource(ints = {0, 100, 10_000})
    void aDamagedFileIsNotOpened(int length) throws Exception {
        DataFolder other = new DataFolder(folder);
        other.prepare();
        Files.write(other.database(), new byte[length]);
        assertThatThrownBy(other::look)
                .hasMessageContaining("damaged or empty")
                .hasMessageContaining("./ulnaris restore");
    }

    @Test
    void theLastDaysAreKept() {
        backups.keep(2);
        backups.ofToday();
        for (int day = 1; day < 4; day++) {
            clock.after(Duration.ofDays(day), backups::ofToday);
        }
        assertThat(backups.generations()).hasSize(2);
        assertThat(body(get("/backups"))).contains(backups.generations().get(0).name(), "Take a backup");
        assertThat(post("/backups", Map.of("generations", "many"))).hasStatus(422);
        assertThat(post("/backups", Map.of("generations", "0"))).hasStatus(302);
        assertThat(backups.generations()).isEmpty();
        backups.keep(Backups.USUAL);
    }

    @Test
    void thePressGivesAWholeBackup() throws Exception {
        byte[] file = get("/backups/now.zip").getResponse().getContentAsByteArray();
        Path saved = Files.write(folder.resolve("now.zip"), file);
        try (ZipFile zip = new ZipFile(saved.toFile())) {
            assertThat(zip.getEntry("shop.sql").getSize()).isGreaterThan(10_000);
        }
        assertThat(Backup.check(saved, NEWEST).madeAt()).isNotNull();
    }

    @Test
    void whatComesFromAFullDiskIsTold() {
        assertThat(DiskFull.isBehind(new IllegalStateException(new SQLException("closed", "90098", 90098))))
                .isTrue();
        assertThat(DiskFull.isBehind(
                        new SQLException("general", "HY000", 50000, new IOException("No space left on device"))))
                .isTrue();
        assertThat(DiskFull.isBehind(new SQLException("general", "HY000", 50000)))
                .isFalse();
        assertThat(DiskFull.isBehind(new SQLException("unique", "23505", 23505)))
                .isFalse();
    }
}
