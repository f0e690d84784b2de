package org.ulnaris.core.making;

import java.util.List;
import java.util.Map;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

/**
 * What there is to choose from.
 *
 * @param lugs the catalogue of lugs
 * @param contacts the catalogue of everything else that ends a cable
 * @param dies the crib
 * @param tubes heat-shrink
 * @param toolbox tools with the dies that they take
 * @param shelf how many of which part lie on the shelf, by code; empty when nothing is counted
 */
public record Shop(
        List<Lug> lugs,
        List<Contact> contacts,
        List<Die> dies,
        List<ShrinkTube> tubes,
        Toolbox toolbox,
        Map<String, Integer> shelf) {
    public Shop {
        lugs = List.copyOf(lugs);
        contacts = List.copyOf(contacts);
        dies = List.copyOf(dies);
        tubes = List.copyOf(tubes);
        shelf = Map.copyOf(shelf);
    }

    /** With the shipped contacts, nothing counted. */
    public Shop(List<Lug> lugs, List<Die> dies, List<ShrinkTube> tubes, Toolbox toolbox) {
        this(lugs, ContactCatalogue.shipped(), dies, tubes, toolbox, Map.of());
    }
}
