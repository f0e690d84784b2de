package org.ulnaris.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.h2.api.ErrorCode;

/** The folder of a shop: nobody else reads it, and what lies in it is looked at before it is opened. */
public final class DataFolder {
    /** Name of the database in it; H2 adds its ending. */
    private static final String DATABASE = "ulnaris";

    /** Says that a shop was kept here: without its tables the file is damaged, not new. */
    private static final String MARK = "ulnaris.kept";

    private static final int SMALLEST = 4096;
    private static final byte[] HEADER = "H:2,".getBytes(StandardCharsets.US_ASCII);

    private final Path folder;

    public DataFolder(Path folder) {
        this.folder = folder.toAbsolutePath().normalize();
    }

    public Path path() {
        return folder;
    }

    Path database() {
        return folder.resolve(DATABASE + ".mv.db");
    }

    /** What H2 calls the database. */
    String url() {
        return "jdbc:h2:file:" + folder.resolve(DATABASE) + ";WRITE_DELAY=0;TRACE_LEVEL_FILE=0";
    }

    /** A connection to the database, made where there is none. */
    Connection open() throws SQLException {
        return DriverManager.getConnection(url(), "ulnaris", "");
    }

    Path backups() {
        return folder.resolve("backups");
    }

    /** Where the Ulnaris that has the shop open answers; nothing where none does. */
    Path port() {
        return folder.resolve("ulnaris.port");
    }

    boolean hasShop() {
        return Files.exists(database());
    }

    boolean marked() {
        return Files.exists(folder.resolve(MARK));
    }

    void mark() throws IOException {
        if (!marked()) {
            Files.writeString(folder.resolve(MARK), "A shop of Ulnaris is kept in this folder.\n");
        }
    }

    /** Makes the folder, and closes it and all in it to others. */
    public void prepare() {
        try {
            Files.createDirectories(folder);
            closed(folder, "rwx------");
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file : files.toList()) {
                    closed(file, Files.isDirectory(file) ? "rwx------" : "rw-------");
                }
            }
        } catch (IOException e) {
            throw new StoreException("the folder " + folder + " can't be used: " + e.getMessage(), e);
        }
    }

    private static void closed(Path path, String permissions) throws IOException {
        if (Files.getFileStore(path).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        }
    }

    /**
     * Looks at the file before it is opened, never later: whoever closes a file gives up the locks of the whole process on it.
     *
     * @throws StoreException when it can't be that of a shop
     */
    void look() {
        if (!hasShop()) {
            return;
        }
        byte[] begin = new byte[HEADER.length];
        try (InputStream in = Files.newInputStream(database())) {
            in.readNBytes(begin, 0, begin.length);
            if (Files.size(database()) < SMALLEST || !Arrays.equals(begin, HEADER)) {
                throw damaged();
            }
        } catch (IOException e) {
            throw new StoreException("the file " + database() + " can't be read: " + e.getMessage(), e);
        }
    }

    StoreException damaged() {
        return new StoreException("the file of the shop, " + database()
                + ", is damaged or empty. Keep it, and bring a backup back into another folder: ./ulnaris restore FILE --data"
                + " FOLDER (backups are kept in " + backups() + ")");
    }

    /** What keeps the shop from being opened, in one line. */
    StoreException refused(SQLException problem) {
        List<Integer> damaged = List.of(
                ErrorCode.FILE_CORRUPTED_1,
                ErrorCode.IO_EXCEPTION_1,
                ErrorCode.IO_EXCEPTION_2,
                ErrorCode.FILE_VERSION_ERROR_1,
                ErrorCode.GENERAL_ERROR_1);
        if (problem.getErrorCode() == ErrorCode.DATABASE_ALREADY_OPEN_1) {
            return new StoreException("another Ulnaris already has the shop in " + folder
                    + " open. Use that one, end it first, or take another folder: --data FOLDER");
        }
        return damaged.contains(problem.getErrorCode())
                ? damaged()
                : new StoreException("the shop in " + folder + " can't be opened: " + problem.getMessage());
    }
}
