package org.ulnaris.core.termination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

class TerminationTest {
    @ParameterizedTest
    @CheckedAgainst("DIN 46235, bore fill of the standard's own pairs")
    @CsvSource({
        "10,0.629",
        "16,0.673",
        "25,0.65",
        "35,0.663",
        "50,0.637",
        "70,0.674",
        "95,0.664",
        "120,0.636",
        "150,0.661",
        "185,0.652",
        "240,0.661"
    })
    void boreFill(String size, double fill) {
        LugFit fit = LugFit.of(din(size, "M8", "M10", "M12"), metric(size, false), on("M8"));
        assertThat(fit.boreFill()).isCloseTo(fill, within(0.0007));
        assertThat(LugFit.BORE_FILL.judge(fit.boreFill())).isEqualTo(Verdict.PASS);
    }

    @Test
    @CheckedAgainst("DIN 46235, the loose 6 mm² pair")
    void theSmallestPairIsToBeWatched() {
        LugFit fit = LugFit.of(din("6", "M6"), metric("6", false), on("M6"));
        assertThat(fit.boreFill()).isCloseTo(0.529, within(0.0007));
        assertThat(finding(fit.findings(), FindingCode.BARREL_FIT).verdict()).isEqualTo(Verdict.WATCH);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "common practice: the lug matches wire and stud", how = "common practice")
    @CsvSource({"50 mm²,M8,DIN 50 · M8", "95 mm²,M10,DIN 95 · M10", "2/0 AWG,3/8,HW 2/0 · 3/8", "2 AWG,M8,HW 2 · M8"})
    void choosesTheLugOfTheSize(String size, String stud, String code) {
        CableGeometry cable = cable(size, false);
        List<LugFit> ranked = LugChooser.rank(LugCatalogue.shipped(), new LugDemand(cable, on(stud)));
        assertThat(ranked.get(0).lug().code()).isEqualTo(code);
        assertThat(ranked.get(0).exactHole()).isTrue();
        assertThat(ranked.get(0).verdict()).isNotEqualTo(Verdict.STOP);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "common practice: M8 ≈ 5/16 in, M10 ≈ 3/8 in", how = "common practice")
    @CsvSource({"5/16,8.4,PASS", "3/8,10.5,PASS", "3/8,8.4,STOP", "M8,10.5,NOTE", "M8,8.4,PASS"})
    void holesOnStuds(String stud, double holeMm, Verdict verdict) {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
        Lug lug = Lug.measured("x", barrel, Lug.Pad.flattened(barrel, holeMm, stud));
        LugFit fit = LugFit.of(lug, metric("50", false), on(stud));
        assertThat(finding(fit.findings(), FindingCode.HOLE_FIT).verdict()).isEqualTo(verdict);
    }

    @Test
    void aLargerHoleLosesContactArea() {
        LugFit exact = LugFit.of(din("50", "M8"), metric("50", false), on("M8"));
        LugFit next = LugFit.of(din("50", "M10"), metric("50", false), on("M8"));
        assertThat(exact.contactLossPercent()).isZero();
        double byHand = 1 - (16.0 * 16 - 10.5 * 10.5) / (16.0 * 16 - 8.4 * 8.4);
        assertThat(next.contactLossPercent()).isCloseTo(100 * byHand, within(1e-6));
        double nextByHand = 1 - (16.0 * 16 - 9.91 * 9.91) / (16.0 * 16 - 8.4 * 8.4);
        assertThat(exact.nextHoleLossPercent().orElseThrow()).isCloseTo(100 * nextByHand, within(1e-6));
        assertThat(finding(next.findings(), FindingCode.CONTACT_AREA).verdict()).isEqualTo(Verdict.WATCH);
    }

