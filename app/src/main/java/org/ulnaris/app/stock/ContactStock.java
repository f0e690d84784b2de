package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;

/** Everything but tube lugs that ends a cable: what ships, and what the person entered. */
@Service
@Transactional
public class ContactStock implements Undoes {
    private static final String KIND = "contact";

    private static final Fmt FMT = new Fmt(Units.METRIC);

    /** What an empty form shows. */
    public static final Map<String, String> FRESH = EnteredContact.FIELDS.texts(EnteredContact.FIELDS.fresh(), FMT);

    private final OwnContactRepository own;
    private final ObjectProvider<LastSteps> steps;

    ContactStock(OwnContactRepository own, ObjectProvider<LastSteps> steps) {
        this.own = own;
        this.steps = steps;
    }

    /** The entered ones first, then what ships. */
    @Transactional(readOnly = true)
    public List<Contact> all() {
        List<Contact> all = new ArrayList<>(own());
        all.addAll(ContactCatalogue.shipped());
        return all;
    }

    @Transactional(readOnly = true)
    public List<Contact> own() {
        return own.findAllByOrderByCode().stream().map(OwnContact::contact).toList();
    }

    /** The one called {@code code}. */
    @Transactional(readOnly = true)
    public Optional<Contact> coded(String code) {
        return own.findByCode(code).map(OwnContact::contact).or(() -> ContactCatalogue.coded(code));
    }

    /** Codes of all contacts, folded: letters' case makes no difference. */
    @Transactional(readOnly = true)
    public Set<String> codes() {
        return all().stream().map(contact -> CsvTable.fold(contact.code())).collect(Collectors.toSet());
    }

    public void add(Contact contact) {
        own.saveAndFlush(new OwnContact(contact));
    }

    /** Contacts of a file, as one step that can be taken back. */
    public void addAll(List<Contact> contacts) {
        own.saveAllAndFlush(contacts.stream().map(OwnContact::new).toList());
        steps.getObject()
                .keep(
                        LastSteps.CONTACTS,
                        LastSteps.What.CONTACTS,
                        contacts.stream()
                                .map(contact -> Change.made(KIND, contact.code(), contact))
                                .toList());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public boolean undo(Change change) {
        return own.findByCode(change.key())
                .filter(row -> change.left(row.contact()))
                .flatMap(row -> remove(change.key()))
                .isPresent();
    }

    public Optional<Contact> remove(String code) {
        Optional<OwnContact> row = own.findByCode(code);
        row.ifPresent(own::delete);
        return row.map(OwnContact::contact);
    }

    /** Reads a contact; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<Contact> read(Entries entries) {
        return read(entries, codes());
    }

    /** The same where the codes {@code taken}, folded, are used already. */
    static Optional<Contact> read(Entries entries, Set<String> taken) {
        EnteredContact read = EnteredContact.FIELDS.read(entries, EnteredContact.FIELDS.fresh());
        read.check(entries, taken);
        return entries.clean() ? Optional.of(read.contact()) : Optional.empty();
    }

    /** The text of each field, as a form shows it. */
    static Map<String, String> texts(Contact contact) {
        return EnteredContact.FIELDS.texts(EnteredContact.of(contact), FMT);
    }
}
