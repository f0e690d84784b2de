package org.ulnaris.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.EndKind;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.DropLimit;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugChooser;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;

/** What follows from strands of aluminium: resistance, ampacity, short circuits, weight, lugs, steps. */
class AluminiumTest {
    @ParameterizedTest
    @CheckedAgainst("NEC tables 310.16 and 310.17, aluminium, 60, 75 and 90 °C")
    @CsvSource({
        "12,15,20,25,25,30,35",
        "10,25,30,35,35,40,45",
        "8,35,40,45,45,55,60",
        "6,40,50,55,60,75,85",
        "4,55,65,75,80,100,115",
        "3,65,75,85,95,115,130",
        "2,75,90,100,110,135,150",
        "1,85,100,115,130,155,175",
        "1/0,100,120,135,150,180,205",
        "2/0,115,135,150,175,210,235",
        "3/0,130,155,175,200,240,270",
        "4/0,150,180,205,235,280,315"
    })
    void ampacity(String size, double r60, double r75, double r90, double f60, double f75, double f90) {
        Conductor conductor = aluminium(size);
        assertThat(List.of(
                        rated(RuleSet.NEC_RACEWAY, conductor, 60),
                        rated(RuleSet.NEC_RACEWAY, conductor, 75),
                        rated(RuleSet.NEC_RACEWAY, conductor, 90),
                        rated(RuleSet.NEC_FREE_AIR, conductor, 60),
                        rated(RuleSet.NEC_FREE_AIR, conductor, 75),
                        rated(RuleSet.NEC_FREE_AIR, conductor, 90)))
                .containsExactly(r60, r75, r90, f60, f75, f90);
    }

    @ParameterizedTest
    @CheckedAgainst("NEC tables 310.16 (75 °C) and 310.17 (90 °C), aluminium beyond 4/0 AWG")
    @CsvSource({"250,205,355", "300,230,395", "500,310,545", "1000,445,845"})
    void ampacityBeyond(double kcmil, double raceway, double freeAir) {
        Conductor conductor = new Conductor(ConductorSizes.kcmil(kcmil), ConductorMetal.ALUMINIUM);
        assertThat(rated(RuleSet.NEC_RACEWAY, conductor, 75)).isEqualTo(raceway);
        assertThat(rated(RuleSet.NEC_FREE_AIR, conductor, 90)).isEqualTo(freeAir);
    }

    private static double rated(RuleSet rules, Conductor conductor, double columnC) {
        return rules.method().rating(conductor, columnC).ampacityA();
    }

