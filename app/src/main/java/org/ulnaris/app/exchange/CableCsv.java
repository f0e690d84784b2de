package org.ulnaris.app.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableField;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.CleanText;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.JobLimits;

/** Cables as CSV: docs/formats/cables.md. */
public final class CableCsv {
    /** Columns by the name of their field. */
    static final Map<String, String> COLUMNS = columns();

    /** A column that tables written before strands of other metals have. */
    private static final String TINNED = "tinned";

    private static final List<String> REQUIRED = CableField.keys(CableField.Trait.NEEDED);
    /** Columns in which an empty cell of a cable that is there already means that nothing is said. */
    private static final Set<String> MAY_BE_EMPTY = CableField.ALL.stream()
            .filter(CableField::emptySays)
            .map(CableField::key)
            .collect(Collectors.toUnmodifiableSet());

    private CableCsv() {}

    private static Map<String, String> columns() {
        Map<String, String> columns = new LinkedHashMap<>();
        CableField.ALL.forEach(field -> columns.put(field.key(), field.column()));
        return columns;
    }

    /**
     * A fault in a file.
     *
     * @param row line of the table, the header being 1; 0 for the whole file
     * @param column its name; empty for the whole row
     */
    public record FileFault(long row, String column, Fault fault) {}

    /**
     * A cable of a file.
     *
     * @param id the cable of the job that bears its tag and is changed; null for a new one
     * @param same whether it is as the job has it already
     */
    public record Row(@Nullable Long id, CableDetails cable, boolean same) {}

    /** What a file holds: cables, or what is wrong with it. */
    public record Parsed(List<Row> rows, List<FileFault> faults) {}

    /**
     * What a file is read into.
     *
     * @param cables those of the job
     * @param used tags of all else in the job, folded
     * @param terminals of its equipment
     */
    public record Into(JobDetails job, List<Cable> cables, Set<String> used, Set<String> terminals) {}

    /** All cables of a job as CSV: UTF-8, comma, decimal point, SI units written out. */
    public static String write(List<CableDetails> cables) {
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(COLUMNS.values().toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (CableDetails cable : cables) {
                Map<String, String> texts = CableReader.texts(cable, new Fmt(Units.METRIC));
                printer.printRecord(COLUMNS.keySet().stream()
                        .map(field -> CsvText.neutral(texts.getOrDefault(field, "")))
                        .toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** Reads a file; a row with the tag of a cable that is there already changes that. */
    public static Parsed read(String text, Into into) {
        List<FileFault> faults = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(CsvText.body(text)), CsvText.format(text))) {
            List<CSVRecord> records = parser.getRecords();
            if (records.size() < 2 || records.size() > JobLimits.MOST_CABLES + 1) {
                faults.add(whole(
                        Fault.Code.OUT_OF_RANGE, Expected.of("first-row"), Expected.of("rows", JobLimits.MOST_CABLES)));
                return new Parsed(List.of(), faults);
            }
            List<String> fields = header(records.get(0), faults);
            if (faults.isEmpty()) {
                Map<String, Cable> byTag = new HashMap<>();
                into.cables()
                        .forEach(cable -> byTag.put(Tags.fold(cable.details().tag()), cable));
                Set<String> tags = new HashSet<>(into.used());
                for (CSVRecord record : records.subList(1, records.size())) {
                    Map<String, String> named = cells(record, fields, false);
                    Cable known = byTag.get(Tags.fold(CleanText.line(named.getOrDefault("tag", ""))));
                    Map<String, String> typed = cells(record, fields, known != null);
                    Entries entries = new Entries(typed, into.job().units());
                    Row row = row(typed, entries, into, known);
                    if (entries.clean() && !tags.add(Tags.fold(row.cable().tag()))) {
                        entries.fault("tag", Fault.Code.TAKEN);
                    }
                    if (record.size() > fields.size()) {
                        entries.fault("", Fault.Code.TOO_LONG, Expected.of("cells", fields.size()));
                    }
                    entries.faults()
                            .forEach((field, fault) -> faults.add(
                                    new FileFault(record.getRecordNumber(), COLUMNS.getOrDefault(field, ""), fault)));
                    rows.add(row);
                }
            }
            long fresh = rows.stream().filter(row -> row.id() == null).count();
            if (into.cables().size() + fresh > JobLimits.MOST_CABLES) {
                faults.add(whole(Fault.Code.OUT_OF_RANGE, "0", Expected.of("cables-in-job", JobLimits.MOST_CABLES)));
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(whole(Fault.Code.NOT_A_NUMBER, Expected.of("closed-quotes")));
        }
        return new Parsed(List.copyOf(rows), List.copyOf(faults));
    }

    private static FileFault whole(Fault.Code code, Object... parts) {
        return new FileFault(0, "", Fault.of(code, "", parts));
    }

    private static List<String> header(CSVRecord record, List<FileFault> faults) {
        List<String> fields = new ArrayList<>();
        for (String cell : record) {
            String name = cell.strip().toLowerCase(Locale.ROOT).replace(' ', '_');
            String field = COLUMNS.entrySet().stream()
                    .filter(column -> column.getValue().equals(name))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse(name.equals(TINNED) ? TINNED : null);
            if (field == null || fields.contains(field)) {
                faults.add(new FileFault(
                        1, cell, Fault.of(Fault.Code.UNKNOWN_CHOICE, cell, String.join(", ", COLUMNS.values()))));
            } else {
                fields.add(field);
            }
        }
        for (String required : REQUIRED) {
            if (!fields.contains(required)) {
                faults.add(new FileFault(1, required, Fault.of(Fault.Code.EMPTY, "", Expected.of("column", required))));
            }
        }
        return fields;
    }

    private static Map<String, String> cells(CSVRecord record, List<String> fields, boolean known) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (int i = 0; i < fields.size(); i++) {
            String field = fields.get(i);
            String cell = i < record.size() ? CsvText.original(record.get(i)) : "";
            if (!cell.isBlank() || REQUIRED.contains(field) || (known && MAY_BE_EMPTY.contains(field))) {
                typed.put(field, cell);
            }
        }
        return typed;
    }

    /** The cable of a row over the one that bears its tag, or a fresh one; its faults stay in {@code entries}. */
    private static Row row(Map<String, String> typed, Entries entries, Into into, @Nullable Cable known) {
        CableDetails standing = known == null ? CableDetails.fresh(into.job(), "") : known.details();
        Set<String> terminals = new HashSet<>(into.terminals());
        for (String end : List.of("from", "to")) {
            Terminal.read(typed.getOrDefault(end, "").strip())
                    .ifPresent(terminal -> terminals.add(terminal.toString()));
        }
        if (standing.currentFromLoads()) {
            terminals.add(standing.fromPoint());
            terminals.add(standing.toPoint());
        }
        CableDetails cable = CableReader.read(entries, typed, standing, terminals);
        return new Row(known == null ? null : known.id(), cable, known != null && cable.equals(standing));
    }
}
