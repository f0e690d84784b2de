package org.ulnaris.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.CableRoute;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.conductor.Twist;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpForce;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.SpikeCrimp;
import org.ulnaris.core.fastening.BoltedJoint;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.fastening.SharedStack;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Explanation.Equation;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.WiringCheck;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.PairLength;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.overcurrent.PanelCheck;
import org.ulnaris.core.overcurrent.PartRatings;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.proving.Acceptance;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.record.CableRecord;
import org.ulnaris.core.record.ReadingJudge;
import org.ulnaris.core.record.RecordCheck;
import org.ulnaris.core.sizing.CableDemand;
import org.ulnaris.core.sizing.CableSizer;
import org.ulnaris.core.sizing.DropLimit;
import org.ulnaris.core.sizing.DutyHeat;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SurgeHeat;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;
import org.ulnaris.core.solving.Joints;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugDemand;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.termination.StripLength;
import org.ulnaris.core.tooling.Toolbox;

/**
 * Every formula that is printed comes out at the result that is printed beside it, when a stranger works it out again from the printed
 * numbers and units; and that result is what the finding judges by.
 */
class PrintedFormulaTest {
    private static final Random RANDOM = new Random(20261127);
    private static final List<ConductorSize> SIZES = Stream.of(SizeSeries.values())
            .flatMap(series -> ConductorSizes.of(series).stream())
            .filter(size -> size.areaMm2() > 5 && size.areaMm2() < 130)
            .toList();
    private static final List<Die> DIES = Stream.of(8.5, 10.2, 11.9, 13.6, 17.0)
            .map(flats -> new Die("K" + flats, DieShape.HEX, flats, 5, LugMaterial.COPPER))
            .toList();

    /** Codes whose finding is judged by the printed result; of the others the formula yields a part or a difference. */
    private static final Set<FindingCode> JUDGED_BY_RESULT = EnumSet.complementOf(EnumSet.of(
            FindingCode.JOINTS,
            FindingCode.FUSE_AMPACITY,
            FindingCode.HOLE_FIT,
            FindingCode.CONTACT_AREA,
            FindingCode.PAD_CLEARANCE,
            FindingCode.SHRINK_FIT,
            FindingCode.CUT_LENGTH,
            FindingCode.STRIP_LENGTH,
            FindingCode.STRANDS_LOST,
            FindingCode.ACROSS_FLATS,
            FindingCode.CRIMP_GAP));

    /** Formulas by the class that prints them. */
    private static Map<String, Supplier<Stream<Finding>>> printers() {
        Map<String, Supplier<Stream<Finding>>> printers = new LinkedHashMap<>();
        for (String check : List.of("AmpacityCheck", "DropCheck", "TerminalTemperatureCheck")) {
            printers.put(check, () -> many(40, PrintedFormulaTest::ladder));
        }
        printers.put("SurgeHeat", () -> many(20, PrintedFormulaTest::surges));
        printers.put("DutyHeat", () -> many(20, PrintedFormulaTest::duties));
        printers.put("Joints", () -> SIZES.stream().map(size -> Joints.finding(1 + RANDOM.nextInt(6), bare(size))));
        printers.put(
                "CutLength",
                () -> many(
                        20,
                        () -> Stream.of(
                                new CutLength(pick(20, 5000), pick(0, 150), reach(), reach()).room(pick(5, 30)))));
        printers.put("PanelCheck", () -> many(40, PrintedFormulaTest::panels));
        printers.put("PartRatings", () -> many(20, PrintedFormulaTest::switches));
        printers.put("CableRoute", () -> many(40, PrintedFormulaTest::bends));
        printers.put("Twist", () -> many(30, () -> Stream.of(Twist.finding(pick(50, 6000), pick(5, 25)))));
        printers.put("ContactFit", () -> many(10, PrintedFormulaTest::contacts));
        printers.put("LugFit", () -> many(20, PrintedFormulaTest::lugs));
        printers.put("Crimp", () -> many(10, PrintedFormulaTest::crimps));
        printers.put("CrimpForce", () -> tubes().map(crimp -> new CrimpForce(crimp).finding(100)));
        printers.put("SpikeCrimp", PrintedFormulaTest::spikes);
        printers.put("BoltedJoint", () -> many(30, PrintedFormulaTest::joints));
        printers.put(
                "HardwareStack",
                () -> Studs.all().stream()
                        .flatMap(stud ->
                                new HardwareStack(stud, pick(1, 6)).findings(OptionalDouble.of(pick(8, 40))).stream()));
        printers.put("SharedStack", () -> Studs.all().stream().flatMap(PrintedFormulaTest::shared));
        printers.put("CaseResult", () -> many(20, PrintedFormulaTest::paths));
        printers.put("AmpacityLimit", () -> many(20, PrintedFormulaTest::fuses));
        printers.put("FuseCheck", () -> many(40, PrintedFormulaTest::fuses));
        printers.put("WiringCheck", PrintedFormulaTest::unlikeBanks);
        printers.put("ConductorLimit", () -> many(5, PrintedFormulaTest::sideBySide));
        printers.put("CablePlan", () -> many(10, PrintedFormulaTest::slack));
        printers.put("RecordCheck", () -> many(10, PrintedFormulaTest::redone));
        printers.put("ShrinkChoice", () -> many(20, PrintedFormulaTest::sleeves));
        printers.put(
                "PairLength", () -> many(20, () -> Stream.of(PairLength.finding(pick(100, 4000), pick(100, 4000)))));
        printers.put("Acceptance", () -> many(20, PrintedFormulaTest::readings));
        return printers;
    }

