package org.ulnaris.core.solving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.network.NetworkFault;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

class InstallationSolverTest {
    private static final Installation.System SYSTEM_24 = new Installation.System(24, 29.2, RuleSet.CFR_183_425);
    private static final OperatingCase SHOW =
            new OperatingCase("show", Map.of("INV", State.SURGE, "LAMPS", State.ON), 3);
    private static final OperatingCase SHORE = new OperatingCase("shore charging", Map.of("SHORE", State.ON), 5);

    private static Run run(String tag, String from, String to, double lengthM) {
        return run(tag, from, to, lengthM, 30, null);
    }

    private static Run run(
            String tag, String from, String to, double lengthM, double ambientC, @Nullable ConductorSize fixed) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, ambientC, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), lengthM, laying, fixed);
    }

    private static Device.Bank bank(String tag, int parallel) {
        return new Device.Bank(tag, Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, parallel, 100));
    }

    private static Device.Consumer inverter(double lowestV, double surge, double allowed) {
        return new Device.Consumer(
                "INV", new Device.Draw(Device.DrawKind.POWER, 3000, 0.9, lowestV, surge, 2), allowed);
    }

    private static Installation cart(List<OperatingCase> cases) {
        return new Installation(
                SYSTEM_24,
                List.of(
                        bank("BANK", 2),
                        new Device.Link("FUSE", 0.0003),
                        inverter(22, 6000, 3),
                        new Device.Charger("SHORE", 29.2, 0.005, 60),
                        new Device.Consumer("LAMPS", Device.Draw.steady(Device.DrawKind.CURRENT, 8, 1, 21), 3)),
                List.of(
                        run("B+", "BANK.plus", "FUSE.in", 0.2),
                        run("INV+", "FUSE.out", "INV.plus", 1.6),
                        run("INV-", "INV.minus", "BANK.minus", 1.6),
                        run("CH+", "SHORE.plus", "BANK.plus", 2),
                        run("CH-", "SHORE.minus", "BANK.minus", 2),
                        run("L+", "FUSE.out", "LAMPS.plus", 6),
                        run("L-", "LAMPS.minus", "BANK.minus", 6)),
                cases);
    }

    @Test
    @CheckedAgainst(
            value = "common practice: current of an inverter = power ÷ lowest voltage ÷ efficiency",
            how = "common practice")
    void currentsComeFromTheLoads() {
        InstallationResult result = InstallationSolver.solve(cart(List.of(SHOW, SHORE)));
        RunResult inverter = result.run("INV+");
        assertThat(inverter.continuousA()).isCloseTo(3000 / 22.0 / 0.9, within(1e-6));
        assertThat(inverter.surgeA()).isCloseTo(6000 / 22.0 / 0.9, within(1e-6));
        assertThat(inverter.surgeS()).isEqualTo(2);
        assertThat(inverter.worstCase()).isEqualTo("show");
        assertThat(result.run("B+").continuousA()).isCloseTo(3000 / 22.0 / 0.9 + 8, within(1e-6));
        assertThat(result.run("CH+").worstCase()).isEqualTo("shore charging");
        assertThat(result.run("CH+").continuousA()).isCloseTo(60, within(1e-6));
        assertThat(inverter.inUse().stands()).isTrue();
        assertThat(result.metalKg()).isPositive();
    }

    @Test
    void aPathIsCountedFromTerminalToTerminal() {
        CaseResult show = InstallationSolver.solve(cart(List.of(SHOW))).cases().get(0);
        PathDrop path = show.paths().get("INV");
        assertThat(path.shares()).extracting(PathDrop.Share::id).containsExactly("B+", "FUSE", "INV+", "INV-");
        double sum = path.shares().stream().mapToDouble(PathDrop.Share::dropV).sum();
        assertThat(path.dropV()).isCloseTo(sum, within(1e-9));
        assertThat(show.solution().state("INV").powerW()).isCloseTo(3000 / 0.9, within(1e-6));
        assertThat(show.lossWhPerDay()).isCloseTo(3 * show.lossW(), within(1e-9));
    }

    private static Installation plain(Device.Consumer load, List<Run> runs) {
        return new Installation(SYSTEM_24, List.of(bank("BANK", 2), load), runs, List.of(SHOW));
    }

    private static List<Run> pair(double lengthM, double ambientC, @Nullable ConductorSize fixed) {
        return List.of(
                run("INV+", "BANK.plus", "INV.plus", lengthM, ambientC, fixed),
                run("INV-", "INV.minus", "BANK.minus", lengthM, ambientC, null));
    }

    @Test
    void aTightAllowanceAndAHardSurgeAreFindings() {
        Installation tight = plain(inverter(25, 9000, 0.1), pair(1.6, 30, null));
        CaseResult peak = InstallationSolver.solve(tight).cases().get(0);
        assertThat(peak.findings(tight))
                .extracting(f -> f.finding().code())
                .containsExactly(FindingCode.PATH_DROP, FindingCode.LOAD_VOLTAGE);
        assertThat(peak.findings(tight)).extracting(f -> f.finding().verdict()).containsOnly(Verdict.STOP);
    }

    @Test
    void aLoadWithoutAWayBackIsNamed() {
        Installation open = plain(inverter(22, 6000, 3), pair(1.6, 30, null).subList(0, 1));
        CaseResult show = InstallationSolver.solve(open).cases().get(0);
        assertThat(show.solution().faults())
                .extracting(NetworkFault::kind)
                .containsExactly(NetworkFault.Kind.NO_SOURCE);
        Finding finding = show.findings(open).get(0).finding();
        assertThat(finding.code()).isEqualTo(FindingCode.LOAD_UNFED);
        assertThat(finding.figure()).isZero();
    }

    /** Two banks feed one bar: their shares depend on the sizes, the sizes on the shares. */
    @Test
    void parallelPathsSettle() {
        Installation two = new Installation(
                SYSTEM_24,
                List.of(
                        bank("BANK", 2),
                        bank("SPARE", 1),
                        new Device.Bar("BUS+"),
                        new Device.Bar("BUS-"),
                        inverter(22, 6000, 4)),
                List.of(
                        run("A+", "BANK.plus", "BUS+.bar", 1),
                        run("A-", "BANK.minus", "BUS-.bar", 1),
                        run("S+", "SPARE.plus", "BUS+.bar", 3),
                        run("S-", "SPARE.minus", "BUS-.bar", 3),
                        run("INV+", "BUS+.bar", "INV.plus", 1),
                        run("INV-", "BUS-.bar", "INV.minus", 1)),
                List.of(SHOW));
        InstallationResult result = InstallationSolver.solve(two);
        assertThat(result.rounds()).isBetween(2, 8);
        double sum = result.run("A+").continuousA() + result.run("S+").continuousA();
        assertThat(sum).isCloseTo(3000 / 22.0 / 0.9, within(0.5));
        assertThat(result.run("A+").continuousA())
                .isGreaterThan(result.run("S+").continuousA());
        var show = result.cases().get(0).solution();
        double service = show.state("A+").currentA() + show.state("S+").currentA();
        assertThat(service).isCloseTo(show.state("INV+").currentA(), within(1e-9));
    }

    @Test
    void aSizeFixedByHandIsKept() {
        ConductorSize ten = ConductorSizes.parse("10 mm2", SizeSeries.METRIC);
        RunResult result = InstallationSolver.solve(plain(inverter(22, 6000, 3), pair(1.6, 30, ten)))
                .run("INV+");
        assertThat(result.inUse().size()).isEqualTo(ten);
        assertThat(result.inUse().stands()).isFalse();
        assertThat(result.sizing().chosen()).isPresent();
    }

    @ParameterizedTest
    @CsvSource({"22,1.6,30", "20,1.6,30", "22,2.5,30", "22,1.6,45"})
    void moreOfAnythingNeverGivesAThinnerCable(double lowestV, double lengthM, double ambientC) {
        assertThat(areaMm2(lowestV, lengthM, ambientC)).isGreaterThanOrEqualTo(areaMm2(22, 1.6, 30));
    }

    private static double areaMm2(double lowestV, double lengthM, double ambientC) {
        return InstallationSolver.solve(plain(inverter(lowestV, 6000, 3), pair(lengthM, ambientC, null)))
                .run("INV+")
                .inUse()
                .size()
                .areaMm2();
    }

    @Test
    void referencesAreChecked() {
        List<Run> astray = List.of(run("X", "BANK.plus", "INV.plus", 1));
        List<Device> bank = List.of(bank("BANK", 2));
        assertThatThrownBy(() -> new Installation(SYSTEM_24, bank, astray, List.of(SHOW)))
                .hasMessageContaining("INV.plus");
        assertThatThrownBy(() -> new Installation(
                        SYSTEM_24, List.of(bank("BANK", 1), bank("BANK", 2)), List.of(), List.of(SHOW)))
                .hasMessageContaining("two devices");
        assertThatThrownBy(() -> new Installation(SYSTEM_24, bank, List.of(), List.of()))
                .hasMessageContaining("case");
        assertThatThrownBy(() -> Terminal.parse("BANK")).hasMessageContaining("BANK.plus");
        assertThatThrownBy(() -> new Device.Bar("a.b")).hasMessageContaining("point");
    }

    /** A duty is that of the one load that a cable carries; a trunk of two loads has none. */
    @Test
    void aDutyBelongsToTheCableOfItsLoad() {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 10);
        InstallationResult result = InstallationSolver.solve(new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 2, 100)),
                        new Device.Bar("BUS"),
                        new Device.Consumer(
                                "CAP",
                                Device.Draw.steady(Device.DrawKind.CURRENT, 100, 1, 10),
                                10,
                                false,
                                new Device.Duty(120, 480)),
                        new Device.Consumer("LAMP", Device.Draw.steady(Device.DrawKind.CURRENT, 5, 1, 10), 10)),
                List.of(
                        new Run("T+", Terminal.parse("BANK.plus"), Terminal.parse("BUS.bar"), 1, laying, null),
                        new Run("C+", Terminal.parse("BUS.bar"), Terminal.parse("CAP.plus"), 4, laying, null),
                        new Run("C-", Terminal.parse("CAP.minus"), Terminal.parse("BANK.minus"), 4, laying, null),
                        new Run("L+", Terminal.parse("BUS.bar"), Terminal.parse("LAMP.plus"), 4, laying, null),
                        new Run("L-", Terminal.parse("LAMP.minus"), Terminal.parse("BANK.minus"), 4, laying, null)),
                List.of(new OperatingCase("all", Map.of("CAP", State.ON, "LAMP", State.ON), 1))));
        assertThat(result.run("C+").duty()).isEqualTo(new Device.Duty(120, 480));
        assertThat(result.run("C+").findings())
                .extracting(finding -> finding.code())
                .contains(FindingCode.DUTY_HEAT);
        assertThat(result.run("T+").duty()).isNull();
        assertThat(result.run("L+").duty()).isNull();
        assertThat(result.run("C+").inUse().heatingA()).isBetween(100 * Math.sqrt(0.2), 70.0);
        assertThat(result.run("T+").inUse().heatingA())
                .as("the lamp stays on while the capstan rests")
                .isBetween(Math.sqrt(0.2 * 105 * 105), 75.0);
        assertThat(result.run("L+").inUse().spell()).isEmpty();
        assertThat(result.run("T+").inUse().spell().orElseThrow().offA()).isCloseTo(5, within(1e-6));
    }

    /** Idle power over a day: what an inverter left on costs. */
    @Test
    void anIdleInverterTakesItsIdlePower() {
        Device.Consumer idling = new Device.Consumer(
                "INV", new Device.Draw(Device.DrawKind.POWER, 3000, 0.9, 22, 6000, 2), 3, false, null, 24);
        Installation cart = cart(List.of(new OperatingCase("night", Map.of("INV", State.IDLE), 8)));
        Installation night = new Installation(
                cart.system(),
                List.of(bank("BANK", 2), new Device.Link("FUSE", 0.0003), idling),
                List.of(
                        run("B+", "BANK.plus", "FUSE.in", 0.2),
                        run("INV+", "FUSE.out", "INV.plus", 1.6),
                        run("INV-", "INV.minus", "BANK.minus", 1.6)),
                cart.cases());
        InstallationResult result = InstallationSolver.solve(night);
        var state = result.cases().get(0).solution().state("INV");
        assertThat(state.powerW()).isCloseTo(24, within(1e-6));
        assertThat(result.run("INV+").continuousA()).isBetween(0.8, 1.1);
        assertThat(result.run("INV+").surgeA()).isEqualTo(result.run("INV+").continuousA());
    }

    @Test
    void aBankMayBeKeptBetweenOtherVoltages() {
        Device.BankBuild usual = Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 2, 100);
        assertThat(usual.lowestV()).isCloseTo(22.4, within(1e-9));
        assertThat(usual.chargeV()).isCloseTo(28.8, within(1e-9));
        Device.BankBuild gentle = usual.within(new Device.Window(24, 27.6));
        assertThat(gentle.lowestV()).isEqualTo(24);
        assertThat(gentle.chargeV()).isEqualTo(27.6);
        assertThat(gentle.restV()).isEqualTo(usual.restV());
        assertThat(usual.within(new Device.Window(26.6, 27.6)).restV()).isEqualTo(26.6);
        assertThatThrownBy(() -> new Device.Window(28, 27.6)).hasMessageContaining("cut-off");
    }

    /** A load that needs more than its bank gives at the end stops before the bank is empty. */
    @Test
    void theCutOffIsHeldAgainstTheLoads() {
        for (double cutOffV : new double[] {20, 24}) {
            Installation cart = cart(List.of(SHOW));
            List<Device> devices = new java.util.ArrayList<>(cart.devices());
            devices.set(
                    0,
                    new Device.Bank(
                            "BANK",
                            Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 2, 100)
                                    .within(new Device.Window(cutOffV, 28.8))));
            InstallationResult result =
                    InstallationSolver.solve(new Installation(cart.system(), devices, cart.runs(), cart.cases()));
            Finding end = result.cases().get(0).findings(result.installation()).stream()
                    .filter(found -> found.load().equals("INV"))
                    .map(CaseResult.LoadFinding::finding)
                    .filter(finding -> finding.code() == FindingCode.LOAD_CUT_OFF)
                    .findFirst()
                    .orElseThrow();
            assertThat(end.verdict()).isEqualTo(cutOffV < 22 ? Verdict.WATCH : Verdict.PASS);
            assertThat(end.figure())
                    .isCloseTo(
                            cutOffV - result.cases().get(0).paths().get("INV").dropV(), within(1e-9));
        }
        assertThat(InstallationSolver.solve(cart(List.of(SHOW))).cases().get(0).findings(cart(List.of(SHOW))))
                .noneMatch(found -> found.finding().code() == FindingCode.LOAD_CUT_OFF);
    }

    /** A surge on a bank that its steady load has drawn down to its cut-off: E = U_cut-off + R_i·I, then U = E − R·I_surge. */
    @ParameterizedTest
    @CsvSource({"10.5,9.5,PASS", "10.5,10.4,WATCH", "11.8,10.4,PASS", "0,10.4,NOTE"})
    @CheckedAgainst(value = "Ohm's law, worked by hand", how = "exact")
    void aSurgeIsCheckedOnAnEmptyBank(double cutOffV, double lowestV, Verdict expected) {
        Device.BankBuild build = Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 200);
        Device.Bank bank = new Device.Bank("B", cutOffV > 0 ? build.within(new Device.Window(cutOffV, 14.4)) : build);
        Device.Draw draw = new Device.Draw(Device.DrawKind.CURRENT, 50, 1, lowestV, 250, 2);
        Device.Consumer winch = new Device.Consumer("W", draw, 10);
        Run.Laying laying = cart(List.of(SHOW)).runs().get(0).laying();
        Installation installation = new Installation(
                cart(List.of(SHOW)).system(),
                List.of(bank, winch),
                List.of(
                        new Run(
                                "P",
                                bank.at(Terminal.Port.PLUS),
                                winch.at(Terminal.Port.PLUS),
                                2,
                                laying,
                                ConductorSizes.parse("50", SizeSeries.METRIC)),
                        new Run(
                                "N",
                                winch.at(Terminal.Port.MINUS),
                                bank.at(Terminal.Port.MINUS),
                                2,
                                laying,
                                ConductorSizes.parse("50", SizeSeries.METRIC))),
                List.of(new OperatingCase("haul", Map.of("W", State.SURGE), 1)));
        CaseResult haul = InstallationSolver.solve(installation).cases().get(0);
        Finding finding = haul.findings(installation).stream()
                .map(CaseResult.LoadFinding::finding)
                .filter(one -> one.code() == FindingCode.LOAD_SURGE_EMPTY)
                .findFirst()
                .orElseThrow();
        assertThat(finding.verdict()).isEqualTo(expected);
        double ways =
                haul.surging().state("P").ohm() + haul.surging().state("N").ohm();
        double open = bank.build().lowestV() + 50 * bank.build().ohm();
        assertThat(finding.figure()).isCloseTo(open - 250 * (bank.build().ohm() + ways), within(0.02));
    }

    /** While a charger holds the bus, what the lamps lose is counted from the charger; on the bank, from the bank. */
    @Test
    void aPathStartsAtTheSourceThatGivesMost() {
        OperatingCase shore = new OperatingCase("shore", Map.of("SHORE", State.ON, "LAMPS", State.ON), 5);
        InstallationResult result = InstallationSolver.solve(cart(List.of(shore, SHOW)));
        PathDrop charging = result.cases().get(0).paths().get("LAMPS");
        assertThat(charging.source()).isEqualTo("SHORE");
        assertThat(charging.shares()).extracting(PathDrop.Share::id).contains("CH+", "L+", "L-", "CH-");
        assertThat(charging.shares().stream().mapToDouble(PathDrop.Share::dropV).sum())
                .isCloseTo(charging.dropV(), within(1e-9));
        assertThat(result.cases().get(1).paths().get("LAMPS").source()).isEqualTo("BANK");
    }
}
