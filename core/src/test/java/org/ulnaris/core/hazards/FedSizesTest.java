package org.ulnaris.core.hazards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.rules.HouseRules;
import org.ulnaris.core.rules.SizePolicy;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;
import org.ulnaris.core.solving.RunResult;

/** Sizes under what feeds them: the fuse, the short circuit, and what terminals and margins leave. */
class FedSizesTest {
    private static Installation drawn(String text) {
        return Sketch.all("= job\n" + text).get(0).installation();
    }

    private static Installation under(Installation job, HouseRules house) {
        Installation.System system = job.system();
        return new Installation(
                new Installation.System(system.nominalV(), system.chargingV(), system.ruleSet(), house),
                job.devices(),
                job.runs(),
                job.cases());
    }

    private static HouseRules house(SizePolicy sizes, Double terminalC) {
        return new HouseRules(null, sizes, 4, 5, terminalC, ProtectedCable.Margins.USUAL);
    }

    private static final String BRANCH = """
            12V marine
            bank B agm 1x1 100
            load INV 90A
            load LAMP 8A
            B+ -0.15m- F1:class_t/150 -0.4m- BUS
            BUS -1.5m- INV+
            BUS %s LAMP+
            INV- -1.5m- NEG
            LAMP- -4m- NEG
            NEG -0.4m- B-
            """;

    /** Behind the main fuse alone a lamp's cable, and its return, carry what that fuse lets through. */
    @Test
    @CheckedAgainst(
            value = "common practice: a cable is protected by the fuse that feeds it, or is thick enough for it",
            how = "common practice")
    void aBranchWithoutAFuseIsAsThickAsItsMain() {
        InstallationResult bare = InstallationSolver.solve(drawn(BRANCH.formatted("-4m-")));
        RunResult lamp = bare.run("BUS~LAMP+");
        assertThat(lamp.inUse().ampacityA()).isGreaterThanOrEqualTo(150);
        assertThat(lamp.sizing().decidedBy()).isIn(FindingCode.FUSE_AMPACITY, FindingCode.FUSE_WITHSTAND);
        assertThat(bare.run("LAMP-~NEG").inUse().ampacityA()).isGreaterThanOrEqualTo(150);
        assertThat(lamp.sizing().alone().orElseThrow().size().areaMm2()).isLessThan(10);

        InstallationResult fused = InstallationSolver.solve(drawn(BRANCH.formatted("-0.15m- F2:class_t/15 -4m-")));
        assertThat(fused.run("F2~LAMP+").inUse().size().areaMm2()).isLessThan(10);
        assertThat(fused.run("LAMP-~NEG").inUse().size().areaMm2()).isLessThan(10);
        assertThat(fused.run("BUS~F2").inUse().ampacityA()).isBetween(15.0, 150.0);
    }

    /** At the end of a long cable a short circuit draws so little that a slow fuse takes its time: the cable has to stand it. */
    @Test
    void aShortCircuitCanDecide() {
        InstallationResult result = InstallationSolver.solve(drawn("""
                12V marine
                bank B agm 1x1 100
                load L 5A
                B+ -0.15m/16- Q:sf30/40 -14m- L+
                L- -14m/10- B-
                """));
        RunResult run = result.run("Q~L+");
        assertThat(run.sizing().decidedBy()).isEqualTo(FindingCode.FUSE_WITHSTAND);
        Rung below = run.sizing().nextSmaller().orElseThrow();
        assertThat(below.verdict(FindingCode.FUSE_AMPACITY)).isEqualTo(Verdict.PASS);
        assertThat(below.verdict(FindingCode.FUSE_WITHSTAND)).isEqualTo(Verdict.STOP);
        assertThat(run.inUse().verdict(FindingCode.FUSE_WITHSTAND)).isEqualTo(Verdict.PASS);
    }

    /** What is proposed leaves a tenth; the other school takes the thinnest that nothing stops. */
    @ParameterizedTest
    @CsvSource({"30", "60", "85", "120", "160"})
    void aProposalKeepsTheMarginOfTheHouse(double ampere) {
        Installation job = drawn("""
                12V marine
                bank B agm 1x2 120
                load L %sA
                B+ -0.15m- F:class_t/200 -3m- L+
                L- -3m- B-
                """.formatted(ampere));
        Rung clean = InstallationSolver.solve(job).run("F~L+").inUse();
        Rung bare = InstallationSolver.solve(under(job, house(SizePolicy.BARE, 75.0)))
                .run("F~L+")
                .inUse();
        assertThat(clean.verdict()).isEqualTo(Verdict.PASS);
        for (FindingCode code : List.of(
                FindingCode.AMPACITY, FindingCode.DROP, FindingCode.TERMINAL_TEMPERATURE, FindingCode.HEAT_BALANCE)) {
            assertThat(clean.use(code)).as("%s", code).isLessThanOrEqualTo(0.9 + 1e-9);
        }
        assertThat(bare.size().areaMm2()).isLessThanOrEqualTo(clean.size().areaMm2());
        assertThat(bare.stands()).isTrue();
    }

