package org.ulnaris.app.match;

import static java.util.Objects.requireNonNullElse;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.fastening.TorqueSpec.Bound;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;

/** Typed text of an end to its details and back. */
public final class EndReader {
    private EndReader() {}

    /** What a choice is made from, and how the house joins a new contact. */
    public record House(List<Contact> contacts, Practices practices) {}

    /** Reads what was typed over {@code standing}. Faults stay in {@code entries}. */
    public static EndDetails read(Entries entries, EndDetails standing, House house) {
        EndDetails read = EndDetails.FIELDS.read(entries, standing);
        ContactChoice contact = contact(entries, standing.contact(), house);
        /* Dies picked for one family are none for another. */
        boolean sameFamily = ContactChoice.familyOf(contact) == ContactChoice.familyOf(standing.contact());
        Map<String, @Nullable Object> parts = torque(entries, read, standing);
        parts.put("contact", contact);
        parts.put("dieTag", sameFamily ? read.dieTag() : null);
        parts.put(
                "around",
                Surroundings.FIELDS.read(entries, standing.surroundings()).saidOrNull());
        return Records.with(read, parts);
    }

    /** Of a range alone the middle is the torque; one that the range contradicts leaves what stands. */
    private static Map<String, @Nullable Object> torque(Entries entries, EndDetails read, EndDetails standing) {
        Double nominal = read.torqueNm();
        Double min = read.torqueMinNm();
        Double max = read.torqueMaxNm();
        Map<String, @Nullable Object> parts = new HashMap<>();
        if (nominal == null && (min != null || max != null)) {
            nominal = min != null && max != null ? Double.valueOf((min + max) / 2) : min != null ? min : max;
            parts.put("torqueNm", nominal);
        }
        Bound contradicted = TorqueSpec.contradicted(nominal, min, max).orElse(null);
        if (contradicted == Bound.LOWEST) {
            entries.fault("torqueMin", Fault.Code.CONTRADICTS, Expected.of("to-nominal-torque"));
            parts.put("torqueMinNm", standing.torqueMinNm());
            parts.put("torqueNm", standing.torqueNm());
        } else if (contradicted == Bound.HIGHEST) {
            entries.fault("torqueMax", Fault.Code.CONTRADICTS, Expected.of("from-nominal-torque"));
            parts.put("torqueMaxNm", standing.torqueMaxNm());
            parts.put("torqueNm", standing.torqueNm());
        }
        return parts;
    }

    private static @Nullable ContactChoice contact(Entries entries, @Nullable ContactChoice standing, House house) {
        Family family = entries.choice("family", Family.class, ContactChoice.familyOf(standing));
        if (family == Family.TUBE_LUG) {
            return null;
        }
        JoinMethod usual = usual(family, house.practices());
        ContactChoice from = standing != null && standing.family() == family
                ? standing
                : new ContactChoice(family, null, usual, null, null);
        ContactChoice read = ContactChoice.FIELDS.read(entries, from);
        boolean known = house.contacts().stream()
                .anyMatch(
                        contact -> contact.family() == family && contact.code().equals(read.contactCode()));
        return new ContactChoice(
                family,
                known ? read.contactCode() : null,
                family == Family.SOLDER_SLEEVE ? usual : read.joinMethod(),
                read.ownKey(),
                read.mateKey());
    }

    /** Small terminals and ferrules are crimped in every school, a solder-filled contact is one of a two-pole connector. */
    private static JoinMethod usual(Family family, Practices house) {
        if (family == Family.SOLDER_SLEEVE) {
            return JoinMethod.SOLDER_FILLED;
        }
        if (!family.mates() || house.is(Practice.SOLDER, "CRIMP_ONLY")) {
            return JoinMethod.CRIMP;
        }
        return house.is(Practice.SOLDER, "SOLDER_FILLED") && family == Family.TWO_POLE
                ? JoinMethod.SOLDER_FILLED
                : JoinMethod.CRIMP_THEN_SOLDER;
    }

    /** The text of each field, as a form shows it. */
    public static Map<String, String> texts(EndDetails end, Fmt fmt) {
        Map<String, String> texts = EndDetails.FIELDS.texts(end, fmt);
        texts.putAll(Surroundings.FIELDS.texts(end.surroundings(), fmt));
        texts.putAll(ContactChoice.FIELDS.texts(requireNonNullElse(end.contact(), ContactChoice.FIELDS.fresh()), fmt));
        return texts;
    }
}