    /** Washer 16 mm wide on M8: a hole of 13 mm leaves less than half, one of 17 mm nothing at all. */
    @ParameterizedTest
    @CheckedAgainst(value = "common practice: half of the contact area lost is no joint", how = "common practice")
    @CsvSource({"8.4,PASS", "10.5,WATCH", "13,STOP", "17,STOP"})
    void halfOfTheContactAreaLostIsNoJoint(double holeMm, Verdict verdict) {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
        Lug lug = Lug.measured("x", barrel, Lug.Pad.flattened(barrel, holeMm, "M8"));
        LugFit fit = LugFit.of(lug, metric("50", false), on("M8"));
        assertThat(finding(fit.findings(), FindingCode.CONTACT_AREA).verdict()).isEqualTo(verdict);
    }

    @Test
    void padMustClearTheLanding() {
        Landing narrow = new Landing(
                Studs.named("M8").orElseThrow(), OptionalDouble.of(20), OptionalDouble.empty(), Landing.Around.NOTHING);
        LugFit fit = LugFit.of(din("50", "M8"), metric("50", false), narrow);
        assertThat(finding(fit.findings(), FindingCode.PAD_CLEARANCE).verdict()).isEqualTo(Verdict.STOP);
        assertThat(fit.verdict()).isEqualTo(Verdict.STOP);
    }

    @Test
    void everyShippedLugIsSound() {
        assertThat(LugCatalogue.shipped()).hasSizeGreaterThan(70).allSatisfy(lug -> {
            assertThat(lug.pad().holeMm()).isLessThan(lug.pad().widthMm());
            assertThat(lug.holeToMouthMm()).isGreaterThan(lug.barrel().depthMm());
            double fill = LugFit.boreFill(
                    lug.form().conductors()
                            * ConductorSizes.designated(lug.forSize())
                                    .orElseThrow()
                                    .areaMm2(),
                    lug.barrel());
            assertThat(LugFit.BORE_FILL.judge(fill)).as(lug.code()).isNotEqualTo(Verdict.STOP);
        });
        assertThat(LugCatalogue.shipped()).extracting(Lug::code).doesNotHaveDuplicates();
    }

    @Test
    @CheckedAgainst(
            value = "common practice: the sleeve passes the largest part, grips the thinnest",
            how = "common practice")
    void shrinkThatCannotPassThePadGoesOnFirst() {
        List<ShrinkTube> tubes =
                List.of(new ShrinkTube("18/6", "3:1", 18, 6, 2), new ShrinkTube("24/8", "3:1", 24, 8, 2));
        ShrinkChoice over = ShrinkChoice.choose(tubes, new ShrinkChoice.Cover(20, 14.5, 13, 30));
        assertThat(over.tube().name()).isEqualTo("24/8");
        assertThat(over.beforeLug()).isFalse();
        ShrinkChoice first = ShrinkChoice.choose(tubes, new ShrinkChoice.Cover(30, 14.5, 13, 30));
        assertThat(first.beforeLug()).isTrue();
        assertThat(first.tube().name()).isEqualTo("18/6");
        ShrinkChoice none = ShrinkChoice.choose(tubes, new ShrinkChoice.Cover(60, 40, 38, 30));
        assertThat(none.tube()).isNull();
        assertThat(none.finding().verdict()).isEqualTo(Verdict.STOP);
        ShrinkChoice loose = ShrinkChoice.choose(tubes, new ShrinkChoice.Cover(14, 9, 6, 30));
        assertThat(loose.tube()).isNull();
    }

    @Test
    void shrinkLengthCountsTheLengthwiseShrink() {
        ShrinkChoice.Cover cover = new ShrinkChoice.Cover(20, 14.5, 13, 30);
        assertThat(cover.overlapMm()).isEqualTo(25);
        assertThat(cover.cutLengthMm()).isCloseTo(55 / 0.9, within(1e-9));
        assertThat(new ShrinkChoice.Cover(30, 25, 22, 40).overlapMm()).isEqualTo(33);
    }

    @Test
    void stripFollowsTheBarrelAndItsGrowth() {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
        assertThat(StripLength.stripMm(barrel, 0)).isEqualTo(28);
        assertThat(StripLength.stripMm(barrel, 1.5)).isEqualTo(29);
    }

