package org.ulnaris.core.overcurrent;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorMetal;
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
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.InsulationKind;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.sizing.DropLimit;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

class ProtectionCheckTest {
    private static Run run(String tag, String from, String to, double lengthM) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), lengthM, laying, null);
    }

    private static Device.Consumer load(String tag, double ampere) {
        return new Device.Consumer(tag, Device.Draw.steady(Device.DrawKind.CURRENT, ampere, 1, 20), 3);
    }

    /** Bank, main fuse behind {@code leadM}, a bar, an inverter's cable and a lamp's behind a branch fuse or none. */
    private static ProtectionCheck.Report report(double leadM, double mainA, @Nullable Double branchA, RuleSet rules) {
        return ProtectionCheck.check(solved(leadM, mainA, branchA, rules));
    }

    private static InstallationResult solved(double leadM, double mainA, @Nullable Double branchA, RuleSet rules) {
        List<Device> devices = new ArrayList<>(List.of(
                new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 2, 100)),
                new Device.Fuse("MAIN", 0.0003, FuseFamily.CLASS_T, mainA),
                new Device.Bar("BUS"),
                load("INV", 140),
                load("LAMP", 10)));
        List<Run> runs = new ArrayList<>(List.of(
                run("B+", "BANK.plus", "MAIN.in", leadM),
                run("F+", "MAIN.out", "BUS.bar", 0.3),
                run("INV+", "BUS.bar", "INV.plus", 1.6),
                run("INV-", "INV.minus", "BANK.minus", 1.6),
                run("L-", "LAMP.minus", "BANK.minus", 6)));
        if (branchA == null) {
            runs.add(run("L+", "BUS.bar", "LAMP.plus", 6));
        } else {
            devices.add(new Device.Fuse("TWIG", 0.001, FuseFamily.SF30, branchA));
            runs.add(run("T+", "BUS.bar", "TWIG.in", 0.1));
            runs.add(run("L+", "TWIG.out", "LAMP.plus", 6));
        }
        return InstallationSolver.solve(new Installation(
                new Installation.System(24, 29.2, rules),
                devices,
                runs,
                List.of(new OperatingCase("all", Map.of("INV", State.ON, "LAMP", State.ON), 2))));
    }

    private static Finding of(ProtectionCheck.Report report, String tag, FindingCode code) {
        return report.subjects().stream()
                .filter(subject ->
                        subject.tag().equals(tag) && subject.finding().code() == code)
                .map(ProtectionCheck.Subject::finding)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSoundInstallationPasses() {
        ProtectionCheck.Report report = report(0.15, 200, 30.0, RuleSet.CFR_183_425);
        assertThat(of(report, "MAIN", FindingCode.FUSE_POSITION).verdict()).isEqualTo(Verdict.PASS);
        assertThat(of(report, "MAIN", FindingCode.FUSE_LOAD).figure()).isEqualTo(200);
        assertThat(of(report, "MAIN", FindingCode.FUSE_INTERRUPTING).verdict()).isEqualTo(Verdict.PASS);
        assertThat(of(report, "TWIG", FindingCode.FUSE_SELECTIVITY).code()).isEqualTo(FindingCode.FUSE_SELECTIVITY);
        assertThat(of(report, "L-", FindingCode.RETURN_FUSE).figure()).isEqualTo(30);
        assertThat(of(report, "B+", FindingCode.FUSE_AMPACITY).about()).isEqualTo("MAIN");
    }

    /** Solder softens at 160 °C, cross-linked insulation for 125 °C stands 250 °C: the time falls with the square of k. */
    @Test
    @CheckedAgainst("IEC 60364-5-54: soldered joints 160 °C; IEC 60949 k from 125 °C (recalled)")
    void solderShortensWhatAShortCircuitMayLast() {
        double share = Math.log((234.5 + 160) / (234.5 + 125)) / Math.log((234.5 + 250) / (234.5 + 125));
        assertThat(lampStandsS(125, true) / lampStandsS(125, false)).isCloseTo(share, within(1e-6));
    }

    /** Insulation for 105 °C is commonly PVC: 160 °C at the end, where cross-linked would stand 250 °C. */
    @Test
    @CheckedAgainst(
            "IEC 60364-4-43 table 43A: PVC 160 °C, cross-linked 250 °C; boat cable for 105 °C is commonly PVC (common practice)")
    void boatCableIsTakenForPvc() {
        double share = (Math.log((234.5 + 160) / (234.5 + 105)) / Math.log((234.5 + 250) / (234.5 + 125)));
        assertThat(lampStandsS(105, false) / lampStandsS(125, false)).isCloseTo(share, within(1e-6));
        assertThat(lampStandsS(105, InsulationKind.PVC, false)).isEqualTo(lampStandsS(105, false));
        assertThat(lampStandsS(105, InsulationKind.CROSS_LINKED, false)).isGreaterThan(lampStandsS(125, false));
    }

    /** What the lamp's cable of 16 mm² stands of a short circuit, s. */
    private static double lampStandsS(double insulationC, boolean soldered) {
        return lampStandsS(insulationC, null, soldered);
    }

    private static double lampStandsS(double insulationC, @Nullable InsulationKind material, boolean soldered) {
        Installation made = solved(0.15, 200, 30.0, RuleSet.CFR_183_425).installation();
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(insulationC, 30, false, 1),
                OptionalDouble.empty(),
                SizeSeries.METRIC,
                ConductorMetal.copper(false),
                DropLimit.given(3),
                material,
                soldered);
        List<Run> runs = made.runs().stream()
                .map(run -> new Run(
                        run.tag(),
                        run.from(),
                        run.to(),
                        run.lengthM(),
                        laying,
                        ConductorSizes.designated("16 mm²").orElseThrow()))
                .toList();
        ProtectionCheck.Report report = ProtectionCheck.check(
                InstallationSolver.solve(new Installation(made.system(), made.devices(), runs, made.cases())));
        return of(report, "L+", FindingCode.FUSE_WITHSTAND).limit();
    }

    /** A lamp cable behind a main fuse of 200 A alone: as thick as that fuse asks for, or thin behind a fuse of its own. */
    @Test
    void aCableBehindALargeFuseIsThickOrHasAFuseOfItsOwn() {
        InstallationResult result = solved(0.15, 200, null, RuleSet.CFR_183_425);
        ProtectionCheck.Report report = ProtectionCheck.check(result);
        assertThat(of(report, "L+", FindingCode.FUSE_AMPACITY).verdict()).isEqualTo(Verdict.PASS);
        assertThat(result.run("L+").sizing().decidedBy()).isEqualTo(FindingCode.FUSE_AMPACITY);
        assertThat(result.run("L+").inUse().ampacityA()).isGreaterThanOrEqualTo(200);
        assertThat(result.run("L-").inUse().ampacityA()).isGreaterThanOrEqualTo(200);
        ProtectionCheck.Proposal proposal = report.proposals().stream()
                .filter(p -> p.tag().equals("L+"))
                .findFirst()
                .orElseThrow();
        assertThat(proposal.stopped()).isFalse();
        assertThat(proposal.thinnest().size().areaMm2()).isLessThan(6);
        assertThat(proposal.ranked().get(0).ratingA()).isBetween(12.5, 30.0);
        assertThat(proposal.allTheWay(result.run("L+").sizing()).orElseThrow().size())
                .isEqualTo(result.run("L+").inUse().size());
    }

    /** The same cable in a size taken by hand: the fuse is too large for it. */
    @Test
    void aThinCableBehindALargeFuseIsStoppedWithAProposal() {
        ProtectionCheck.Report report = ProtectionCheck.check(InstallationSolver.solve(lampCable("2.5 mm²")));
        assertThat(of(report, "L+", FindingCode.FUSE_AMPACITY).verdict()).isEqualTo(Verdict.STOP);
        ProtectionCheck.Proposal proposal = report.proposals().stream()
                .filter(p -> p.tag().equals("L+"))
                .findFirst()
                .orElseThrow();
        assertThat(proposal.stopped()).isTrue();
        assertThat(proposal.ranked().get(0).ratingA()).isBetween(12.5, 30.0);
        assertThat(report.verdict()).isEqualTo(Verdict.STOP);
    }

    private static Installation lampCable(String size) {
        Installation made = solved(0.15, 200, null, RuleSet.CFR_183_425).installation();
        List<Run> runs = made.runs().stream()
                .map(run -> run.tag().equals("L+")
                        ? run.sized(ConductorSizes.designated(size).orElseThrow())
                        : run)
                .toList();
        return new Installation(made.system(), made.devices(), runs, made.cases());
    }

    @ParameterizedTest
    @CheckedAgainst(
            "33 CFR 183.455 and marine practice: 7 in bare, 72 in sheathed from the battery; ISO 200 mm; NEC 18 in and 5 ft")
    @CsvSource({
        "0.17,CFR_183_425,PASS",
        "0.19,CFR_183_425,WATCH",
        "1.80,CFR_183_425,WATCH",
        "1.85,CFR_183_425,STOP",
        "0.19,ISO_SMALL_CRAFT,PASS",
        "0.21,ISO_SMALL_CRAFT,WATCH",
        "0.44,NEC_FREE_AIR,PASS",
        "1.60,NEC_FREE_AIR,STOP"
    })
    void theFuseSitsCloseToItsSource(double leadM, RuleSet rules, Verdict expected) {
        Finding finding = of(report(leadM, 200, 30.0, rules), "MAIN", FindingCode.FUSE_POSITION);
        assertThat(finding.verdict()).isEqualTo(expected);
        assertThat(finding.figure()).isCloseTo(1000 * leadM, within(1e-9));
    }

    @Test
    void aConductorWithoutAnyFuseIsNamed() {
        Installation bare = new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 90)),
                        load("PUMP", 15)),
                List.of(run("P+", "BANK.plus", "PUMP.plus", 3), run("P-", "PUMP.minus", "BANK.minus", 3)),
                List.of(new OperatingCase("wash", Map.of("PUMP", State.ON), 1)));
        ProtectionCheck.Report report = ProtectionCheck.check(InstallationSolver.solve(bare));
        assertThat(report.subjects()).singleElement().satisfies(subject -> {
            assertThat(subject.tag()).isEqualTo("P+");
            assertThat(subject.finding().code()).isEqualTo(FindingCode.FUSE_MISSING);
        });
        assertThat(report.proposals())
                .singleElement()
                .satisfies(proposal ->
                        assertThat(proposal.ranked().get(0).verdict()).isNotEqualTo(Verdict.STOP));
    }

    @Test
    @CheckedAgainst(value = "Ohm's law: fault current of a bank over itself, lead and fuse", how = "exact")
    void faultCurrentIsTheNetworks() {
        ProtectionCheck.Report report = report(0.15, 200, 30.0, RuleSet.CFR_183_425);
        Device.BankBuild bank = Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 2, 100);
        double alone = bank.chargeV() / bank.ohm();
        double fault = of(report, "MAIN", FindingCode.FUSE_INTERRUPTING).figure();
        assertThat(fault).isLessThan(alone).isGreaterThan(bank.chargeV() / (bank.ohm() + 0.0003 + 0.001));
    }

    @Test
    void everyRuleSetHasAPlacementSchool() {
        for (RuleSet rules : RuleSet.values()) {
            assertThat(Placement.limitMm(HouseRules.USUAL.placement(rules), Placement.Run.OPEN))
                    .isPositive();
        }
    }

    private static ProtectionCheck.Report starting(boolean cranking) {
        List<Device> devices = List.of(
                new Device.Bank("START", Device.BankBuild.typical(Chemistry.LEAD_WET, 1, 1, 100)),
                new Device.Link("KEY", 0.0002),
                new Device.Consumer(
                        "ENGINE", Device.Draw.steady(Device.DrawKind.CURRENT, 200, 1, 8), 20, cranking, null));
        List<Run> runs = List.of(
                run("S+", "START.plus", "KEY.in", 0.8),
                run("E+", "KEY.out", "ENGINE.plus", 2),
                run("E-", "ENGINE.minus", "START.minus", 2));
        return ProtectionCheck.check(InstallationSolver.solve(new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                devices,
                runs,
                List.of(new OperatingCase("start", Map.of("ENGINE", State.ON), 0.1)))));
    }

    @Test
    @CheckedAgainst("33 CFR 183.455: the supply of cranking motors needs no overcurrent protection")
    void aStarterMotorNeedsNoFuse() {
        assertThat(of(starting(true), "S+", FindingCode.FUSE_MISSING).verdict()).isEqualTo(Verdict.PASS);
        assertThat(of(starting(true), "E+", FindingCode.FUSE_MISSING).verdict()).isEqualTo(Verdict.PASS);
        assertThat(of(starting(false), "E+", FindingCode.FUSE_MISSING).verdict())
                .isEqualTo(Verdict.STOP);
    }

    @Test
    void aFusesSceneHoldsWhatItsSheetShows() {
        InstallationResult result = solved(0.15, 200, 30.0, RuleSet.CFR_183_425);
        ProtectionCheck.Scene twig = ProtectionCheck.scene(result, "TWIG").orElseThrow();
        assertThat(twig.main()).isNotNull();
        assertThat(twig.load().continuousA()).isCloseTo(10, within(1e-6));
        assertThat(twig.cables()).extracting(one -> one.run().run().tag()).containsExactly("L+");
        ProtectionCheck.Scene main = ProtectionCheck.scene(result, "MAIN").orElseThrow();
        assertThat(main.main()).isNull();
        assertThat(main.faultA()).isGreaterThan(twig.faultA());
        assertThat(ProtectionCheck.scene(result, "BUS")).isEmpty();
    }
}
