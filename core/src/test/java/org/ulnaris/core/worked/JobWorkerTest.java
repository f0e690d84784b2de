package org.ulnaris.core.worked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.TerminalMetal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.termination.DieMark;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.CribGap;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.Toolbox;

class JobWorkerTest {
    private static final Ground GROUND = ground(Place.VEHICLE);
    private static final EndModel M8 = EndModel.at(Landing.on(Studs.named("M8").orElseThrow()));
    private static final Shop SHOP = shop(dies());

    private static Ground ground(Place place) {
        return new Ground(
                new Installation.System(24, 29.2, RuleSet.CFR_183_425),
                place,
                true,
                false,
                Bolting.USUAL,
                MarkRule.MARKS,
                PullSchool.UL_486);
    }

    private static List<Die> dies() {
        List<Die> dies = new ArrayList<>();
        for (int code : new int[] {5, 6, 8, 10, 12, 14, 16, 18, 20}) {
            dies.add(new Die(
                    "K" + code,
                    DieShape.HEX,
                    0.85 * code,
                    5,
                    LugMaterial.COPPER,
                    new DieMark("DIN 46235", Integer.toString(code))));
        }
        return dies;
    }

    private static Shop shop(List<Die> dies) {
        return new Shop(LugCatalogue.shipped(), dies, ShrinkTube.shipped(), Toolbox.NONE);
    }

