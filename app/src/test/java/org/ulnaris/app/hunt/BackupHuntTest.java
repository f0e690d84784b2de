package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.store.Backup;
import org.ulnaris.app.store.Backups;
import org.ulnaris.app.store.CraftedBackup;
import org.ulnaris.app.store.DataFolder;
import org.ulnaris.app.store.StoreException;

/**
 * Backups with odd rows and the checksum that belongs to them: refused in one line that prints nothing of the shop, with nothing left behind, or
 * restored whole.
 */
class BackupHuntTest extends Hunt {
    private static final List<String> ODD_CELLS = List.of(
            "null",
            "true",
            "-1",
            "0",
            "1e308",
            "1e400",
            "9223372036854775808",
            "\"SECRET\"",
            "\"\"",
            "[]",
            "{\"SECRET\":1}",
            "\"2026-02-30\"",
            "\"" + "x".repeat(100_000) + "\"",
            "\"\\u0000\"",
            "'SECRET'",
            "}",
            "]");

    @TempDir
    private Path folder;

    @Autowired
    private Backups backups;

    @Test
    void anOddBackupIsRefusedOrRestoredWhole() throws Exception {
        aSmallJob();
        Path mine = folder.resolve("shop.zip");
        Files.move(backups.now(), mine, StandardCopyOption.REPLACE_EXISTING);
        List<String> whole = CraftedBackup.lines(mine);
        int refused = 0;
        for (long sequence = 0; sequence < sequences(8); sequence++) {
            trail.clear();
            List<String> lines = new ArrayList<>(whole);
            for (int change = random.nextInt(3); change >= 0; change--) {
                change(lines);
            }
            DataFolder other = new DataFolder(folder.resolve("other-" + sequence));
            Path file = CraftedBackup.of(folder, lines);
            try {
                Backup.restore(file, other, Backup.newestSchema());
                Path again = folder.resolve("again.zip");
                Backup.write(other, again, clock.instant());
                assertThat(Backup.check(again, Backup.newestSchema()))
                        .as("after " + trail)
                        .isNotNull();
            } catch (StoreException e) {
                refused++;
                assertThat(e.getMessage())
                        .as("after " + trail)
                        .doesNotContain("SECRET", "\n")
                        .hasSizeLessThan(600);
                assertThat(Files.exists(folder.resolve("other-" + sequence).resolve("ulnaris.mv.db")))
                        .as("left after " + trail)
                        .isFalse();
            }
        }
        assertThat(refused).isPositive();
    }

    /** A line gone, twice or elsewhere, or another value in one of its places. */
    private void change(List<String> lines) {
        int at = random.nextInt(lines.size());
        String line = lines.get(at);
        String odd = any(ODD_CELLS);
        switch (random.nextInt(6)) {
            case 0 -> lines.remove(at);
            case 1 -> lines.add(at, line);
            case 2 -> Collections.swap(lines, at, random.nextInt(lines.size()));
            case 3 -> lines.set(at, line.substring(0, random.nextInt(line.length() + 1)));
            default -> {
                String[] cells = line.split(",", -1);
                int cell = random.nextInt(cells.length);
                cells[cell] = (cell == 0 && line.startsWith("[") ? "[" : "")
                        + odd
                        + (cell == cells.length - 1 && line.endsWith("]") ? "]" : "");
                lines.set(at, String.join(",", cells));
            }
        }
        trail.add(shortened(line) + " → " + shortened(odd));
    }
}
