package org.ulnaris.app.stock;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugForm;

/** Lugs as CSV: docs/formats/lugs.md. Units may be mixed, a bare number is millimetres. */
@Component
public class LugCsv {
    private static final CsvTable TABLE = new CsvTable(
            columns(), List.of("code", "outside", "inside", "depth", "pad_width", "hole"), StockService.FRESH);

    private final StockService stock;

    LugCsv(StockService stock) {
        this.stock = stock;
    }

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

    /** All lugs, measured and shipped. */
    String write() {
        return TABLE.write(stock.lugs().stream().map(LugCsv::cells).toList());
    }

    private static List<Object> cells(Lug lug) {
        LugForm form = lug.form();
        return List.of(
                CsvText.neutral(lug.code()),
                lug.barrel().material(),
                mm(lug.barrel().outerMm()),
                mm(lug.barrel().boreMm()),
                mm(lug.barrel().depthMm()),
                mm(lug.pad().widthMm()),
                mm(lug.pad().holeMm()),
                form.angleDeg() + "°",
                lug.pitchMm() > 0 ? mm(lug.pitchMm()) : "",
                form.body().pad(),
                form.body().tinned() ? "tinned" : "bare",
                form.body().window(),
                form.body().bellMouth(),
                form.conductors());
    }

    static String mm(double value) {
        return Figures.significant(value, 5) + " mm";
    }

    /** Takes all lugs of a file, or none; what is wrong with it. */
    @Transactional
    public List<CsvTable.FileFault> read(byte[] file) {
        Optional<String> text = CsvText.decode(file);
        if (text.isEmpty()) {
            return List.of(CsvTable.NOT_UTF_8);
        }
        CsvTable.Read<Lug> read = TABLE.read(text.get(), row(stock.codes()), Lug::code);
        stock.addAll(read.parts());
        return read.faults();
    }

    private static Function<Entries, Optional<Lug>> row(Set<String> taken) {
        return entries -> StockService.read(entries, taken);
    }
}
