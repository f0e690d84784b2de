package org.ulnaris.app.stock;

import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;

/** Everything but tube lugs that ends a cable: what ships, and what the person entered. */
@Service
public class ContactStock extends PartList<Contact, EnteredContact, OwnContact> {
    /** What an empty form shows. */
    public static final Map<String, String> FRESH = fresh(EnteredContact.FIELDS);

    ContactStock(OwnContactRepository own, ObjectProvider<LastSteps> steps) {
        super(
                new Kind<>(
                        "contact",
                        Contact.class,
                        LastSteps.CONTACTS,
                        LastSteps.What.CONTACTS,
                        ContactCatalogue.shipped(),
                        new CsvTable<>(EnteredContact.FIELDS, Set.of("family")),
                        EnteredContact::of,
                        OwnContact::new),
                own,
                steps);
    }
}
