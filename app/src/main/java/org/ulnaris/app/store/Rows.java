package org.ulnaris.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.h2.engine.Constants;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MappingIterator;
import tools.jackson.databind.json.JsonMapper;

/**
 * The rows of a shop as JSON lines: before the rows of a table its name and columns, each row a list of texts and nulls, after the tables
 * where each sequence goes on. Rows are data: names of tables and columns are compared with those of the database and never run.
 */
final class Rows {
    private static final int BATCH = 500;
    private static final int LONGEST_TEXT = 100_000_000;
    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(LONGEST_TEXT)
                            .build())
                    .build())
            .build();

    /** What is no row of the shop: the history of the tables, and what Hibernate makes for a moment. */
    private static final String OWN_TABLES = "table_schema = 'PUBLIC' and table_type = 'BASE TABLE'"
            + " and storage_type in ('CACHED', 'MEMORY') and table_name <> 'flyway_schema_history'";

    private Rows() {}

    private record Table(String table, List<String> columns) {}

    private record Sequence(String sequence, long next) {}

    /** Writes all rows as they stand at one moment, whoever edits meanwhile. */
    static void write(Connection connection, OutputStream out) throws SQLException, IOException {
        boolean autoCommit = connection.getAutoCommit();
        int isolation = connection.getTransactionIsolation();
        connection.setAutoCommit(false);
        connection.setTransactionIsolation(Constants.TRANSACTION_SNAPSHOT);
        try {
            for (Map.Entry<String, List<String>> table : tables(connection).entrySet()) {
                line(out, new Table(table.getKey(), table.getValue()));
                try (Statement statement = connection.createStatement();
                        ResultSet rows = statement.executeQuery(
                                "select " + quoted(table.getValue()) + " from " + quoted(table.getKey()))) {
                    while (rows.next()) {
                        List<@Nullable String> row = new ArrayList<>();
                        for (int i = 1; i <= table.getValue().size(); i++) {
                            row.add(rows.getString(i));
                        }
                        line(out, row);
                    }
                }
            }
            for (Map.Entry<String, Long> sequence : sequences(connection).entrySet()) {
                line(out, new Sequence(sequence.getKey(), sequence.getValue()));
            }
        } finally {
            connection.rollback();
            connection.setTransactionIsolation(isolation);
            connection.setAutoCommit(autoCommit);
        }
    }

    /**
     * Puts rows into the empty tables of a database.
     *
     * @throws StoreException when they are not the rows of these tables, without telling what they hold
     */
    static void read(InputStream in, Connection connection) throws SQLException {
        Map<String, List<String>> tables = tables(connection);
        Map<String, Long> sequences = sequences(connection);
        Set<String> seen = new HashSet<>();
        connection.setAutoCommit(false);
        integrity(connection, tables.keySet(), "FALSE");
        long at = 0;
        try (MappingIterator<JsonNode> lines = JSON.readerFor(JsonNode.class).readValues(in);
                Filling filling = new Filling(connection)) {
            while (lines.hasNext()) {
                JsonNode line = lines.next();
                at++;
                if (line.isArray()) {
                    filling.row(line, at);
                } else if (line.path("table").isString()) {
                    String table = line.path("table").asString();
                    if (!tables.containsKey(table) || !seen.add(table)) {
                        throw foreign(at);
                    }
                    filling.begin(table, tables.get(table), line.path("columns"), at);
                } else if (line.path("sequence").isString()
                        && line.path("next").canConvertToLong()
                        && line.path("next").asLong() > 0
                        && sequences.containsKey(line.path("sequence").asString())) {
                    run(
                            connection,
                            "alter sequence " + quoted(line.path("sequence").asString()) + " restart with "
                                    + line.path("next").asLong());
                } else {
                    throw foreign(at);
                }
            }
            filling.end();
        } catch (JacksonException e) {
            throw foreign(at + 1);
        } catch (SQLException e) {
            if (isOfData(e)) {
                throw foreign(at);
            }
            throw e;
        }
        if (!seen.equals(tables.keySet())) {
            throw new StoreException("tables of a shop are missing in it");
        }
        try {
            integrity(connection, tables.keySet(), "TRUE CHECK");
        } catch (SQLException e) {
            throw new StoreException("rows in it belong to rows that are not there");
        }
        connection.commit();
    }

    /** The table that is being filled. */
    private static final class Filling implements AutoCloseable {
        private final Connection connection;
        private @Nullable PreparedStatement insert;
        private int columns;
        private int waiting;

        Filling(Connection connection) {
            this.connection = connection;
        }

        void begin(String table, List<String> known, JsonNode named, long at) throws SQLException {
            end();
            List<String> order = named.valueStream().map(JsonNode::asString).toList();
            if (order.size() != known.size() || !new HashSet<>(order).equals(new HashSet<>(known))) {
                throw foreign(at);
            }
            columns = order.size();
            insert = connection.prepareStatement("insert into " + quoted(table) + " (" + quoted(order) + ") values ("
                    + order.stream().map(column -> "?").collect(Collectors.joining(", ")) + ")");
        }

        void row(JsonNode row, long at) throws SQLException {
            if (insert == null || row.size() != columns) {
                throw foreign(at);
            }
            for (int i = 0; i < columns; i++) {
                JsonNode value = row.get(i);
                if (!value.isNull() && !value.isString()) {
                    throw foreign(at);
                }
                insert.setString(i + 1, value.isNull() ? null : value.asString());
            }
            insert.addBatch();
            if (++waiting == BATCH) {
                insert.executeBatch();
                waiting = 0;
            }
        }

        void end() throws SQLException {
            if (insert != null) {
                insert.executeBatch();
                waiting = 0;
                insert.close();
                insert = null;
            }
        }

        @Override
        public void close() throws SQLException {
            if (insert != null) {
                insert.close();
            }
        }
    }

    /** Whether the database refuses a value or a row, as against a disk without room. */
    private static boolean isOfData(SQLException problem) {
        String state = String.valueOf(problem.getSQLState());
        return state.startsWith("22") || state.startsWith("23");
    }

    private static StoreException foreign(long line) {
        return new StoreException("what stands there as line " + line + " is no row of a shop");
    }

    /** The tables with their columns, computed ones left out. */
    private static Map<String, List<String>> tables(Connection connection) throws SQLException {
        Map<String, List<String>> tables = new LinkedHashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("select table_name, column_name from information_schema.columns"
                        + " where is_generated = 'NEVER' and table_name in (select table_name from information_schema.tables where "
                        + OWN_TABLES + ") and table_schema = 'PUBLIC' order by table_name, ordinal_position")) {
            while (rows.next()) {
                tables.computeIfAbsent(rows.getString(1), name -> new ArrayList<>())
                        .add(rows.getString(2));
            }
        }
        return tables;
    }

    private static Map<String, Long> sequences(Connection connection) throws SQLException {
        Map<String, Long> sequences = new LinkedHashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select sequence_name, base_value from information_schema.sequences"
                                + " where sequence_schema = 'PUBLIC' and sequence_name not like 'SYSTEM%' order by 1")) {
            while (rows.next()) {
                sequences.put(rows.getString(1), rows.getLong(2));
            }
        }
        return sequences;
    }

    private static void integrity(Connection connection, Set<String> tables, String state) throws SQLException {
        for (String table : tables) {
            run(connection, "alter table " + quoted(table) + " set referential_integrity " + state);
        }
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static String quoted(List<String> names) {
        return names.stream().map(Rows::quoted).collect(Collectors.joining(", "));
    }

    private static String quoted(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }

    private static void line(OutputStream out, Object value) throws IOException {
        out.write(JSON.writeValueAsString(value).getBytes(StandardCharsets.UTF_8));
        out.write('\n');
    }
}
