package org.ulnaris.core.fastening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

class FasteningTest {
    private static final double LBF = 4.4482216152605;
    private static final double LBF_FT = LBF * 0.3048;

    @ParameterizedTest
    @CheckedAgainst("ISO 898-1, proof loads of class 8.8")
    @CsvSource({"M5,8230", "M6,11600", "M8,21200", "M10,33700", "M12,48900"})
    void proofLoad(String stud, double newton) {
        assertThat(stud(stud).thread().proofLoadN()).isCloseTo(newton, withPercentage(0.5));
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 898-1, A_s = π/4·(d − 0.9382·P)²")
    @CsvSource({"M5,5,0.8", "M6,6,1.0", "M8,8,1.25", "M10,10,1.5", "M12,12,1.75"})
    void stressArea(String stud, double d, double pitch) {
        assertThat(stud(stud).thread().stressAreaMm2())
                .isCloseTo(Math.PI / 4 * Math.pow(d - 0.9382 * pitch, 2), withPercentage(0.5));
    }

    @Test
    @CheckedAgainst("Shigley ch. 8: K 0.20, 0.75 in, 25 000 lbf → 3750 lbf·in")
    void shigleysBolt() {
        Stud threeQuarter = new Stud(
                "3/4",
                new Stud.Thread(19.05, 1.5875, 240.6, 586),
                new Stud.Holes(19.5, 20, 21),
                new Stud.Hardware(38, 3, 4, 16, 28));
        BoltedJoint joint = new BoltedJoint(threeQuarter, 3750 * LBF * 0.0254, 19.5);
        assertThat(joint.preloadN() / LBF).isCloseTo(25_000, within(1.0));
    }

    @ParameterizedTest
    @CheckedAgainst("SAE J429 grade 5 chart, 75 % of proof, K 0.20")
    @CsvSource({"1/4,8.4", "5/16,17", "3/8,31", "1/2,75"})
    void gradeFiveChart(String stud, double lbfFt) {
        BoltedJoint joint =
                new BoltedJoint(stud(stud), lbfFt * LBF_FT, stud(stud).holes().fineMm());
        assertThat(joint.proofShare()).isCloseTo(0.75, within(0.02));
    }

    @ParameterizedTest
    @CheckedAgainst("Tensile stress areas of unified threads (ASME B1.1), in²")
    @CsvSource({"#10,0.0200", "1/4,0.0318", "5/16,0.0524", "3/8,0.0775", "1/2,0.1419"})
    void inchStressArea(String stud, double squareInch) {
        assertThat(stud(stud).thread().stressAreaMm2() / 645.16).isCloseTo(squareInch, withPercentage(0.6));
    }

    @ParameterizedTest
    @CheckedAgainst("ISO 273, ISO 7089, ISO 4032")
    @CsvSource({"M5,5.3,5.5,10,4.7", "M6,6.4,6.6,12,5.2", "M8,8.4,9,16,6.8", "M10,10.5,11,20,8.4", "M12,13,13.5,24,10.8"
    })
    void holesAndHardware(String stud, double fine, double medium, double washer, double nut) {
        assertThat(stud(stud).holes().fineMm()).isEqualTo(fine);
        assertThat(stud(stud).holes().mediumMm()).isEqualTo(medium);
        assertThat(stud(stud).hardware().washerOuterMm()).isEqualTo(washer);
        assertThat(stud(stud).hardware().nutMm()).isEqualTo(nut);
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60947-1 table 4 column III; UL 486A-486B connecting hardware")
    @CsvSource({
        "M5,2",
        "M6,3",
        "M8,6",
        "M10,10",
        "M12,14",
        "#10,3.39",
        "1/4,8.13",
        "5/16,14.91",
        "3/8,25.76",
        "1/2,54.23"
    })
    void torqueWithoutAMakersFigure(String stud, double newtonMetre) {
        assertThat(TorqueSpec.byStud(stud(stud)).nominalNm()).isCloseTo(newtonMetre, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({"m8,M8", "3/8 in,3/8", "3/8\",3/8", " #10 ,#10", "1/2 inch,1/2"})
    void namesOfStuds(String text, String name) {
        assertThat(Studs.named(text).orElseThrow().name()).isEqualTo(name);
    }

    @Test
    void unknownStuds() {
        assertThat(Studs.named("M7")).isEmpty();
        assertThat(Studs.named("")).isEmpty();
        assertThat(Studs.thickestThrough(8.4).orElseThrow().name()).isEqualTo("M8");
        assertThat(Studs.thickestThrough(1)).isEmpty();
    }

    @Test
    void tooMuchTorqueStops() {
        BoltedJoint strained = new BoltedJoint(stud("M6"), 20, 6.4);
        assertThat(strained.findings())
                .extracting(Finding::code)
                .containsExactly(FindingCode.PRELOAD, FindingCode.WASHER_PRESSURE);
        assertThat(strained.findings().get(0).verdict()).isEqualTo(Verdict.STOP);
        assertThat(new BoltedJoint(stud("M8"), 6, 8.4).findings())
                .allSatisfy(finding -> assertThat(finding.verdict()).isEqualTo(Verdict.PASS));
    }

    @Test
    @CheckedAgainst(value = "common practice: two threads proud", how = "common practice")
    void stackNeedsTwoThreadsProud() {
        HardwareStack stack = new HardwareStack(stud("M8"), 4.5);
        assertThat(stack.heightMm()).isCloseTo(4.5 + 1.6 + 2 + 6.8, within(1e-9));
        assertThat(stack.studNeededMm()).isCloseTo(stack.heightMm() + 2.5, within(1e-9));
        assertThat(stack.findings(OptionalDouble.empty())).isEmpty();
        assertThat(verdict(stack, 18)).isEqualTo(Verdict.PASS);
        assertThat(verdict(stack, 16)).isEqualTo(Verdict.WATCH);
        assertThat(verdict(stack, 12)).isEqualTo(Verdict.STOP);
    }

    private static Verdict verdict(HardwareStack stack, double studMm) {
        return stack.findings(OptionalDouble.of(studMm)).get(0).verdict();
    }

    @Test
    void torqueRangesAreChecked() {
        TorqueSpec ten = TorqueSpec.around(10, Source.given("maker"));
        assertThat(ten.minNm()).isEqualTo(9);
        assertThat(ten.maxNm()).isCloseTo(11, within(1e-9));
        assertThatThrownBy(() -> new TorqueSpec(10, 11, 12, Source.given("maker")))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new TorqueSpec(Double.NaN, 1, 2, Source.given("maker")))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new BoltedJoint(stud("M8"), 6, 20)).isInstanceOf(IllegalArgumentException.class);
    }

    private static Stud stud(String name) {
        return Studs.named(name).orElseThrow();
    }

    /** A bound and the nominal figure, or both bounds, may not contradict; one figure alone never does. */
    @ParameterizedTest
    @CsvSource({
        "8, 7, 9, ",
        "8, 9, 10, LOWEST",
        "8, 6, 7, HIGHEST",
        ", 9, 7, LOWEST",
        ", 7, 9, ",
        "8, , , ",
        ", 7, , ",
        ", , 9, "
    })
    void boundsOfATorqueMayNotContradict(
            @Nullable Double nominal, @Nullable Double min, @Nullable Double max, TorqueSpec.@Nullable Bound expected) {
        assertThat(TorqueSpec.contradicted(nominal, min, max).orElse(null)).isEqualTo(expected);
    }
}
