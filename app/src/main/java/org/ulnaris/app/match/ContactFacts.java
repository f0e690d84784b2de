package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import org.ulnaris.app.ribbon.EndWords;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.worked.EndPart;

/** The figures that follow from a contact, with why. */
final class ContactFacts {
    private ContactFacts() {}

    static List<Fact> of(MatchedContact matched, EndView.Shown shown) {
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        List<Fact> facts = new ArrayList<>();
        Contact contact = matched.contact();
        if (contact.family() == Family.TWO_POLE) {
            facts.add(new Fact(
                    EndPart.STRIP,
                    words.of("fact.sheath"),
                    fmt.small(MatchedContact.SHEATH_MM),
                    words.of("fact.sheath.note"),
                    words.of("fact.practice")));
        }
        facts.add(new Fact(
                EndPart.STRIP,
                words.of("fact.strip"),
                fmt.bench(matched.stripMm()),
                words.of("fact.strip.contact"),
                contact.source().text()));
        if (!contact.seat().housing().isEmpty()) {
            facts.add(new Fact(
                    EndPart.LUG,
                    words.of("fact.housing"),
                    contact.seat().housing(),
                    words.of("fact.housing.note", fmt.small(contact.seat().depthMm())),
                    contact.source().text()));
        }
        contact.seat()
                .nutNm()
                .ifPresent(nut -> facts.add(new Fact(
                        EndPart.STUD,
                        words.of("fact.nut"),
                        fmt.torque(nut),
                        words.of("fact.nut.note"),
                        contact.source().text())));
        if (contact.family().crimped()) {
            facts.add(new Fact(
                    EndPart.CRIMP,
                    words.of("fact.dies"),
                    die(matched, words),
                    words.of("fact.dies.note", words.name(contact.family().dies())),
                    words.of("fact.practice")));
        }
        ShrinkChoice sleeve = matched.sleeve();
        if (sleeve != null) {
            facts.add(LugFacts.shrink(sleeve, "fact.shrink.splice", shown));
        }
        return facts;
    }

    private static String die(MatchedContact matched, Words words) {
        Crimp crimp = matched.crimp();
        if (crimp != null) {
            return EndWords.crimps(crimp) + ", " + Figures.fixed(crimp.compaction(), 2);
        }
        return matched.die() == null
                ? words.of("fact.dies.none")
                : matched.die().tag();
    }
}
