package org.ulnaris.app.store;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.HexFormat;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A whole shop in one file: a ZIP with the tables as SQL and a page that says what it is and what its checksum must be. It is read by this
 * version of Ulnaris and by later ones.
 */
public final class Backup {
    static final String FORMAT = "ulnaris-backup";

    private static final String ABOUT = "backup.json";
    private static final String TABLES = "shop.sql";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What the tables of a shop are made of, texts and names left out. */
    private static final Pattern STATEMENT = Pattern.compile(
            "(?is)\\s*(CREATE USER IF NOT EXISTS|CREATE SEQUENCE|CREATE (CACHED|MEMORY|GLOBAL TEMPORARY|CACHED LOCAL TEMPORARY) TABLE|CREATE (UNIQUE )?INDEX"
                    + "|INSERT INTO|ALTER TABLE|SET WRITE_DELAY|SET COLLATION)\\b.*|[\\s;]*");

    /** What reads and writes files, or runs as a program. */
    private static final Pattern MORE = Pattern.compile(
            "(?is).*\\b(SELECT|FILE_READ|FILE_WRITE|CSVREAD|CSVWRITE|LINK_SCHEMA|RUNSCRIPT|ALIAS|TRIGGER|LINKED|ENGINE|CALL)\\b.*");

    /** How H2 puts long texts together again: its own two functions, and nothing else under their names. */
    private static final Pattern LONG_TEXTS = Pattern.compile(
            "\\s*(CREATE ALIAS IF NOT EXISTS SYSTEM_COMBINE_[BC]LOB FOR 'org\\.h2\\.command\\.dml\\.ScriptCommand\\.combine[BC]lob'"
                    + "|DROP TABLE IF EXISTS SYSTEM_LOB_STREAM|DROP ALIAS IF EXISTS SYSTEM_COMBINE_[BC]LOB)\\s*;\\s*");

    private Backup() {}

    /**
     * What a backup says of itself.
     *
     * @param format always {@value #FORMAT}
     * @param schema version of the tables
     * @param madeAt when it was made
     * @param sha256 of the tables, in hexadecimal digits
     */
    public record About(String format, int schema, Instant madeAt, String sha256) {}

