package org.ulnaris.core.making;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

/** What there is to choose from. A value: two shops of the same parts are equal, however they were made. */
public final class Shop {
    /** A shop without any part. */
    public static final Shop EMPTY = new Shop(new Catalogues(List.of(), List.of(), List.of()), Toolbox.NONE, Map.of());

    private final Catalogues catalogues;
    private final List<Die> dies;
    private final Toolbox toolbox;
    private final Map<String, Integer> shelf;
    private final int hash;
    private final Rankings rankings;

    /**
     * What can be bought.
     *
     * @param lugs the catalogue of lugs
     * @param contacts the catalogue of everything else that ends a cable
     * @param tubes heat-shrink
     */
    public record Catalogues(List<Lug> lugs, List<Contact> contacts, List<ShrinkTube> tubes) {
        public Catalogues {
            lugs = List.copyOf(lugs);
            contacts = List.copyOf(contacts);
            tubes = List.copyOf(tubes);
        }
    }

    /**
     * A shop.
     *
     * @param catalogues what can be bought
     * @param toolbox the crib: tools with the dies that they take
     * @param shelf how many of which part lie on the shelf, by code; empty when nothing is counted
     */
    public Shop(Catalogues catalogues, Toolbox toolbox, Map<String, Integer> shelf) {
        this(catalogues, toolbox.dies().stream().map(Toolbox.HeldDie::die).toList(), toolbox, shelf);
    }

    /** With the shipped contacts, dies in no tool, nothing counted. */
    public Shop(List<Lug> lugs, List<Die> dies, List<ShrinkTube> tubes, Toolbox toolbox) {
        this(new Catalogues(lugs, ContactCatalogue.shipped(), tubes), dies, toolbox, Map.of());
    }

    private Shop(Catalogues catalogues, List<Die> dies, Toolbox toolbox, Map<String, Integer> shelf) {
        this.catalogues = catalogues;
        this.dies = List.copyOf(dies);
        this.toolbox = toolbox;
        this.shelf = Map.copyOf(shelf);
        this.hash = Objects.hash(catalogues, this.dies, toolbox, this.shelf);
        this.rankings = new Rankings(this);
    }

    public List<Lug> lugs() {
        return catalogues.lugs();
    }

    public List<Contact> contacts() {
        return catalogues.contacts();
    }

    public List<ShrinkTube> tubes() {
        return catalogues.tubes();
    }

    public List<Die> dies() {
        return dies;
    }

    public Toolbox toolbox() {
        return toolbox;
    }

    public Map<String, Integer> shelf() {
        return shelf;
    }

    /** How its parts rank for what is asked of them. */
    Rankings rankings() {
        return rankings;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return this == other
                || other instanceof Shop that
                        && hash == that.hash
                        && catalogues.equals(that.catalogues)
                        && dies.equals(that.dies)
                        && toolbox.equals(that.toolbox)
                        && shelf.equals(that.shelf);
    }

    @Override
    public int hashCode() {
        return hash;
    }
}
