package org.ulnaris.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.ContactDemand;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.JoinMethod;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.Threading.Item;
import org.ulnaris.core.making.Threading.Latest;
import org.ulnaris.core.termination.Landing;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.Place;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

class ThreadingTest {
    private static final Die FOURTEEN = new Die("K14", DieShape.HEX, 11.9, 5, LugMaterial.COPPER);
    private static final Die HEX = new Die("K8", DieShape.HEX, 6.8, 5, LugMaterial.COPPER);
    private static final Die OVAL = new Die("O1", DieShape.OVAL, 3, 5, LugMaterial.COPPER);

    private static EndDemand end(Family family, @Nullable Die die) {
        Landing landing = Landing.on(Studs.named("M8").orElseThrow());
        return family == Family.TUBE_LUG
                ? new EndDemand(landing, null, null, die)
                : new EndDemand(
                        landing,
                        null,
                        null,
                        die,
                        new EndDemand.ContactWish(family, null, JoinMethod.CRIMP, ContactDemand.Mating.UNSAID),
                        1);
    }

    private static CablePlan plan(String size, EndDemand a, EndDemand b, List<Die> dies) {
        return CablePlan.of(new PlanInput(
                CableGeometry.of(
                        new Conductor(ConductorSizes.designated(size).orElseThrow(), false), OptionalDouble.empty()),
                new PlanInput.Route(2400, 100, 0),
                a,
                b,
                new Shop(LugCatalogue.shipped(), dies, ShrinkTube.shipped(), Toolbox.NONE),
                new PlanInput.Circumstances(new ContactDemand.Load(20, 40), Place.VEHICLE, true, false, false)));
    }

    @Test
    @CheckedAgainst(
            value = "PV connector: nut, grip ring and seal on the cable before the crimp, in this order",
            how = "common practice")
    void aPvEndIsThreadedInOrder() {
        CablePlan plan = plan("6 mm²", end(Family.PV, null), end(Family.TUBE_LUG, null), List.of(HEX));
        Threading threading = Threading.of(plan);
        assertThat(threading.before(Side.A))
                .extracting(Threading.Part::item)
                .startsWith(Item.NUT, Item.CLAMP, Item.SEAL);
        assertThat(threading.before(Side.A))
                .filteredOn(part -> part.item() == Item.SEAL)
                .allSatisfy(part -> assertThat(part.latest()).isEqualTo(Latest.WHILE_OTHER_OPEN));
    }

    /** The last end to be closed forgives nothing. */
    @Test
    void theLastEndForgivesNothing() {
        CablePlan plan = plan("6 mm²", end(Family.TUBE_LUG, null), end(Family.PV, null), List.of(HEX));
        assertThat(Threading.of(plan).before(Side.B))
                .filteredOn(part -> part.item() == Item.NUT)
                .allSatisfy(part -> assertThat(part.latest()).isEqualTo(Latest.NEVER_AFTER));
    }

