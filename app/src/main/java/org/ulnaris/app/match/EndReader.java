package org.ulnaris.app.match;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.fastening.TorqueSpec.Bound;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugForm;

/** Typed text of an end to its details and back. */
public final class EndReader {
    private static final int LONGEST_CODE = 60;
    private static final Range CONDUCTORS = new Range(0, LugForm.MOST_CONDUCTORS);

    private EndReader() {}

    /** What a choice is made from, and how the house joins a new contact. */
    public record House(List<Contact> contacts, Practices practices) {}

    /** Reads what was typed over {@code standing}. Faults stay in {@code entries}. */
    public static EndDetails read(Entries entries, EndDetails standing, House house) {
        Double nominal =
                entries.optionalQuantity("torque", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueNm());
        Double min =
                entries.optionalQuantity("torqueMin", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueMinNm());
        Double max =
                entries.optionalQuantity("torqueMax", Unit.NEWTON_METRE, TorqueSpec.TORQUE_NM, standing.torqueMaxNm());
        if (nominal == null && (min != null || max != null)) {
            nominal = min != null && max != null ? Double.valueOf((min + max) / 2) : min != null ? min : max;
        }
        Bound contradicted = TorqueSpec.contradicted(nominal, min, max).orElse(null);
        if (contradicted == Bound.LOWEST) {
            entries.fault("torqueMin", Fault.Code.CONTRADICTS, Expected.of("to-nominal-torque"));
            min = standing.torqueMinNm();
            nominal = standing.torqueNm();
        } else if (contradicted == Bound.HIGHEST) {
            entries.fault("torqueMax", Fault.Code.CONTRADICTS, Expected.of("from-nominal-torque"));
            max = standing.torqueMaxNm();
            nominal = standing.torqueNm();
        }
        ContactChoice contact = contact(entries, standing.contact(), house);
        /* Dies picked for one family are none for another. */
        boolean sameFamily = ContactChoice.familyOf(contact) == ContactChoice.familyOf(standing.contact());
        return new EndDetails(
                stud(entries, standing.stud()),
                nominal,
                min,
                max,
                entries.optionalQuantity("clear", Unit.MM, Landing.CLEAR_WIDTH_MM, standing.clearWidthMm()),
                entries.optionalQuantity("studLength", Unit.MM, Landing.STUD_LENGTH_MM, standing.studLengthMm()),
                emptyAsNull(entries.text("lug", LONGEST_CODE, false, orEmpty(standing.lugCode()))),
                sameFamily ? emptyAsNull(entries.text("die", LONGEST_CODE, false, orEmpty(standing.dieTag()))) : null,
                contact,
                around(entries, standing.surroundings()).saidOrNull());
    }

    private static Surroundings around(Entries entries, Surroundings standing) {
        int count = entries.count("conductors", CONDUCTORS, standing.count());
        return new Surroundings(
                entries.optionalQuantity("leave", Unit.DEGREE, Landing.Around.LEAVE_DEG, standing.leaveDeg()),
                entries.optionalQuantity("wallReach", Unit.MM, Landing.Around.WALL_REACH_MM, standing.wallReachMm()),
                entries.optionalQuantity("neighbour", Unit.MM, Landing.Around.NEIGHBOUR_MM, standing.neighbourMm()),
                entries.optionalQuantity("headroom", Unit.MM, Landing.Around.HEADROOM_MM, standing.headroomMm()),
                entries.optionalQuantity("second", Unit.MM, Landing.Around.SECOND_STUD_MM, standing.secondStudMm()),
                points(entries, standing.studPoints()),
                count == 1 ? null : count);
    }

    private static @Nullable Heading points(Entries entries, @Nullable Heading standing) {
        String word = entries.text("points", 12, false, standing == null ? "" : standing.word());
        if (word.isEmpty()) {
            return null;
        }
        Optional<Heading> heading = Heading.named(word);
        if (heading.isEmpty()) {
            entries.fault(
                    "points",
                    Fault.Code.UNKNOWN_CHOICE,
                    Stream.of(Heading.values()).map(Heading::word).collect(Collectors.joining(", ")));
        }
        return heading.orElse(standing);
    }