    @Test
    void cutLengthAddsUp() {
        Lug a = din("50", "M8");
        Lug b = din("50", "M10");
        CutLength cut = new CutLength(1000, 30, CutLength.Reach.of(a), CutLength.Reach.of(b));
        assertThat(cut.cutMm() + a.holeToMouthMm() - 28 + b.holeToMouthMm() - 28 - 30)
                .isCloseTo(1000, within(1e-9));
        assertThat(cut.explanation().equation().result().value()).isEqualTo(cut.cutMm());
        assertThat(CutLength.redoCostMm(CutLength.Reach.of(a))).isCloseTo(28 + a.holeToMouthMm() + 3, within(1e-9));
    }

    @Test
    void refusesImpossibleLugs() {
        assertThatThrownBy(() -> new Barrel(LugMaterial.COPPER, 10, 10, 20)).hasMessageContaining("bore");
        assertThatThrownBy(() -> new Barrel(LugMaterial.COPPER, Double.NaN, 5, 20))
                .hasMessageContaining("outerMm");
        assertThatThrownBy(() -> new Lug.Pad(8, 2, 8.4, "M8")).hasMessageContaining("hole");
        assertThatThrownBy(() -> new ShrinkTube("x", "3:1", 3, 3, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    private static Lug din(String size, String... studs) {
        return LugCatalogue.shipped().stream()
                .filter(lug ->
                        List.of(studs).stream().anyMatch(stud -> lug.code().equals("DIN " + size + " · " + stud)))
                .findFirst()
                .orElseThrow();
    }

    private static CableGeometry metric(String name, boolean tinned) {
        return CableGeometry.of(
                new Conductor(ConductorSizes.parse(name, SizeSeries.METRIC), tinned), OptionalDouble.empty());
    }

    private static CableGeometry cable(String designation, boolean tinned) {
        return CableGeometry.of(
                new Conductor(ConductorSizes.designated(designation).orElseThrow(), tinned), OptionalDouble.empty());
    }

    private static Landing on(String stud) {
        return Landing.on(Studs.named(stud).orElseThrow());
    }

    private static Finding finding(List<Finding> findings, FindingCode code) {
        return findings.stream().filter(f -> f.code() == code).findFirst().orElseThrow();
    }

    /** The quick verdict is that of the checks, for every lug, size and stud that ships. */
    @Test
    void theQuickVerdictIsThatOfTheChecks() {
        for (String size : new String[] {"6 mm²", "25 mm²", "50 mm²", "2 AWG", "2/0 AWG"}) {
            CableGeometry cable = CableGeometry.of(
                    new Conductor(ConductorSizes.designated(size).orElseThrow(), true), OptionalDouble.empty());
            for (Lug lug : LugCatalogue.shipped()) {
                for (OptionalDouble clear : new OptionalDouble[] {OptionalDouble.empty(), OptionalDouble.of(20)}) {
                    Landing landing = new Landing(
                            Studs.named("M8").orElseThrow(), clear, OptionalDouble.empty(), Landing.Around.NOTHING);
                    LugFit fit = LugFit.of(lug, cable, landing);
                    assertThat(fit.verdict()).as(size + " " + lug.code()).isEqualTo(Verdict.worstOf(fit.findings()));
                }
            }
        }
    }

    /** Two lugs of 30 mm from hole to mouth: on 60 mm nothing is left between them, 10 mm bend a cable of 10. */
    @ParameterizedTest
    @CheckedAgainst(value = "common practice: a short link is a bar", how = "common practice")
    @CsvSource({"59, STOP", "60, WATCH", "69, WATCH", "70, PASS", "1000, PASS"})
    void aLinkShorterThanItsEnds(double routeMm, Verdict verdict) {
        CutLength.Reach end = new CutLength.Reach(30, 15);
        assertThat(new CutLength(routeMm, 0, end, end).room(10).verdict()).isEqualTo(verdict);
    }
}
