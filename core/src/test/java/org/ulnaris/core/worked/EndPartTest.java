package org.ulnaris.core.worked;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.StepKind;

class EndPartTest {
    @ParameterizedTest
    @CsvSource({
        "END, STUD_LENGTH, STUD",
        "END, NEIGHBOUR_GAP, STUD",
        "END, WASHER_PRESSURE, STUD",
        "END, CONTACT_MATE, STUD",
        "TERMINAL, THIN_RING, STUD",
        "WIRING, POINT_UNKNOWN, STUD",
        "END, BARREL_FIT, LUG",
        "END, END_MISSING, LUG",
        "END, CONTACT_RANGE, LUG",
        "END, COMPACTION, CRIMP",
        "END, DIE_MISSING, CRIMP",
        "TOOL, TOOL_TRUST, CRIMP",
        "END, SHRINK_FIT, SLEEVE"
    })
    void aFindingStandsWhereItIsMended(Topic topic, FindingCode code, EndPart part) {
        Finding finding = Finding.said(code, Verdict.STOP, "", "made up", Source.practice("made up"));
        assertThat(EndPart.of(new JobFinding(topic, "C1", "A", finding))).isEqualTo(part);
    }

    @ParameterizedTest
    @EnumSource(StepKind.class)
    void aStepOfAnEndIsDoneToAPlaceOfItAndOfTheCableToNone(StepKind step) {
        assertThat(EndPart.of(step).isEmpty()).isEqualTo(step.scope() == StepKind.Scope.CABLE);
        if (step.scope() == StepKind.Scope.LANDING) {
            assertThat(EndPart.of(step)).contains(EndPart.STUD);
        }
    }
}
