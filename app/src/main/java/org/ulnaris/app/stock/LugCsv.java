package org.ulnaris.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.core.termination.Lug;

/** Lugs as CSV: docs/formats/lugs.md. Units may be mixed, a bare number is millimetres. */
@Component
public class LugCsv {
    private static final CsvTable<EnteredLug> TABLE = new CsvTable<>(EnteredLug.FIELDS, Set.of());

    private final StockService stock;

    LugCsv(StockService stock) {
        this.stock = stock;
    }

    /** All lugs, measured and shipped. */
    String write() {
        return TABLE.write(stock.lugs().stream().map(EnteredLug::of).toList());
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
