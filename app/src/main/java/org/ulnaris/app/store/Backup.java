package org.ulnaris.app.store;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.HexFormat;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A whole shop in one file: a ZIP with the rows of its tables as JSON lines and a page that says what it is and what its checksum must be.
 * It is read by this version of Ulnaris and by later ones, as data: nothing in it is run.
 */
public final class Backup {
    static final String FORMAT = "ulnaris-backup";

    private static final String ABOUT = "backup.json";
    private static final String ROWS = "shop.jsonl";
    private static final String MIGRATIONS = "classpath:db/migration";
    private static final int OK = 200;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** The tables as SQL, as they were kept before: a crafted file could have commands in it. */
    private static final String COMMANDS = "shop.sql";

    private Backup() {}

    /**
     * What a backup says of itself.
     *
     * @param format always {@value #FORMAT}
     * @param schema version of the tables, made anew by the program when they are restored
     * @param madeAt when it was made
     * @param sha256 of the rows, in hexadecimal digits
     */
    public record About(
            String format,
            int schema,
            Instant madeAt,
            @Nullable String sha256) {}

    /** Writes the shop behind {@code connection} to {@code file}, which takes the place of an older one when it is whole. */
    public static void write(Connection connection, Path file, Instant now) throws SQLException, IOException {
        Path folder = WholeFile.folder(file);
        Files.createDirectories(folder);
        Path rows = Files.createTempFile(folder, "backup", ".part");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(rows))) {
                Rows.write(connection, out);
            }
            About about = new About(FORMAT, schema(connection), now, sha256(Files.newInputStream(rows)));
            WholeFile.write(file, out -> {
                ZipOutputStream zip = new ZipOutputStream(out);
                zip.putNextEntry(new ZipEntry(ABOUT));
                zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(about));
                zip.putNextEntry(new ZipEntry(ROWS));
                Files.copy(rows, zip);
                zip.finish();
            });
        } finally {
            Files.deleteIfExists(rows);
        }
    }

    /** Version of the tables that this program knows: its last migration. */
    public static int newestSchema() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources(MIGRATIONS + "/V*__*.sql"))
                    .map(Resource::getFilename)
                    .mapToInt(name -> Integer.parseInt(name.substring(1, name.indexOf("__"))))
                    .max()
                    .orElseThrow();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int schema(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select max(cast(\"version\" as integer)) from \"flyway_schema_history\" where \"success\"")) {
            rows.next();
            return rows.getInt(1);
        }
    }

    /** The shop of a folder to {@code file}, asked of the Ulnaris that has it open where one does. */
    public static void write(DataFolder folder, Path file, Instant now) {
        if (!folder.hasShop()) {
            throw new StoreException("no shop is kept in " + folder.path());
        }
        if (asked(folder, file)) {
            return;
        }
        folder.look();
        try (Connection connection = folder.open()) {
            write(connection, file, now);
        } catch (SQLException e) {
            throw folder.refused(e);
        } catch (IOException e) {
            throw new StoreException("the backup can't be written to " + file + ": " + e.getMessage(), e);
        }
    }

    private static boolean asked(DataFolder folder, Path file) {
        try {
            String port = Files.exists(folder.port())
                    ? Files.readString(folder.port()).strip()
                    : "";
            if (!port.matches("[0-9]{1,5}")) {
                return false;
            }
            URI address = URI.create("http://127.0.0.1:" + port + "/backups/now.zip");
            HttpResponse<InputStream> answer = HttpClient.newHttpClient()
                    .send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream body = answer.body()) {
                if (answer.statusCode() != OK) {
                    return false;
                }
                WholeFile.write(file, body::transferTo);
                return true;
            }
        } catch (ConnectException e) {
            return false;
        } catch (IOException e) {
            throw new StoreException("the backup can't be written to " + file + ": " + e.getMessage(), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /**
     * What a file says of itself; it may be damaged all the same.
     *
     * @throws StoreException when it is no backup
     */
    static About about(Path file) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            ZipEntry page = zip.getEntry(ABOUT);
            if (zip.getEntry(COMMANDS) != null) {
                throw new StoreException(file + " was made by an earlier Ulnaris, as commands; those are no longer run."
                        + " Restore it with that version, and take a backup of its shop with this one");
            }
            if (page == null || zip.getEntry(ROWS) == null) {
                throw new StoreException(file + " is no backup of Ulnaris");
            }
            About about = JSON.readValue(zip.getInputStream(page), About.class);
            if (about == null || !FORMAT.equals(about.format()) || about.schema() < 1 || about.madeAt() == null) {
                throw new StoreException(file + " is no backup of Ulnaris");
            }
            return about;
        } catch (NoSuchFileException e) {
            throw new StoreException(file + " is not there", e);
        } catch (ZipException | JacksonException e) {
            throw new StoreException(file + " is no backup of Ulnaris, or it is cut or damaged: take another", e);
        } catch (IOException e) {
            throw new StoreException(file + " can't be read: " + e.getMessage(), e);
        }
    }

    /**
     * Looks whether a backup is whole.
     *
     * @param newest version of the tables that this program knows
     * @throws StoreException saying what is wrong
     */
    public static About check(Path file, int newest) {
        About about = about(file);
        if (about.schema() > newest) {
            throw new StoreException(file + " was made by a newer Ulnaris: restore it with that one");
        }
        if (about.sha256() == null) {
            throw new StoreException(
                    file + " has no checksum, so nobody can say whether it is whole. Take another backup");
        }
        try (ZipFile zip = new ZipFile(file.toFile())) {
            if (!about.sha256().equals(sha256(zip.getInputStream(zip.getEntry(ROWS))))) {
                throw new StoreException(file + " is damaged: its checksum is another. Take an earlier backup");
            }
            return about;
        } catch (IOException e) {
            throw new StoreException(file + " is damaged: " + e.getMessage() + ". Take an earlier backup", e);
        }
    }

    /**
     * Brings a backup into a folder that holds no shop, whole or not at all: the database is made beside, and takes its place in one step.
     * One that was cut short is begun anew.
     */
    public static About restore(Path file, DataFolder folder, int newest) {
        if (folder.hasShop()) {
            throw new StoreException("a shop is kept in " + folder.path()
                    + " already: restore into an empty folder, --data FOLDER, and start from there");
        }
        About about = check(file, newest);
        try (DataFolder.Restoring restoring = folder.restoring(file)) {
            build(file, about, restoring.beside());
            restoring.takeOver();
            return about;
        } catch (IOException e) {
            throw new StoreException(file + " could not be restored: " + e.getMessage(), e);
        }
    }

    /** Builds the shop of a backup that was looked at, in a folder of its own. */
    static void build(Path file, About about, DataFolder empty) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Flyway.configure()
                    .dataSource(empty.url(), DataFolder.USER, "")
                    .locations(MIGRATIONS)
                    .target(Integer.toString(about.schema()))
                    .load()
                    .migrate();
            try (Connection connection = empty.open()) {
                Rows.read(zip.getInputStream(zip.getEntry(ROWS)), connection);
            }
        } catch (StoreException e) {
            throw new StoreException(file + " is not restored: " + e.getMessage(), e);
        } catch (SQLException | FlywayException e) {
            throw new IOException(e);
        }
    }

    private static String sha256(InputStream in) throws IOException {
        try (DigestInputStream digested = new DigestInputStream(in, MessageDigest.getInstance("SHA-256"))) {
            digested.transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(digested.getMessageDigest().digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
