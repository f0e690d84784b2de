package org.ulnaris.app.stock;

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
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Lug;

/** Lugs as CSV: docs/formats/lugs.md. Units may be mixed, a bare number is millimetres. */
@Component
public class LugCsv {
    private static final int MOST_ROWS = 2000;
    /** Columns by the name of their field. */
    private static final Map<String, String> COLUMNS = columns();

    private static final List<String> REQUIRED = List.of("code", "outside", "inside", "depth", "pad_width", "hole");

    private static Map<String, String> columns() {
        Map<String, String> columns = new LinkedHashMap<>();
        columns.put("code", "code");
        columns.put("material", "material");
        columns.put("outside", "outer");
        columns.put("inside", "bore");
        columns.put("depth", "depth");
        columns.put("pad_width", "padWidth");
        columns.put("hole", "hole");
        columns.put("angle", "angle");
        columns.put("hole_pitch", "pitch");
        columns.put("pad_material", "padMetal");
        columns.put("finish", "finish");
        columns.put("window", "window");
        columns.put("bell_mouth", "bellMouth");
        columns.put("conductors", "conductors");
        return columns;
    }

    private final StockService stock;

    LugCsv(StockService stock) {
        this.stock = stock;
    }

    /**
     * A fault in a file.
     *
     * @param row line of the table, the header being 1; 0 for the whole file
     * @param column its name; empty for the whole row
     */
    public record FileFault(long row, String column, Fault fault) {}

    /** All lugs, measured and shipped. */
    String write() {
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(COLUMNS.keySet().toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (Lug lug : stock.lugs()) {
                printer.printRecord(
                        CsvText.neutral(lug.code()),
                        lug.barrel().material(),
                        mm(lug.barrel().outerMm()),
                        mm(lug.barrel().boreMm()),
                        mm(lug.barrel().depthMm()),
                        mm(lug.pad().widthMm()),
                        mm(lug.pad().holeMm()),
                        lug.form().angleDeg() + "°",
                        lug.pitchMm() > 0 ? mm(lug.pitchMm()) : "",
                        lug.form().body().pad(),
                        lug.form().body().tinned() ? "tinned" : "bare",
                        lug.form().body().window(),
                        lug.form().body().bellMouth(),
                        lug.form().conductors());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String mm(double value) {
        return Figures.significant(value, 5) + " mm";
    }

    /** Takes all lugs of a file, or none; what is wrong with it. */
    @Transactional
    public List<FileFault> read(String text) {
        List<FileFault> faults = new ArrayList<>();
        List<Lug> lugs = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(CsvText.body(text)), CsvText.format(text))) {
            List<CSVRecord> records = parser.getRecords();
            if (records.size() < 2 || records.size() > MOST_ROWS + 1) {
                faults.add(new FileFault(
                        0, "", Fault.of(Fault.Code.OUT_OF_RANGE, "", "1 row below the header", MOST_ROWS + " rows")));
                return faults;
            }
            List<String> fields = header(records.get(0), faults);
            Set<String> codes = new HashSet<>();
            for (CSVRecord record : faults.isEmpty() ? records.subList(1, records.size()) : List.<CSVRecord>of()) {
                row(record, fields, codes, faults).ifPresent(lugs::add);
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(new FileFault(0, "", Fault.of(Fault.Code.NOT_A_NUMBER, "", "a CSV file with closed quotes")));
        }
        if (faults.isEmpty()) {
            lugs.forEach(stock::add);
        }
        return faults;
    }

    private static List<String> header(CSVRecord record, List<FileFault> faults) {
        List<String> fields = new ArrayList<>();
        for (String cell : record) {
            String field = COLUMNS.get(cell.strip().toLowerCase(Locale.ROOT).replace(' ', '_'));
            if (field == null || fields.contains(field)) {
                faults.add(new FileFault(
                        1, cell, Fault.of(Fault.Code.UNKNOWN_CHOICE, cell, String.join(", ", COLUMNS.keySet()))));
            } else {
                fields.add(field);
            }
        }
        for (String column : REQUIRED) {
            if (!fields.contains(COLUMNS.get(column)) && faults.isEmpty()) {
                faults.add(new FileFault(1, column, Fault.of(Fault.Code.EMPTY, "", "a column " + column)));
            }
        }
        return fields;
    }

    private Optional<Lug> row(CSVRecord record, List<String> fields, Set<String> codes, List<FileFault> faults) {
        Map<String, String> typed = new HashMap<>(StockService.FRESH);
        for (int i = 0; i < fields.size(); i++) {
            String cell = i < record.size() ? CsvText.original(record.get(i)) : "";
            if (!cell.isBlank()) {
                typed.put(fields.get(i), cell);
            }
        }
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<Lug> lug = stock.read(entries);
        if (lug.isPresent() && !codes.add(lug.get().code())) {
            entries.fault("code", Fault.Code.TAKEN);
        }
        entries.faults()
                .forEach((field, fault) -> faults.add(new FileFault(record.getRecordNumber(), column(field), fault)));
        return entries.clean() ? lug : Optional.empty();
    }

    private static String column(String field) {
        return COLUMNS.entrySet().stream()
                .filter(entry -> entry.getValue().equals(field))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }
}
