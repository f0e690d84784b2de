package org.ulnaris.app.match;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.EndKind;

/**
 * A contact in place of a tube lug.
 *
 * @param family its family
 * @param contactCode one picked by hand; null for the proposal
 * @param joinMethod how it is joined
 * @param ownKey colour or key of this half, make of a PV connector; empty when nothing is said
 * @param mateKey the same of the counterpart
 */
@Embeddable
public record ContactChoice(
        @Enumerated(EnumType.STRING) Family family,
        @Nullable String contactCode,
        @Enumerated(EnumType.STRING) JoinMethod joinMethod,
        @Nullable String ownKey,
        @Nullable String mateKey) {
    public static final int LONGEST_KEY = 24;

    /** As the core asks for it. */
    EndDemand.ContactWish wish() {
        return new EndDemand.ContactWish(
                family,
                contactCode == null ? null : ContactCatalogue.coded(contactCode).orElse(null),
                joinMethod,
                new ContactDemand.Mating(ownKey == null ? "" : ownKey, mateKey == null ? "" : mateKey));
    }

    /** What decides its steps; of small terminals the picked form, before that the sealed ring. */
    EndKind kind() {
        Style style = contactCode == null
                ? Style.SEALED_RING
                : ContactCatalogue.coded(contactCode)
                        .map(contact -> contact.style())
                        .orElse(Style.SEALED_RING);
        return new EndKind(family, family == Family.SMALL ? style : Style.CONTACT, joinMethod);
    }
}
