package org.ulnaris.core.contact;

import static org.ulnaris.core.finding.Expression.min;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Range;

/**
 * How a contact does at an end: wire and current, seal, where it may be used, how it is joined, what it mates with.
 *
 * @param contact the contact
 * @param demand what it has to meet
 */
public record ContactFit(Contact contact, ContactDemand demand) {
    /** Temperature to which a soldered joint holds in a short circuit, °C (IEC 60364-5-54: 160 °C). */
    public static final double SOLDER_LIMIT_C = 160;

    /** From here on a connector whose rating nobody gave is asked for, A (ours). */
    static final double ASKED_FROM_A = 50;

    private static final double ROUNDING = 1e-6;

    private double areaMm2() {
        return demand.cable().conductor().size().areaMm2();
    }

    /** Whether the conductor lies in the range that the contact is made for. */
    public boolean takes() {
        return within(contact.wire().fromMm2(), contact.wire().toMm2());
    }

    private boolean within(double from, double to) {
        return areaMm2() >= from * (1 - ROUNDING) && areaMm2() <= to * (1 + ROUNDING);
    }

    /** What may flow: the lesser of contact and wire, A; infinity where neither says. */
    public double allowedA() {
        double wire = demand.load().wireA() > 0 ? demand.load().wireA() : Double.POSITIVE_INFINITY;
        return Math.min(wire, contact.wire().ratedA().orElse(Double.POSITIVE_INFINITY));
    }

