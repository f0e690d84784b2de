package org.ulnaris.app.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/** Backups as somebody could make them by hand. */
public final class CraftedBackup {
    private CraftedBackup() {}

    /** The lines of a backup's rows. */
    public static List<String> lines(Path backup) throws IOException {
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            return new String(zip.getInputStream(zip.getEntry("shop.jsonl")).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        }
    }

    /** A backup of any rows, with the checksum that they have. */
    public static Path of(Path folder, List<String> lines) throws IOException, NoSuchAlgorithmException {
        byte[] rows = String.join("\n", lines).getBytes(StandardCharsets.UTF_8);
        String sum =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(rows));
        return zipped(
                folder,
                "{\"format\":\"ulnaris-backup\",\"schema\":" + Backup.newestSchema()
                        + ",\"madeAt\":\"2026-01-01T00:00:00Z\",\"sha256\":\"" + sum + "\"}",
                "shop.jsonl",
                rows);
    }

    static Path zipped(Path folder, String about, String name, byte[] rows) throws IOException {
        Path file = folder.resolve("crafted.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            zip.putNextEntry(new ZipEntry("backup.json"));
            zip.write(about.getBytes(StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry(name));
            zip.write(rows);
        }
        return file;
    }
}
