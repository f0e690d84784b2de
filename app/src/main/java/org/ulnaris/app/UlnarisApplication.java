package org.ulnaris.app;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.annotation.Bean;
import org.ulnaris.app.store.Backup;
import org.ulnaris.app.store.DataFolder;
import org.ulnaris.app.store.StoreException;

/** Ulnaris: plan, match, make, prove and pack heavy direct-current cables. */
@SpringBootApplication
public class UlnarisApplication {
    /** The one clock: what a date or an hour is needed for asks this. */
    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }

    /** Serves a shop; or with {@code backup FILE FOLDER} or {@code restore FILE FOLDER} saves one that nobody has open, or brings it back. */
    public static void main(String[] args) {
        try {
            if (args.length == 3 && args[0].equals("backup")) {
                quiet();
                Backup.write(folder(args[2]), Path.of(args[1]), Instant.now(Clock.systemUTC()));
            } else if (args.length == 3 && args[0].equals("restore")) {
                quiet();
                Backup.restore(Path.of(args[1]), folder(args[2]), Backup.newestSchema());
            } else {
                SpringApplication.run(UlnarisApplication.class, args);
            }
        } catch (RuntimeException e) {
            System.err.println("ulnaris: " + why(e));
            System.exit(1);
        }
    }

    /** No log: what there is to say is one line. */
    private static void quiet() {
        LoggingSystem.get(UlnarisApplication.class.getClassLoader()).beforeInitialize();
    }

    private static DataFolder folder(String path) {
        return new DataFolder(Path.of(path));
    }

    /** One line for what a person can mend. */
    private static String why(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof StoreException) {
                return String.valueOf(cause.getMessage());
            }
            if (cause instanceof PortInUseException port) {
                return "port " + port.getPort() + " is in use: end what uses it, or take another with --port N";
            }
        }
        return "it did not start: " + problem;
    }
}
