package org.ulnaris.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;
import org.springframework.util.FileSystemUtils;

/** The folder of a shop: nobody else reads it, and what lies in it is looked at before it is opened. */
public final class DataFolder {
    /** Name of the database in it; H2 adds its ending. */
    private static final String DATABASE = "ulnaris";

    /** Says that a shop was kept here: without its tables the file is damaged, not new. */
    private static final String MARK = "ulnaris.kept";

    /** Says that a backup is being brought back, and which; whoever does it holds a lock on it. */
    private static final String RESTORING = "ulnaris.restoring";

    /** Where it is made meanwhile. */
    private static final String BESIDE = "restoring";

    static final String USER = "ulnaris";

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
        return DriverManager.getConnection(url(), USER, "");
    }

    /** Where files of this run lie that nobody keeps: what is left there goes at the next start. */
    public Path scratch() {
        return folder.resolve("tmp");
    }

    /** Takes away what an earlier run left in {@link #scratch()}. */
    void sweep() throws IOException {
        FileSystemUtils.deleteRecursively(scratch());
        Files.createDirectories(scratch());
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
            WholeFile.write(
                    folder.resolve(MARK),
                    out -> out.write(
                            "A shop of Ulnaris is kept in this folder.\n".getBytes(StandardCharsets.US_ASCII)));
        }
    }

    /**
     * Begins to bring a backup back into this folder.
     *
     * @throws StoreException when somebody else is at it
     */
    Restoring restoring(Path file) {
        prepare();
        return new Restoring(file);
    }

    private static boolean isLocked(FileChannel mark) throws IOException {
        try {
            return mark.tryLock() == null;
        } catch (OverlappingFileLockException e) {
            return true;
        }
    }

    /** A backup that is being brought back: the folder is marked until it is there or given up. */
    final class Restoring implements AutoCloseable {
        private final FileChannel mark;
        private final DataFolder beside = new DataFolder(folder.resolve(BESIDE));

        private Restoring(Path file) {
            try {
                mark = FileChannel.open(folder.resolve(RESTORING), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                if (isLocked(mark)) {
                    mark.close();
                    throw new StoreException("another restore into " + folder + " is under way");
                }
                mark.truncate(0);
                mark.write(ByteBuffer.wrap(file.toAbsolutePath().toString().getBytes(StandardCharsets.UTF_8)));
                mark.force(true);
                FileSystemUtils.deleteRecursively(beside.path());
                beside.prepare();
            } catch (IOException e) {
                throw new StoreException("the folder " + folder + " can't be written: " + e.getMessage(), e);
            }
        }

        /** Where the database is made. */
        DataFolder beside() {
            return beside;
        }

        /** Gives the database, whole and closed, its place, and takes the mark away. */
        void takeOver() throws IOException {
            DataFolder.this.mark();
            WholeFile.rename(beside.database(), database());
            prepare();
            restored();
        }

        @Override
        public void close() throws IOException {
            mark.close();
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
        if (hasPermissions(path)) {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        }
    }

    private static boolean hasPermissions(Path path) {
        try {
            return Files.getFileStore(path).supportsFileAttributeView("posix");
        } catch (IOException e) {
            // In a container or a chroot a folder may have no mount point to ask.
            return Files.getFileAttributeView(path, PosixFileAttributeView.class) != null;
        }
    }

    /**
     * Looks at the file before it is opened, never later: whoever closes a file gives up the locks of the whole process on it.
     *
     * @throws StoreException when it can't be that of a shop
     */
    void look() {
        if (!hasShop()) {
            Path mark = folder.resolve(RESTORING);
            if (Files.exists(mark)) {
                throw new StoreException("a restore into " + folder
                        + " is under way or was cut short. Run it again: ./ulnaris restore " + named(mark) + " --data "
                        + folder + " (for an empty shop instead, remove " + mark + ")");
            }
            return;
        }
        byte[] begin = new byte[HEADER.length];
        try {
            restored();
        } catch (IOException e) {
            throw new StoreException("the folder " + folder + " can't be written: " + e.getMessage(), e);
        }
        try (InputStream in = Files.newInputStream(database())) {
            in.readNBytes(begin, 0, begin.length);
            if (Files.size(database()) < SMALLEST || !Arrays.equals(begin, HEADER) || isHollow()) {
                throw damaged();
            }
        } catch (IOException e) {
            throw new StoreException("the file " + database() + " can't be read: " + e.getMessage(), e);
        }
    }

    /** Whether nothing lies behind the header. Read only: to open it as a shop would make it one. */
    private boolean isHollow() {
        try (MVStore store =
                new MVStore.Builder().fileName(database().toString()).readOnly().open()) {
            return store.getMapNames().isEmpty();
        } catch (MVStoreException e) {
            return e.getErrorCode() != DataUtils.ERROR_FILE_LOCKED;
        }
    }

    /** Takes the marks of a restore away that is whole. */
    private void restored() throws IOException {
        FileSystemUtils.deleteRecursively(folder.resolve(BESIDE));
        Files.deleteIfExists(folder.resolve(RESTORING));
    }

    private static String named(Path mark) {
        try {
            String file = Files.readString(mark);
            return file.isBlank() ? "FILE" : file;
        } catch (IOException e) {
            return "FILE";
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
