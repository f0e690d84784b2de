package org.ulnaris.core.proving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.LugMaterial;

class AcceptanceTest {
    private static final double LBF = 4.4482216152605;

    @ParameterizedTest
    @CheckedAgainst("UL 486A-486B, pull-out")
    @CsvSource({
        "18 AWG,20",
        "14 AWG,50",
        "10 AWG,80",
        "8 AWG,90",
        "6 AWG,100",
        "4 AWG,140",
        "2 AWG,180",
        "1/0 AWG,250",
        "4/0 AWG,450",
        "0.75 mm²,13",
        "240 mm²,650"
    })
    void pullUl(String size, double lbf) {
        assertThat(PullTable.forceN(size(size), PullSchool.UL_486).orElseThrow() / LBF)
                .isCloseTo(lbf, within(0.01));
    }

    @ParameterizedTest
    @CheckedAgainst("marine small-craft tensile table")
    @CsvSource({
        "18 AWG,10",
        "14 AWG,30",
        "10 AWG,40",
        "6 AWG,50",
        "2 AWG,90",
        "1/0 AWG,125",
        "4/0 AWG,225",
        "70 mm²,150"
    })
    void pullMarine(String size, double lbf) {
        assertThat(PullTable.forceN(size(size), PullSchool.MARINE).orElseThrow() / LBF)
                .isCloseTo(lbf, within(0.01));
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 61238-1, 60·A N, at most 20 kN")
    @CsvSource({"50 mm²,3000", "240 mm²,14400", "16 mm²,960"})
    void pullIec(String size, double newton) {
        assertThat(PullTable.forceN(size(size), PullSchool.IEC_61238).orElseThrow())
                .isCloseTo(newton, within(1e-6));
    }

    @Test
    void noMarineFigureBelowItsTable() {
        assertThat(PullTable.forceN(size("0.75 mm²"), PullSchool.MARINE)).isEmpty();
        assertThat(Acceptance.pullForce(copper("0.75 mm²"), PullSchool.MARINE, 10)
                        .verdict())
                .as("no figure is no pass")
                .isEqualTo(Verdict.OPEN);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "IEC 61238-1, aluminium 40·A N, at most 20 kN", how = "recalled")
    @CsvSource({"50 mm²,2000", "240 mm²,9600", "16 mm²,640"})
    void pullAluminiumByItsAreaInEverySchool(String size, double newton) {
        Conductor aluminium = new Conductor(size(size), ConductorMetal.ALUMINIUM);
        for (PullSchool school : PullSchool.values()) {
            assertThat(PullTable.forceN(aluminium, school).orElseThrow()).isCloseTo(newton, within(1e-6));
        }
        assertThat(Acceptance.pullForce(aluminium, PullSchool.UL_486, newton - 1)
                        .verdict())
                .isEqualTo(Verdict.STOP);
    }

    @ParameterizedTest
    @CheckedAgainst("IPC/WHMA-A-620, damaged strands")
    @CsvSource({
        "1,0", "6,0", "7,1", "15,1", "16,3", "25,3", "26,4", "40,4", "41,5", "60,5", "61,6", "120,6", "121,7", "665,39"
    })
    void strandLimits(int total, int allowed) {
        assertThat(StrandDamage.allowed(total)).isEqualTo(allowed);
        assertThat(Acceptance.strandsLost(0, total).verdict()).isEqualTo(Verdict.PASS);
        assertThat(Acceptance.strandsLost(allowed + 1, total).verdict()).isEqualTo(Verdict.STOP);
    }

    @Test
    void aConductorHasStrands() {
        assertThatThrownBy(() -> StrandDamage.allowed(0)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "common practice: too short is weak, too long is covered", how = "common practice")
    @CsvSource({"29,PASS", "28,PASS", "27.9,STOP", "30,PASS", "31.5,WATCH", "32.1,STOP", "NaN,STOP"})
    void strip(double measuredMm, Verdict verdict) {
        assertThat(Acceptance.stripLength(29, measuredMm).verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({
        "11.9,11.7,PASS",
        "11.9,12.1,PASS",
        "11.9,12.11,STOP",
        "11.9,11.69,STOP",
        "18.7,19.0,PASS",
        "18.7,19.01,STOP",
        "16,16.2,PASS",
        "16,16.25,STOP"
    })
    void acrossFlats(double flats, double measuredMm, Verdict verdict) {
        Die die = new Die("H", DieShape.HEX, flats, 5, LugMaterial.COPPER);
        assertThat(Acceptance.acrossFlats(die, measuredMm).verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"0,PASS", "1.5,PASS", "2.5,PASS", "4.4,WATCH", "5,STOP"})
    void gap(double measuredMm, Verdict verdict) {
        assertThat(Acceptance.crimpGap(1.5, measuredMm).verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"801,PASS", "800,STOP", "0,STOP", "5000,PASS"})
    void pull(double newton, Verdict verdict) {
        assertThat(Acceptance.pullForce(copper("2 AWG"), PullSchool.UL_486, newton)
                        .verdict())
                .isEqualTo(verdict);
        assertThat(Acceptance.pullForce(copper("2 AWG"), PullSchool.UL_486, 180 * LBF)
                        .verdict())
                .isEqualTo(Verdict.PASS);
    }

    /** Only the maker of a device knows its stud: 14.9 of the near twin's table beside ours of 6 begins no end anew. */
    @ParameterizedTest
    @CheckedAgainst(
            value = "Shigley T = K·F·d, ISO 898-1 class 8.8: M8 proof load 21.2 kN, K 0.20, 34 N·m",
            how = "recalled")
    @CsvSource({"6,OPEN", "14.9,OPEN", "1,OPEN", "33,OPEN", "36,STOP"})
    void torqueByATable(double newtonMetre, Verdict verdict) {
        Stud m8 = Studs.named("M8").orElseThrow();
        TorqueSpec table = TorqueSpec.byStud(m8);
        BoltedJoint joint = new BoltedJoint(m8, table.nominalNm(), 8.4);
        assertThat(Acceptance.torque(table, joint, newtonMetre).verdict()).isEqualTo(verdict);
        assertThat(joint.proofNm()).isCloseTo(0.20 * 8e-3 * 21_200, withinPercentage(5));
        assertThat(Acceptance.torque(TorqueSpec.around(6, Source.deviceMaker()), joint, 14.9)
                        .verdict())
                .isEqualTo(Verdict.STOP);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "common practice: ± 10 % without a range", how = "common practice")
    @CsvSource({"9,PASS", "10,PASS", "11,PASS", "8.9,STOP", "11.1,STOP"})
    void torque(double newtonMetre, Verdict verdict) {
        TorqueSpec spec = TorqueSpec.around(10, Source.given("maker"));
        assertThat(Acceptance.torque(spec, null, newtonMetre).verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"2400,PASS", "2398,PASS", "2390,WATCH", "2360,STOP", "2420,PASS", "2440,WATCH"})
    void cut(double measuredMm, Verdict verdict) {
        assertThat(Acceptance.cutLength(2400, 30, measuredMm).verdict()).isEqualTo(verdict);
    }

    @Test
    void holdAndWitness() {
        assertThat(Acceptance.holdTime(60).verdict()).isEqualTo(Verdict.PASS);
        assertThat(Acceptance.holdTime(59).verdict()).isEqualTo(Verdict.STOP);
        assertThat(Acceptance.witnessMark(true).verdict()).isEqualTo(Verdict.PASS);
        assertThat(Acceptance.witnessMark(false).verdict()).isEqualTo(Verdict.WATCH);
    }

    private static Conductor copper(String designation) {
        return new Conductor(size(designation), ConductorMetal.COPPER);
    }

    private static ConductorSize size(String designation) {
        return ConductorSizes.designated(designation).orElseThrow();
    }
}
