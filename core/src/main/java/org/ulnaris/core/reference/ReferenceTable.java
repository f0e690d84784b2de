package org.ulnaris.core.reference;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Source;

/**
 * A published table shipped as a resource: four header lines ({@code # source: … # clause: … # units: … # confidence:
 * …}), a line of column names, then rows. Anything else stops loading, naming file and line.
 */
public final class ReferenceTable {
    private static final List<String> HEADER = List.of("source", "clause", "units", "confidence");

    private final String name;
    private final Map<String, String> header;
    private final List<Row> rows;

    private ReferenceTable(String name, Map<String, String> header, List<Row> rows) {
        this.name = name;
        this.header = Map.copyOf(header);
        this.rows = List.copyOf(rows);
    }

    /**
     * The table {@code reference/<name>} of this module.
     *
     * @throws BadTableException when it is missing or malformed
     */
    public static ReferenceTable load(String name) {
        try (InputStream in = ReferenceTable.class.getResourceAsStream("/reference/" + name)) {
            if (in == null) {
                throw new BadTableException(name, 0, "no such table");
            }
            return read(name, new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static ReferenceTable read(String name, InputStreamReader in) throws IOException {
        BufferedReader reader = new BufferedReader(in);
        Map<String, String> header = new LinkedHashMap<>();
        int lineNumber = 0;
        for (String key : HEADER) {
            String line = reader.readLine();
            lineNumber++;
            String prefix = "# " + key + ": ";
            if (line == null || !line.startsWith(prefix)) {
                throw new BadTableException(name, lineNumber, "expected '" + prefix + "…'; have '" + line + "'");
            }
            header.put(key, line.substring(prefix.length()));
        }
        List<Row> rows = new ArrayList<>();
        List<String> columns = List.of();
        String line;
        while ((line = reader.readLine()) != null) {
            lineNumber++;
            List<String> cells = List.of(line.split(",", -1));
            if (columns.isEmpty()) {
                columns = cells;
            } else if (cells.size() != columns.size()) {
                throw new BadTableException(name, lineNumber, "expected " + columns.size() + " cells: '" + line + "'");
            } else {
                rows.add(new Row(name, lineNumber, columns, cells));
            }
        }
        if (rows.isEmpty()) {
            throw new BadTableException(name, lineNumber, "no rows");
        }
        return new ReferenceTable(name, header, rows);
    }

    public List<Row> rows() {
        return rows;
    }

    /** Names of all columns but the first. */
    public List<String> valueColumns() {
        List<String> columns = rows.get(0).columns;
        return columns.subList(1, columns.size());
    }

    /** Publication, clause and confidence as the header states them. */
    public Source source() {
        String confidence = header("confidence");
        Confidence level = Confidence.RECALLED_MEDIUM;
        if (confidence.startsWith("high")) {
            level = Confidence.RECALLED_HIGH;
        } else if (confidence.startsWith("invented")) {
            level = Confidence.OWN_MODEL;
        }
        return new Source(header("source"), header("clause"), level);
    }

    private String header(String key) {
        String value = header.get(key);
        if (value == null) {
            throw new BadTableException(name, 0, "no header " + key);
        }
        return value;
    }

    /** One line of a table. */
    public static final class Row {
        private final String table;
        private final int line;
        private final List<String> columns;
        private final List<String> cells;

        Row(String table, int line, List<String> columns, List<String> cells) {
            this.table = table;
            this.line = line;
            this.columns = columns;
            this.cells = cells;
        }

        /** The cell's text, possibly empty. */
        public String text(String column) {
            int index = columns.indexOf(column);
            if (index < 0) {
                throw new BadTableException(table, line, "no column '" + column + "'");
            }
            return cells.get(index).strip();
        }

        /** The cell's number; it must be there. */
        public double number(String column) {
            return optionalNumber(column)
                    .orElseThrow(() -> new BadTableException(table, line, "empty cell in '" + column + "'"));
        }

        /** The cell's number, or nothing where the table has a gap. */
        public OptionalDouble optionalNumber(String column) {
            String text = text(column);
            if (text.isEmpty()) {
                return OptionalDouble.empty();
            }
            Double value = finite(text);
            if (value == null) {
                throw new BadTableException(table, line, "not a number in '" + column + "': '" + text + "'");
            }
            return OptionalDouble.of(value);
        }

        private static @Nullable Double finite(String text) {
            try {
                double value = Double.parseDouble(text);
                return Math.abs(value) <= Double.MAX_VALUE ? value : null;
            } catch (NumberFormatException e) {
                return null;
            }
        }
    }
}
