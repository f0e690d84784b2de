package org.ulnaris.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndDemand;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.proving.Acceptance;
import org.ulnaris.core.proving.PullSchool;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

/** What was made outranks what was planned. */
class RecordCheckTest {
    private static final TorqueSpec SIX = TorqueSpec.around(6, Source.deviceMaker());
    private static final ReadingJudge PLANNED = judge("50 mm²", 11.9, SIX);
    private static final Deviation ACCEPTED = new Deviation("R. Quill", "test lead");

    private static ReadingJudge judge(String size, double flatsMm, @Nullable TorqueSpec torque) {
        Conductor conductor = new Conductor(ConductorSizes.designated(size).orElseThrow(), false);
        Landing m8 = Landing.on(Studs.named("M8").orElseThrow());
        Die die = new Die("H", DieShape.HEX, flatsMm, 5, LugMaterial.COPPER);
        EndDemand end = new EndDemand(m8, torque, null, die);
        CablePlan plan = CablePlan.of(new PlanInput(
                CableGeometry.of(conductor, OptionalDouble.empty()),
                new PlanInput.Route(2400, 100, 0),
                end,
                end,
                new Shop(LugCatalogue.shipped(), List.of(die), ShrinkTube.shipped(), Toolbox.NONE),
                new PlanInput.Circumstances(new ContactDemand.Load(100, 200), Place.VEHICLE, true, false, false)));
        return new ReadingJudge(plan, PullSchool.UL_486);
    }

    private static BuildStep step(String key) {
        return BuildStep.keyed(key).orElseThrow();
    }

    private static Taken taken(ReadingJudge judge, String step, ReadingKind kind, double figure) {
        Integer total = kind == ReadingKind.STRANDS_LOST ? Integer.valueOf(380) : null;
        return new Taken(
                step(step),
                kind,
                total,
                judge.judge(step(step), kind, figure, total).orElseThrow());
    }

    /** Every reading that the plan asks for, as it should be. */
    private static List<Taken> allGood(ReadingJudge judge) {
        List<Taken> all = new ArrayList<>();
        for (BuildStep step : judge.plan().steps()) {
            for (ReadingKind kind : judge.plan().readings(step)) {
                all.add(taken(judge, step.key(), kind, good(judge, step, kind)));
            }
        }
        return all;
    }

    private static double good(ReadingJudge judge, BuildStep step, ReadingKind kind) {
        return switch (kind) {
            case CUT_LENGTH -> judge.plan().plannedCutMm();
            case STRIP_LENGTH -> judge.plan().end(step.side()).termination().stripMm();
            case STRANDS_LOST -> 0;
            case ACROSS_FLATS_1, ACROSS_FLATS_2 ->
                judge.plan().end(step.side()).match().crimp().die().acrossFlatsMm();
            case CRIMP_GAP -> judge.plan().end(step.side()).termination().gapMm();
            case PULL_FORCE -> 5000;
            case HOLD_TIME -> 60;
            case TORQUE -> judge.plan().end(step.side()).torque().nominalNm();
            default -> 1;
        };
    }

    private static Set<String> keys(ReadingJudge judge) {
        return judge.plan().steps().stream().map(BuildStep::key).collect(Collectors.toSet());
    }

    private static Verdict verdict(CableRecord record, ReadingJudge judge) {
        return Verdict.worstOf(new RecordCheck(record, judge)
                .findings().stream().map(RecordCheck.Made::finding).toList());
    }

    private static List<FindingCode> asking(CableRecord record, ReadingJudge judge) {
        return new RecordCheck(record, judge)
                .findings().stream()
                        .map(RecordCheck.Made::finding)
                        .filter(finding -> finding.verdict().asks())
                        .map(Finding::code)
                        .toList();
    }

    @Test
    void nothingMadeSaysNothing() {
        assertThat(new RecordCheck(CableRecord.NONE, PLANNED).findings()).isEmpty();
    }

    @Test
    void everyReadingRightIsAPass() {
        CableRecord record = new CableRecord(keys(PLANNED), allGood(PLANNED), 0, "50 mm²");
        assertThat(verdict(record, PLANNED)).isEqualTo(Verdict.PASS);
        assertThat(new RecordCheck(record, PLANNED).findings()).hasSize(27);
    }