    /** Writes the shop behind {@code connection} to {@code file}, which takes the place of an older one when it is whole. */
    public static void write(Connection connection, Path file, Instant now) throws SQLException, IOException {
        Path folder = file.toAbsolutePath().getParent();
        Files.createDirectories(folder);
        Path tables = Files.createTempFile(folder, "backup", ".sql");
        Path whole = Files.createTempFile(folder, "backup", ".zip");
        try {
            try (PreparedStatement script = connection.prepareStatement("SCRIPT TO ? CHARSET 'UTF-8'")) {
                script.setString(1, tables.toString());
                script.execute();
            }
            About about = new About(FORMAT, schema(connection), now, sha256(Files.newInputStream(tables)));
            try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(whole))) {
                zip.putNextEntry(new ZipEntry(ABOUT));
                zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(about));
                zip.putNextEntry(new ZipEntry(TABLES));
                Files.copy(tables, zip);
            }
            Files.move(whole, file, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(tables);
            Files.deleteIfExists(whole);
        }
    }

    /** Version of the tables that this program knows: its last migration. */
    public static int newestSchema() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*__*.sql"))
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
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            String port = Files.exists(folder.port())
                    ? Files.readString(folder.port()).strip()
                    : "";
            if (!port.matches("[0-9]{1,5}")) {
                return false;
            }
            URI address = URI.create("http://127.0.0.1:" + port + "/backups/now.zip");
            HttpResponse<Path> answer = HttpClient.newHttpClient()
                    .send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofFile(part));
            boolean whole = answer.statusCode() == 200;
            if (whole) {
                Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            }
            return whole;
        } catch (ConnectException e) {
            return false;
        } catch (IOException e) {
            throw new StoreException("the backup can't be written to " + file + ": " + e.getMessage(), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } finally {
            remove(part);
        }
    }

    /**
     * Looks whether a backup is whole.
     *
     * @param newest version of the tables that this program knows
     * @throws StoreException saying what is wrong
     */
    public static About check(Path file, int newest) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            ZipEntry page = zip.getEntry(ABOUT);
            ZipEntry tables = zip.getEntry(TABLES);
            if (page == null || tables == null) {
                throw new StoreException(file + " is no backup of Ulnaris");
            }
            About about = JSON.readValue(zip.getInputStream(page), About.class);
            if (!FORMAT.equals(about.format())) {
                throw new StoreException(file + " is no backup of Ulnaris");
            }
            if (about.schema() > newest) {
                throw new StoreException(file + " was made by a newer Ulnaris: restore it with that one");
            }
            if (!about.sha256().equals(sha256(zip.getInputStream(tables)))) {
                throw new StoreException(file + " is damaged: its checksum is another. Take an earlier backup");
            }
            onlyTables(zip.getInputStream(tables), file);
            return about;
        } catch (ZipException | JacksonException e) {
            throw new StoreException(file + " is no backup of Ulnaris, or it is damaged: take another", e);
        } catch (IOException e) {
            throw new StoreException(file + " can't be read: " + e.getMessage(), e);
        }
    }

    private static boolean isOfTables(String statement) {
        String bare = bare(statement);
        return LONG_TEXTS.matcher(statement).matches()
                || (STATEMENT.matcher(bare).matches()
                        && !MORE.matcher(bare).matches()
                        && bare.indexOf(';') == bare.lastIndexOf(';'));
    }

    /** The statement without its texts and quoted names. */
    private static String bare(String statement) {
        StringBuilder bare = new StringBuilder();
        char within = 0;
        for (char c : statement.toCharArray()) {
            if (within == 0 && (c == '\'' || c == '"')) {
                within = c;
            } else if (within == c) {
                within = 0;
            } else if (within == 0) {
                bare.append(c);
            }
        }
        return bare.toString();
    }

    /** A statement ends with the line that ends with a semicolon outside of a text. */
    private static void onlyTables(InputStream tables, Path file) throws IOException {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(tables, StandardCharsets.UTF_8))) {
            StringBuilder statement = new StringBuilder();
            boolean quoted = false;
            String line = lines.readLine();
            while (line != null) {
                if (statement.length() > 0 || !(line.isBlank() || line.startsWith("--"))) {
                    statement.append(line).append('\n');
                    quoted ^= line.chars().filter(c -> c == '\'').count() % 2 == 1;
                    if (!quoted && line.stripTrailing().endsWith(";")) {
                        if (!isOfTables(statement.toString())) {
                            throw new StoreException(file + " holds more than tables of a shop; it is not restored");
                        }
                        statement.setLength(0);
                    }
                }
                line = lines.readLine();
            }
        }
    }

    /** Brings a backup into a folder that holds no shop. */
    public static About restore(Path file, DataFolder folder, int newest) {
        if (folder.hasShop()) {
            throw new StoreException("a shop is kept in " + folder.path()
                    + " already: restore into an empty folder, --data FOLDER, and start from there");
        }
        About about = check(file, newest);
        folder.prepare();
        Path tables = folder.path().resolve("restore.sql");
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Files.copy(zip.getInputStream(zip.getEntry(TABLES)), tables, StandardCopyOption.REPLACE_EXISTING);
            try (Connection connection = folder.open();
                    PreparedStatement run = connection.prepareStatement("RUNSCRIPT FROM ? CHARSET 'UTF-8'")) {
                run.setString(1, tables.toString());
                run.execute();
            }
            folder.mark();
            folder.prepare();
            return about;
        } catch (SQLException | IOException e) {
            remove(folder.database());
            throw new StoreException(file + " could not be restored: " + e.getMessage(), e);
        } finally {
            remove(tables);
        }
    }

    private static void remove(Path path) {
        try {
            Files.deleteIfExists(path);
        } catch (IOException e) {
            throw new StoreException(path + " can't be removed", e);
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
