package org.ulnaris.core.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.ContactDemand.Load;
import org.ulnaris.core.contact.ContactDemand.Mating;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Place;

class ContactFitTest {
    private static ContactDemand demand(String size, double outerMm, double currentA) {
        return new ContactDemand(
                cable(size, outerMm), new Load(currentA, 0), Place.VEHICLE, JoinMethod.CRIMP, Mating.UNSAID, true);
    }

    private static CableGeometry cable(String size, double outerMm) {
        SizeSeries series = size.contains("mm") ? SizeSeries.METRIC : SizeSeries.AWG;
        return CableGeometry.of(
                new Conductor(ConductorSizes.parse(size, series), false),
                outerMm > 0 ? OptionalDouble.of(outerMm) : OptionalDouble.empty());
    }

    private static Contact contact(String code) {
        return ContactCatalogue.coded(code).orElseThrow();
    }

    private static Verdict verdict(ContactFit fit, FindingCode code) {
        return fit.findings().stream()
                .filter(finding -> finding.code() == code)
                .map(Finding::verdict)
                .findFirst()
                .orElseThrow();
    }

    private static List<FindingCode> codes(ContactFit fit) {
        return fit.findings().stream().map(Finding::code).toList();
    }

    @ParameterizedTest
    @CheckedAgainst(
            value = "one shell takes several contacts; the contact goes by the wire, one size more at a squeeze",
            how = "common practice")
    @CsvSource({
        "SP reed, 20, PASS",
        "SP reed, 18, PASS",
        "SP reed, 16, STOP",
        "SP rush, 18, STOP",
        "SP rush, 16, PASS",
        "SP rush, 14, PASS",
        "SP rush, 12, WATCH",
        "SP cane, 12, PASS",
        "SP cane, 10, PASS",
        "SP cane, 14, STOP"
    })
    void aContactGoesByItsWire(String code, String awg, Verdict verdict) {
        assertThat(verdict(new ContactFit(contact(code), demand(awg, 4, 5)), FindingCode.CONTACT_RANGE))
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CheckedAgainst(
            "DIN 46237 and common practice: red 22–18 AWG and to 1.5 mm², blue 16–14 and 2.5, yellow 12–10 and 4–6")
    @CsvSource({
        "18, red",
        "16, red",
        "14, blue",
        "12, yellow",
        "10, yellow",
        "0.75 mm², red",
        "1 mm², red",
        "1.5 mm², red",
        "2.5 mm², blue",
        "4 mm², yellow",
        "6 mm², yellow"
    })
    void theColourTellsTheRange(String size, String colour) {
        ContactFit best = ContactChooser.rank(ContactCatalogue.shipped(), Family.SMALL, demand(size, 0, 5))
                .get(0);
        assertThat(best.contact().code()).startsWith(colour).contains("sealed");
        assertThat(best.verdict()).isEqualTo(Verdict.PASS);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "solder-sleeve splices: 26–24, 22–18, 16–14, 12–10 AWG", how = "common practice")
    @CsvSource({"18, 22–18", "14, 16–14", "12, 12–10", "10, 12–10"})
    void solderSleevesGoByRange(String size, String range) {
        assertThat(ContactChooser.rank(ContactCatalogue.shipped(), Family.SOLDER_SLEEVE, demand(size, 0, 5))
                        .get(0)
                        .contact()
                        .code())
                .isEqualTo("solder sleeve " + range);
    }

    @ParameterizedTest
    @CheckedAgainst("DIN 46228-4: strip length of each ferrule")
    @CsvSource({
        "0.5 × 8, 10",
        "0.75 × 8, 10",
        "1 × 8, 10",
        "1.5 × 8, 10",
        "2.5 × 8, 10",
        "4 × 10, 12",
        "6 × 12, 14",
        "10 × 12, 15",
        "16 × 12, 15",
        "25 × 16, 19",
        "35 × 16, 19"
    })
    void ferrulesAreStrippedByTheStandard(String size, double stripMm) {
        Contact ferrule = contact("ferrule " + size);
        assertThat(ferrule.stripMm()).isEqualTo(stripMm);
        assertThat(ferrule.family().dies()).isEqualTo(org.ulnaris.core.crimp.DieShape.SQUARE);
    }

    @Test
    @CheckedAgainst(
            value = "small contacts are stripped 6–10 mm; an 8 AWG two-pole contact 8–10 mm",
            how = "common practice")
    void stripsOfSmallContacts() {
        assertThat(ContactCatalogue.shipped())
                .filteredOn(contact -> contact.family() == Family.STACKABLE || contact.family() == Family.SMALL)
                .allSatisfy(contact -> assertThat(contact.stripMm()).isBetween(6.0, 10.0));
        ContactFit eight = ContactChooser.rank(ContactCatalogue.shipped(), Family.TWO_POLE, demand("8", 0, 40))
                .get(0);
        assertThat(eight.contact().stripMm()).isBetween(8.0, 10.0);
    }

    /** A contact rated above its wire does not make the wire carry more. */
    @Test
    @CheckedAgainst(value = "contact rating may exceed the wire's: the wire still limits", how = "common practice")
    void theLesserOfContactAndWire() {
        ContactDemand wire =
                new ContactDemand(cable("10", 5), new Load(30, 25), Place.CABIN, JoinMethod.CRIMP, Mating.UNSAID, true);
        ContactFit fit = new ContactFit(contact("SP cane"), wire);
        assertThat(fit.allowedA()).isEqualTo(25);
        assertThat(verdict(fit, FindingCode.CONTACT_CURRENT)).isEqualTo(Verdict.STOP);
        assertThat(new ContactFit(contact("SP cane"), demand("10", 5, 38)).allowedA())
                .isEqualTo(37);
        assertThat(verdict(new ContactFit(contact("SP cane"), demand("10", 5, 36)), FindingCode.CONTACT_CURRENT))
                .isEqualTo(Verdict.WATCH);
    }

    /** What carries much is asked for its rating; a lug is not, for its wire limits it. */
    @Test
    void aConnectorWithoutARatingIsAskedForIt() {
        Contact known = contact("SP cane");
        Contact.Wire wire = known.wire();
        Contact unknown = new Contact(
                known.code(),
                known.family(),
                known.style(),
                new Contact.Wire(wire.fromMm2(), wire.toMm2(), wire.tightMm2(), OptionalDouble.empty()),
                known.stripMm(),
                known.seat(),
                known.measuredTube(),
                known.source());
        assertThat(verdict(new ContactFit(unknown, demand("10", 5, 60)), FindingCode.CONTACT_CURRENT))
                .isEqualTo(Verdict.OPEN);
        assertThat(new ContactFit(unknown, demand("10", 5, 20)).findings())
                .noneMatch(finding -> finding.code() == FindingCode.CONTACT_CURRENT);
    }

    @Test
    @CheckedAgainst(
            value = "PV connectors take 2.5–10 mm² and a cable within the seal's range",
            how = "common practice")
    void theSealGripsItsCable() {
        assertThat(verdict(new ContactFit(contact("PV kite"), demand("6 mm²", 6.2, 20)), FindingCode.CONTACT_SEAL))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(new ContactFit(contact("PV kite"), demand("6 mm²", 9.5, 20)), FindingCode.CONTACT_SEAL))
                .isEqualTo(Verdict.STOP);
        for (String size : new String[] {"2.5 mm²", "4 mm²", "6 mm²", "10 mm²"}) {
            assertThat(ContactChooser.rank(ContactCatalogue.shipped(), Family.PV, demand(size, 0, 10)))
                    .anyMatch(ContactFit::takes);
        }
        assertThat(ContactChooser.rank(ContactCatalogue.shipped(), Family.PV, demand("16 mm²", 0, 10)))
                .noneMatch(ContactFit::takes);
    }