    /** The next standard rating above a cable is no clean pass, but nothing stops it. */
    @Test
    @CheckedAgainst("marine practice: 150 % of the ampacity where no standard rating lies between")
    void theNextStandardRatingIsForTheOtherSchool() {
        Installation job = drawn("""
                12V marine
                bank B agm 1x1 100
                load L 33A
                B+ -0.15m/50- F:class_t/45 -0.5m- L+
                L- -0.5m- B-
                """);
        Rung clean = InstallationSolver.solve(job).run("F~L+").inUse();
        Rung bare = InstallationSolver.solve(under(job, house(SizePolicy.BARE, 105.0)))
                .run("F~L+")
                .inUse();
        assertThat(clean.ampacityA()).isGreaterThanOrEqualTo(45);
        assertThat(bare.ampacityA()).isBetween(30.0, 45.0);
        assertThat(bare.verdict(FindingCode.FUSE_AMPACITY)).isEqualTo(Verdict.WATCH);
    }

    /** The table's steps under the land code; the house's word elsewhere; asked for where it has none. */
    @ParameterizedTest
    @CheckedAgainst(value = "NEC 110.14(C): 60 °C up to 100 A, 75 °C above, unless marked", how = "recalled")
    @CsvSource({"land,100", "land,125", "marine,40", "iso,140"})
    void terminalsOfWhichNothingIsKnown(String school, double ampere) {
        Installation job = drawn("""
                12V %s
                bank B agm 1x2 120
                load L %sA
                B+ -0.15m- F:class_t/200 -1m- L+
                L- -1m- B-
                """.formatted(school, ampere));
        boolean land = job.system().ruleSet() == RuleSet.NEC_FREE_AIR;
        Rung inUse = InstallationSolver.solve(job).run("F~L+").inUse();
        Finding said = inUse.check(land ? FindingCode.TERMINAL_COLUMN : FindingCode.TERMINAL_TEMPERATURE)
                .finding();
        assertThat(said.figure()).isLessThanOrEqualTo(said.limit());

        assertThat(said.limit()).isEqualTo(land ? said.limit() : 75);
        Rung unsaid = InstallationSolver.solve(under(job, house(SizePolicy.USUAL, null)))
                .run("F~L+")
                .inUse();
        assertThat(unsaid.findings().stream().anyMatch(finding -> finding.code() == FindingCode.TERMINAL_UNKNOWN))
                .isEqualTo(!land);
    }

    /** The hotter of both laws counts at a terminal: in a bundle of many the balance is far above the square of the current. */
    @Test
    void theHotterOfBothLawsCounts() {
        Installation job = drawn("""
                12V marine
                bank B agm 1x2 120
                load L 110A
                B+ -0.15m/70- F:class_t/150 -1m/35- L+
                L- -1m/70- B-
                """);
        List<Run> runs = job.runs().stream()
                .map(run -> new Run(
                        run.tag(),
                        run.from(),
                        run.to(),
                        run.lengthM(),
                        new Run.Laying(
                                run.laying().conditions().bundled(2),
                                run.laying().terminalTempC(),
                                run.laying().series(),
                                false,
                                10),
                        run.fixed()))
                .toList();
        Rung rung = InstallationSolver.solve(new Installation(job.system(), job.devices(), runs, job.cases()))
                .run("F~L+")
                .inUse();
        double terminalC =
                rung.check(FindingCode.TERMINAL_TEMPERATURE).finding().figure();
        double balanceC = rung.check(FindingCode.HEAT_BALANCE).finding().figure();
        assertThat(terminalC).isCloseTo(Math.max(balanceC, rung.conductorTempC()), within(1e-9));
        assertThat(balanceC).isGreaterThan(rung.conductorTempC());
    }

    static Stream<Sketch.Drawn> all() {
        return HazardTest.both().stream();
    }

    /** The ladder and the protection say the same of the size in use, wherever both speak. */
    @ParameterizedTest
    @MethodSource("all")
    void theLadderAgreesWithTheProtection(Sketch.Drawn drawn) {
        InstallationResult result = InstallationSolver.solve(drawn.installation());
        List<ProtectionCheck.Subject> said = ProtectionCheck.check(result).subjects();
        for (RunResult run : result.runs()) {
            if (!run.inUse().checks().contains(FindingCode.FUSE_AMPACITY)) {
                continue;
            }
            var ladder = run.inUse().check(FindingCode.FUSE_AMPACITY).finding();
            said.stream()
                    .filter(subject -> subject.tag().equals(run.run().tag()))
                    .filter(subject -> subject.finding().code() == ladder.code())
                    .filter(subject -> Objects.equals(subject.finding().about(), ladder.about()))
                    .forEach(subject -> {
                        Verdict protection = subject.finding().verdict();
                        assertThat(ladder.verdict())
                                .as("%s: %s", run.run().tag(), subject)
                                .isLessThanOrEqualTo(protection);
                        if (run.choice().byHand()) {
                            assertThat(ladder.verdict()).isEqualTo(protection);
                        }
                    });
        }
    }
}
