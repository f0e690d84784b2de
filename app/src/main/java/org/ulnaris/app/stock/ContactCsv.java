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
import org.ulnaris.core.contact.Contact;

/** Contacts, terminals, splices and ferrules as CSV: docs/formats/contacts.md. */
@Component
public class ContactCsv {
    private static final CsvTable TABLE = new CsvTable(
            columns(), List.of("code", "family", "from", "to", "strip", "depth", "reach"), ContactStock.FRESH);

    private final ContactStock stock;

    ContactCsv(ContactStock stock) {
        this.stock = stock;
    }

    private static Map<String, String> columns() {
        Map<String, String> columns = new LinkedHashMap<>();
        for (String same : List.of(
                "code", "family", "style", "from", "to", "tight", "reduced", "rated", "strip", "housing", "depth",
                "reach", "height")) {
            columns.put(same, same);
        }
        columns.put("seal_from", "sealFrom");
        columns.put("seal_to", "sealTo");
        columns.put("nut", "nut");
        columns.put("outside", "outer");
        columns.put("inside", "bore");
        return columns;
    }

    /** All of them, own and shipped. */
    String write() {
        return TABLE.write(stock.all().stream().map(ContactCsv::cells).toList());
    }

    private static List<Object> cells(Contact contact) {
        Map<String, String> texts = ContactStock.texts(contact);
        return TABLE.columns().values().stream()
                .<Object>map(field -> CsvText.neutral(texts.getOrDefault(field, "")))
                .toList();
    }

    /** Takes all contacts of a file, or none; what is wrong with it. */
    @Transactional
    public List<CsvTable.FileFault> read(byte[] file) {
        Optional<String> text = CsvText.decode(file);
        if (text.isEmpty()) {
            return List.of(CsvTable.NOT_UTF_8);
        }
        CsvTable.Read<Contact> read = TABLE.read(text.get(), row(stock.codes()), Contact::code);
        stock.addAll(read.parts());
        return read.faults();
    }

    private static Function<Entries, Optional<Contact>> row(Set<String> taken) {
        return entries -> ContactStock.read(entries, taken);
    }
}