    private static CableModel cable(String tag, String from, String to, OptionalDouble typedA) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3);
        return new CableModel(
                tag,
                new CableModel.Points(from, to),
                tag.endsWith("-") ? Pole.NEGATIVE : Pole.POSITIVE,
                typedA,
                laying,
                new CableModel.Way(1.5, Optional.empty(), 150, OptionalDouble.empty()),
                OptionalDouble.empty(),
                null,
                0,
                M8,
                M8);
    }

    private static CableModel cable(String tag, String from, String to) {
        return cable(tag, from, to, OptionalDouble.empty());
    }

    private static CableModel ended(CableModel cable, EndModel a) {
        return new CableModel(
                cable.tag(),
                cable.points(),
                cable.pole(),
                cable.typedA(),
                cable.laying(),
                cable.way(),
                cable.outerMm(),
                cable.chosenSize(),
                cable.extraJoints(),
                a,
                cable.b());
    }

    /** A bank, a fuse close to it, an inverter. */
    private static JobModel van(CableModel... further) {
        List<CableModel> cables = new ArrayList<>(List.of(
                cable("F+", "BANK.plus", "F.in").sized("35 mm²"),
                cable("INV+", "F.out", "INV.plus").sized("35 mm²"),
                cable("INV-", "INV.minus", "BANK.minus").sized("35 mm²")));
        cables.addAll(List.of(further));
        return van(cables, SHOP);
    }

    private static JobModel van(List<CableModel> cables, Shop shop) {
        List<CableModel> shortened = cables.stream()
                .map(cable -> cable.tag().equals("F+") ? along(cable, 0.12) : cable)
                .toList();
        return new JobModel(
                GROUND,
                List.of(
                        Piece.of(new Device.Bank("BANK", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 1, 100))),
                        Piece.of(new Device.Fuse("F", 0.0005, FuseFamily.CLASS_T, 110)),
                        Piece.of(new Device.Consumer(
                                "INV", Device.Draw.steady(Device.DrawKind.POWER, 1500, 0.9, 22), 5))),
                shortened,
                List.of(new OperatingCase("on", Map.of("INV", State.ON), 2)),
                shop);
    }

    private static CableModel along(CableModel cable, double lengthM) {
        CableModel.Way way =
                new CableModel.Way(lengthM, Optional.empty(), lengthM < 0.5 ? 0 : 150, OptionalDouble.empty());
        return new CableModel(
                cable.tag(),
                cable.points(),
                cable.pole(),
                cable.typedA(),
                cable.laying(),
                way,
                cable.outerMm(),
                cable.chosenSize(),
                cable.extraJoints(),
                cable.a(),
                cable.b());
    }

    private static @Nullable Verdict verdict(WorkedCable cable, FindingCode code) {
        return cable.findings().stream()
                .filter(said -> said.finding().code() == code)
                .map(JobFinding::verdict)
                .findFirst()
                .orElse(null);
    }

    private static List<String> says(WorkedJob job) {
        return job.findings().stream()
                .map(said -> said.subject() + " " + said.where() + " "
                        + said.finding().code() + " " + said.verdict() + " "
                        + Math.round(1e6 * said.finding().figure()))
                .sorted()
                .toList();
    }

    @Test
    void aSoundJobPasses() {
        WorkedJob worked = JobWorker.work(van());
        assertThat(worked.cable("INV+").carried().currentA()).isBetween(75.0, 76.0);
        assertThat(worked.cable("INV+").carried().worstCase()).isEqualTo("on");
        assertThat(worked.cables()).allSatisfy(cable -> {
            assertThat(cable.verdict()).as(cable.tag() + " " + cable.reason()).isEqualTo(Verdict.PASS);
            assertThat(cable.reason()).isEmpty();
        });
        assertThat(worked.verdict()).isEqualTo(Verdict.PASS);
        assertThat(worked.circuits()).containsOnlyKeys("INV").containsEntry("INV", Verdict.PASS);
        long watches = worked.cables().stream()
                .flatMap(cable -> cable.of(Topic.END, Topic.TOOL).stream())
                .filter(said -> said.verdict() == Verdict.WATCH)
                .count();
        assertThat(watches).isZero();
    }

    /** What nobody knows is open, and never green. */
    @Test
    void whatNobodyKnowsIsOpen() {
        WorkedJob worked = JobWorker.work(van(
                cable("X", "somewhere", "else", OptionalDouble.of(20)),
                cable("Y+", "the shelf", "the bin"),
                cable("N-", "here", "there", OptionalDouble.of(90))));
        assertThat(verdict(worked.cable("X"), FindingCode.FUSE_UNKNOWN)).isEqualTo(Verdict.OPEN);
        assertThat(worked.cable("X").verdict()).isEqualTo(Verdict.OPEN);
        assertThat(verdict(worked.cable("Y+"), FindingCode.NO_CURRENT)).isEqualTo(Verdict.OPEN);
        assertThat(worked.cable("Y+").reason().orElseThrow().finding().code()).isEqualTo(FindingCode.NO_CURRENT);
        assertThat(worked.cable("Y+").of(Topic.SIZE)).hasSize(1);
        assertThat(worked.cable("N-").verdict()).isEqualTo(Verdict.OPEN);
        assertThat(worked.verdict()).isEqualTo(Verdict.OPEN);
    }

    /** Ends that were planned for the thinnest size of the table passed: a person could have bought and made them. */
    @Test
    void nothingIsChosenForTheEndsOfACableWithoutASize() {
        WorkedCable cable =
                JobWorker.work(van(cable("Y+", "the shelf", "the bin"))).cable("Y+");
        assertThat(cable.sizeSaid()).isEmpty();
        for (Side side : Side.values()) {
            assertThat(cable.plan().end(side).termination()).isNull();
            assertThat(cable.verdict(side)).isEqualTo(Verdict.OPEN);
            assertThat(cable.at(side, EndPart.LUG))
                    .extracting(said -> said.finding().code())
                    .containsExactly(FindingCode.NO_CURRENT);
        }
        assertThat(verdict(cable, FindingCode.END_MISSING)).isNull();
        assertThat(cable.plan().cutLength()).isNull();
    }

    /** A slip of the pen in a terminal's name takes a cable out of everything that is worked out of the loads. */
    @Test
    void aTerminalThatIsNoneIsToldWithTheNearest() {
        WorkedJob worked = JobWorker.work(van(cable("N-", "INV.minus", "bnak.minus", OptionalDouble.of(90))));
        JobFinding said = worked.cable("N-").of(Topic.WIRING).get(0);
        assertThat(said.finding().code()).isEqualTo(FindingCode.POINT_UNKNOWN);
        assertThat(said.where()).isEqualTo("B");
        assertThat(said.finding().about()).isEqualTo("bnak.minus");
        assertThat(said.finding().explanation().note()).contains("the nearest name is BANK.minus");
    }

    /** Wired plus to minus: no current of the job is true, and no size a pass; a cable marked against its side is told. */
    @Test
    void whileTheWiringIsWrongNoSizePasses() {
        WorkedJob shorted = JobWorker.work(van(cable("S-", "F.out", "BANK.minus")));
        assertThat(shorted.verdict()).isEqualTo(Verdict.STOP);
        assertThat(shorted.further())
                .anyMatch(said -> said.finding().code() == FindingCode.SHORT_CIRCUIT
                        && said.finding().about().equals("F+ – F – S-"));
        assertThat(shorted.cables())
                .allSatisfy(cable ->
                        assertThat(verdict(cable, FindingCode.WIRING_FIRST)).isEqualTo(Verdict.OPEN));
        WorkedJob marked = JobWorker.work(van(
                List.of(
                        cable("F-", "BANK.plus", "F.in"),
                        cable("INV+", "F.out", "INV.plus"),
                        cable("INV2+", "INV.minus", "BANK.minus")),
                SHOP));
        assertThat(verdict(marked.cable("F-"), FindingCode.POLE_MARK)).isEqualTo(Verdict.STOP);
        assertThat(verdict(marked.cable("INV2+"), FindingCode.POLE_MARK)).isEqualTo(Verdict.WATCH);
        assertThat(verdict(marked.cable("INV+"), FindingCode.POLE_MARK)).isNull();
    }

    /** A current typed below what flows is a stop; one above it is what the cable is sized and fused for. */
    @ParameterizedTest
    @CsvSource({"40, STOP, 75.7", "90, , 90"})
    void aTypedCurrentIsHeldAgainstWhatFlows(double typedA, @Nullable Verdict expected, double sizedForA) {
        WorkedJob worked = JobWorker.work(van(
                List.of(
                        cable("F+", "BANK.plus", "F.in"),
                        cable("INV+", "F.out", "INV.plus", OptionalDouble.of(typedA)),
                        cable("INV-", "INV.minus", "BANK.minus")),
                SHOP));
        WorkedCable cable = worked.cable("INV+");
        assertThat(verdict(cable, FindingCode.TYPED_CURRENT)).isEqualTo(expected);
        assertThat(cable.carried().currentA()).isCloseTo(sizedForA, org.assertj.core.data.Offset.offset(0.1));
        assertThat(cable.size().result().demand().load().currentA())
                .isEqualTo(cable.carried().currentA());
    }

    /** What was chosen by hand and is gone is said, on the end or the size that it was chosen for. */
    @Test
    void partsThatAreGoneAreSaid() {
        EndModel lug = new EndModel(M8.landing(), null, "sold out", "K99", null, 1, null, true);
        EndModel.Pick pick = new EndModel.Pick(
                Family.TWO_POLE,
                "discontinued",
                org.ulnaris.core.contact.JoinMethod.CRIMP,
                org.ulnaris.core.contact.ContactDemand.Mating.UNSAID);
        EndModel contact = new EndModel(M8.landing(), null, null, null, pick, 1, null, true);
        WorkedJob worked = JobWorker.work(van(
                ended(cable("X", "a", "b", OptionalDouble.of(40)), lug),
                ended(cable("Y", "a", "b", OptionalDouble.of(40)), contact),
                cable("Z", "a", "b", OptionalDouble.of(40)).sized("41 mm²")));
        assertThat(worked.cable("X").findings())
                .filteredOn(said -> said.finding().code() == FindingCode.PART_GONE)
                .extracting(said -> said.where() + " " + said.finding().about())
                .containsExactly("A sold out", "A K99");
        assertThat(verdict(worked.cable("Y"), FindingCode.PART_GONE)).isEqualTo(Verdict.STOP);
        assertThat(verdict(worked.cable("Z"), FindingCode.SIZE_GONE)).isEqualTo(Verdict.STOP);
        assertThat(worked.cable("Z").size().byHand()).isFalse();
    }

    /** Any size that exists may be chosen, of the other series too. */
    @Test
    void aSizeOfTheOtherSeriesIsTaken() {
        WorkedCable cable = JobWorker.work(
                        van(cable("X", "a", "b", OptionalDouble.of(40)).sized("2/0 AWG")))
                .cable("X");
        assertThat(cable.rung().size().designation()).isEqualTo("2/0 AWG");
        assertThat(verdict(cable, FindingCode.SIZE_GONE)).isNull();
    }

    @Test
    @CheckedAgainst(value = "above 10 AWG lugs, below it small terminals", how = "common practice")
    void anEndOfWhichNothingIsSaidStartsWithWhatFits() {
        CableModel thin = cable("X", "a", "b", OptionalDouble.of(3)).sized("1.5 mm²");
        CableModel thick = cable("Y", "a", "b", OptionalDouble.of(3)).sized("50 mm²");
        WorkedJob worked = JobWorker.work(van(thin, thick));
        assertThat(worked.cable("X").plan().a().kind().family()).isEqualTo(Family.SMALL);
        assertThat(worked.cable("Y").plan().a().kind().family()).isEqualTo(Family.TUBE_LUG);
        EndModel said = new EndModel(M8.landing(), null, null, null, null, 1, null, true);
        assertThat(JobWorker.work(van(ended(thin, said)))
                        .cable("X")
                        .plan()
                        .a()
                        .kind()
                        .family())
                .isEqualTo(Family.TUBE_LUG);
    }

    @Test
    void anEmptyCribIsOpenAndAPoorOneStops() {
        List<CableModel> cables = van().cables();
        assertThat(JobWorker.work(van(cables, shop(List.of()))).verdict()).isEqualTo(Verdict.OPEN);
        Die ferrules = new Die("S", DieShape.SQUARE, 3, 8, LugMaterial.COPPER);
        WorkedJob poor = JobWorker.work(van(cables, shop(List.of(ferrules))));
        assertThat(verdict(poor.cable("INV+"), FindingCode.DIE_MISSING)).isEqualTo(Verdict.STOP);
    }

    /** A finding of a stud is one of every cable that lands on it, and stands once in the job. */
    @Test
    void aStudIsSaidOfEveryCableThatLandsThere() {
        JobModel model = van();
        List<Piece> pieces = new ArrayList<>(model.pieces());
        pieces.set(2, new Piece(pieces.get(2).device(), false, OptionalInt.empty(), TerminalMetal.ALUMINIUM));
        WorkedJob worked = JobWorker.work(new JobModel(GROUND, pieces, model.cables(), model.cases(), model.shop()));
        assertThat(verdict(worked.cable("INV+"), FindingCode.TERMINAL_METAL)).isEqualTo(Verdict.WATCH);
        assertThat(worked.cable("F+").verdict()).isEqualTo(Verdict.PASS);
        assertThat(worked.findings())
                .filteredOn(said -> said.finding().code() == FindingCode.TERMINAL_METAL)
                .extracting(JobFinding::subject)
                .containsExactlyInAnyOrder("INV.plus", "INV.minus");
    }

    @Test
    @CheckedAgainst(value = "two-wire systems on boats, the hull carries no current", how = "common practice")
    void aHullCarriesNoCurrentOnABoat() {
        for (Place place : Place.values()) {
            JobModel model = van(cable("R-", "INV.minus", "HULL.bar"));
            List<Piece> pieces = new ArrayList<>(model.pieces());
            pieces.add(new Piece(new Device.Bar("HULL"), true, OptionalInt.empty(), null));
            WorkedJob worked =
                    JobWorker.work(new JobModel(ground(place), pieces, model.cables(), model.cases(), model.shop()));
            assertThat(worked.about("HULL"))
                    .extracting(said -> said.finding().code())
                    .isEqualTo(place == Place.BOAT ? List.of(FindingCode.HULL_RETURN) : List.of());
        }
    }

    /** A block that carries 75 A is asked for its rating; the body of a vehicle, which has none, is not. */
    @Test
    void aChassisIsNotAskedForARating() {
        for (boolean chassis : new boolean[] {true, false}) {
            JobModel model = van(cable("R-", "INV.minus", "BODY.bar"), cable("G-", "BODY.bar", "BANK.minus"));
            List<Piece> pieces = new ArrayList<>(model.pieces());
            pieces.add(new Piece(new Device.Bar("BODY"), chassis, OptionalInt.empty(), null));
            List<CableModel> cables = model.cables().stream()
                    .filter(cable -> !cable.tag().equals("INV-"))
                    .toList();
            WorkedJob worked =
                    JobWorker.work(new JobModel(ground(Place.CABIN), pieces, cables, model.cases(), model.shop()));
            assertThat(worked.about("BODY"))
                    .extracting(said -> said.finding().code())
                    .isEqualTo(chassis ? List.of() : List.of(FindingCode.PART_RATING));
        }
    }

    /** The order of the cables changes nothing of what is said. */
    @Test
    void theOrderOfTheCablesChangesNothing() {
        List<CableModel> cables =
                new ArrayList<>(van(cable("X", "a", "b", OptionalDouble.of(40)), cable("L+", "F.out", "INV.plus"))
                        .cables());
        List<String> expected = says(JobWorker.work(van(cables, SHOP)));
        Random random = new Random(3);
        for (int i = 0; i < 6; i++) {
            Collections.shuffle(cables, random);
            assertThat(says(JobWorker.work(van(cables, SHOP)))).isEqualTo(expected);
        }
    }

    /** What is taken over from the last time is what would come out anew. */
    @Test
    void takingOverSaysTheSame() {
        Random random = new Random(7);
        List<CableModel> cables =
                new ArrayList<>(van(cable("X", "a", "b", OptionalDouble.of(40))).cables());
        WorkedJob last = JobWorker.work(van(cables, SHOP));
        for (int i = 0; i < 40; i++) {
            int at = random.nextInt(cables.size());
            CableModel one = cables.get(at);
            String[] sizes = {"10 mm²", "25 mm²", "95 mm²", null};
            cables.set(
                    at,
                    random.nextBoolean() ? one.sized(sizes[random.nextInt(4)]) : along(one, 0.2 + random.nextDouble()));
            JobModel model = van(cables, random.nextInt(8) == 0 ? shop(dies().subList(0, 5)) : SHOP);
            last = JobWorker.work(model, last);
            assertThat(says(last)).isEqualTo(says(JobWorker.work(model)));
        }
        assertThat(last.cable("X").plan().end(Side.A)).isNotNull();
    }

    /** A cable that no load reaches any more says nothing of the loads that once did. */
    @Test
    void nothingIsTakenOverFromANetworkThatIsGone() {
        List<CableModel> cables = List.of(
                cable("F+", "BANK.plus", "F.in"),
                cable("INV+", "F.out", "INV.plus", OptionalDouble.of(90)),
                cable("INV-", "INV.minus", "BANK.minus"));
        JobModel steady = van(cables, SHOP);
        List<Piece> pieces = new ArrayList<>(steady.pieces());
        pieces.set(
                2,
                Piece.of(new Device.Consumer(
                        "INV", new Device.Draw(Device.DrawKind.POWER, 1500, 0.9, 22, 9000, 20), 5)));
        JobModel model = new JobModel(
                GROUND, pieces, cables, List.of(new OperatingCase("on", Map.of("INV", State.SURGE), 2)), SHOP);
        assertThat(verdict(JobWorker.work(model).cable("INV+"), FindingCode.SURGE_HEAT))
                .isNotNull();
        JobModel bare = new JobModel(GROUND, List.of(), model.cables(), List.of(), SHOP);
        assertThat(says(JobWorker.work(bare, JobWorker.work(model)))).isEqualTo(says(JobWorker.work(bare)));
        assertThat(says(JobWorker.work(model, JobWorker.work(bare)))).isEqualTo(says(JobWorker.work(model)));
    }

    @Test
    void tagsDiffer() {
        assertThatThrownBy(() -> van(cable("inv+", "a", "b"))).hasMessageContaining("inv+");
        assertThatThrownBy(() -> JobWorker.work(van()).cable("nothing")).hasMessageContaining("nothing");
    }

    /** A ring of cables is told on each of them; one over the body of a vehicle is its bonding. */
    @Test
    void aRingIsToldUnlessItBondsTheBody() {
        for (boolean chassis : new boolean[] {true, false}) {
            JobModel van = van(cable("BODY-", "BANK.minus", "BODY.bar"), cable("BOND-", "INV.minus", "BODY.bar"));
            List<Piece> pieces = new ArrayList<>(van.pieces());
            pieces.add(new Piece(new Device.Bar("BODY"), chassis, OptionalInt.empty(), null));
            WorkedJob job = JobWorker.work(new JobModel(van.ground(), pieces, van.cables(), van.cases(), van.shop()));
            assertThat(job.findings())
                    .filteredOn(said -> said.finding().code() == FindingCode.CABLE_LOOP)
                    .extracting(JobFinding::subject)
                    .containsExactlyInAnyOrderElementsOf(chassis ? List.of() : List.of("INV-", "BODY-", "BOND-"));
        }
    }

    /** Afloat no size of aluminium stands, on the ladder as on the list. */
    @Test
    void theLadderStopsAMetalThatTheRulesDoNotKnow() {
        CableModel copper = cable("L+", "a", "b", OptionalDouble.of(20));
        Run.Laying laying = copper.laying();
        CableModel aluminium = new CableModel(
                copper.tag(),
                copper.points(),
                copper.pole(),
                copper.typedA(),
                new Run.Laying(
                        laying.conditions(),
                        laying.terminalTempC(),
                        laying.series(),
                        ConductorMetal.ALUMINIUM,
                        laying.drop(),
                        null,
                        false),
                copper.way(),
                copper.outerMm(),
                null,
                0,
                M8,
                M8);
        WorkedJob job = JobWorker.work(new JobModel(GROUND, List.of(), List.of(aluminium), List.of(), SHOP));
        WorkedCable cable = job.cable("L+");
        assertThat(cable.verdict()).isEqualTo(Verdict.STOP);
        assertThat(cable.rung().verdict()).isEqualTo(Verdict.STOP);
        assertThat(cable.findings()).anyMatch(said -> said.finding().code() == FindingCode.CONDUCTOR_METAL);
    }

    /** Up to 60 V nothing is said; above, every cable says who may work there. */
    @ParameterizedTest
    @CheckedAgainst(value = "IEC 61140, IEC 60364-4-41: 60 V direct current in a dry place", how = "recalled")
    @CsvSource({"48, 60, false", "48, 60.1, true", "72, 84, true"})
    void aVoltageThatHurts(double nominalV, double chargingV, boolean told) {
        Ground ground = new Ground(
                new Installation.System(nominalV, chargingV, RuleSet.CFR_183_425),
                Place.VEHICLE,
                true,
                false,
                Bolting.USUAL,
                MarkRule.MARKS,
                PullSchool.UL_486);
        JobModel bare =
                new JobModel(ground, List.of(), List.of(cable("A", "x", "y", OptionalDouble.of(20))), List.of(), SHOP);
        assertThat(JobWorker.work(bare).findings().stream()
                        .map(said -> said.finding().code()))
                .satisfies(codes ->
                        assertThat(codes.contains(FindingCode.TOUCH_VOLTAGE)).isEqualTo(told));
    }

    private static final Set<FindingCode> OF_THE_DIES =
            Set.of(FindingCode.COMPACTION, FindingCode.CRIMP_COUNT, FindingCode.DIE_MATERIAL);

    private static Toolbox anyToolbox(Random random, List<Die> dies) {
        List<Toolbox.HeldDie> held = dies.stream()
                .map(die -> new Toolbox.HeldDie(
                        die, List.of("bench", "hand", "nobody's").get(random.nextInt(3)), null))
                .toList();
        List<Tool> tools = new ArrayList<>(List.of(
                new Tool("P", ToolKind.BENCH_PRESS, "bench", OptionalDouble.of(random.nextBoolean() ? 120 : 15), true),
                new Tool("H", ToolKind.HYDRAULIC_HAND, "hand", OptionalDouble.empty(), true)));
        tools.removeIf(tool -> random.nextInt(3) == 0);
        return new Toolbox(tools, held, Map.of());
    }

    private static List<Die> anyDies(Random random) {
        List<Die> dies = new ArrayList<>(dies());
        for (int i = 0; i < 6; i++) {
            LugMaterial material = random.nextInt(4) == 0 ? LugMaterial.ALUMINIUM : LugMaterial.COPPER;
            dies.add(new Die("X" + i, DieShape.HEX, 5 + 14 * random.nextDouble(), 5, material));
        }
        dies.removeIf(die -> random.nextInt(3) > 0);
        return dies;
    }

    /** Cribs at random: the list of what is missing holds an end just where its own checks of dies and tool ask for them. */
    @Test
    void whatIsMissingIsWhatTheEndsAskFor() {
        Random random = new Random(20261201);
        int missing = 0;
        int made = 0;
        for (int i = 0; i < 250; i++) {
            List<Die> dies = anyDies(random);
            Toolbox toolbox = anyToolbox(random, dies);
            MarkRule rule = MarkRule.values()[random.nextInt(MarkRule.values().length)];
            String size = List.of("10 mm²", "16 mm²", "25 mm²", "35 mm²", "50 mm²", "70 mm²")
                    .get(random.nextInt(6));
            JobModel job = van(
                    List.of(cable("INV+", "F.out", "INV.plus").sized(size)),
                    new Shop(LugCatalogue.shipped(), dies, ShrinkTube.shipped(), toolbox));
            Ground ground = new Ground(
                    job.ground().system(), Place.VEHICLE, true, false, Bolting.USUAL, rule, PullSchool.UL_486);
            MatchedLug lug = JobWorker.work(new JobModel(ground, job.pieces(), job.cables(), job.cases(), job.shop()))
                    .cable("INV+")
                    .plan()
                    .a()
                    .match();
            Crimp crimp = Objects.requireNonNull(lug).crimp();
            boolean diesAsk = crimp == null
                    || crimp.findings().stream()
                            .anyMatch(finding -> OF_THE_DIES.contains(finding.code())
                                    && finding.verdict().asks());
            boolean toolStops = lug.toolFindings().stream().anyMatch(Finding::stops);
            List<CribGap> gaps = CribGap.of(
                    List.of(new CribGap.Need("x", lug.lug().barrel(), lug.fit().conductorAreaMm2(), rule)), toolbox);
            assertThat(gaps.isEmpty())
                    .as("%s under %s with %s in %s", size, rule, dies, toolbox.tools())
                    .isEqualTo(!diesAsk && !toolStops);
            missing += gaps.size();
            made += gaps.isEmpty() ? 1 : 0;
        }
        assertThat(missing).isGreaterThan(30);
        assertThat(made).isGreaterThan(30);
    }
}
