package org.ulnaris.app.store;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Objects;

/** Files that are there whole or not at all: written beside, synced to the disk, renamed. */
final class WholeFile {
    private WholeFile() {}

    /** Writes what a file holds. */
    @FunctionalInterface
    interface Content {
        void to(OutputStream out) throws IOException;
    }

    /** Makes {@code file}, in the place of an older one. A folder of its own that is missing is made. */
    static void write(Path file, Content content) throws IOException {
        Path folder = folder(file);
        Files.createDirectories(folder);
        Path beside = Files.createTempFile(folder, file.getFileName().toString(), ".part");
        try {
            try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE);
                    OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel))) {
                content.to(out);
                out.flush();
                channel.force(true);
            }
            rename(beside, file);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /** Gives a whole file its place, in one step that outlives a power cut. */
    static void rename(Path whole, Path file) throws IOException {
        sync(whole);
        Files.move(whole, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        sync(folder(file));
    }

    static Path folder(Path file) {
        return Objects.requireNonNull(file.toAbsolutePath().getParent());
    }

    private static void sync(Path path) throws IOException {
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }
}
