package org.ulnaris.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

class CablePlanTest {
    private static final Die TWELVE = die("H12", 11.9);
    private static final Die FOURTEEN = die("H14", 13.6);

    @Test
    void proposesLugDieStripAndSleeve() {
        CablePlan plan = plan("50 mm²", List.of(FOURTEEN, TWELVE), end("M8"), end("M10"));
        MatchedLug a = plan.a().match();
        assertThat(a.lug().code()).isEqualTo("DIN 50 · M8");
        assertThat(a.crimp().die()).isEqualTo(TWELVE);
        assertThat(a.stripMm()).isEqualTo(29);
        assertThat(a.gapMm()).isCloseTo(1.71, within(0.01));
        assertThat(a.shrink().tube()).isNotNull();
        assertThat(plan.a().torque().nominalNm()).isEqualTo(6);
        assertThat(plan.b().match().lug().code()).isEqualTo("DIN 50 · M10");
        assertThat(plan.a().verdict()).isEqualTo(Verdict.PASS);
        assertThat(plan.cutLength().cutMm()).isLessThan(2400 + 100);
        assertThat(plan.bendRadiusMm(5)).isGreaterThan(40);
        assertThat(plan.bendRadiusMm(10)).isEqualTo(2 * plan.bendRadiusMm(5));
    }

    @Test
    void endsAreAlikeByWhatIsDoneToThem() {
        CablePlan alike = plan("50 mm²", List.of(TWELVE), end("M8"), end("M8"));
        assertThat(alike.sameEnds()).isTrue();
        assertThat(alike.sameCrimps()).isTrue();
        CablePlan studs = plan("50 mm²", List.of(TWELVE), end("M8"), end("M10"));
        assertThat(studs.sameEnds()).isFalse();
        assertThat(studs.sameCrimps()).isTrue();
        EndDemand pressed = new EndDemand(landing("M8"), null, null, FOURTEEN);
        CablePlan dies = plan("50 mm²", List.of(TWELVE, FOURTEEN), pressed, end("M8"));
        assertThat(dies.sameCrimps()).isFalse();
    }

    @Test
    void theChoiceOfThePersonStandsWithItsVerdict() {
        Lug large = LugCatalogue.shipped().stream()
                .filter(lug -> lug.code().equals("DIN 95 · M8"))
                .findFirst()
                .orElseThrow();
        EndDemand chosen = new EndDemand(landing("M8"), null, large, FOURTEEN);
        CablePlan plan = plan("50 mm²", List.of(TWELVE, FOURTEEN), chosen, end("M8"));
        assertThat(plan.a().match().lug()).isEqualTo(large);
        assertThat(plan.a().match().crimp().die()).isEqualTo(FOURTEEN);
        assertThat(plan.a().verdict()).isEqualTo(Verdict.STOP);
    }

    @Test
    void makersTorqueWins() {
        TorqueSpec maker = new TorqueSpec(14, 12, 15, Source.given("device maker"));
        CablePlan plan = plan("50 mm²", List.of(TWELVE), new EndDemand(landing("M8"), maker, null, null), end("M8"));
        assertThat(plan.a().torque()).isEqualTo(maker);
        assertThat(plan.a().match().joint().torqueNm()).isEqualTo(14);
    }

    @Test
    void anEmptyCribStillPlansTheRest() {
        CablePlan plan = plan("50 mm²", List.of(), end("M8"), end("M8"));
        assertThat(plan.a().match().crimp()).isNull();
        assertThat(plan.a().match().stripMm()).isEqualTo(28);
        assertThat(plan.a().match().findings())
                .filteredOn(finding -> finding.code() == FindingCode.DIE_MISSING)
                .extracting(Finding::verdict)
                .containsExactly(Verdict.OPEN);
        assertThat(plan.verdict()).isEqualTo(Verdict.OPEN);
    }

    @Test
    void noLugIsNearAThinWire() {
        CablePlan plan = plan("18 AWG", List.of(TWELVE), end("M8"), end("M8"));
        assertThat(plan.a().match()).isNull();
        assertThat(plan.cutLength()).isNull();
        assertThat(plan.redoCostMm(Side.A)).isEmpty();
        assertThat(plan.verdict()).isEqualTo(Verdict.STOP);
    }

    @Test
    void slackCoversARedoOrNot() {
        CablePlan plan = plan("50 mm²", List.of(TWELVE), end("M8"), end("M8"));
        double cost = plan.redoCostMm(Side.A).orElseThrow();
        assertThat(plan.slackFinding(Side.A, 0).verdict()).isEqualTo(Verdict.PASS);
        assertThat(plan.slackFinding(Side.A, 100 - cost + 0.1).verdict()).isEqualTo(Verdict.STOP);
    }

    @Test
    void workingOrder() {
        List<String> keys = EndKind.steps(EndKind.LUG, EndKind.LUG).stream()
                .map(BuildStep::key)
                .toList();
        assertThat(keys)
                .doesNotHaveDuplicates()
                .hasSize(30)
                .startsWith("check", "cut", "thread", "strip-a", "strands-a", "trial-fit-a", "clock-a", "crimp-a")
                .containsSubsequence(
                        "crimp-a", "measure-a", "gap-a", "look-a", "pull-a", "shrink-a", "strip-b", "label", "land-a")
                .endsWith("land-b", "torque-b", "witness-b");
        assertThat(BuildStep.inOrder()).allSatisfy(step -> {
            assertThat(BuildStep.keyed(step.key())).contains(step);
            assertThat(BuildStep.inOrder().get(step.index())).isEqualTo(step);
        });
        assertThat(BuildStep.keyed("polish")).isEmpty();
        assertThatThrownBy(() -> new BuildStep(StepKind.CUT, Side.A)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void redoBeginsTheEndAnew() {
        BuildStep measure = BuildStep.keyed("measure-b").orElseThrow();
        assertThat(measure.redone())
                .extracting(BuildStep::key)
                .contains("strip-b", "pull-b")
                .doesNotContain("torque-b", "strip-a");
        BuildStep torque = BuildStep.keyed("torque-a").orElseThrow();
        assertThat(torque.redone()).extracting(BuildStep::key).contains("strip-a", "torque-a");
        assertThat(BuildStep.keyed("cut").orElseThrow().redone())
                .extracting(BuildStep::key)
                .containsExactly("cut");
    }

    private static CablePlan plan(String size, List<Die> crib, EndDemand a, EndDemand b) {
        Conductor conductor = new Conductor(ConductorSizes.designated(size).orElseThrow(), false);
        return CablePlan.of(new PlanInput(
                CableGeometry.of(conductor, OptionalDouble.empty()),
                new PlanInput.Route(2400, 100, 0),
                a,
                b,
                new Shop(LugCatalogue.shipped(), crib, ShrinkTube.shipped(), Toolbox.NONE),
                new PlanInput.Circumstances(new ContactDemand.Load(100, 200), Place.VEHICLE, true, false, false)));
    }

    private static EndDemand end(String stud) {
        return new EndDemand(landing(stud), null, null, null);
    }

    private static Landing landing(String stud) {
        return Landing.on(Studs.named(stud).orElseThrow());
    }

    private static Die die(String tag, double flats) {
        return new Die(tag, DieShape.HEX, flats, 5, LugMaterial.COPPER);
    }
}