    /** One cable half made is open, with how far it is. */
    @Test
    void halfMadeIsOpen() {
        CableRecord record = new CableRecord(Set.of("check"), List.of(), 0, null);
        Finding finding = new RecordCheck(record, PLANNED).findings().get(0).finding();
        assertThat(finding.code()).isEqualTo(FindingCode.MAKING);
        assertThat(finding.verdict()).isEqualTo(Verdict.OPEN);
        assertThat(finding.figure()).isEqualTo(1);
        assertThat(finding.limit()).isEqualTo(PLANNED.plan().steps().size());
    }

    /** Each kind of reading at its limit and just beyond it: the first passes, the second stops cable, step and order of work. */
    @ParameterizedTest
    @CsvSource({
        "cut, CUT_LENGTH, -102.5",
        "strip-a, STRIP_LENGTH, -1.1",
        "strip-b, STRIP_LENGTH, 3.1",
        "strands-a, STRANDS_LOST, 380",
        "measure-a, ACROSS_FLATS_1, 0.21",
        "measure-b, ACROSS_FLATS_2, -0.21",
        "gap-a, CRIMP_GAP, 3.1",
        "look-a, LOOK_INDEX, -1",
        "look-b, LOOK_CRACKS, -1",
        "look-a, LOOK_FINS, -1",
        "look-b, LOOK_STRAIGHT, -1",
        "pull-a, PULL_FORCE, -4999",
        "pull-b, HOLD_TIME, -0.5",
        "torque-a, TORQUE, 5",
        "torque-b, TORQUE, -3"
    })
    void oneWrongReadingStopsTheWhole(String step, ReadingKind kind, double off) {
        double figure = good(PLANNED, step(step), kind) + off;
        CableRecord wrong = with(allGood(PLANNED), taken(PLANNED, step, kind, figure));
        assertThat(verdict(wrong, PLANNED)).isEqualTo(Verdict.STOP);
        assertThat(wrong.stopped(step(step))).isTrue();
        assertThat(wrong.done()).doesNotContain(step);
        assertThat(asking(wrong, PLANNED)).contains(kind.code(), FindingCode.MAKING);

        Taken stop = taken(PLANNED, step, kind, figure);
        Taken accepted =
                new Taken(stop.step(), stop.kind(), stop.total(), stop.judged().accepted(ACCEPTED));
        CableRecord answered = with(allGood(PLANNED), accepted);
        assertThat(verdict(answered, PLANNED)).isEqualTo(Verdict.WATCH);
        assertThat(answered.done()).contains(step);
    }

    private static CableRecord with(List<Taken> all, Taken other) {
        List<Taken> changed = new ArrayList<>(all);
        changed.removeIf(taken -> taken.step().equals(other.step()) && taken.kind() == other.kind());
        changed.add(other);
        return new CableRecord(keys(PLANNED), changed, 0, "50 mm²");
    }

    /** A pull that was not measured is open, whether somebody said so or the step was merely ticked. */
    @Test
    void whatWasNotMeasuredIsOpen() {
        List<Taken> unsaid = new ArrayList<>(allGood(PLANNED));
        unsaid.removeIf(taken -> taken.step().equals(step("pull-a")));
        CableRecord ticked = new CableRecord(keys(PLANNED), unsaid, 0, "50 mm²");
        assertThat(verdict(ticked, PLANNED)).isEqualTo(Verdict.OPEN);
        assertThat(asking(ticked, PLANNED)).containsExactly(FindingCode.PULL_FORCE, FindingCode.HOLD_TIME);
        CableRecord said = with(
                allGood(PLANNED),
                new Taken(
                        step("pull-a"),
                        ReadingKind.PULL_FORCE,
                        null,
                        Finding.notMeasured(FindingCode.PULL_FORCE, "no scale")));
        assertThat(verdict(said, PLANNED)).isEqualTo(Verdict.OPEN);
    }