    /** Every check. */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        findings.add(range());
        if (!demand.cable().conductor().metal().isCopper()) {
            findings.add(Finding.said(
                    FindingCode.LUG_METAL,
                    Verdict.STOP,
                    "",
                    note("ContactFit.copper-on-aluminium"),
                    Source.practice(note("ContactFit.contacts-are-made"))));
        }
        if (unrated()) {
            findings.add(ratingOpen());
        } else if (allowedA() < Double.POSITIVE_INFINITY) {
            findings.add(current());
        }
        Range seal = contact.seat().seal();
        if (seal != null) {
            findings.add(seal(seal));
        }
        if (contact.style().open() && demand.place().moves()) {
            findings.add(open());
        }
        if (demand.method().soldered()) {
            findings.add(solder());
        }
        if (contact.family().mates() && demand.mating().said()) {
            findings.add(mating());
        }
        return List.copyOf(findings);
    }

    public Verdict verdict() {
        return Verdict.worstOf(findings());
    }

    /** Whether the conductor is too thin for the contact, but a reducing sleeve makes up for it. */
    public boolean reduced() {
        OptionalDouble smallest = contact.wire().reducedMm2();
        return !takes()
                && smallest.isPresent()
                && within(smallest.getAsDouble(), contact.wire().fromMm2());
    }

    private Finding range() {
        Contact.Wire wire = contact.wire();
        OptionalDouble tight = wire.tightMm2();
        boolean squeezed = tight.isPresent() && within(wire.fromMm2(), tight.getAsDouble());
        Verdict verdict = squeezed || reduced() ? Verdict.WATCH : Verdict.STOP;
        double limit = areaMm2() < wire.fromMm2() ? wire.fromMm2() : wire.toMm2();
        return new Finding(
                FindingCode.CONTACT_RANGE,
                takes() ? Verdict.PASS : verdict,
                areaMm2(),
                limit,
                "mm²",
                Explanation.read(
                        note("ContactFit.range-of-the"),
                        term("A", areaMm2(), "mm²"),
                        term("A_from", wire.fromMm2(), "mm²"),
                        term("A_to", wire.toMm2(), "mm²")),
                contact.source());
    }

    /** Whether much flows through a connector of which nobody says what it carries. */
    private boolean unrated() {
        return contact.wire().ratedA().isEmpty()
                && contact.family().mates()
                && demand.load().currentA() >= ASKED_FROM_A;
    }

    private Finding ratingOpen() {
        return new Finding(
                FindingCode.CONTACT_CURRENT,
                Verdict.OPEN,
                demand.load().currentA(),
                ASKED_FROM_A,
                "A",
                Explanation.read(
                        note("ContactFit.what-it-carries"),
                        term("I", demand.load().currentA(), "A")),
                Source.practice(note("ContactFit.a-connector-carries")));
    }

    private Finding current() {
        double allowed = allowedA();
        double share = demand.load().currentA() / allowed;
        Verdict verdict = share <= 1 ? Verdict.WATCH : Verdict.STOP;
        return new Finding(
                FindingCode.CONTACT_CURRENT,
                share <= 0.95 ? Verdict.PASS : verdict,
                demand.load().currentA(),
                allowed,
                "A",
                allowedReason(),
                Source.practice(note("ContactFit.a-contact-may")));
    }

    private Explanation allowedReason() {
        OptionalDouble rated = contact.wire().ratedA();
        Term wire = term("I_wire", demand.load().wireA(), "A");
        if (rated.isEmpty()) {
            return Explanation.read(note("ContactFit.the-wire-limits"), wire);
        }
        Term own = term("I_contact", rated.getAsDouble(), "A");
        return demand.load().wireA() > 0
                ? Explanation.of(term("I_max", allowedA(), "A"), min(wire, own))
                : Explanation.read(note("ContactFit.the-contact-limits"), own);
    }

    private Finding seal(Range seal) {
        double outer = demand.cable().outerMm();
        return new Finding(
                FindingCode.CONTACT_SEAL,
                seal.contains(outer) ? Verdict.PASS : Verdict.STOP,
                outer,
                outer > seal.upTo() ? seal.upTo() : seal.above(),
                "mm",
                Explanation.read(
                        note("ContactFit.cable-within-the"),
                        term("D", outer, "mm"),
                        term("D_from", seal.above(), "mm"),
                        term("D_to", seal.upTo(), "mm")),
                contact.source());
    }

    /** Forks and unsealed splices stop, the push-on that exists only unsealed is tolerated, rings want a sealed sleeve. */
    private Finding open() {
        boolean tolerated = contact.style() == Style.PUSH_ON || contact.style() == Style.PIGGYBACK;
        boolean refused = demand.sealedOnly() && !tolerated;
        return new Finding(
                FindingCode.CONTACT_OPEN,
                refused ? Verdict.STOP : Verdict.WATCH,
                0,
                1,
                "",
                Explanation.words(note("ContactFit.closed-and-adhesive")),
                Source.practice(note("ContactFit.afloat-and-in")));
    }

    /** Solder creeps when hot and makes a stiff point; it is never the sole hold where things move. */
    private Finding solder() {
        boolean sole = demand.method() == JoinMethod.SOLDER_FILLED && contact.family() != Family.SOLDER_SLEEVE;
        boolean stops = sole && demand.place().moves() && contact.family() != Family.TWO_POLE;
        return new Finding(
                FindingCode.SOLDER_JOINT,
                stops ? Verdict.STOP : demand.place().moves() ? Verdict.WATCH : Verdict.PASS,
                SOLDER_LIMIT_C,
                SOLDER_LIMIT_C,
                "°C",
                Explanation.read(note("ContactFit.a-soldered-joint"), term("T_max", SOLDER_LIMIT_C, "°C")),
                Source.practice(note("ContactFit.solder-where-nothing")));
    }

    private Finding mating() {
        boolean same = demand.mating().same();
        return new Finding(
                FindingCode.CONTACT_MATE,
                same ? Verdict.PASS : Verdict.STOP,
                same ? 1 : 0,
                1,
                "",
                Explanation.words(
                        contact.family() == Family.PV
                                ? note("ContactFit.connectors-of-one")
                                : note("ContactFit.only-frames-of")),
                contact.family() == Family.PV
                        ? new Source(
                                "IEC 62852", note("ContactFit.connectors-of-different"), Confidence.RECALLED_MEDIUM)
                        : Source.practice(note("ContactFit.only-like-keyed")));
    }
}