    @ParameterizedTest
    @CheckedAgainst(
            value =
                    "afloat and in vehicles closed sealed terminals; no open forks, no unsealed splices; push-on tabs tolerated",
            how = "common practice")
    @CsvSource({
        "red fork, BOAT, STOP",
        "red fork, VEHICLE, STOP",
        "red butt splice, BOAT, STOP",
        "red ring, BOAT, STOP",
        "red push-on, BOAT, WATCH",
        "red piggyback, VEHICLE, WATCH",
        "red bullet, BOAT, STOP"
    })
    void openTerminalsAreRefusedWhereThingsMove(String code, Place place, Verdict verdict) {
        ContactDemand demand =
                new ContactDemand(cable("1 mm²", 0), new Load(5, 0), place, JoinMethod.CRIMP, Mating.UNSAID, true);
        assertThat(verdict(new ContactFit(contact(code), demand), FindingCode.CONTACT_OPEN))
                .isEqualTo(verdict);
        ContactDemand house =
                new ContactDemand(cable("1 mm²", 0), new Load(5, 0), place, JoinMethod.CRIMP, Mating.UNSAID, false);
        assertThat(verdict(new ContactFit(contact(code), house), FindingCode.CONTACT_OPEN))
                .isEqualTo(Verdict.WATCH);
    }