    /** The plan changes, the cable on the bench does not. */
    @Test
    void aPlanThatMovesAfterTheReadingIsTold() {
        CableRecord record = new CableRecord(keys(PLANNED), allGood(PLANNED), 0, "50 mm²");
        ReadingJudge wider = judge("50 mm²", 12.3, SIX);
        assertThat(asking(record, wider)).hasSizeGreaterThanOrEqualTo(4).containsOnly(FindingCode.PLAN_MOVED);
        assertThat(verdict(record, wider)).isEqualTo(Verdict.STOP);
        ReadingJudge tighter = judge("50 mm²", 11.9, new TorqueSpec(14, 12, 15, Source.given("device maker")));
        assertThat(asking(record, tighter)).containsExactly(FindingCode.PLAN_MOVED, FindingCode.PLAN_MOVED);
        ReadingJudge near = judge("50 mm²", 12.0, SIX);
        assertThat(verdict(record, near)).isEqualTo(Verdict.PASS);
    }

    @Test
    void aCableCutFromAnotherSizeIsTold() {
        CableRecord thin = new CableRecord(Set.of("check", "cut"), List.of(), 0, "35 mm²");
        CableRecord thick = new CableRecord(Set.of("check", "cut"), List.of(), 0, "70 mm²");
        assertThat(asking(thin, PLANNED)).contains(FindingCode.MADE_SIZE);
        assertThat(verdict(thin, PLANNED)).isEqualTo(Verdict.STOP);
        assertThat(verdict(thick, PLANNED)).isEqualTo(Verdict.WATCH);
        CableRecord same = new CableRecord(Set.of("check", "cut"), List.of(), 0, "50 mm²");
        assertThat(asking(same, PLANNED)).doesNotContain(FindingCode.MADE_SIZE);
    }

    /** Redone ends may use up the slack of 100 mm and what was cut beyond the plan, and not a tape's tolerance more. */
    @ParameterizedTest
    @CsvSource({"102, 0, PASS", "103, 0, STOP", "122, 20, PASS", "123, 20, STOP"})
    void redoneEndsMayUseUpTheSlackAndNoMore(double usedMm, double spareMm, Verdict expected) {
        List<Taken> all = new ArrayList<>(allGood(PLANNED));
        all.removeIf(taken -> taken.kind() == ReadingKind.CUT_LENGTH);
        all.add(taken(PLANNED, "cut", ReadingKind.CUT_LENGTH, PLANNED.plan().plannedCutMm() + spareMm));
        CableRecord record = new CableRecord(keys(PLANNED), all, usedMm, "50 mm²");
        assertThat(verdict(record, PLANNED)).isEqualTo(expected);
        assertThat(asking(record, PLANNED).contains(FindingCode.MADE_LENGTH)).isEqualTo(expected == Verdict.STOP);
    }

    /** A torque by a table is open until the maker's figure is known, or somebody answers for it. */
    @Test
    void aTorqueByATableIsOpen() {
        ReadingJudge table = judge("50 mm²", 11.9, null);
        CableRecord record = new CableRecord(keys(table), allGood(table), 0, "50 mm²");
        assertThat(verdict(record, table)).isEqualTo(Verdict.OPEN);
        assertThat(asking(record, table)).containsOnly(FindingCode.TORQUE);
        Taken open = taken(table, "torque-a", ReadingKind.TORQUE, 14.9);
        assertThat(open.judged().accepted(ACCEPTED).verdict()).isEqualTo(Verdict.NOTE);
    }

    @Test
    void whatPassesIsNotAccepted() {
        Finding pass = taken(PLANNED, "pull-a", ReadingKind.HOLD_TIME, 60).judged();
        assertThatThrownBy(() -> pass.accepted(ACCEPTED)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Where no table holds for a post the figure read is kept, and open until the maker's is known. */
    @Test
    void aTorqueWithoutAMakersFigureKeepsWhatWasRead() {
        Finding read = Acceptance.torque(null, null, 12);
        assertThat(read.verdict()).isEqualTo(Verdict.OPEN);
        assertThat(read.figure()).isEqualTo(12);
        assertThat(PLANNED.plan().end(Side.A).torque()).isNotNull();
    }
}
