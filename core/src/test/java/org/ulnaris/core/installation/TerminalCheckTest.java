package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.rules.HouseRules;

class TerminalCheckTest {
    private static final Terminal STUD = Terminal.parse("SHUNT.in");
    private static final Terminal BAR = Terminal.parse("BUS.bar");

    private static final double UNSIZED = 0;

    private static List<FindingCode> codes(Terminal terminal, List<Double> areas, Map<Terminal, Integer> most) {
        List<OptionalDouble> landed = areas.stream()
                .map(area -> area == UNSIZED ? OptionalDouble.empty() : OptionalDouble.of(area))
                .toList();
        return TerminalCheck.check(Map.of(terminal, landed), most, HouseRules.USUAL)
                .getOrDefault(terminal, List.of())
                .stream()
                .map(Finding::code)
                .toList();
    }

    @Test
    @CheckedAgainst(value = "marine practice: at most four lugs on a stud", how = "common practice")
    void fourLugsOnAStud() {
        assertThat(codes(STUD, List.of(25.0, 25.0, 25.0, 25.0), Map.of())).isEmpty();
        assertThat(codes(STUD, List.of(25.0, 25.0, 25.0, 25.0, 25.0), Map.of()))
                .containsExactly(FindingCode.TERMINAL_LUGS);
        assertThat(codes(STUD, List.of(25.0, 25.0, 25.0), Map.of(STUD, 2))).containsExactly(FindingCode.TERMINAL_LUGS);
    }

    @Test
    void aBarHasManyStuds() {
        assertThat(codes(BAR, List.of(25.0, 25.0, 25.0, 25.0, 25.0, 1.0), Map.of()))
                .isEmpty();
        assertThat(codes(BAR, List.of(25.0, 25.0, 25.0), Map.of(BAR, 2))).containsExactly(FindingCode.TERMINAL_LUGS);
    }

    @Test
    @CheckedAgainst(value = "a thin sensing ring under a power nut works loose", how = "common practice")
    void aThinRingUnderAPowerNut() {
        assertThat(codes(STUD, List.of(50.0, 1.0), Map.of())).containsExactly(FindingCode.THIN_RING);
        assertThat(codes(STUD, List.of(50.0, 6.0), Map.of())).isEmpty();
        assertThat(codes(STUD, List.of(1.0, 1.5), Map.of())).isEmpty();
        assertThat(codes(STUD, List.of(50.0, UNSIZED), Map.of())).isEmpty();
        assertThat(codes(STUD, List.of(50.0, UNSIZED), Map.of(STUD, 1))).containsExactly(FindingCode.TERMINAL_LUGS);
    }

    @Test
    @CheckedAgainst(value = "copper on aluminium wants a tinned or bimetal lug and compound", how = "common practice")
    void copperOnAluminium() {
        assertThat(TerminalCheck.metal(TerminalMetal.ALUMINIUM).orElseThrow().code())
                .isEqualTo(FindingCode.TERMINAL_METAL);
        assertThat(TerminalCheck.metal(TerminalMetal.COPPER)).isEmpty();
        assertThat(TerminalCheck.metal(null)).isEmpty();
    }
}
