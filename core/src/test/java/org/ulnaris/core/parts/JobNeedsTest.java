package org.ulnaris.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

class JobNeedsTest {
    private static final BiPredicate<String, BuildStep> NOTHING_DONE = (cable, step) -> false;

    private static final WorkedJob JOB = job(
            new Device.Fuse("F1", 1e-4, FuseFamily.CLASS_T, 200),
            cable("K1", "BANK.plus", "F1.in", 0.6),
            cable("K2", "F1.out", "winch", 2.5),
            cable("K3", "winch minus", "BANK.minus", 3.0),
            cable("K4", "F1.out", "", 1.2));

    private static WorkedJob job(Device.Fuse fuse, CableModel... cables) {
        return JobWorker.work(
                new JobModel(
                        new Ground(
                                new Installation.System(24, 29.2, RuleSet.CFR_183_425),
                                Place.VEHICLE,
                                true,
                                false,
                                Bolting.USUAL,
                                MarkRule.MARKS,
                                PullSchool.UL_486),
                        List.of(
                                Piece.of(new Device.Bank(
                                        "BANK", Device.BankBuild.typical(Chemistry.LITHIUM_IRON, 8, 1, 200))),
                                Piece.of(fuse)),
                        List.of(cables),
                        List.of(),
                        new Shop(
                                LugCatalogue.shipped(),
                                List.of(new Die("Q16", DieShape.HEX, 13.6, 5, LugMaterial.COPPER, null)),
                                ShrinkTube.shipped(),
                                Toolbox.NONE)),
                null);
    }

    private static CableModel cable(String tag, String from, String to, double lengthM) {
        return cable(tag, new CableModel.Points(from, to), lengthM, OptionalDouble.of(150), "70 mm²");
    }

    private static CableModel cable(
            String tag, CableModel.Points points, double lengthM, OptionalDouble typedA, @Nullable String size) {
        EndModel m8 = EndModel.at(Landing.on(Studs.named("M8").orElseThrow()));
        return new CableModel(
                tag,
                points,
                Pole.POSITIVE,
                typedA,
                new Run.Laying(
                        new AmpacityConditions(105, 30, false, 1), OptionalDouble.empty(), SizeSeries.METRIC, false, 3),
                new CableModel.Way(lengthM, Optional.empty(), 100, OptionalDouble.empty()),
                OptionalDouble.empty(),
                size,
                0,
                m8,
                m8);
    }

    private static Map<String, Double> needs(BiPredicate<String, BuildStep> done) {
        return JobNeeds.of(JOB, done).parts().stream()
                .collect(Collectors.toMap(need -> need.part().code(), Need::amount));
    }

