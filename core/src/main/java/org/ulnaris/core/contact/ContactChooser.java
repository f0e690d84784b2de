package org.ulnaris.core.contact;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToIntFunction;
import org.ulnaris.core.finding.Verdict;

/** Ranks the contacts of a family for an end: what fits first, sealed before open, the longest strip that the range allows last. */
public final class ContactChooser {
    private ContactChooser() {}

    /** All contacts of {@code family}, none of them handier than another. */
    public static List<ContactFit> rank(Collection<Contact> catalogue, Family family, ContactDemand demand) {
        return rank(catalogue, family, demand, contact -> 0);
    }

    /** All contacts of {@code family}, best first, of like ones the handier; those that do not fit come last and are not hidden. */
    public static List<ContactFit> rank(
            Collection<Contact> catalogue, Family family, ContactDemand demand, ToIntFunction<Contact> unhandy) {
        double area = demand.cable().conductor().size().areaMm2();
        return catalogue.stream()
                .filter(contact -> contact.family() == family)
                .map(contact -> new ContactFit(contact, demand))
                .map(fit -> new Ranked(fit, fit.verdict()))
                .sorted(Comparator.comparing(Ranked::verdict)
                        .thenComparing(ranked -> !ranked.fit().takes())
                        .thenComparing(ranked -> ranked.fit().contact().style().open())
                        .thenComparingInt(
                                ranked -> unhandy.applyAsInt(ranked.fit().contact()))
                        .thenComparingDouble(ranked ->
                                Math.abs(Math.log(ranked.fit().contact().wire().toMm2() / area)))
                        .thenComparing(ranked -> ranked.fit().contact().style())
                        .thenComparingDouble(ranked -> ranked.fit().contact().stripMm()))
                .map(Ranked::fit)
                .toList();
    }

    private record Ranked(ContactFit fit, Verdict verdict) {}
}