    @ParameterizedTest
    @CheckedAgainst("NEC chapter 9 table 8, aluminium, stranded, at 75 °C")
    @CsvSource({
        "12,3.25",
        "10,2.04",
        "8,1.28",
        "6,0.808",
        "4,0.508",
        "3,0.403",
        "2,0.319",
        "1,0.253",
        "1/0,0.201",
        "2/0,0.159",
        "3/0,0.126",
        "4/0,0.1"
    })
    void resistance(String size, double ohmPerKft) {
        assertThat(ConductorResistance.ohmPerMetre(aluminium(size), 75) * 304.8)
                .isCloseTo(ohmPerKft, withPercentage(0.6));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60228 table 2, class 2, aluminium at 20 °C")
    @CsvSource({
        "10,3.08",
        "16,1.91",
        "25,1.20",
        "35,0.868",
        "50,0.641",
        "70,0.443",
        "95,0.320",
        "120,0.253",
        "240,0.125"
    })
    void metricResistance(String size, double ohmPerKm) {
        Conductor conductor = new Conductor(ConductorSizes.parse(size, SizeSeries.METRIC), ConductorMetal.ALUMINIUM);
        assertThat(1000 * ConductorResistance.ohmPerMetreAt20(conductor)).isEqualTo(ohmPerKm);
    }

    @ParameterizedTest
    @EnumSource(ConductorMetal.class)
    @CheckedAgainst(
            "density IEC 60028 8.89, IEC 60889 2.703, ASTM B566 class 10A 3.32 g/cm³; conductivity 61 % and 63 %")
    void weightAndConductivity(ConductorMetal metal) {
        Conductor conductor = new Conductor(ConductorSizes.parse("2/0", SizeSeries.AWG), metal);
        Conductor copper = new Conductor(conductor.size(), ConductorMetal.COPPER);
        double weight = conductor.kgPerM() / copper.kgPerM();
        double resistance =
                ConductorResistance.ohmPerMetreAt20(conductor) / ConductorResistance.ohmPerMetreAt20(copper);
        switch (metal) {
            case COPPER -> assertThat(weight * resistance).isEqualTo(1);
            case TINNED -> assertThat(resistance).isBetween(1.0, 1.06);
            case ALUMINIUM -> {
                assertThat(weight).isCloseTo(2.703 / 8.89, withPercentage(0.2));
                assertThat(resistance).isCloseTo(1 / 0.61, withPercentage(1));
            }
            case COPPER_CLAD -> {
                assertThat(weight).isCloseTo(3.32 / 8.89, withPercentage(0.2));
                assertThat(resistance).isCloseTo(1 / 0.63, withPercentage(0.1));
            }
        }
    }

    /** IEC 60364-5-54: k of copper 143, of aluminium 94 with cross-linked insulation from 90 to 250 °C. */
    @Test
    @CheckedAgainst("IEC 60364-5-54: k 143 of copper and 94 of aluminium, cross-linked, 90 to 250 °C")
    void aShortCircuitIsStoodByItsMetal() {
        assertThat(laying(ConductorMetal.COPPER).shortCircuitK()).isCloseTo(143, within(1.0));
        assertThat(laying(ConductorMetal.ALUMINIUM).shortCircuitK()).isCloseTo(94, within(1.0));
        assertThat(laying(ConductorMetal.COPPER_CLAD).shortCircuitK()).isCloseTo(94, within(1.0));
    }

    private static Run.Laying laying(ConductorMetal metal) {
        return new Run.Laying(
                new AmpacityConditions(90, 30, false, 1),
                OptionalDouble.of(90),
                SizeSeries.AWG,
                metal,
                DropLimit.given(3),
                org.ulnaris.core.protection.InsulationKind.CROSS_LINKED,
                false);
    }

    /** For the same current and drop it takes two sizes more; afloat it is refused, with its reason. */
    @Test
    @CheckedAgainst(value = "33 CFR 183.425(a): stranded copper; aluminium two sizes up", how = "common practice")
    void aCableOfAluminiumIsSizedThicker() {
        Rung copper = CableSizer.size(demand(ConductorMetal.COPPER, RuleSet.NEC_FREE_AIR))
                .chosen()
                .orElseThrow();
        Rung aluminium = CableSizer.size(demand(ConductorMetal.ALUMINIUM, RuleSet.NEC_FREE_AIR))
                .chosen()
                .orElseThrow();
        assertThat(aluminium.size().areaMm2() / copper.size().areaMm2()).isBetween(1.25, 2.1);
        assertThat(verdict(aluminium.findings(), FindingCode.CONDUCTOR_METAL)).isEqualTo(Verdict.PASS);
        Rung afloat = CableSizer.size(demand(ConductorMetal.ALUMINIUM, RuleSet.CFR_183_425))
                .chosen()
                .orElseThrow();
        assertThat(verdict(afloat.findings(), FindingCode.CONDUCTOR_METAL)).isEqualTo(Verdict.STOP);
    }

    private static CableDemand demand(ConductorMetal metal, RuleSet rules) {
        return new CableDemand(
                new CableDemand.Load(120, 3, 24, 3),
                new AmpacityConditions(90, 30, false, 1),
                null,
                rules,
                SizeSeries.AWG,
                metal,
                SizePolicy.BARE,
                null);
    }

    @Test
    @CheckedAgainst(
            value = "aluminium strands: never a copper lug; a bimetal lug on a copper stud",
            how = "common practice")
    void lugsFollowTheStrands() {
        List<LugFit> offered = LugChooser.rank(LugCatalogue.shipped(), wanted(ConductorMetal.ALUMINIUM));
        Lug best = offered.get(0).lug();
        assertThat(best.barrel().material()).isEqualTo(LugMaterial.ALUMINIUM);
        assertThat(best.form().body().pad()).isEqualTo(LugMaterial.COPPER);
        assertThat(offered.get(0).verdict()).isNotEqualTo(Verdict.STOP);
        assertThat(offered)
                .filteredOn(fit -> fit.lug().barrel().material() == LugMaterial.COPPER)
                .isNotEmpty()
                .allSatisfy(fit -> assertThat(verdict(fit.findings(), FindingCode.LUG_METAL))
                        .isEqualTo(Verdict.STOP));
        assertThat(offered)
                .filteredOn(fit -> fit.lug().form().body().pad() == LugMaterial.ALUMINIUM)
                .isNotEmpty()
                .allSatisfy(fit ->
                        assertThat(verdict(fit.findings(), FindingCode.LUG_PAD)).isEqualTo(Verdict.WATCH));
        assertThat(LugChooser.rank(LugCatalogue.shipped(), wanted(ConductorMetal.COPPER))
                        .get(0)
                        .lug()
                        .barrel()
                        .material())
                .isEqualTo(LugMaterial.COPPER);
    }

    private static LugDemand wanted(ConductorMetal metal) {
        ConductorSize size = ConductorSizes.parse("70", SizeSeries.METRIC);
        return new LugDemand(
                CableGeometry.of(new Conductor(size, metal), OptionalDouble.empty()),
                1,
                Landing.on(Studs.named("M10").orElseThrow()),
                Place.CABIN);
    }

    @Test
    void contactsAreCopper() {
        ConductorSize size = ConductorSizes.parse("8", SizeSeries.AWG);
        for (ConductorMetal metal : ConductorMetal.values()) {
            ContactDemand demand = new ContactDemand(
                    CableGeometry.of(new Conductor(size, metal), OptionalDouble.empty()),
                    new ContactDemand.Load(20, 40),
                    Place.CABIN,
                    JoinMethod.CRIMP,
                    ContactDemand.Mating.UNSAID,
                    false);
            assertThat(ContactCatalogue.shipped())
                    .allSatisfy(contact -> assertThat(
                                    verdict(new ContactFit(contact, demand).findings(), FindingCode.LUG_METAL))
                            .isEqualTo(metal.isCopper() ? Verdict.PASS : Verdict.STOP));
        }
    }

    @Test
    @CheckedAgainst(
            value = "aluminium strands are brushed bright and greased before they go in",
            how = "common practice")
    void itsStrandsAreBrushed() {
        assertThat(EndKind.steps(EndKind.LUG, EndKind.LUG))
                .extracting(BuildStep::key)
                .noneMatch(key -> key.startsWith("brush"));
        EndKind aluminium = new EndKind(EndKind.LUG.family(), EndKind.LUG.style(), EndKind.LUG.method(), true);
        List<String> steps = EndKind.steps(aluminium, EndKind.LUG).stream()
                .map(BuildStep::key)
                .toList();
        assertThat(steps).contains("brush-a").doesNotContain("brush-b");
        assertThat(steps.indexOf("brush-a")).isBetween(steps.indexOf("strip-a"), steps.indexOf("crimp-a"));
    }

    /** The worst that a check says; a pass where it says nothing. */
    private static Verdict verdict(List<Finding> findings, FindingCode code) {
        return Verdict.worstOf(
                findings.stream().filter(finding -> finding.code() == code).toList());
    }

    private static Conductor aluminium(String awg) {
        return new Conductor(ConductorSizes.parse(awg, SizeSeries.AWG), ConductorMetal.ALUMINIUM);
    }
}
