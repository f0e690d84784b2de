package org.ulnaris.app.stock;

import java.util.List;
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
    private static final CsvTable<EnteredContact> TABLE = new CsvTable<>(EnteredContact.FIELDS, Set.of("family"));

    private final ContactStock stock;

    ContactCsv(ContactStock stock) {
        this.stock = stock;
    }

    /** All of them, own and shipped. */
    String write() {
        return TABLE.write(stock.all().stream().map(EnteredContact::of).toList());
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