    @Test
    void aCabinTakesThemAll() {
        ContactDemand cabin = new ContactDemand(
                cable("1 mm²", 0), new Load(5, 0), Place.CABIN, JoinMethod.CRIMP, Mating.UNSAID, true);
        assertThat(codes(new ContactFit(contact("red fork"), cabin))).doesNotContain(FindingCode.CONTACT_OPEN);
        assertThat(codes(new ContactFit(contact("red sealed ring"), demand("1 mm²", 0, 5))))
                .containsExactly(FindingCode.CONTACT_RANGE);
    }

    @ParameterizedTest
    @CheckedAgainst(
            "IEC 60364-5-54: 160 °C where joints are soldered; common practice: solder never the sole hold where things move")
    @CsvSource({
        "SP rush, VEHICLE, CRIMP_THEN_SOLDER, WATCH",
        "SP rush, VEHICLE, SOLDER_FILLED, STOP",
        "SP rush, CABIN, SOLDER_FILLED, PASS",
        "TP wren 10, VEHICLE, SOLDER_FILLED, WATCH",
        "TP wren 10, CABIN, CRIMP_THEN_SOLDER, PASS"
    })
    void solderIsASchoolWithLimits(String code, Place place, JoinMethod method, Verdict verdict) {
        ContactDemand demand = new ContactDemand(cable("12", 0), new Load(5, 0), place, method, Mating.UNSAID, true);
        ContactFit fit = new ContactFit(contact(code), demand);
        assertThat(verdict(fit, FindingCode.SOLDER_JOINT)).isEqualTo(verdict);
        assertThat(fit.findings())
                .filteredOn(finding -> finding.code() == FindingCode.SOLDER_JOINT)
                .allSatisfy(finding -> assertThat(finding.limit()).isEqualTo(160));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 62852: PV connectors of one make only; common practice: like-keyed frames only")
    @CsvSource({
        "PV kite, north, north, PASS",
        "PV kite, north, South, STOP",
        "TP wren 10, sand, SAND , PASS",
        "TP wren 10, sand, moss, STOP"
    })
    void halvesMustMatch(String code, String own, String other, Verdict verdict) {
        ContactDemand demand = new ContactDemand(
                cable("6 mm²", 6.2), new Load(5, 0), Place.CABIN, JoinMethod.CRIMP, new Mating(own, other), true);
        assertThat(verdict(new ContactFit(contact(code), demand), FindingCode.CONTACT_MATE))
                .isEqualTo(verdict);
        assertThat(codes(new ContactFit(contact(code), demand("6 mm²", 6.2, 5))))
                .doesNotContain(FindingCode.CONTACT_MATE);
    }

    /** What does not fit is shown last, not hidden; within what fits, the range that ends closest to the wire first. */
    @ParameterizedTest
    @EnumSource(
            value = Family.class,
            names = {"TUBE_LUG", "HEAVY_SPLICE"},
            mode = EnumSource.Mode.EXCLUDE)
    void unfitContactsComeLast(Family family) {
        List<ContactFit> ranked = ContactChooser.rank(ContactCatalogue.shipped(), family, demand("4 mm²", 5.5, 5));
        assertThat(ranked).hasSize((int) ContactCatalogue.shipped().stream()
                .filter(contact -> contact.family() == family)
                .count());
        assertThat(ranked).extracting(ContactFit::verdict).isSorted();
        assertThat(ranked.get(0).takes()).isTrue();
    }

    @ParameterizedTest
    @CheckedAgainst("DIN 46267-1: compression joints, die as DIN 46235 (recalled)")
    @CsvSource({"16, 8.5, 50", "50, 14.5, 56", "95, 19, 70", "240, 29, 90"})
    void heavySplicesByTheStandard(String size, double outerMm, double lengthMm) {
        ContactFit best = ContactChooser.rank(
                        ContactCatalogue.shipped(), Family.HEAVY_SPLICE, demand(size + " mm²", 0, 50))
                .get(0);
        assertThat(best.contact().code()).isEqualTo("splice " + size);
        assertThat(best.verdict()).isEqualTo(Verdict.PASS);
        Barrel tube = best.contact().tube().orElseThrow();
        assertThat(tube.outerMm()).isEqualTo(outerMm);
        assertThat(2 * tube.depthMm()).isEqualTo(lengthMm);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "above 10 AWG there is no small splice: a heavy tube splice", how = "common practice")
    @CsvSource({"6, HEAVY_SPLICE, PASS", "6, SMALL, STOP", "2/0, HEAVY_SPLICE, PASS", "2/0, SMALL, STOP"})
    void aboveTenTheSpliceIsHeavy(String awg, Family family, Verdict expected) {
        assertThat(ContactChooser.rank(ContactCatalogue.shipped(), family, demand(awg, 0, 5))
                        .get(0)
                        .verdict())
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CheckedAgainst(
            value = "thin wires: red terminals and sleeves of 22–18 AWG, sleeves of 26–24",
            how = "common practice")
    @CsvSource({
        "26, SOLDER_SLEEVE, solder sleeve 26–24",
        "24, SOLDER_SLEEVE, solder sleeve 26–24",
        "22, SOLDER_SLEEVE, solder sleeve 22–18",
        "22, SMALL, red",
        "20, SMALL, red"
    })
    void thinWiresHaveTheirOwn(String awg, Family family, String code) {
        ContactFit best = ContactChooser.rank(ContactCatalogue.shipped(), family, demand(awg, 0, 1))
                .get(0);
        assertThat(best.contact().code()).startsWith(code);
        assertThat(best.takes()).isTrue();
    }

    /** A conductor thinner than the contact's own range wants a reducing sleeve. */
    @ParameterizedTest
    @CheckedAgainst(
            value = "one frame takes several contacts; a reducing sleeve fills up for a thinner cable",
            how = "common practice")
    @CsvSource({
        "TP wren 16, 16 mm², PASS",
        "TP wren 16, 6 mm², WATCH",
        "TP wren 16, 4 mm², STOP",
        "TP wren 16, 25 mm², STOP"
    })
    void reducingSleeves(String code, String size, Verdict expected) {
        ContactFit fit = new ContactFit(contact(code), demand(size, 0, 5));
        assertThat(verdict(fit, FindingCode.CONTACT_RANGE)).isEqualTo(expected);
        assertThat(fit.reduced()).isEqualTo(expected == Verdict.WATCH);
    }

    @Test
    void badContactsAreRefused() {
        assertThatThrownBy(() -> new Contact.Wire(2, 1, OptionalDouble.empty(), OptionalDouble.empty()))
                .hasMessageContaining("empty");
        assertThat(ContactCatalogue.coded("nothing")).isEmpty();
    }
}