    private static Need of(Part.Kind kind) {
        return JobNeeds.of(JOB, NOTHING_DONE).parts().stream()
                .filter(need -> need.part().kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsCutCrimpedAndTightened() {
        double cutM = JOB.cables().stream()
                .mapToDouble(cable ->
                        Objects.requireNonNull(cable.plan().cutLength()).cutMm() / 1000)
                .sum();
        Need reel = of(Part.Kind.CABLE);
        assertThat(reel.part().code()).isEqualTo("cable 70 mm²");
        assertThat(reel.amount()).as("with a saw cut of 3 mm each").isCloseTo(cutM + 4 * 0.003, within(1e-9));
        assertThat(reel.longestM()).isBetween(3.0, 3.2);
        assertThat(of(Part.Kind.LUG).amount()).as("four cables have eight ends").isEqualTo(8);
        assertThat(of(Part.Kind.FUSE)).isEqualTo(new Need(Part.fuse(FuseFamily.CLASS_T, 200), 1, 0, List.of("F1")));
        assertThat(of(Part.Kind.HARDWARE).amount())
                .as("two lugs on F1.out share a nut; an end that goes nowhere has its own")
                .isEqualTo(7);
        assertThat(JobNeeds.of(JOB, NOTHING_DONE).open()).isEmpty();
    }

    /** Each step that is done takes nothing but its own parts off the list, in any order; a finished job needs nothing. */
    @ParameterizedTest
    @CsvSource({"1", "2", "3", "4", "5"})
    void whatIsDoneIsOffTheList(long seed) {
        record Doing(String cable, BuildStep step) {}
        List<Doing> all = new ArrayList<>();
        JOB.cables().forEach(cable -> cable.plan().steps().forEach(step -> all.add(new Doing(cable.tag(), step))));
        Collections.shuffle(all, new Random(seed));
        Set<Doing> done = new HashSet<>();
        Map<String, Double> before = needs(NOTHING_DONE);
        for (Doing next : all) {
            done.add(next);
            Map<String, Double> now = needs((cable, step) -> done.contains(new Doing(cable, step)));
            assertThat(before.keySet()).containsAll(now.keySet());
            Map<String, Double> last = before;
            now.forEach((code, amount) -> assertThat(amount).isLessThanOrEqualTo(last.get(code) + 1e-9));
            before = now;
        }
        assertThat(before).isEmpty();
    }

    @Test
    void aLugThatIsPressedIsOffTheListAndItsSleeveStays() {
        Map<String, Double> now =
                needs((cable, step) -> cable.equals("K2") && step.equals(new BuildStep(StepKind.CRIMP, Side.A)));
        Map<String, Double> before = needs(NOTHING_DONE);
        String lug = of(Part.Kind.LUG).part().code();
        assertThat(now.get(lug)).isEqualTo(7);
        before.remove(lug);
        now.remove(lug);
        assertThat(now).isEqualTo(before);
    }

    /** The sleeves of an end by the rule of common practice: cover and overlap over 0.9. */
    @Test
    void sleevesByTheirCutLength() {
        double byHand = 0;
        for (WorkedCable cable : JOB.cables()) {
            for (Side side : Side.values()) {
                byHand += Objects.requireNonNull(
                                Objects.requireNonNull(cable.plan().end(side).termination())
                                        .sleeve())
                        .cover()
                        .cutLengthMm();
            }
            byHand += 2 * 40;
        }
        double listed = JobNeeds.of(JOB, NOTHING_DONE).parts().stream()
                .filter(need -> need.part().kind() == Part.Kind.SLEEVE)
                .mapToDouble(Need::amount)
                .sum();
        assertThat(listed).isCloseTo(byHand / 1000, within(1e-9));
    }

    /** A cable of which neither current nor size is known is in no size bought. */
    @Test
    void whatIsNotKnownIsNotBought() {
        CableModel.Points nowhere = new CableModel.Points("lamp", "");
        Device.Fuse fuse = new Device.Fuse("F1", 1e-4, FuseFamily.CLASS_T, 200);
        JobNeeds needs = JobNeeds.of(job(fuse, cable("OPEN", nowhere, 2, OptionalDouble.empty(), null)), NOTHING_DONE);
        assertThat(needs.open()).containsExactly("OPEN");
        assertThat(needs.parts())
                .extracting(need -> need.part().kind())
                .as("the fuse is drawn")
                .containsExactly(Part.Kind.FUSE);
        assertThat(JobNeeds.of(job(fuse, cable("HAND", nowhere, 2, OptionalDouble.empty(), "16 mm²")), NOTHING_DONE)
                        .parts())
                .as("a size by hand is a size")
                .anyMatch(need -> need.part().code().equals("cable 16 mm²"));
    }

    private static List<String> stopped(WorkedJob job, BiPredicate<String, BuildStep> done) {
        return JobNeeds.of(job, done).stopped().stream()
                .map(JobNeeds.Stopped::tag)
                .toList();
    }

    /** The nut of a stud is there once one of its lugs is tightened, whichever of them was first in the list. */
    @ParameterizedTest
    @CsvSource({"K2", "K4"})
    void aNutThatIsThereServesTheNextLug(String tightened) {
        Side side = Side.A;
        Map<String, Double> now =
                needs((cable, step) -> cable.equals(tightened) && step.equals(new BuildStep(StepKind.TORQUE, side)));
        assertThat(now.get("nut M8")).isEqualTo(6);
    }

    /** Ends of other kinds: a splice and a two-pole connector serve two cables, and a finished fuse is bought no more though nothing lands on it. */
    @Test
    void whatTwoCablesShareIsTakenOnce() {
        WorkedJob joined = job(
                new Device.Fuse("F1", 1e-4, FuseFamily.BLADE_C, 30),
                ended(cable("S1", "F1.out", "joint", 1), Family.SMALL, Family.HEAVY_SPLICE),
                ended(cable("S2", "joint", "plug plus", 1), Family.HEAVY_SPLICE, Family.SMALL),
                ended(cable("P1", "DEV.plus", "lamp a", 1), Family.TWO_POLE, Family.SMALL),
                ended(cable("P2", "DEV.minus", "lamp b", 1), Family.TWO_POLE, Family.SMALL),
                ended(cable("P3", "OTHER.plus", "lamp c", 1), Family.TWO_POLE, Family.SMALL));
        assertThat(contacts(joined, NOTHING_DONE, Family.HEAVY_SPLICE)).isEqualTo(1);
        assertThat(contacts(joined, NOTHING_DONE, Family.TWO_POLE))
                .as("one at DEV, one at OTHER")
                .isEqualTo(2);
        for (String first : List.of("S1", "S2")) {
            assertThat(contacts(
                            joined,
                            (cable, step) -> cable.equals(first) && step.kind() == StepKind.CRIMP,
                            Family.HEAVY_SPLICE))
                    .as("the splice sits on " + first)
                    .isEqualTo(0);
        }
        assertThat(JobNeeds.of(joined, (cable, step) -> true).parts()).isEmpty();
    }

    private static CableModel ended(CableModel cable, Family a, Family b) {
        return new CableModel(
                cable.tag(),
                cable.points(),
                cable.pole(),
                OptionalDouble.of(10),
                cable.laying(),
                cable.way(),
                cable.outerMm(),
                "6 mm²",
                0,
                ending(cable.a(), a),
                ending(cable.b(), b));
    }

    private static EndModel ending(EndModel end, Family family) {
        EndModel.Pick pick = new EndModel.Pick(family, null, JoinMethod.CRIMP, ContactDemand.Mating.UNSAID);
        return new EndModel(end.landing(), null, null, null, pick, 1, null, true);
    }

    private static double contacts(WorkedJob job, BiPredicate<String, BuildStep> done, Family family) {
        return JobNeeds.of(job, done).parts().stream()
                .filter(need -> need.part().kind() == Part.Kind.CONTACT)
                .filter(need -> ContactCatalogue.coded(need.part().code())
                        .filter(contact -> contact.family() == family)
                        .isPresent())
                .mapToDouble(Need::amount)
                .sum();
    }

    /** Who buys for a cable or a fuse that is stopped is told so. */
    @Test
    void whatIsStoppedIsNamed() {
        WorkedJob thin = job(
                new Device.Fuse("F1", 1e-4, FuseFamily.CLASS_T, 400),
                cable("K1", new CableModel.Points("BANK.plus", "F1.in"), 0.3, OptionalDouble.of(100), "35 mm²"),
                cable("THIN", new CableModel.Points("F1.out", "lamp"), 2, OptionalDouble.of(100), "6 mm²"));
        assertThat(thin.cable("THIN").verdict()).isEqualTo(Verdict.STOP);
        assertThat(stopped(thin, NOTHING_DONE)).contains("THIN").doesNotHaveDuplicates();
        assertThat(stopped(thin, (cable, step) -> true)).doesNotContain("THIN");
        for (JobFinding said : thin.findings()) {
            String piece = Terminal.read(said.subject()).map(Terminal::device).orElse(said.subject());
            if (said.verdict() == Verdict.STOP) {
                assertThat(stopped(thin, NOTHING_DONE)).contains(piece);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "8, 5, 0, 3",
        "8, 8, 0, 0",
        "8, 20, 0, 0",
        "0, 2, 4, 2",
        "8, 9, 4, 3",
        "3.2, 0, 0, 4",
        "3, 3, 0, 0",
        "0.3, , 0, 1",
        "8, , 2, 10"
    })
    void whatToBuyLeavesTheLeastOnTheShelf(double amount, Integer there, int minimum, int buy) {
        OptionalInt counted = there == null ? OptionalInt.empty() : OptionalInt.of(there);
        assertThat(Need.toBuy(amount, counted, minimum)).isEqualTo(buy);
    }

    /** Sums of lengths leave no rounding behind: ten times 0.1 m is a metre, not two. */
    @Test
    void tenTenthsAreOne() {
        double sum = 0;
        for (int i = 0; i < 10; i++) {
            sum += 0.1;
        }
        assertThat(Need.toBuy(sum + 1e-12, OptionalInt.empty(), 0)).isEqualTo(1);
    }

    @Test
    void noTwoPartsHaveOneName() {
        List<String> codes =
                new ArrayList<>(Part.standard().stream().map(Part::code).toList());
        LugCatalogue.shipped().forEach(lug -> codes.add(lug.code()));
        ContactCatalogue.shipped().stream().map(Contact::code).forEach(codes::add);
        assertThat(codes).doesNotHaveDuplicates();
    }
}
