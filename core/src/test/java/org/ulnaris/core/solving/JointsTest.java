package org.ulnaris.core.solving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

class JointsTest {
    private static final ConductorSize SIZE =
            ConductorSizes.designated("2.5 mm²").orElseThrow();

    private static Run run(String tag, String from, String to, int extraJoints) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 10);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), 1.5, laying, SIZE, extraJoints);
    }

    private static InstallationResult lights(int extraJoints) {
        return InstallationSolver.solve(new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 100)),
                        new Device.Consumer("FORE", Device.Draw.steady(Device.DrawKind.CURRENT, 2, 1, 10), 10),
                        new Device.Consumer("AFT", Device.Draw.steady(Device.DrawKind.CURRENT, 2, 1, 10), 10)),
                List.of(
                        run("F+", "BANK.plus", "FORE.plus", 0),
                        run("F-", "FORE.minus", "BANK.minus", 0),
                        run("A+", "FORE.plus", "AFT.plus", extraJoints),
                        run("A-", "AFT.minus", "FORE.minus", extraJoints)),
                List.of(new OperatingCase("dusk", Map.of("FORE", State.ON, "AFT", State.ON), 4))));
    }

    /** Two wires between two lights: four joints would do, eight were made. */
    @Test
    @CheckedAgainst(
            value = "common practice: eight joints in two wires between two lights are a fault",
            how = "common practice")
    void twoLightsWithEightJoints() {
        InstallationResult eight = lights(2);
        int joints = eight.run("A+").run().joints() + eight.run("A-").run().joints();
        assertThat(joints).isEqualTo(8);
        for (String tag : List.of("A+", "A-")) {
            Finding finding = said(eight.run(tag));
            assertThat(finding.verdict()).isEqualTo(Verdict.STOP);
            assertThat(finding.limit()).isEqualTo(Run.ENDS);
        }
        InstallationResult four = lights(0);
        assertThat(said(four.run("A+")).verdict()).isEqualTo(Verdict.PASS);
        double more = eight.cases().get(0).paths().get("AFT").dropV()
                - four.cases().get(0).paths().get("AFT").dropV();
        Conductor conductor = four.run("A+").inUse().conductor();
        assertThat(more).isCloseTo(2.0 * 4 * Joints.ohm(conductor), withPercentage(6));
        assertThat(eight.run("A+").jointShare()).isGreaterThan(four.run("A+").jointShare());
    }

    private static Finding said(RunResult run) {
        return Joints.finding(run.run().joints(), run.inUse().conductor());
    }

    @Test
    void oneSpliceIsToBeWatched() {
        Finding finding = Joints.finding(3, new Conductor(SIZE, false));
        assertThat(finding.verdict()).isEqualTo(Verdict.WATCH);
        assertThat(finding.explanation().text()).contains("mΩ");
    }

    /** A sound joint is small beside its cable: a lug of 50 mm² some µΩ (ours). */
    @Test
    void theExpectedResistanceIsThatOfASoundCrimp() {
        Conductor heavy = new Conductor(ConductorSizes.designated("50 mm²").orElseThrow(), false);
        assertThat(1e6 * Joints.ohm(heavy)).isBetween(5.0, 25.0);
        assertThat(Joints.ohm(run("X", "A.plus", "B.plus", 1), heavy)).isCloseTo(3 * Joints.ohm(heavy), within(1e-15));
    }
}
