package org.ulnaris.app.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Opens the shop, or says in one line why not. */
@Configuration
class StoreConfig {
    @Bean
    DataFolder dataFolder(@Value("${ulnaris.data}") String folder) {
        return new DataFolder(Path.of(folder));
    }

    /** Leaves word where this Ulnaris answers, so that a backup can be asked of it. */
    @Bean
    ApplicationListener<WebServerInitializedEvent> portOf(DataFolder folder) {
        return started -> {
            try {
                String port = Integer.toString(started.getWebServer().getPort());
                WholeFile.write(folder.port(), out -> out.write(port.getBytes(StandardCharsets.US_ASCII)));
                folder.prepare();
            } catch (IOException e) {
                throw new StoreException("the folder " + folder.path() + " can't be written", e);
            }
        };
    }

    /** A file that held a shop once and holds none now is damaged: it does not become a new one. */
    @Bean
    FlywayMigrationStrategy openThenMigrate(DataFolder folder) {
        return flyway -> {
            folder.prepare();
            folder.look();
            try (Connection connection = folder.open()) {
                connection.getMetaData();
            } catch (SQLException e) {
                throw folder.refused(e);
            }
            MigrationInfo[] applied = flyway.info().applied();
            if (applied.length == 0 && folder.marked()) {
                throw folder.damaged();
            }
            flyway.migrate();
            try {
                folder.sweep();
                folder.mark();
            } catch (IOException e) {
                throw new StoreException("the folder " + folder.path() + " can't be written", e);
            }
            folder.prepare();
        };
    }
}
