package org.ulnaris.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class BackupTest extends AppTest {
    private static final int NEWEST = 1000;

    @Autowired
    private Backups backups;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private PlatformTransactionManager transactions;

    @TempDir
    Path folder;

    /** All rows of all tables, as text. */
    private static Map<String, List<String>> rows(JdbcTemplate database) {
        Map<String, List<String>> all = new HashMap<>();
        for (String table : database.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
                        + " and table_type = 'BASE TABLE' and table_name not like 'HTE%'"
                        + " and table_name <> 'flyway_schema_history'",
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
        return Files.move(file, mine, StandardCopyOption.REPLACE_EXISTING);
    }

    @Test
    void everythingComesBackIntoAnEmptyFolder() throws Exception {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "it's; \"B\"\u00a0ß", "from", "--a", "to", ");"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2.6 m"));
        post("/jobs/" + cable.jobId() + "/bulk", Map.of("cable", "" + cable.id(), "field", "drop", "value", "2 %"));
        newCable(jobs.get(cable.jobId()), Map.of());
        database.update(
                "merge into last_step (place, what, things, taken_at, changes) values ('long', 'BULK', 1, current_timestamp, ?)",
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

    /** Rows that are none of these tables, in any place, are refused; nothing is run, and nothing of the shop is printed. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"table\":\"SECRET\",\"columns\":[\"ID\"]}",
                "{\"table\":\"JOB\\\"; DROP ALL OBJECTS; --\",\"columns\":[\"ID\"]}",
                "{\"table\":\"INFORMATION_SCHEMA.USERS\",\"columns\":[\"ID\"]}",
                "{\"table\":\"flyway_schema_history\",\"columns\":[\"version\"]}",
                "{\"sequence\":\"JOB_SEQ\",\"next\":\"1; SHUTDOWN\"}",
                "{\"sequence\":\"SECRET\",\"next\":7}",
                "{\"sequence\":\"JOB_SEQ\",\"next\":-7}",
                "CREATE ALIAS X FOR 'java.lang.System.exit';",
                "/* ' */ CREATE ALIAS X AS 'void x() { throw new Error(); }'; CALL X(); -- '",
                "[\"SECRET\"]",
                "[{\"a\":\"SECRET\"}]",
                "\"SECRET\"",
                "null",
                "7",
                "[",
                "{\"table\":\"SHOP_RULES\",\"columns\":[\"ID\",\"SECRET\"]}"
            })
    void whatIsNoRowIsRefused(String line) throws Exception {
        List<String> lines = CraftedBackup.lines(backup());
        DataFolder other = new DataFolder(folder.resolve("other"));
        for (int at : new int[] {0, 1, lines.size() / 2, lines.size()}) {
            List<String> odd = new ArrayList<>(lines);
            odd.add(at, line);
            Path file = CraftedBackup.of(folder, odd);
            assertThatThrownBy(() -> Backup.restore(file, other, NEWEST))
                    .isInstanceOf(StoreException.class)
                    .hasMessageContaining("no row of a shop")
                    .hasMessageNotContaining("SECRET");
        }
        assertThat(other.hasShop()).isFalse();
    }

    /** Lines that are gone, twice or cut: the rows must be all there and belong together. */
    @Test
    void rowsThatDoNotBelongTogetherAreRefused() throws Exception {
        newCable(newJob(Units.METRIC), Map.of("tag", "ORPHAN"));
        List<String> lines = CraftedBackup.lines(backup());
        DataFolder other = new DataFolder(folder.resolve("other"));
        List<String> cut = lines.subList(0, lines.size() / 2);
        Path half = CraftedBackup.of(folder, cut);
        assertThatThrownBy(() -> Backup.restore(half, other, NEWEST)).hasMessageContaining("missing");
        Path none = CraftedBackup.of(folder, List.of());
        assertThatThrownBy(() -> Backup.restore(none, other, NEWEST)).hasMessageContaining("missing");
        int jobs = lines.stream()
                .filter(line -> line.contains("\"table\":\"JOB\""))
                .mapToInt(lines::indexOf)
                .findFirst()
                .orElseThrow();
        List<String> orphans = new ArrayList<>(lines);
        while (orphans.get(jobs + 1).startsWith("[")) {
            orphans.remove(jobs + 1);
        }
        Path orphaned = CraftedBackup.of(folder, orphans);
        assertThatThrownBy(() -> Backup.restore(orphaned, other, NEWEST))
                .hasMessageContaining("rows that are not there")
                .hasMessageNotContaining("ORPHAN");
        List<String> twice = new ArrayList<>(lines);
        twice.add(jobs + 1, lines.get(jobs + 1));
        Path doubled = CraftedBackup.of(folder, twice);
        assertThatThrownBy(() -> Backup.restore(doubled, other, NEWEST)).hasMessageContaining("no row of a shop");
        assertThat(other.hasShop()).isFalse();
    }

    @Test
    void whatABackupLacksIsSaidInWords() throws Exception {
        byte[] rows = "[]".getBytes(StandardCharsets.UTF_8);
        Map<String, String> saying = Map.of(
                "{\"format\":\"ulnaris-backup\",\"schema\":1,\"madeAt\":\"2026-01-01T00:00:00Z\"}", "no checksum",
                "{\"format\":\"ulnaris-backup\",\"schema\":1,\"madeAt\":\"2026-01-01T00:00:00Z\",\"sha256\":\"00\"}",
                        "its checksum is another",
                "{\"format\":\"ulnaris-backup\",\"sha256\":\"00\"}", "no backup of Ulnaris",
                "{\"format\":\"other\",\"schema\":1}", "no backup of Ulnaris",
                "null", "no backup of Ulnaris",
                "", "no backup of Ulnaris",
                "[1", "no backup of Ulnaris");
        for (Map.Entry<String, String> one : saying.entrySet()) {
            Path file = CraftedBackup.zipped(folder, one.getKey(), "shop.jsonl", rows);
            assertThatThrownBy(() -> Backup.check(file, NEWEST))
                    .as(one.getKey())
                    .isInstanceOf(StoreException.class)
                    .hasMessageContaining(one.getValue());
        }
        Path commands = CraftedBackup.zipped(folder, "{\"format\":\"ulnaris-backup\",\"schema\":1}", "shop.sql", rows);
        assertThatThrownBy(() -> Backup.check(commands, NEWEST)).hasMessageContaining("no longer run");
        assertThatThrownBy(() -> Backup.check(folder.resolve("nowhere.zip"), NEWEST))
                .hasMessageContaining("is not there");
    }

    /** A restore that was cut short: the start says so, a second one begins anew, and marks left by a whole one go. */
    @Test
    void aRestoreCutShortIsToldAndBeginsAnew() throws Exception {
        Path file = backup();
        DataFolder other = new DataFolder(folder.resolve("other"));
        try (DataFolder.Restoring cut = other.restoring(file)) {
            Files.write(cut.beside().database(), new byte[9000]);
            assertThatThrownBy(() -> Backup.restore(file, other, NEWEST)).hasMessageContaining("under way");
        }
        assertThat(other.hasShop()).isFalse();
        assertThatThrownBy(other::look)
                .hasMessageContaining("cut short")
                .hasMessageContaining("./ulnaris restore " + file + " --data " + other.path());
        Backup.restore(file, other, NEWEST);
        other.look();
        assertThat(other.marked()).isTrue();
        Files.writeString(other.path().resolve("ulnaris.restoring"), "killed before its mark was gone");
        other.look();
        assertThat(other.path().resolve("ulnaris.restoring")).doesNotExist();
        assertThat(other.path().resolve("restoring")).doesNotExist();
    }

    /** Two rows that are always changed together are together in every backup. */
    @Test
    void aBackupIsOfOneMoment() throws Exception {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "T0"));
        long job = cable.jobId();
        TransactionTemplate transaction = new TransactionTemplate(transactions);
        AtomicBoolean going = new AtomicBoolean(true);
        Thread editor = new Thread(() -> {
            for (int i = 1; going.get(); i++) {
                String tag = "T" + i;
                transaction.executeWithoutResult(status -> {
                    database.update("update job set name = ? where id = ?", tag, job);
                    database.update("update cable set tag = ? where id = ?", tag, cable.id());
                });
            }
        });
        transaction.executeWithoutResult(status -> database.update("update job set name = 'T0' where id = ?", job));
        editor.start();
        try {
            for (int i = 0; i < 8; i++) {
                List<String> lines = CraftedBackup.lines(backup());
                String name = named(lines, "JOB", "NAME", job);
                assertThat(named(lines, "CABLE", "TAG", cable.id())).isEqualTo(name);
            }
        } finally {
            going.set(false);
            editor.join();
        }
    }

    private static String named(List<String> lines, String table, String column, long id) {
        int at = 0;
        while (!lines.get(at).contains("\"table\":\"" + table + "\"")) {
            at++;
        }
        JsonMapper json = JsonMapper.builder().build();
        List<String> columns = json.readTree(lines.get(at))
                .path("columns")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        for (String line : lines.subList(at + 1, lines.size())) {
            JsonNode row = json.readTree(line);
            if (row.get(columns.indexOf("ID")).asString().equals("" + id)) {
                return row.get(columns.indexOf(column)).asString();
            }
        }
        throw new AssertionError(table);
    }

    @Test
    void whatARunLeftGoesAtTheNextStart() throws Exception {
        DataFolder other = new DataFolder(folder.resolve("swept"));
        Files.createDirectories(other.scratch());
        Files.writeString(other.scratch().resolve("backup1.zip"), "left by a run that was killed");
        other.sweep();
        assertThat(other.scratch()).isEmptyDirectory();
    }

    /** A sound header with nothing behind it is no shop, and stays as it is. */
    @Test
    void aHollowFileIsToldAndLeftAsItIs() throws Exception {
        DataFolder other = new DataFolder(folder.resolve("hollow"));
        Backup.restore(backup(), other, NEWEST);
        byte[] header = java.util.Arrays.copyOf(Files.readAllBytes(other.database()), 8192);
        Files.write(other.database(), header);
        assertThatThrownBy(other::look).hasMessageContaining("damaged or empty");
        assertThat(Files.readAllBytes(other.database())).isEqualTo(header);
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

    private List<String> names() {
        return backups.generations().stream().map(Backups.Generation::name).toList();
    }

    private void nothingKept() {
        backups.keep(0);
        assertThat(backups.generations()).isEmpty();
    }

    @Test
    void theLastDaysAreKept() {
        nothingKept();
        backups.keep(2);
        for (int day = 1; day < 4; day++) {
            clock.after(Duration.ofDays(day), backups::ofToday);
        }
        clock.after(Duration.ofDays(3), () -> {
            assertThat(names()).hasSize(2).isSortedAccordingTo(Comparator.reverseOrder());
            assertThat(body(get("/backups"))).contains(names().get(0), "Take a backup");
        });
        assertThat(post("/backups", Map.of("generations", "many"))).hasStatus(422);
        nothingKept();
        backups.keep(Backups.USUAL);
    }

    /** Files of a clock that was ahead are the first to go, and never keep today's from being there. */
    @Test
    void aClockThatWasAheadDoesNotEndTheDailyOnes() {
        nothingKept();
        backups.keep(2);
        for (int day = 400; day < 403; day++) {
            clock.after(Duration.ofDays(day), backups::ofToday);
        }
        backups.ofToday();
        String today = names().get(0);
        assertThat(names()).hasSize(2);
        clock.after(Duration.ofDays(1), () -> {
            backups.ofToday();
            assertThat(names()).hasSize(2).contains(today);
            assertThat(names().get(0)).isGreaterThan(today);
        });
        nothingKept();
        backups.keep(Backups.USUAL);
    }

    /** What would be deleted for good is named first; two people do not overrule one another unseen. */
    @Test
    void keepingFewerAsksFirst() {
        nothingKept();
        backups.keep(3);
        String name = names().get(0);
        var asked = post("/backups", Map.of("generations", "0"));
        assertThat(asked).hasStatus(422);
        assertThat(body(asked)).contains("deleted for good", name, "Delete this one", "name=\"sure\" value=\"0\"");
        assertThat(post("/backups", Map.of("generations", "0", "sure", "2")))
                .as("another number than was asked about")
                .hasStatus(422);
        assertThat(names()).containsExactly(name);
        String began = began("/backups");
        backups.keep(5);
        assertThat(post("/backups", Map.of("generations", "2", "began", began))).hasStatus(409);
        assertThat(backups.keep()).isEqualTo(5);
        assertThat(post("/backups", Map.of("generations", "0", "sure", "0"))).hasStatus(302);
        assertThat(names()).isEmpty();
        backups.keep(Backups.USUAL);
    }

    /** A daily backup that failed, and one that nobody tried for a month, stand on the first page until it works. */
    @Test
    void theFirstPageTellsOfBackupsThatFail() throws Exception {
        nothingKept();
        Path place = Path.of(backups.folder());
        Files.deleteIfExists(place);
        Files.writeString(place, "no folder");
        backups.keep(Backups.USUAL);
        assertThat(body(get("/"))).contains("daily backup failed");
        Files.delete(place);
        backups.ofToday();
        assertThat(body(get("/"))).doesNotContain("daily backup failed", "test-restored");
        clock.after(Duration.ofDays(32), () -> assertThat(body(get("/"))).contains("test-restored in the last month"));
        assertThat(post("/backups/try", Map.of())).hasRedirectedUrl("/backups?tried=whole");
        assertThat(body(get("/backups?tried=whole"))).contains("restored in a test, complete", "Last test restore");
        Path newest = place.resolve(names().get(0));
        byte[] whole = Files.readAllBytes(newest);
        Files.write(newest, java.util.Arrays.copyOf(whole, whole.length / 2));
        assertThat(post("/backups/try", Map.of())).hasRedirectedUrl("/backups?tried=broken");
        assertThat(body(get("/"))).contains("could not be restored in the test");
        clock.after(Duration.ofHours(1), () -> {
            backups.ofToday();
            assertThat(body(get("/"))).as("until one can").contains("could not be restored in the test");
        });
        Files.write(newest, whole);
        assertThat(post("/backups/try", Map.of())).hasRedirectedUrl("/backups?tried=whole");
        assertThat(body(get("/"))).doesNotContain("could not be restored");
        nothingKept();
        assertThat(post("/backups/try", Map.of())).hasRedirectedUrl("/backups?tried=none");
        backups.keep(Backups.USUAL);
    }

    @Test
    void thePressGivesAWholeBackup() throws Exception {
        byte[] file = get("/backups/now.zip").getResponse().getContentAsByteArray();
        Path saved = Files.write(folder.resolve("now.zip"), file);
        try (ZipFile zip = new ZipFile(saved.toFile())) {
            assertThat(zip.getEntry("shop.jsonl").getSize()).isGreaterThan(10_000);
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
