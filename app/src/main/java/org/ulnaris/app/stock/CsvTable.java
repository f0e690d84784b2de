package org.ulnaris.app.stock;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Units;

/**
 * Parts of a catalogue as CSV, one a row, their fields in named columns; a file is taken whole or not at all. What has to be said and
 * starts from nothing has its column in every file.
 *
 * @param fields of a part
 * @param also further fields whose columns must be there
 */
record CsvTable<R extends Record>(FormFields<R> fields, Set<String> also) {
    private static final int MOST_ROWS = 2000;
    private static final Fmt FMT = new Fmt(Units.METRIC);

    static final FileFault NOT_UTF_8 =
            new FileFault(0, "", Fault.of(Fault.Code.NOT_A_NUMBER, "", Expected.of("utf-8")));

    /**
     * A fault in a file.
     *
     * @param row line of the table, the header being 1; 0 for the whole file
     * @param column its name; empty for the whole row
     */
    public record FileFault(long row, String column, Fault fault) {}

    /**
     * What a file holds.
     *
     * @param parts the parts; none when there are faults
     */
    record Read<T>(List<T> parts, List<FileFault> faults) {}

    /** A code as it is compared with others. */
    static String fold(String code) {
        return code.toUpperCase(Locale.ROOT);
    }

    private Map<String, String> columns() {
        return fields.byColumn();
    }

    private boolean isRequired(FormFields.Field field) {
        boolean unsaid =
                fields.texts(fields.fresh(), FMT).getOrDefault(field.key(), "").isEmpty();
        return also.contains(field.key()) || unsaid && !field.kind().mayBeEmpty();
    }

    /** The table of {@code parts}. */
    String write(List<R> parts) {
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(columns().keySet().toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (R part : parts) {
                printer.printRecord(fields.texts(part, FMT).values().stream()
                        .map(CsvText::neutral)
                        .toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /**
     * Reads a file, each row by {@code reader}; {@code code} tells parts apart. A column that the file does not have stands as it is in
     * the part {@code known} by its code, else as in a fresh one.
     */
    <T> Read<T> read(
            String text,
            Function<String, @Nullable Map<String, String>> known,
            Function<Entries, Optional<T>> reader,
            Function<T, String> code) {
        List<FileFault> faults = new ArrayList<>();
        List<T> parts = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(CsvText.body(text)), CsvText.format(text))) {
            List<CSVRecord> records = parser.getRecords();
            if (records.size() < 2 || records.size() > MOST_ROWS + 1) {
                faults.add(new FileFault(
                        0,
                        "",
                        Fault.of(
                                Fault.Code.OUT_OF_RANGE,
                                "",
                                Expected.of("first-row"),
                                Expected.of("rows", MOST_ROWS))));
                return new Read<>(List.of(), faults);
            }
            List<String> sent = header(records.get(0), faults);
            Set<String> codes = new HashSet<>();
            for (CSVRecord record : faults.isEmpty() ? records.subList(1, records.size()) : List.<CSVRecord>of()) {
                Entries entries = new Entries(cells(record, sent, known), Units.METRIC);
                Optional<T> part = reader.apply(entries);
                if (part.isPresent() && !codes.add(fold(code.apply(part.get())))) {
                    entries.fault("code", Fault.Code.TAKEN);
                }
                entries.faults()
                        .forEach((field, fault) ->
                                faults.add(new FileFault(record.getRecordNumber(), column(field), fault)));
                part.ifPresent(parts::add);
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(new FileFault(0, "", Fault.of(Fault.Code.NOT_A_NUMBER, "", Expected.of("closed-quotes"))));
        }
        return new Read<>(faults.isEmpty() ? parts : List.of(), faults);
    }

    private Map<String, String> cells(
            CSVRecord record, List<String> sent, Function<String, @Nullable Map<String, String>> known) {
        Map<String, String> fresh = fields.texts(fields.fresh(), FMT);
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < sent.size(); i++) {
            String cell = i < record.size() ? CsvText.original(record.get(i)) : "";
            typed.put(sent.get(i), cell.isBlank() ? fresh.getOrDefault(sent.get(i), "") : cell);
        }
        Map<String, String> standing =
                known.apply(typed.getOrDefault("code", "").strip());
        (standing == null ? fresh : standing).forEach(typed::putIfAbsent);
        return typed;
    }

    private List<String> header(CSVRecord record, List<FileFault> faults) {
        Map<String, String> columns = columns();
        List<String> sent = new ArrayList<>();
        for (String cell : record) {
            String field = columns.get(cell.strip().toLowerCase(Locale.ROOT).replace(' ', '_'));
            if (field == null || sent.contains(field)) {
                faults.add(new FileFault(
                        1, cell, Fault.of(Fault.Code.UNKNOWN_CHOICE, cell, String.join(", ", columns.keySet()))));
            } else {
                sent.add(field);
            }
        }
        for (FormFields.Field field : fields.fields()) {
            if (isRequired(field) && !sent.contains(field.key()) && faults.isEmpty()) {
                faults.add(new FileFault(
                        1, field.column(), Fault.of(Fault.Code.EMPTY, "", Expected.of("column", field.column()))));
            }
        }
        return sent;
    }

    private String column(String key) {
        return fields.fields().stream()
                .filter(field -> field.key().equals(key))
                .map(FormFields.Field::column)
                .findFirst()
                .orElse("");
    }
}
