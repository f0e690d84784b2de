package org.ulnaris.core.hazards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.overcurrent.PanelCheck;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

/** Strings of solar panels side by side, against what the standards say of them in so many words. */
class PanelsTest {
    /** {@code strings} strings of two panels of 24 V open and 20 V at work, with plugs to a common cable of 10 mm². */
    private static Installation strings(int strings, double shortA, String fuseA, String each) {
        StringBuilder text = new StringBuilder("= strings\n12V marine\ncontroller M 150V\n");
        for (int i = 1; i <= strings; i++) {
            text.append(String.format(
                    Locale.ROOT,
                    "panels P%d 2 24/20V %s/%sA -10C %s\nP%d+ %s J\nK -1m/4- P%d-\n",
                    i,
                    shortA,
                    0.9 * shortA,
                    fuseA,
                    i,
                    each.replace("F", "F" + i),
                    i));
        }
        text.append("J -5m/10- M+\nM- -5m/10- K\n");
        return Sketch.all(text.toString()).get(0).installation();
    }

    private static Verdict reverse(Installation installation) {
        InstallationResult result = InstallationSolver.solve(installation);
        return PanelCheck.check(result).stream()
                .map(ProtectionCheck.Subject::finding)
                .filter(finding -> finding.code() == FindingCode.PANEL_REVERSE)
                .map(Finding::verdict)
                .reduce(Verdict.PASS, Verdict::and);
    }

    @Test
    @CheckedAgainst(
            value =
                    "IEC 62548: fuses where (strings − 1) · Isc exceeds the panel's largest fuse; NEC 690.9(A) with 1.25 · Isc",
            how = "recalled")
    void stringsAskForFusesWhenTheStandardsDo() {
        Random random = new Random(20);
        for (int i = 0; i < 120; i++) {
            int strings = 1 + random.nextInt(5);
            double shortA = 3 + random.nextInt(25) / 2.0;
            int fuseA = 10 + 5 * random.nextInt(5);
            double othersA = (strings - 1) * shortA;
            Verdict expected = othersA > fuseA ? Verdict.STOP : 1.25 * othersA > fuseA ? Verdict.WATCH : Verdict.PASS;
            assertThat(reverse(strings(strings, shortA, fuseA + "A", "-1m/4-")))
                    .as("%s strings of %s A, %s A", strings, shortA, fuseA)
                    .isEqualTo(expected);
            assertThat(reverse(strings(strings, shortA, "?", "-1m/4-")))
                    .as("nobody gave the fuse: it asks")
                    .isEqualTo(othersA * 1.25 > 15 ? Verdict.OPEN : Verdict.PASS);
        }
    }

    @Test
    void aFuseOfItsOwnThatThePanelsStandIsEnough() {
        assertThat(reverse(strings(4, 9, "15A", "-0.3m/6- F:panel/15 -0.7m/6-")))
                .isEqualTo(Verdict.PASS);
        assertThat(reverse(strings(4, 9, "15A", "-0.3m/6- F:panel/20 -0.7m/6-")))
                .isEqualTo(Verdict.STOP);
    }

    @Test
    @CheckedAgainst(value = "2·L·ρ·I/A by hand, over the string's own voltage", how = "by hand")
    void aStringLosesItsShareOfItsOwnVoltage() {
        String text = "= one\n12V marine\npanels P 4 22/18V 10/9A -10C\ncontroller M 150V\n"
                + "P+ -10m/4- M+\nM- -10m/4- P-\n";
        InstallationResult result =
                InstallationSolver.solve(Sketch.all(text).get(0).installation());
        Finding drop = result.cases().get(0).findings(result.installation()).stream()
                .map(CaseResult.LoadFinding::finding)
                .filter(finding -> finding.code() == FindingCode.PATH_DROP)
                .findFirst()
                .orElseThrow();
        double ohmAt20 = 2 * 10 * 4.95e-3;
        assertThat(drop.figure()).isBetween(100 * 9 * ohmAt20 / 72, 100 * 9 * ohmAt20 * 1.1 / 72);
        assertThat(result.run("P+~M+").continuousA()).isCloseTo(12.5, within(1e-6));
    }

    @Test
    void aStringsFuseIsChosenFromThoseOfStrings() {
        InstallationResult result = InstallationSolver.solve(strings(4, 12, "20A", "-1m/1.5-"));
        assertThat(ProtectionCheck.check(result).proposals())
                .isNotEmpty()
                .allSatisfy(proposal -> assertThat(proposal.families()).containsExactly(FuseFamily.PANEL));
    }
}