    @TestFactory
    Stream<DynamicTest> everyPrintedFormulaYieldsItsPrintedResult() {
        return printers().entrySet().stream()
                .map(entry -> DynamicTest.dynamicTest(entry.getKey(), () -> {
                    List<Finding> findings = entry.getValue()
                            .get()
                            .filter(finding -> finding.explanation().equation() != null)
                            .toList();
                    assertThat(findings).isNotEmpty();
                    findings.forEach(PrintedFormulaTest::comesOut);
                }));
    }

    /** Lengths are explained without a finding. */
    @Test
    void lengthsComeOutToo() {
        for (int i = 0; i < 30; i++) {
            comesOut(new CutLength(pick(200, 5000), pick(0, 150), reach(), reach()).explanation());
            Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, Math.round(pick(8, 40)));
            comesOut(StripLength.explanation(barrel, pick(0, 2)));
        }
    }

    /** A class that begins to print a formula has to be printed here as well. */
    @Test
    void noFormulaIsLeftOut() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("org.ulnaris.core");
        Set<String> printing = core.stream()
                .flatMap(type -> type.getMethodCallsFromSelf().stream())
                .filter(call -> call.getTargetOwner().isEquivalentTo(Explanation.class)
                        && call.getName().equals("of"))
                .map(JavaAccess::getOriginOwner)
                .map(type -> type.getSimpleName())
                .collect(Collectors.toSet());
        Set<String> printed = new HashSet<>(printers().keySet());
        printed.addAll(Set.of("CutLength", "StripLength"));
        assertThat(printing).isEqualTo(printed);
    }

    @Test
    void aWrongFormulaWouldBeSeen() {
        assertThat(Printed.value("2 · 1.5 m · 100 A · 0.0005 Ω/m / 12 V")).isCloseTo(0.0125, within(1e-9));
        assertThat(Printed.value("(6.5 mm)²")).isCloseTo(6.5e-3 * 6.5e-3, within(1e-12));
        assertThat(Printed.value("|1.2 m − 900 mm|")).isCloseTo(0.3, within(1e-9));
        assertThat(Printed.value("30 °C + (105 °C − 30 °C) · e^(−60 s / 120 s)"))
                .isCloseTo(30 + 75 * Math.exp(-0.5), within(1e-9));
        assertThat(Printed.slack("100 mm − 99 mm")).isCloseTo(5.5e-5, within(1e-9));
    }

    private static void comesOut(Finding finding) {
        comesOut(finding.explanation());
        Equation equation = finding.explanation().equation();
        if (equation != null && JUDGED_BY_RESULT.contains(finding.code())) {
            double result = equation.result().value();
            assertThat(Math.min(Math.abs(result - finding.figure()), Math.abs(result - finding.limit())))
                    .as(
                            "%s judges by %s, %s but prints %s",
                            finding.code(),
                            finding.figure(),
                            finding.limit(),
                            finding.explanation().text())
                    .isLessThanOrEqualTo(1e-9 * Math.max(1, Math.abs(result)));
        }
    }

    private static void comesOut(Explanation explanation) {
        Equation equation = explanation.equation();
        String numbers = equation.numbers();
        double printed = Printed.value(equation.outcome());
        if (equation.outcome().endsWith("%")) {
            assertThat(Printed.slack(numbers))
                    .as("the difference of two long numbers says little: %s", explanation.text())
                    .isLessThanOrEqualTo(0.03 * Math.abs(printed) + 1e-9);
        }
        assertThat(Printed.value(numbers))
                .as(explanation.text())
                .isCloseTo(printed, within(Printed.slack(numbers) + Printed.slack(equation.outcome()) + 1e-12));
    }

    private static Stream<Finding> many(int times, Supplier<Stream<Finding>> findings) {
        return Stream.generate(findings).limit(times).flatMap(some -> some);
    }

    private static double pick(double from, double to) {
        return from + (to - from) * RANDOM.nextDouble();
    }

    private static <T> T one(List<T> of) {
        return of.get(RANDOM.nextInt(of.size()));
    }

    private static Conductor bare(ConductorSize size) {
        return new Conductor(size, RANDOM.nextBoolean());
    }

    private static CableGeometry cable() {
        return CableGeometry.of(bare(one(SIZES)), OptionalDouble.empty());
    }

    private static List<Rung> rungs() {
        return CableSizer.size(new CableDemand(
                        new CableDemand.Load(pick(1, 400), pick(0.2, 12), pick(11, 50), pick(1, 10)),
                        new AmpacityConditions(90, pick(10, 60), RANDOM.nextBoolean(), 1 + RANDOM.nextInt(6)),
                        OptionalDouble.of(75),
                        one(List.of(RuleSet.values())),
                        one(List.of(SizeSeries.values())),
                        RANDOM.nextBoolean()))
                .rungs();
    }

    private static Stream<Finding> ladder() {
        return rungs().stream().filter(rung -> rung.ampacityA() > 0).flatMap(rung -> rung.findings().stream());
    }

    private static Stream<Finding> surges() {
        double current = pick(1, 200);
        SurgeHeat.Surge surge = new SurgeHeat.Surge(current, current * pick(1.1, 4), pick(0.5, 60));
        return rungs().stream().flatMap(rung -> SurgeHeat.finding(rung, surge).stream());
    }

    private static Stream<Finding> duties() {
        return rungs().stream()
                .flatMap(rung -> DutyHeat.finding(rung, pick(10, 300), pick(5, 600), pick(5, 600)).stream());
    }

    private static Stream<Finding> bends() {
        String way = "%.2f m + %.2f m + %.0f° + %.2f m"
                .formatted(pick(0.02, 1), pick(0.02, 1), pick(20, 120), pick(0.02, 1));
        return CableRoute.parse(way, Unit.M, pick(30, 150)).findings(pick(6, 22), pick(4, 6)).stream();
    }

    private static Stream<Finding> contacts() {
        double wireA = RANDOM.nextBoolean() ? pick(5, 300) : 0;
        ContactDemand demand = new ContactDemand(
                cable(),
                new ContactDemand.Load(pick(1, 300), wireA),
                Place.VEHICLE,
                JoinMethod.CRIMP,
                ContactDemand.Mating.UNSAID,
                true);
        return ContactCatalogue.shipped().stream()
                .flatMap(contact -> new ContactFit(contact, demand).findings().stream());
    }

    private static Landing landing() {
        Landing.Around around = new Landing.Around(
                0,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalInt.empty());
        return new Landing(one(Studs.all()), OptionalDouble.of(pick(10, 60)), OptionalDouble.of(pick(8, 40)), around);
    }

    private static Stream<Finding> lugs() {
        LugDemand demand = new LugDemand(cable(), 1 + RANDOM.nextInt(2), landing(), Place.VEHICLE);
        return LugCatalogue.shipped().stream().flatMap(lug -> LugFit.of(lug, demand).findings().stream());
    }

    private static Stream<Crimp> tubes() {
        return LugCatalogue.shipped().stream()
                .map(Lug::barrel)
                .flatMap(barrel -> DIES.stream().map(die -> new Crimp(one(SIZES).areaMm2(), barrel, die)));
    }

    private static Stream<Finding> crimps() {
        return tubes().flatMap(crimp -> crimp.findings().stream());
    }

    private static Stream<Finding> spikes() {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
        return Stream.of(SpikeCrimp.Form.values())
                .flatMap(form -> Stream.of(2.0, 5.0, 7.0)
                        .map(width ->
                                new SpikeCrimp(50, barrel, new SpikeCrimp.Spike(form, width, SpikeCrimp.Dial.NONE))))
                .map(SpikeCrimp::finding);
    }

    private static Stream<Finding> joints() {
        Stud stud = one(Studs.all());
        double hole = stud.thread().diameterMm() + 0.4;
        return new BoltedJoint(stud, pick(1, 40), hole).findings().stream();
    }

    private static Stream<Finding> shared(Stud stud) {
        SharedStack.Pad thin = new SharedStack.Pad("C1", 18, pick(1, 3));
        SharedStack.Pad thick = new SharedStack.Pad("C2", 24, pick(2, 5));
        return SharedStack.of(stud, List.of(thin, thick)).finding(OptionalDouble.of(pick(8, 40))).stream();
    }

    private static Stream<Finding> paths() {
        double amps = pick(1, 60);
        Device.BankBuild typical = Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 4, 1, 100);
        Installation installation = new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        new Device.Bank("BANK", typical.within(new Device.Window(11, 14.4))),
                        new Device.Consumer("LAMP", Device.Draw.steady(Device.DrawKind.CURRENT, amps, 1, 10.5), 3)),
                List.of(run("L+", "BANK.plus", "LAMP.plus"), run("L-", "LAMP.minus", "BANK.minus")),
                List.of(new OperatingCase("on", Map.of("LAMP", OperatingCase.State.ON), 3)));
        return InstallationSolver.solve(installation).cases().stream()
                .flatMap(one -> one.findings(installation).stream())
                .map(CaseResult.LoadFinding::finding);
    }

    private static Installation array() {
        double openV = pick(18, 45);
        PanelString string = new PanelString(
                1 + RANDOM.nextInt(4),
                openV,
                0.83 * openV,
                10,
                9,
                RANDOM.nextBoolean() ? -0.3 : null,
                pick(-40, 20),
                null);
        return new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                List.of(
                        Device.Charger.panels("PV", string),
                        new Device.PanelInput("MPPT", 100.0, null, DropLimit.given(3))),
                List.of(run("P+", "PV.plus", "MPPT.plus"), run("P-", "MPPT.minus", "PV.minus")),
                List.of(new OperatingCase("day", Map.of(), 3)));
    }

    private static Stream<Finding> panels() {
        Installation installation = array();
        InstallationResult result = InstallationSolver.solve(installation);
        return Stream.concat(
                PanelCheck.check(result).stream().map(ProtectionCheck.Subject::finding),
                result.cases().stream()
                        .flatMap(one -> one.findings(installation).stream())
                        .map(CaseResult.LoadFinding::finding));
    }

    private static Run run(String tag, String from, String to) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        return new Run(tag, Terminal.parse(from), Terminal.parse(to), pick(0.3, 9), laying, null);
    }

    /** Two banks, each behind its fuse, feed one bar. */
    private static Stream<Finding> unlikeBanks() {
        List<Device> devices = List.of(
                new Device.Bank("A", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 100)),
                new Device.Bank("B", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 4, 1, 100)));
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        List<Run> runs = List.of(
                new Run("P", Terminal.parse("A.plus"), Terminal.parse("B.plus"), 1, laying, null),
                new Run("M", Terminal.parse("A.minus"), Terminal.parse("B.minus"), 1, laying, null));
        return WiringCheck.check(new Installation(
                        new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                        devices,
                        runs,
                        List.of(new OperatingCase("rest", Map.of(), 1))))
                .stream()
                .map(WiringCheck.Said::finding);
    }

    private static Stream<Finding> sideBySide() {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        List<Device> devices = new ArrayList<>(List.of(
                new Device.Bar("BAR"),
                new Device.Consumer("L", Device.Draw.steady(Device.DrawKind.CURRENT, pick(10, 90), 1, 10), 10)));
        List<Run> runs = new ArrayList<>(List.of(
                new Run("L+", Terminal.parse("BAR.bar"), Terminal.parse("L.plus"), 2, laying, null),
                new Run("L-", Terminal.parse("L.minus"), Terminal.parse("B0.minus"), 2, laying, null),
                new Run("N", Terminal.parse("B0.minus"), Terminal.parse("B1.minus"), 1, laying, null)));
        for (int i = 0; i < 2; i++) {
            devices.add(new Device.Bank("B" + i, Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 100)));
            devices.add(new Device.Fuse("F" + i, 0.0003, FuseFamily.CLASS_T, 80 + 45 * RANDOM.nextInt(3)));
            runs.add(new Run(
                    "S" + i, Terminal.parse("B" + i + ".plus"), Terminal.parse("F" + i + ".in"), 0.1, laying, null));
            runs.add(new Run("T" + i, Terminal.parse("F" + i + ".out"), Terminal.parse("BAR.bar"), 1, laying, null));
        }
        InstallationResult result = InstallationSolver.solve(new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                devices,
                runs,
                List.of(new OperatingCase("all", Map.of("L", OperatingCase.State.ON), 1))));
        return ProtectionCheck.check(result).subjects().stream()
                .filter(subject -> subject.tag().equals("L+"))
                .map(ProtectionCheck.Subject::finding)
                .filter(finding -> finding.code() == FindingCode.FUSE_AMPACITY);
    }

    private static Stream<Finding> fuses() {
        double near = pick(100, 6000);
        ProtectedCable guarded = new ProtectedCable(
                new ProtectedCable.Cable(pick(1, 120), pick(5, 400), pick(90, 160)),
                new ProtectedCable.Load(pick(1, 300), pick(300, 900), pick(0, 10), pick(20, 70)),
                new ProtectedCable.Supply(14.4, near, near * pick(0.3, 1)));
        FuseFamily family = one(List.of(FuseFamily.values()));
        return new FuseCheck(family, one(family.ratingsA()), guarded).findings().stream();
    }

    private static CablePlan plan() {
        PlanInput input = new PlanInput(
                cable(),
                new PlanInput.Route(pick(400, 3000), pick(0, 200), 0),
                end(),
                end(),
                new Shop(LugCatalogue.shipped(), DIES, ShrinkTube.shipped(), Toolbox.NONE),
                new PlanInput.Circumstances(new ContactDemand.Load(100, 200), Place.VEHICLE, true, false, false));
        return CablePlan.of(input);
    }

    private static Stream<Finding> slack() {
        CablePlan plan = plan();
        return Stream.of(Side.values()).map(side -> plan.slackFinding(side, pick(0, 150)));
    }

    private static Stream<Finding> redone() {
        CableRecord record = new CableRecord(Set.of("cut"), List.of(), pick(200, 400), null);
        return new RecordCheck(record, new ReadingJudge(plan(), PullSchool.UL_486))
                .findings().stream().map(RecordCheck.Made::finding);
    }

    private static EndDemand end() {
        return new EndDemand(landing(), null, null, null);
    }

    private static Stream<Finding> sleeves() {
        ShrinkChoice.Cover cover = new ShrinkChoice.Cover(pick(10, 30), pick(6, 20), pick(6, 20), pick(10, 40));
        return Stream.of(ShrinkChoice.choose(ShrinkTube.shipped(), cover).finding());
    }

    private static Stream<Finding> switches() {
        List<Device> devices = List.of(
                new Device.Bank("B", Device.BankBuild.typical(Chemistry.LEAD_AGM, 1, 1, 100)),
                new Device.Link("K", pick(0.0001, 0.01), 300.0),
                new Device.Consumer("L", Device.Draw.steady(Device.DrawKind.CURRENT, pick(5, 90), 1, 10), 10));
        Installation installation = new Installation(
                new Installation.System(12, 14.4, RuleSet.CFR_183_425),
                devices,
                List.of(run("A", "B.plus", "K.in"), run("C", "K.out", "L.plus"), run("D", "L.minus", "B.minus")),
                List.of(new OperatingCase("on", Map.of("L", OperatingCase.State.ON), 1)));
        return PartRatings.check(InstallationSolver.solve(installation)).stream()
                .map(ProtectionCheck.Subject::finding);
    }

    private static CutLength.Reach reach() {
        return new CutLength.Reach(pick(5, 40), pick(8, 40));
    }

    private static Stream<Finding> readings() {
        double length = pick(50, 4000);
        int strands = 20 + RANDOM.nextInt(1300);
        List<Finding> readings = new ArrayList<>(List.of(
                Acceptance.cutLength(length, 20, length + pick(-30, 30)),
                Acceptance.stripLength(20, pick(15, 25)),
                Acceptance.strandsLost(RANDOM.nextInt(20), strands),
                Acceptance.acrossFlats(one(DIES), pick(8, 18)),
                Acceptance.crimpGap(pick(0, 2), pick(0, 4))));
        return readings.stream();
    }
}
