package org.ulnaris.core.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
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
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;

/** Every conductor of a loop against the least short circuit that the loop lets flow, worked out by hand. */
class LoopWithstandTest {
    private static final Random RANDOM = new Random(20261201);
    /** So many rounds end the search whether or not sizes stand. */
    private static final int MOST_ROUNDS = 8;

    private static final List<Double> AREAS = List.of(2.5, 6.0, 10.0, 16.0, 25.0, 50.0);
    private static final List<Double> RATINGS = List.of(15.0, 30.0, 50.0, 80.0, 110.0);

    private static <T> T any(List<T> of) {
        return of.get(RANDOM.nextInt(of.size()));
    }

    private static ConductorSize size(double areaMm2) {
        return ConductorSizes.of(SizeSeries.METRIC).stream()
                .filter(one -> one.areaMm2() == areaMm2)
                .findFirst()
                .orElseThrow();
    }

    private static Run run(String tag, String from, String to, double lengthM, double areaMm2) {
        return new Run(
                tag,
                Terminal.parse(from),
                Terminal.parse(to),
                lengthM,
                new Run.Laying(
                        new AmpacityConditions(105, 30, false, 1),
                        OptionalDouble.empty(),
                        SizeSeries.METRIC,
                        false,
                        10),
                size(areaMm2));
    }

    /** Ω at 105 °C, 0.393 %/K. */
    private static double hot(Run run) {
        double ohmAt20 = ConductorResistance.ohmPerMetreAt20(
                new Conductor(run.fixed(), run.laying().metal()));
        return ohmAt20 * run.lengthM() * (1 + 0.00393 * (105 - 20));
    }

    @Test
    @CheckedAgainst(
            value =
                    "IEC 60909 least short-circuit current (conductors warm), adiabatic k·A of IEC 60364-4-43 for each of them",
            how = "recalled")
    void everyConductorOfTheLoop() {
        int stops = 0;
        int passes = 0;
        for (int i = 0; i < 120; i++) {
            double rating = any(RATINGS);
            Run feed = run("A", "B.plus", "F.in", 0.1, 50);
            Run out = run("OUT", "F.out", "L.plus", 0.5 + 14 * RANDOM.nextDouble(), any(AREAS));
            Run back = run("BACK", "L.minus", "B.minus", 0.5 + 14 * RANDOM.nextDouble(), any(AREAS));
            Device.BankBuild bank = new Device.BankBuild(Chemistry.LEAD_AGM, 1, 1, 100, 4e-3);
            Device.Fuse fuse = new Device.Fuse("F", 2e-4, FuseFamily.CLASS_T, rating);
            Installation drawn = new Installation(
                    new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                    List.of(
                            new Device.Bank("B", bank),
                            fuse,
                            new Device.Consumer(
                                    "L", Device.Draw.steady(Device.DrawKind.CURRENT, rating / 2, 1, 9), 10)),
                    List.of(feed, out, back),
                    List.of(new OperatingCase("on", Map.of("L", OperatingCase.State.ON), 1)));
            double loopOhm = 2 * 4e-3 + 2e-4 + hot(feed) + hot(out) + hot(back);
            double leastA = bank.restV() / loopOhm;
            ProtectionCheck.Report report = ProtectionCheck.check(InstallationSolver.solve(drawn));
            boolean stopped = report.subjects().stream()
                    .anyMatch(subject -> subject.tag().equals("OUT")
                            && subject.finding().code() == FindingCode.FUSE_AMPACITY
                            && subject.finding().stops());
            for (Run run : stopped ? List.of(out) : List.of(out, back)) {
                double k = run.laying().shortCircuitK();
                double standsS = Math.pow(k * run.fixed().areaMm2() / leastA, 2);
                double opensS = FuseFamily.CLASS_T.curve(rating).slowestS(leastA);
                List<Verdict> said = report.subjects().stream()
                        .filter(subject -> subject.tag().equals(run.tag()))
                        .filter(subject -> subject.finding().code() == FindingCode.FUSE_WITHSTAND
                                || subject.finding().code() == FindingCode.FUSE_BLIND)
                        .map(subject -> subject.finding().verdict())
                        .toList();
                if (opensS > standsS * 1.01 && opensS < Double.POSITIVE_INFINITY) {
                    assertThat(said)
                            .as("%s %s of %s A", run.tag(), run.fixed(), rating)
                            .contains(Verdict.STOP);
                    stops++;
                } else if (opensS * 1.01 < standsS) {
                    assertThat(said)
                            .as("%s %s of %s A", run.tag(), run.fixed(), rating)
                            .contains(Verdict.PASS);
                    passes++;
                }
            }
        }
        assertThat(stops).isGreaterThan(10);
        assertThat(passes).isGreaterThan(10);
    }

    /** Thin loads behind one bar: out and back share a short circuit, and each stands thinner where the other is thick. */
    @Test
    void sizesThatShareAShortCircuitSettle() {
        int grown = 0;
        for (int i = 0; i < 60; i++) {
            int loads = 2 + RANDOM.nextInt(5);
            List<Device> devices = new ArrayList<>(List.of(
                    new Device.Bank("B", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 4, 1, 200)),
                    new Device.Bar("P", 400.0),
                    new Device.Bar("N", 400.0)));
            List<Run> runs =
                    new ArrayList<>(List.of(free("A", "B.plus", "P.bar", 0.1), free("Z", "N.bar", "B.minus", 0.2)));
            Map<String, OperatingCase.State> on = new HashMap<>();
            for (int l = 0; l < loads; l++) {
                double lengthM = 1 + 20 * RANDOM.nextDouble();
                double ampere = 1 + 20 * RANDOM.nextDouble();
                String tag = "L" + l;
                on.put(tag, OperatingCase.State.ON);
                devices.add(new Device.Fuse(
                        "F" + l, 3e-4, FuseFamily.CLASS_T, FuseFamily.CLASS_T.nearestRatingA(1.4 * ampere)));
                devices.add(new Device.Consumer(tag, Device.Draw.steady(Device.DrawKind.CURRENT, ampere, 1, 10.5), 30));
                runs.add(free("T" + l, "P.bar", "F" + l + ".in", 0.1));
                runs.add(free("O" + l, "F" + l + ".out", tag + ".plus", lengthM));
                runs.add(free("R" + l, tag + ".minus", "N.bar", lengthM));
            }
            InstallationResult result = InstallationSolver.solve(new Installation(
                    new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                    devices,
                    runs,
                    List.of(new OperatingCase("on", on, 1))));
            assertThat(result.rounds()).isLessThan(MOST_ROUNDS);
            assertThat(result.runs())
                    .as("chosen sizes stand the short circuits over themselves")
                    .filteredOn(run -> run.choice().result().chosen().isPresent())
                    .allMatch(run -> run.inUse().findings().stream().noneMatch(Finding::stops)
                            && run.inUse().stands());
            assertThat(ProtectionCheck.check(result).subjects())
                    .filteredOn(subject -> subject.tag().matches("[OR]\\d"))
                    .filteredOn(subject -> subject.finding().code() == FindingCode.FUSE_WITHSTAND)
                    .allMatch(subject -> !subject.finding().stops());
            grown += (int) result.runs().stream()
                    .filter(run -> run.choice()
                            .result()
                            .alone()
                            .filter(alone -> alone != run.inUse())
                            .isPresent())
                    .count();
        }
        assertThat(grown).as("sizes that a short circuit made thicker").isGreaterThan(10);
    }

    private static Run free(String tag, String from, String to, double lengthM) {
        return run(tag, from, to, lengthM, 2.5).sized(null);
    }
}
