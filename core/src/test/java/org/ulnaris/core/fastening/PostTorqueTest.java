package org.ulnaris.core.fastening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.TerminalMetal;

class PostTorqueTest {
    /** T = 0.75·K·d·A_s·σ with A_s of ISO 898-1. */
    @ParameterizedTest
    @CheckedAgainst("Shigley T = K·F·d with the stress areas of ISO 898-1, worked by hand")
    @CsvSource({"M8,BRASS,8.78", "M10,BRASS,17.4", "M8,STAINLESS,19.8", "M8,COPPER,25.5", "M10,STEEL,50.5"})
    void aPostYieldsByItsMetal(String stud, TerminalMetal metal, double ceilingNm) {
        assertThat(post(stud, metal).ceilingNm()).isCloseTo(ceilingNm, within(0.01 * ceilingNm));
    }

    @ParameterizedTest
    @CsvSource({
        "M8,COPPER,8,PASS",
        "M8,COPPER,2,WATCH",
        "M8,COPPER,60,STOP",
        "M8,BRASS,12,WATCH",
        "M8,LEAD,8,PASS",
        "M8,LEAD,14,WATCH",
        "M8,LEAD,30,STOP",
        "M8,ALUMINIUM,2.5,WATCH",
        "3/8,LEAD,15,PASS"
    })
    void theMakersTorqueIsHeldAgainstThePost(String stud, TerminalMetal metal, double nm, Verdict verdict) {
        assertThat(post(stud, metal).finding(maker(nm)).orElseThrow().verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "lead and aluminium posts creep: only their maker's torque holds", how = "common practice")
    @CsvSource({"LEAD,OPEN", "ALUMINIUM,OPEN", "BRASS,", "STEEL,", "COPPER,", "STAINLESS,"})
    void noTableHoldsForLeadAndAluminium(TerminalMetal metal, @Nullable Verdict verdict) {
        PostTorque post = post("M10", metal);
        assertThat(post.finding(null).map(Finding::verdict).orElse(null)).isEqualTo(verdict);
        assertThat(post.byTable().isEmpty()).isEqualTo(verdict == Verdict.OPEN);
    }

    @ParameterizedTest
    @CheckedAgainst(value = "1 lbf·in = 0.1129848 N·m, 1 ft = 12 in", how = "exact")
    @CsvSource({"62,lbf·in", "74,lbf·in", "0.9,N·m"})
    void aSlipOfUnitIsSuspected(double nm, String meant) {
        assertThat(post("M8", TerminalMetal.BRASS)
                        .finding(maker(nm))
                        .orElseThrow()
                        .about())
                .contains(meant);
    }

    /** On brass the table of the inch stud is more than it stands. */
    @Test
    void brassTakesNoMoreThanItStands() {
        TorqueSpec spec = post("5/16", TerminalMetal.BRASS).byTable().orElseThrow();
        assertThat(spec.nominalNm()).isLessThan(TorqueSpec.byStud(stud("5/16")).nominalNm());
        assertThat(post("M8", TerminalMetal.BRASS).byTable().orElseThrow().nominalNm())
                .isEqualTo(6);
    }

    @ParameterizedTest
    @CheckedAgainst("IEC 60947-1 table 4 column III; UL 486A-486B connecting hardware")
    @CsvSource({"M8,5/16,14.91", "5/16,M8,6", "M10,3/8,25.76", "3/8,M10,10", "M6,1/4,8.13", "1/2,M12,14", "#10,M5,2"})
    void bothStandardsOfNearTwins(String stud, String twin, double nm) {
        assertThat(TorqueSpec.twin(stud(stud)).name()).isEqualTo(twin);
        assertThat(TorqueSpec.byStud(TorqueSpec.twin(stud(stud))).nominalNm()).isCloseTo(nm, within(0.01));
        assertThat(TorqueSpec.twin(TorqueSpec.twin(stud(stud)))).isEqualTo(stud(stud));
        assertThat(TorqueSpec.byStud(stud(stud)).isFromTable()).isTrue();
        assertThat(maker(nm).isFromTable()).isFalse();
    }

    private static PostTorque post(String stud, TerminalMetal metal) {
        return new PostTorque(stud(stud), metal, Bolting.USUAL);
    }

    private static Stud stud(String name) {
        return Studs.named(name).orElseThrow();
    }

    private static TorqueSpec maker(double nm) {
        return TorqueSpec.around(nm, Source.given("device maker"));
    }
}
