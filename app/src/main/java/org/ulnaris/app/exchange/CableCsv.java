package org.ulnaris.app.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;

/** Cables as CSV: docs/formats/cables.md. */
public final class CableCsv {
    /** Columns by the name of their field. */
    static final Map<String, String> COLUMNS = columns();

    /** A column that tables written before strands of other metals have. */
    private static final String TINNED = "tinned";

    private static final List<String> REQUIRED = List.of("tag", "current", "length");
    private static final int MOST_ROWS = 1000;

    private CableCsv() {}

    private static Map<String, String> columns() {
        Map<String, String> columns = new LinkedHashMap<>();
        for (String field : List.of(
                "tag", "from", "to", "polarity", "current", "length", "drop", "insulation", "ambient", "terminal")) {
            columns.put(field, field);
        }
        columns.put("engineSpace", "engine_space");
        for (String field : List.of("bundled", "series", "strands", "slack", "clock")) {
            columns.put(field, field);
        }
        columns.put("outer", "outer_diameter");
        columns.put("size", "size");
        columns.put("joints", "extra_joints");
        columns.put("bend", "bend_radius");
        columns.put("conduit", "conduit");
        columns.put("walled", "in_wall");
        columns.put("material", "insulation_of");
        return columns;
    }

    /**
     * A fault in a file.
     *
     * @param row line of the table, the header being 1; 0 for the whole file
     * @param column its name; empty for the whole row
     */
    public record FileFault(long row, String column, Fault fault) {}

    /** What a file holds: cables, or what is wrong with it. */
    public record Parsed(List<CableDetails> cables, List<FileFault> faults) {}

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

    /** Reads a file for {@code job}, which has the tags {@code taken}, folded, already. */
    public static Parsed read(String text, Job job, Set<String> taken, Set<String> terminals) {
        List<FileFault> faults = new ArrayList<>();
        List<CableDetails> cables = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(CsvText.body(text)), CsvText.format(text))) {
            List<CSVRecord> records = parser.getRecords();
            if (records.size() < 2 || records.size() > MOST_ROWS + 1) {
                faults.add(whole(Fault.Code.OUT_OF_RANGE, "1 row below the header", MOST_ROWS + " rows"));
                return new Parsed(List.of(), faults);
            }
            List<String> fields = header(records.get(0), faults);
            if (faults.isEmpty()) {
                Set<String> tags = new HashSet<>(taken);
                for (CSVRecord record : records.subList(1, records.size())) {
                    CableDetails cable = row(record, fields, new Into(job, tags, terminals), faults);
                    if (cable != null) {
                        cables.add(cable);
                    }
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(whole(Fault.Code.NOT_A_NUMBER, "a CSV file with closed quotes"));
        }
        return new Parsed(List.copyOf(cables), List.copyOf(faults));
    }

    private static FileFault whole(Fault.Code code, String... parts) {
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
                faults.add(new FileFault(1, required, Fault.of(Fault.Code.EMPTY, "", "a column " + required)));
            }
        }
        return fields;
    }

    /** What the rows go into: a job, the tags that it has, its terminals. */
    private record Into(Job job, Set<String> tags, Set<String> terminals) {}

    private static @Nullable CableDetails row(
            CSVRecord record, List<String> fields, Into into, List<FileFault> faults) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (int i = 0; i < fields.size(); i++) {
            String cell = i < record.size() ? CsvText.original(record.get(i)) : "";
            boolean required = REQUIRED.contains(fields.get(i));
            if (required || !cell.isBlank()) {
                typed.put(fields.get(i), cell);
            }
        }
        Entries entries = new Entries(typed, into.job.details().units());
        CableDetails fresh = CableDetails.fresh(into.job.details(), "");
        CableDetails cable = CableReader.read(entries, typed, fresh, into.terminals);
        if (entries.clean() && !into.tags.add(Tags.fold(cable.tag()))) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (record.size() > fields.size()) {
            entries.fault("", Fault.Code.TOO_LONG, fields.size() + " cells");
        }
        entries.faults()
                .forEach((field, fault) ->
                        faults.add(new FileFault(record.getRecordNumber(), COLUMNS.getOrDefault(field, ""), fault)));
        return entries.clean() ? cable : null;
    }
}
