package org.ulnaris.core.termination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;

class LugFormTest {
    private static final CableGeometry CABLE = cable("50 mm²");

    private static CableGeometry cable(String size) {
        return CableGeometry.of(
                new Conductor(ConductorSizes.designated(size).orElseThrow(), false), OptionalDouble.empty());
    }

    private static Lug lug(String code) {
        return LugCatalogue.shipped().stream()
                .filter(lug -> lug.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    /** An M8 landing; a figure of 0 stands for "not said". */
    private static Landing landing(double clearMm, Landing.Around around) {
        return new Landing(Studs.named("M8").orElseThrow(), said(clearMm), OptionalDouble.empty(), around);
    }

    private static OptionalDouble said(double figure) {
        return figure > 0 ? OptionalDouble.of(figure) : OptionalDouble.empty();
    }

    private static Landing.Around around(double leaveDeg, double reachMm, double neighbourMm) {
        return new Landing.Around(
                leaveDeg,
                said(reachMm),
                said(neighbourMm),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.empty());
    }

    private static Landing.Around beneath(double headroomMm, double secondMm, OptionalInt angle) {
        return new Landing.Around(
                0, OptionalDouble.empty(), OptionalDouble.empty(), said(headroomMm), said(secondMm), angle);
    }

    private static Optional<Verdict> verdict(Lug lug, LugDemand demand, FindingCode code) {
        LugFit fit = LugFit.of(lug, demand);
        Optional<Verdict> found = fit.findings().stream()
                .filter(finding -> finding.code() == code)
                .map(finding -> finding.verdict())
                .findFirst();
        found.ifPresent(verdict -> assertThat(fit.verdict()).isGreaterThanOrEqualTo(verdict));
        return found;
    }

    private static Optional<Verdict> on(Lug lug, Landing landing, FindingCode code) {
        return verdict(lug, new LugDemand(CABLE, landing), code);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "one conductor a lug unless its maker rates it for more", how = "common practice")
    @CsvSource({"DIN 25 · M8, 1, ", "DIN 25 · M8, 2, STOP", "KT 25 twin · M8, 2, PASS"})
    void twoCablesInOneLug(String code, int conductors, Verdict expected) {
        LugDemand demand = new LugDemand(cable("25 mm²"), conductors, landing(0, Landing.Around.NOTHING), Place.CABIN);
        assertThat(verdict(lug(code), demand, FindingCode.LUG_CONDUCTORS)).isEqualTo(Optional.ofNullable(expected));
    }

    @Test
    void twoConductorsFillTheBarrelTwice() {
        LugDemand two = new LugDemand(cable("16 mm²"), 2, landing(0, Landing.Around.NOTHING), Place.CABIN);
        assertThat(two.areaMm2()).isEqualTo(32);
        assertThat(LugFit.of(lug("KT 16 twin · M8"), two).boreFill())
                .isCloseTo(32 / (Math.PI / 4 * 7.9 * 7.9), within(1e-9));
        assertThat(LugChooser.rank(LugCatalogue.shipped(), two).get(0).lug().code())
                .isEqualTo("KT 16 twin · M8");
        assertThatThrownBy(() -> new LugDemand(CABLE, 3, landing(0, Landing.Around.NOTHING), Place.CABIN))
                .hasMessageContaining("one or two");
    }

    @ParameterizedTest
    @CheckedAgainst(
            value = "aluminium: inhibitor and aluminium-rated parts; no window; tinned lugs resist corrosion afloat",
            how = "common practice")
    @CsvSource({
        "AL 50 · M10, BOAT, LUG_METAL, WATCH",
        "KB 35 bare · M8, BOAT, LUG_FINISH, WATCH",
        "KB 35 bare · M8, VEHICLE, LUG_FINISH, WATCH",
        "KB 35 bare · M8, CABIN, LUG_FINISH, ",
        "DIN 50 · M8, BOAT, LUG_FINISH, ",
        "DIN 50 · M8, BOAT, LUG_METAL, ",
        "AC 35 · M8, BOAT, LUG_FINISH, "
    })
    void metalsAndPlating(String code, Place place, FindingCode check, Verdict expected) {
        LugDemand demand = new LugDemand(CABLE, 1, landing(0, Landing.Around.NOTHING), place);
        assertThat(verdict(lug(code), demand, check)).isEqualTo(Optional.ofNullable(expected));
    }

    @Test
    void noWindowInAluminium() {
        Lug plain = lug("AL 50 · M10");
        LugForm windowed =
                new LugForm(0, LugForm.Holes.ONE, new LugForm.Body(LugMaterial.ALUMINIUM, false, true, false), 1);
        Lug lug = new Lug("x", "", plain.barrel(), plain.pad(), plain.overallMm(), windowed, plain.source());
        assertThat(on(lug, landing(0, Landing.Around.NOTHING), FindingCode.LUG_WINDOW))
                .contains(Verdict.STOP);
    }

    @ParameterizedTest
    @CheckedAgainst(
            value = "a second hole keeps a lug from turning and has to meet a second stud",
            how = "common practice")
    @CsvSource({
        "KU 70 pair · M10, 0, STOP",
        "KU 70 pair · M10, 25, PASS",
        "KU 70 pair · M10, 25.4, PASS",
        "KU 70 pair · M10, 32, STOP"
    })
    void twoHoles(String code, double secondMm, Verdict expected) {
        assertThat(on(lug(code), landing(0, beneath(0, secondMm, OptionalInt.empty())), FindingCode.LUG_HOLES))
                .contains(expected);
    }

    @Test
    void aTerminalWithTwoStudsWantsALugWithTwoHoles() {
        Landing landing = new Landing(
                Studs.named("M10").orElseThrow(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                beneath(0, 25, OptionalInt.empty()));
        List<LugFit> ranked = LugChooser.rank(LugCatalogue.shipped(), new LugDemand(cable("70 mm²"), landing));
        assertThat(ranked.get(0).lug().code()).isEqualTo("KU 70 pair · M10");
    }

    @ParameterizedTest
    @CheckedAgainst(value = "a cable does not bend right at its lug", how = "common practice")
    @CsvSource({"0, DIN 50 · M8", "45, KU 50 slant · M8", "90, KU 50 upright · M8"})
    void theLugFollowsTheCable(int angle, String best) {
        Landing landing = landing(0, beneath(0, 0, OptionalInt.of(angle)));
        assertThat(LugChooser.rank(LugCatalogue.shipped(), new LugDemand(CABLE, landing))
                        .get(0)
                        .lug()
                        .code())
                .isEqualTo(best);
        assertThat(on(lug(best), landing, FindingCode.LUG_ANGLE)).contains(Verdict.PASS);
        Landing other = landing(0, beneath(0, 0, OptionalInt.of(angle == 90 ? 0 : 90)));
        assertThat(on(lug(best), other, FindingCode.LUG_ANGLE)).contains(Verdict.WATCH);
    }

    @Test
    void withoutAWordTheLugIsStraightAndOfCopper() {
        for (String size : List.of("16 mm²", "25 mm²", "35 mm²", "50 mm²", "70 mm²")) {
            Lug best = LugChooser.rank(
                            LugCatalogue.shipped(), new LugDemand(cable(size), landing(0, Landing.Around.NOTHING)))
                    .get(0)
                    .lug();
            assertThat(best.form()).as(size).isEqualTo(LugForm.PLAIN);
        }
    }

    /** An upright lug stands as high as its barrel is deep, and the cable turns above it. */
    @Test
    void headroom() {
        Lug upright = lug("KU 50 upright · M8");
        double needed = upright.pad().thicknessMm() + 28 + 4 * CABLE.outerMm();
        assertThat(on(upright, landing(0, beneath(needed + 0.1, 0, OptionalInt.empty())), FindingCode.HEADROOM))
                .contains(Verdict.PASS);
        assertThat(on(upright, landing(0, beneath(needed - 0.1, 0, OptionalInt.empty())), FindingCode.HEADROOM))
                .contains(Verdict.STOP);
        assertThat(on(lug("DIN 50 · M8"), landing(0, beneath(15, 0, OptionalInt.empty())), FindingCode.HEADROOM))
                .contains(Verdict.PASS);
    }

    @Test
    void straightBetweenWallsItTakesItsPadOrItsSleevedBarrel() {
        Lug lug = lug("DIN 50 · M8");
        double pad = lug.pad().widthMm();
        assertThat(new Footprint(lug, 0).widthMm(pad / 2)).isCloseTo(pad, within(0.01));
        Lug narrow = lug("KU 50 narrow · M8");
        assertThat(narrow.narrowTongue()).isTrue();
        assertThat(new Footprint(narrow, 0).widthMm(0)).isCloseTo(14, within(0.05));
        assertThat(new Footprint(narrow, 0).widthMm(100)).isCloseTo(14.5 + 2 * Footprint.SLEEVE_MM, within(1e-6));
    }

    /** Turned by φ, the far corner of a barrel of length l and half width h stands at l·sin φ + h·cos φ from the middle (plane geometry). */
    @ParameterizedTest
    @CsvSource({"10", "30", "-45", "90"})
    void turnedItTakesMore(double leave) {
        Lug lug = lug("DIN 50 · M8");
        double half = 14.5 / 2 + Footprint.SLEEVE_MM;
        double phi = Math.toRadians(Math.abs(leave));
        double corner = lug.holeToMouthMm() * Math.sin(phi) + half * Math.cos(phi);
        double expected = 2 * Math.max(corner, lug.pad().widthMm() / 2);
        assertThat(new Footprint(lug, leave).widthMm(500)).isCloseTo(expected, within(0.02));
    }

    @ParameterizedTest
    @CsvSource({"24, 0, 0, PASS", "20, 0, 0, STOP", "24, 30, 0, STOP", "52, 30, 20, PASS", "24, 0, 60, PASS"})
    void walls(double clearMm, double leave, double reachMm, Verdict expected) {
        assertThat(on(
                        lug("KU 50 upright · M8"),
                        landing(clearMm, around(leave, reachMm, 0)),
                        FindingCode.PAD_CLEARANCE))
                .contains(expected);
    }

    @ParameterizedTest
    @CsvSource({"0, 30, PASS", "0, 24, WATCH", "0, 20, STOP", "60, 30, STOP"})
    void neighbours(double leave, double neighbourMm, Verdict expected) {
        assertThat(on(lug("KU 50 bell · M8"), landing(0, around(leave, 0, neighbourMm)), FindingCode.NEIGHBOUR_GAP))
                .contains(expected);
    }

    @Test
    void formsThatCanNotBeAreRefused() {
        assertThatThrownBy(() -> new LugForm(30, LugForm.Holes.ONE, LugForm.Body.TINNED_COPPER, 1))
                .hasMessageContaining("45°");
        assertThatThrownBy(() -> new LugForm(0, LugForm.Holes.ONE, LugForm.Body.TINNED_COPPER, 3))
                .hasMessageContaining("one or two");
        Lug plain = lug("DIN 50 · M8");
        LugForm far = new LugForm(0, new LugForm.Holes(OptionalDouble.of(60)), LugForm.Body.TINNED_COPPER, 1);
        assertThatThrownBy(() -> new Lug("x", "", plain.barrel(), plain.pad(), plain.overallMm(), far, plain.source()))
                .hasMessageContaining("longer");
    }
}