    /** A sleeve that passes its lug may follow. */
    @Test
    void aSleeveThatPassesMayFollow() {
        CablePlan plan = plan("50 mm²", end(Family.TUBE_LUG, null), end(Family.TUBE_LUG, null), List.of(HEX));
        for (Threading.Part part : Threading.of(plan).parts()) {
            if (part.item() == Item.SLEEVE) {
                MatchedLug lug = plan.end(part.side()).match();
                assertThat(part.latest() == Latest.MAY_FOLLOW)
                        .isEqualTo(!lug.shrink().beforeLug());
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "TUBE_LUG, 'strip-a,strands-a,trial-fit-a,clock-a,crimp-a,measure-a,gap-a,look-a,pull-a,shrink-a', 'land-a,torque-a,witness-a'",
        "STACKABLE, 'strip-a,strands-a,trial-fit-a,orient-a,crimp-a,pull-a,seat-a', 'mate-a'",
        "TWO_POLE, 'sheath-a,strip-a,strands-a,crimp-a,pull-a,seat-a', 'mate-a'",
        "PV, 'strip-a,strands-a,crimp-a,pull-a,seat-a,nut-a', 'mate-a'",
        "HEAVY_SPLICE, 'strip-a,strands-a,trial-fit-a,crimp-a,measure-a,gap-a,look-a,pull-a,shrink-a', ''",
        "SOLDER_SLEEVE, 'strip-a,strands-a,solder-a,pull-a', ''",
        "FERRULE, 'strip-a,strands-a,crimp-a,pull-a', 'land-a,torque-a'"
    })
    @CheckedAgainst(value = "working order of each family of ends", how = "common practice")
    void stepsOfAFamily(Family family, String bench, String landing) {
        EndKind kind = new EndKind(family, Style.CONTACT, JoinMethod.CRIMP);
        List<String> keys =
                EndKind.steps(kind, kind).stream().map(BuildStep::key).toList();
        assertThat(keys).startsWith("check", "cut", "thread").doesNotHaveDuplicates();
        List<String> own = keys.stream().filter(key -> key.endsWith("-a")).toList();
        assertThat(String.join(",", own)).isEqualTo(landing.isEmpty() ? bench : bench + "," + landing);
    }

    @ParameterizedTest
    @CsvSource({"1600, 1600, PASS", "1600, 1603, PASS", "1610, 1600, WATCH", "1600, 1640, STOP"})
    void pairsAreOfOneLength(double plus, double minus, Verdict expected) {
        assertThat(PairLength.finding(plus, minus).verdict()).isEqualTo(expected);
        assertThat(PairLength.finding(minus, plus).figure()).isEqualTo(Math.abs(plus - minus));
    }

    /** The loom passes the cable, its ends are closed by what passes the loom and grips the cable. */
    @ParameterizedTest
    @CheckedAgainst(
            value =
                    "a sleeve passes the largest it slides over and shrinks tight on the thinnest it ends on; split tubing sizes",
            how = "common practice")
    @CsvSource({"6, 7.5", "16, 10", "50, 17", "95, 23"})
    void loomAndTags(String size, String loom) {
        double cable = CableGeometry.of(
                        new Conductor(ConductorSizes.designated(size + " mm²").orElseThrow(), false),
                        OptionalDouble.empty())
                .outerMm();
        RunSleeves sleeves = RunSleeves.of(ShrinkTube.shipped(), cable, 2 * cable, true);
        assertThat(sleeves.loom().name()).isEqualTo(loom);
        assertThat(sleeves.loom().innerMm()).isGreaterThan(cable);
        assertThat(sleeves.loomEnd().expandedMm()).isGreaterThan(sleeves.loom().outerMm());
        assertThat(sleeves.loomEnd().recoveredMm()).isLessThan(cable);
        assertThat(sleeves.tag().expandedMm()).isGreaterThan(2 * cable);
        assertThat(RunSleeves.of(ShrinkTube.shipped(), cable, 9 * cable, false).loom())
                .isNull();
        assertThat(RunSleeves.of(ShrinkTube.shipped(), 300, 300, true)).isEqualTo(new RunSleeves(null, null, null));
    }

    @Test
    @CheckedAgainst(
            value = "lined sleeves work to 110 °C (SAE AMS-DTL-23053/4, recalled), tubing of polyethylene to 90 °C",
            how = "common practice")
    void whatLiesOverTheRunKeepsItsTemperature() {
        RunSleeves loose = RunSleeves.of(ShrinkTube.shipped(), 10, 20, false);
        RunSleeves loom = RunSleeves.of(ShrinkTube.shipped(), 10, 20, true);
        assertThat(loose.heat(105)).isEmpty();
        assertThat(loose.heat(120).orElseThrow().verdict()).isEqualTo(Verdict.WATCH);
        assertThat(loom.heat(90)).isEmpty();
        assertThat(loom.heat(95).orElseThrow().limit()).isEqualTo(90);
        assertThat(loose.heat(Double.NaN)).isEmpty();
    }

    @Test
    void aHeavySpliceIsPressedAndSleeved() {
        CablePlan plan = plan("50 mm²", end(Family.HEAVY_SPLICE, null), end(Family.TUBE_LUG, null), List.of(FOURTEEN));
        MatchedContact splice = plan.a().contact();
        assertThat(splice.crimp().compaction())
                .isCloseTo(plan.b().match().crimp().compaction(), within(1e-9));
        assertThat(splice.sleeve().cover().barrelCoverMm())
                .isGreaterThan(56 + splice.sleeve().cover().overlapMm());
        assertThat(splice.findings())
                .extracting(f -> f.code())
                .contains(FindingCode.BARREL_FIT, FindingCode.SHRINK_FIT);
        assertThat(Threading.of(plan).before(Side.A))
                .extracting(Threading.Part::item)
                .contains(Item.SLEEVE);
    }

    /** Of lugs that do equally well, what lies on the shelf and has its dies comes first; a worse lug does not. */
    @Test
    void whatIsAtHandComesFirst() {
        EndDemand demand = end(Family.TUBE_LUG, null);
        assertThat(shelved(demand, Map.of()).lugs().get(0).lug().code()).isEqualTo("DIN 50 · M8");
        EndPlan counted = shelved(demand, Map.of("KU 50 bell · M8", 3, "DIN 50 · M10", 9));
        assertThat(counted.lugs().get(0).lug().code()).isEqualTo("KU 50 bell · M8");
        assertThat(counted.handy().onShelf("KU 50 bell · M8")).hasValue(3);
        assertThat(counted.handy().onShelf("DIN 50 · M8")).hasValue(0);
        assertThat(counted.handy().pressed(counted.lugs().get(0).lug().barrel()))
                .isTrue();
    }

    private static EndPlan shelved(EndDemand demand, Map<String, Integer> shelf) {
        PlanInput input = new PlanInput(
                CableGeometry.of(
                        new Conductor(ConductorSizes.designated("50 mm²").orElseThrow(), false),
                        OptionalDouble.empty()),
                new PlanInput.Route(2400, 100, 0),
                demand,
                demand,
                new Shop(
                        new Shop.Catalogues(LugCatalogue.shipped(), ContactCatalogue.shipped(), ShrinkTube.shipped()),
                        new Toolbox(List.of(), List.of(new Toolbox.HeldDie(FOURTEEN, "jaw", null)), Map.of()),
                        shelf),
                new PlanInput.Circumstances(new ContactDemand.Load(20, 40), Place.VEHICLE, true, false, false));
        return EndPlanner.plan(Side.A, input);
    }

    @Test
    void solderChangesTheSteps() {
        EndKind then = new EndKind(Family.TWO_POLE, Style.CONTACT, JoinMethod.CRIMP_THEN_SOLDER);
        EndKind filled = new EndKind(Family.TWO_POLE, Style.CONTACT, JoinMethod.SOLDER_FILLED);
        assertThat(then.steps()).contains(StepKind.CRIMP, StepKind.SOLDER);
        assertThat(filled.steps()).contains(StepKind.SOLDER).doesNotContain(StepKind.CRIMP);
        EndKind sealed = new EndKind(Family.SMALL, Style.SEALED_RING, JoinMethod.CRIMP);
        assertThat(sealed.steps()).contains(StepKind.SHRINK, StepKind.TORQUE);
        assertThat(new EndKind(Family.SMALL, Style.PUSH_ON, JoinMethod.CRIMP).steps())
                .doesNotContain(StepKind.SHRINK, StepKind.TORQUE);
    }

    /** Route less what reaches beyond the conductor on both sides, plus what goes into the barrels. */
    @Test
    void theCutLengthCountsBothKindsOfEnds() {
        CablePlan plan = plan("6 mm²", end(Family.PV, null), end(Family.TUBE_LUG, null), List.of(HEX));
        MatchedLug lug = plan.b().match();
        double expected = 2400
                + 100
                - 47
                + 8
                - lug.lug().holeToMouthMm()
                + lug.lug().barrel().depthMm();
        assertThat(plan.cutLength().cutMm()).isCloseTo(expected, within(1e-9));
        assertThat(plan.redoCostMm(Side.A).orElseThrow()).isCloseTo(47 + 8 + 3, within(1e-9));
        assertThat(plan.a().match()).isNull();
        assertThat(plan.a().termination().code()).isEqualTo("PV kite");
    }

    @Test
    @CheckedAgainst(
            value = "insulated terminals need other dies than bare lugs: a hexagon or an indent pierces the sleeve",
            how = "common practice")
    void theDiesMustSuitTheContact() {
        CablePlan own = plan("2.5 mm²", end(Family.SMALL, null), end(Family.SMALL, HEX), List.of(HEX, OVAL));
        assertThat(verdict(own, Side.A)).isEqualTo(Verdict.PASS);
        assertThat(verdict(own, Side.B)).isEqualTo(Verdict.STOP);
        CablePlan none = plan("2.5 mm²", end(Family.SMALL, null), end(Family.SMALL, null), List.of(HEX));
        assertThat(verdict(none, Side.A)).isEqualTo(Verdict.OPEN);
        CablePlan empty = plan("2.5 mm²", end(Family.SMALL, null), end(Family.SMALL, null), List.of());
        assertThat(verdict(empty, Side.A)).isEqualTo(Verdict.OPEN);
    }

    private static Verdict verdict(CablePlan plan, Side side) {
        return plan.end(side).termination().findings().stream()
                .filter(finding -> finding.code() == FindingCode.CONTACT_DIE)
                .map(Finding::verdict)
                .findFirst()
                .orElseThrow();
    }
}