    private static @Nullable ContactChoice contact(Entries entries, @Nullable ContactChoice standing, House house) {
        Family family = entries.choice("family", Family.class, ContactChoice.familyOf(standing));
        if (family == Family.TUBE_LUG) {
            return null;
        }
        ContactChoice same = standing != null && standing.family() == family ? standing : null;
        String code = entries.text("contact", LONGEST_CODE, false, same == null ? "" : orEmpty(same.contactCode()));
        boolean known = house.contacts().stream()
                .anyMatch(
                        contact -> contact.family() == family && contact.code().equals(code));
        JoinMethod usual = usual(family, house.practices());
        JoinMethod method = entries.choice("method", JoinMethod.class, same == null ? usual : same.joinMethod());
        return new ContactChoice(
                family,
                known ? code : null,
                family == Family.SOLDER_SLEEVE ? usual : method,
                emptyAsNull(entries.text(
                        "ownKey", ContactChoice.LONGEST_KEY, false, same == null ? "" : orEmpty(same.ownKey()))),
                emptyAsNull(entries.text(
                        "mateKey", ContactChoice.LONGEST_KEY, false, same == null ? "" : orEmpty(same.mateKey()))));
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

    private static String stud(Entries entries, String standing) {
        String text = entries.text("stud", 12, true, standing);
        Optional<Stud> stud = Studs.named(text);
        if (stud.isEmpty()) {
            entries.fault(
                    "stud",
                    Fault.Code.UNKNOWN_CHOICE,
                    Studs.all().stream().map(Stud::name).collect(Collectors.joining(", ")));
        }
        return stud.map(Stud::name).orElse(standing);
    }

    private static @Nullable String emptyAsNull(String text) {
        return text.isEmpty() ? null : text;
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }

    /** The text of each field, as a form shows it. */
    public static Map<String, String> texts(EndDetails end, Fmt fmt) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("stud", end.stud());
        texts.put("torque", fmt.entry(end.torqueNm(), Unit.NEWTON_METRE));
        texts.put("torqueMin", fmt.entry(end.torqueMinNm(), Unit.NEWTON_METRE));
        texts.put("torqueMax", fmt.entry(end.torqueMaxNm(), Unit.NEWTON_METRE));
        texts.put("clear", fmt.entry(end.clearWidthMm(), Unit.MM));
        texts.put("studLength", fmt.entry(end.studLengthMm(), Unit.MM));
        Surroundings around = end.surroundings();
        texts.put("leave", fmt.entry(around.leaveDeg(), Unit.DEGREE));
        texts.put("wallReach", fmt.entry(around.wallReachMm(), Unit.MM));
        texts.put("neighbour", fmt.entry(around.neighbourMm(), Unit.MM));
        texts.put("headroom", fmt.entry(around.headroomMm(), Unit.MM));
        texts.put("second", fmt.entry(around.secondStudMm(), Unit.MM));
        Heading points = around.studPoints();
        texts.put("points", points == null ? "" : points.word());
        texts.put("conductors", Integer.toString(around.count()));
        texts.put("lug", orEmpty(end.lugCode()));
        texts.put("die", orEmpty(end.dieTag()));
        ContactChoice contact = end.contact();
        texts.put("family", ContactChoice.familyOf(contact).name());
        texts.put("contact", contact == null ? "" : orEmpty(contact.contactCode()));
        texts.put("method", (contact == null ? JoinMethod.CRIMP : contact.joinMethod()).name());
        texts.put("ownKey", contact == null ? "" : orEmpty(contact.ownKey()));
        texts.put("mateKey", contact == null ? "" : orEmpty(contact.mateKey()));
        return texts;
    }
}
