package org.ulnaris.app.make;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.worked.Topic;

class BenchTest extends AppTest {
    @Autowired
    private MakeService make;

    @Autowired
    private MatchService match;

    private Cable cable;
    private String bench;

    @BeforeEach
    void aCable() {
        cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2", "slack", "150"));
        bench = "/cables/" + cable.id() + "/bench/";
    }

    private void doneUntil(String key) {
        BuildStep.inOrder().stream()
                .takeWhile(step -> !step.key().equals(key))
                .forEach(step -> make.done(cable.id(), step));
    }

    private void makerAsks(double newtonMetre) {
        match.change(
                cable.id(),
                Side.A,
                match.end(cables.get(cable.id()), Side.A).details().torqued(newtonMetre));
    }

    /** Refused too where no page has worked the job out since the start, and nothing of it is there then. */
    @Test
    void anArchivedJobIsNotMade() {
        BuildStep first = BuildStep.inOrder().get(0);
        jobs.archive(cable.jobId(), true);
        assertThatThrownBy(() -> makerAsks(7)).hasStackTraceContaining("is archived");
        assertThatThrownBy(() -> make.done(cable.id(), first)).hasStackTraceContaining("is archived");
        jobs.archive(cable.jobId(), false);
        assertThat(make.of(cable.id()).doneCount()).isZero();
        make.done(cable.id(), first);
        assertThat(make.of(cable.id()).doneCount()).isOne();
    }

    /** A torque by a table is open: the maker's figure can be said at the step, or somebody answers that there is none. */
    @Test
    void theMakersTorqueIsSaidAtTheStep() {
        doneUntil("torque-a");
        assertThat(body(get(bench + "torque-a"))).contains("What the maker asks");
        assertThat(post(bench + "torque-a", Map.of("TORQUE", "14.9", "MAKER", "")))
                .hasStatus(302);
        assertThat(make.of(cable.id()).inForce())
                .singleElement()
                .satisfies(reading -> assertThat(reading.verdict()).isEqualTo(Verdict.OPEN));
        assertThat(body(get(bench + "torque-a"))).contains("what does the maker of the device ask?");
        assertThat(post(bench + "torque-a", Map.of("TORQUE", "14.9", "MAKER", "much")))
                .hasStatus(422);
        post(bench + "torque-a", Map.of("TORQUE", "14.9", "MAKER", "15 Nm"));
        assertThat(make.of(cable.id()).inForce())
                .singleElement()
                .satisfies(reading -> assertThat(reading.verdict()).isEqualTo(Verdict.PASS));
        assertThat(body(get(bench + "torque-a"))).doesNotContain("What the maker asks");
    }

    @Test
    void aMakerWithoutAFigureIsAnsweredFor() {
        doneUntil("torque-a");
        post(bench + "torque-a", Map.of("TORQUE", "6"));
        post(bench + "torque-a/deviation", Map.of("by", "R. Quill", "reason", "the maker gives none"));
        assertThat(make.of(cable.id()).inForce())
                .singleElement()
                .satisfies(reading -> assertThat(reading.verdict()).isEqualTo(Verdict.NOTE));
    }

    @Test
    void walksTheStepsInOrder() {
        assertThat(get("/cables/" + cable.id() + "/bench")).hasRedirectedUrl(bench + "check");
        assertThat(post(bench + "check", Map.of())).hasRedirectedUrl("/cables/" + cable.id() + "/bench");
        assertThat(get("/cables/" + cable.id() + "/bench")).hasRedirectedUrl(bench + "cut");
        var ahead = post(bench + "torque-a", Map.of("TORQUE", "6 Nm"));
        assertThat(ahead).hasStatus(409);
        assertThat(body(ahead)).contains("First comes", "value=\"6 Nm\"");
        assertThat(make.of(cable.id()).readings()).isEmpty();
    }

    @Test
    void aGoodReadingIsKeptAndLeadsOn() {
        doneUntil("strip-a");
        post(bench + "strip-a", Map.of("STRIP_LENGTH", "29,2"));
        Making making = make.of(cable.id());
        assertThat(making.done()).contains("strip-a");
        assertThat(making.readings()).singleElement().satisfies(reading -> {
            assertThat(reading.figure()).isEqualTo(29.2);
            assertThat(reading.verdict()).isEqualTo(Verdict.PASS);
        });
    }

    @Test
    void aBadEntryStaysInItsField() {
        doneUntil("strip-a");
        var result = post(bench + "strip-a", Map.of("STRIP_LENGTH", "about 29"));
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("value=\"about 29\"", "Write it like 12.5 mm or 1/2 in");
        assertThat(make.of(cable.id()).readings()).isEmpty();
    }

    @Test
    void aStopLeadsToRedoWithItsCost() {
        doneUntil("measure-a");
        post(bench + "measure-a", Map.of("ACROSS_FLATS_1", "13", "ACROSS_FLATS_2", "11.9"));
        String page = body(get(bench + "measure-a"));
        assertThat(page).contains("Stopped", "Redo this end", "dies not closed", "Accept it in my name");
        assertThat(make.of(cable.id()).done()).doesNotContain("measure-a");

        post(bench + "measure-a/redo", Map.of());
        Making making = make.of(cable.id());
        assertThat(making.current().orElseThrow().key()).isEqualTo("strip-a");
        assertThat(making.done()).contains("cut", "thread");
        assertThat(making.usedMm()).isGreaterThan(60);
        assertThat(making.redoneA()).isEqualTo(1);
        assertThat(making.readings()).allMatch(Reading::superseded);

        doneUntil("measure-a");
        post(bench + "measure-a", Map.of("ACROSS_FLATS_1", "13", "ACROSS_FLATS_2", "13"));
        post(bench + "measure-a/redo", Map.of());
        doneUntil("measure-a");
        post(bench + "measure-a", Map.of("ACROSS_FLATS_1", "13", "ACROSS_FLATS_2", "13"));
        assertThat(body(get(bench + "measure-a"))).contains("does not cover", "The cable would not reach");
    }

    @Test
    void aDeviationNeedsAReason() {
        doneUntil("pull-a");
        String proof = "/jobs/" + cable.jobId() + "/prove";
        assertThat(body(get(proof)).split("headline")[1]).contains("v-OPEN", "of 30 steps done");
        post(bench + "pull-a", Map.of("PULL_FORCE", "200 N", "HOLD_TIME", "60"));
        assertThat(body(get(proof)).split("headline")[1].split("</div>")[0])
                .contains("v-STOP", cable.details().tag());
        assertThat(post(bench + "pull-a/deviation", Map.of("reason", "  ", "by", "R. Quill")))
                .hasStatus(422);
        assertThat(post(bench + "pull-a/deviation", Map.of("reason", "test lead only")))
                .hasStatus(422);
        assertThat(works.of(cable.jobId()).cable(cable.details().tag()).verdict())
                .isEqualTo(Verdict.STOP);
        post(bench + "pull-a/deviation", Map.of("reason", "test lead only", "by", "R. Quill"));
        Making making = make.of(cable.id());
        assertThat(making.done()).contains("pull-a");
        assertThat(making.inForce())
                .extracting(Reading::deviation)
                .containsExactly(new Deviation("R. Quill", "test lead only"), null);
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("Accepted by R. Quill: test lead only");
        for (String page : List.of("/cables/" + cable.id() + "/pack", "/jobs/" + cable.jobId() + "/make")) {
            assertThat(body(get(page))).as(page).contains("Accepted by R. Quill: test lead only");
        }
        assertThat(works.of(cable.jobId()).cable(cable.details().tag()).verdict())
                .isEqualTo(Verdict.WATCH);
    }

    @Test
    void strandsAreCountedOfTheTotal() {
        doneUntil("strands-b");
        assertThat(post(bench + "strands-b", Map.of("STRANDS_LOST", "9", "TOTAL", "5")))
                .hasStatus(422);
        post(bench + "strands-b", Map.of("STRANDS_LOST", "2", "TOTAL", "380"));
        assertThat(make.of(cable.id()).readings()).singleElement().satisfies(reading -> {
            assertThat(reading.verdict()).isEqualTo(Verdict.NOTE);
            assertThat(reading.total()).isEqualTo(380);
        });
    }

    /** A field that is missing or empty is a fault; nothing is kept and nothing is lost. */
    @ParameterizedTest
    @CsvSource({
        "cut, CUT_LENGTH",
        "strip-a, STRIP_LENGTH",
        "strands-a, STRANDS_LOST",
        "strands-a, TOTAL",
        "measure-a, ACROSS_FLATS_1",
        "measure-a, ACROSS_FLATS_2",
        "gap-a, CRIMP_GAP",
        "look-a, LOOK_FINS",
        "pull-a, PULL_FORCE",
        "pull-a, HOLD_TIME",
        "torque-a, TORQUE",
        "witness-a, WITNESS_MARK"
    })
    void aMissingFieldIsNeverAReading(String step, String field) {
        doneUntil(step);
        Map<String, String> all = new HashMap<>();
        StepKind kind = BuildStep.keyed(step).orElseThrow().kind();
        kind.readings().forEach(reading -> all.put(reading.name(), reading.yesOrNo() ? "YES" : "60"));
        all.put("TOTAL", "380");
        all.remove(field);
        var missing = post(bench + step, all);
        assertThat(missing).hasStatus(422);
        assertThat(body(missing)).contains("Needs an entry");
        all.put(field, " ");
        assertThat(post(bench + step, all)).hasStatus(422);
        assertThat(post(bench + step, Map.of())).hasStatus(422);
        assertThat(make.of(cable.id()).readings()).isEmpty();
        assertThat(make.of(cable.id()).done()).doesNotContain(step);
    }

    /** What can't be measured is said with its reason and stays open: the record is never green for it. */
    @Test
    void notMeasuredIsKeptWithItsReason() {
        doneUntil("pull-a");
        assertThat(body(get(bench + "pull-a"))).contains("It can’t be measured", "pull it by hand, hard");
        assertThat(post(bench + "pull-a/not-measured", Map.of("why", " "))).hasStatus(422);
        assertThat(post(bench + "pull-a/not-measured", Map.of())).hasStatus(422);
        post(bench + "pull-a/not-measured", Map.of("why", "no scale on site"));
        Making making = make.of(cable.id());
        assertThat(making.done()).contains("pull-a");
        assertThat(making.inForce()).hasSize(2).allSatisfy(reading -> {
            assertThat(reading.verdict()).isEqualTo(Verdict.OPEN);
            assertThat(reading.notMeasured()).isEqualTo("no scale on site");
        });
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("not measured: no scale on site");
        assertThat(body(get("/jobs/" + cable.jobId() + "/prove"))).contains("v-OPEN");
        post(bench + "pull-a", Map.of("PULL_FORCE", "3000 N", "HOLD_TIME", "60"));
        assertThat(make.of(cable.id()).inForce()).hasSize(2).allMatch(reading -> reading.notMeasured() == null);
        assertThat(post(bench + "thread/not-measured", Map.of("why", "x"))).hasStatus(404);
    }

    @Test
    void thereIsNothingToAcceptWithoutAReading() {
        doneUntil("measure-a");
        var early = post(bench + "measure-a/deviation", Map.of("reason", "it looks fine", "by", "R. Quill"));
        assertThat(early).hasStatus(422);
        assertThat(body(early)).contains("nothing to accept yet", "value=\"it looks fine\"");
        assertThat(make.of(cable.id()).done()).doesNotContain("measure-a");
        assertThat(post(bench + "torque-b/deviation", Map.of("reason", "x", "by", "y")))
                .hasStatus(409);
    }

    /** The order is the service's, not the page's. */
    @Test
    void nobodyMakesAStepBeforeItsTurn() {
        BuildStep torque = BuildStep.keyed("torque-a").orElseThrow();
        assertThatThrownBy(() -> make.done(cable.id(), torque)).isInstanceOf(MakeService.NotYetException.class);
        assertThatThrownBy(() -> make.record(cable.id(), torque, List.of()))
                .isInstanceOf(MakeService.NotYetException.class);
        assertThat(make.of(cable.id()).done()).isEmpty();
    }

    /** Without a size no figure at the bench is true: there is nothing to begin. */
    @Test
    void aCableWithoutASizeCantBeMade() {
        Cable bare = newCable(newJob(Units.METRIC), Map.of());
        cables.change(bare.id(), bare.details().byLoads());
        assertThat(body(get("/cables/" + bare.id() + "/make")))
                .contains("No size yet", "Enter a current, or choose a size")
                .doesNotContain("Begin at the bench", "/bench");
        assertThat(body(get("/jobs/" + bare.jobId() + "/make")))
                .contains("no size yet")
                .doesNotContain("/bench");
        assertThat(get("/cables/" + bare.id() + "/bench/check")).hasRedirectedUrl("/cables/" + bare.id() + "/make");
        assertThat(post("/cables/" + bare.id() + "/bench/check", Map.of())).hasStatus(409);
        assertThat(make.of(bare.id()).done()).isEmpty();
        String match = body(get("/cables/" + bare.id() + "/match"));
        assertThat(match).contains("no size yet", "no current yet").doesNotContain("v-PASS", "no lug near", "bends no");
    }

    @ParameterizedTest
    @CsvSource({
        "strip-a, STRIP_LENGTH, 20, Strip the rest",
        "strip-a, STRIP_LENGTH, 36, Trim the strands",
        "measure-a, ACROSS_FLATS_1, 13, Close the dies first",
        "measure-a, ACROSS_FLATS_1, 10, Read the index",
        "torque-a, TORQUE, 60, stretched thread",
        "torque-a, TORQUE, 1, Tighten on",
        "pull-a, PULL_FORCE, 200, Pull on"
    })
    void theCheapestRemedyComesFirst(String step, String field, String figure, String remedy) {
        makerAsks(6);
        doneUntil(step);
        Map<String, String> all = new HashMap<>(Map.of("ACROSS_FLATS_2", "11.9", "HOLD_TIME", "60"));
        all.put(field, figure);
        post(bench + step, all);
        String page = body(get(bench + step));
        assertThat(page).contains(remedy);
        assertThat(page.indexOf(remedy)).isLessThan(page.indexOf("make this end again"));
    }

    @Test
    void aSecondReadingSupersedesTheFirst() {
        doneUntil("gap-a");
        post(bench + "gap-a", Map.of("CRIMP_GAP", "9"));
        post(bench + "gap-a", Map.of("CRIMP_GAP", "1.5"));
        assertThat(make.of(cable.id()).readings())
                .extracting(Reading::superseded)
                .containsExactly(true, false);
        assertThat(make.of(cable.id()).done()).contains("gap-a");
    }

    @Test
    void theWholeCableToTheLastLine() {
        Map<String, Map<String, String>> readings = Map.of(
                "cut",
                Map.of("CUT_LENGTH", "2540"),
                "strip",
                Map.of("STRIP_LENGTH", "29"),
                "strands",
                Map.of("STRANDS_LOST", "0", "TOTAL", "380"),
                "measure",
                Map.of("ACROSS_FLATS_1", "11.9", "ACROSS_FLATS_2", "12"),
                "gap",
                Map.of("CRIMP_GAP", "1"),
                "pull",
                Map.of("PULL_FORCE", "120 kg", "HOLD_TIME", "1 min"),
                "torque",
                Map.of("TORQUE", "6", "MAKER", "6"),
                "look",
                Map.of("LOOK_INDEX", "YES", "LOOK_CRACKS", "YES", "LOOK_FINS", "YES", "LOOK_STRAIGHT", "YES"),
                "witness",
                Map.of("WITNESS_MARK", "YES"));
        for (BuildStep step : make.of(cable.id()).steps()) {
            String plain = step.key().replaceAll("-[ab]$", "");
            assertThat(body(get(bench + step.key()))).contains("bench-form");
            assertThat(post(bench + step.key(), readings.getOrDefault(plain, Map.of())))
                    .hasStatus(302);
        }
        Making making = make.of(cable.id());
        assertThat(making.finished()).isTrue();
        assertThat(making.inForce()).hasSize(27).noneMatch(reading -> reading.verdict() == Verdict.STOP);
        assertThat(body(get("/cables/" + cable.id() + "/make"))).contains("finished");
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("held, ", "line drawn");
        assertThat(post("/cables/" + cable.id() + "/make/start-over", Map.of()))
                .hasRedirectedUrl("/cables/" + cable.id() + "/make?ask=start-over#start-over");
        assertThat(make.of(cable.id()).finished()).isTrue();
        post("/cables/" + cable.id() + "/make/start-over", Map.of("sure", "yes"));
        assertThat(make.of(cable.id()).doneCount()).isZero();
        assertThat(make.of(cable.id()).readings()).hasSize(27).allMatch(Reading::superseded);
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("Whole cable begun again");

        assertThat(body(get("/cables/" + cable.id() + "/make"))).contains("undo-redo");
        undoRedo();
        assertThat(make.of(cable.id()).finished()).isTrue();
        assertThat(make.of(cable.id()).inForce()).hasSize(27);
        assertThat(works.of(cable.jobId()).cable(cable.details().tag()).verdict(Topic.MADE))
                .isEqualTo(Verdict.PASS);
        assertThat(undoRedo()).hasRedirectedUrl("/cables/" + cable.id() + "/make?late");
    }

    private MvcTestResult undoRedo() {
        String page = "/cables/" + cable.id() + "/make";
        Matcher button = Pattern.compile("name=\"redo\" value=\"(\\d+)\"").matcher(body(get(page)));
        return post(page + "/undo-redo", button.find() ? Map.of("redo", button.group(1)) : Map.of());
    }

    /** A press of a page that stood open since an earlier redo takes back nothing. */
    @Test
    void aRedoIsTakenBackByItsName() {
        doneUntil("measure-a");
        post(bench + "measure-a/redo", Map.of());
        String first =
                body(get("/cables/" + cable.id() + "/make")).replaceAll(".*name=\"redo\" value=\"(\\d+)\".*", "$1");
        post("/cables/" + cable.id() + "/make/start-over", Map.of("sure", "yes"));
        Making before = make.of(cable.id());
        assertThat(post("/cables/" + cable.id() + "/make/undo-redo", Map.of("redo", first)))
                .hasRedirectedUrl("/cables/" + cable.id() + "/make?late");
        assertThat(make.of(cable.id()).record()).isEqualTo(before.record());
    }

    /** A redo can be taken back until something that it opened is done again. */
    @Test
    void aRedoIsTakenBackWhileNothingWasDoneSince() {
        doneUntil("measure-a");
        post(bench + "measure-a", Map.of("ACROSS_FLATS_1", "13", "ACROSS_FLATS_2", "11.9"));
        Making before = make.of(cable.id());
        post(bench + "measure-a/redo", Map.of());
        undoRedo();
        Making after = make.of(cable.id());
        assertThat(after.record()).isEqualTo(before.record());
        assertThat(after.redoneA()).isZero();

        post(bench + "measure-a/redo", Map.of());
        doneUntil("strands-a");
        assertThat(undoRedo()).hasRedirectedUrl("/cables/" + cable.id() + "/make?late");
        assertThat(make.of(cable.id()).redoneA()).isEqualTo(1);
    }

    /** A stop ends by a reading that passes, a redo or a name: "it can't be measured" keeps it. */
    @Test
    void aStopIsNotEndedByNotMeasuring() {
        makerAsks(14);
        doneUntil("torque-a");
        post(bench + "torque-a", Map.of("TORQUE", "18 Nm"));
        assertThat(body(get(bench + "torque-a")))
                .contains("id=\"bench-stop\"")
                .doesNotContain("not-measured", "bench-picture", ">Next<");
        assertThat(post(bench + "torque-a/not-measured", Map.of("why", "no wrench")))
                .hasStatus(409);
        assertThat(make.of(cable.id()).inForce())
                .singleElement()
                .satisfies(reading -> assertThat(reading.verdict()).isEqualTo(Verdict.STOP));
        assertThat(works.of(cable.jobId()).cable(cable.details().tag()).verdict())
                .isEqualTo(Verdict.STOP);
    }

    /** A step that was done and is read wrong later is open again; nothing goes on over it. */
    @Test
    void aWrongReadingOfADoneStepOpensItAgain() {
        doneUntil("torque-a");
        post(bench + "cut", Map.of("CUT_LENGTH", "900"));
        Making making = make.of(cable.id());
        assertThat(making.current().orElseThrow().key()).isEqualTo("cut");
        assertThat(body(get(bench + "cut"))).contains("id=\"bench-stop\"").doesNotContain(">Next<");
        assertThat(post(bench + "torque-a", Map.of("TORQUE", "6 Nm"))).hasStatus(409);
        post(bench + "cut", Map.of("CUT_LENGTH", "2540"));
        assertThat(make.of(cable.id()).current().orElseThrow().key()).isEqualTo("torque-a");
    }

    @Test
    void theRightAnswersStayBesideAWrongOne() {
        doneUntil("look-a");
        post(
                bench + "look-a",
                Map.of("LOOK_INDEX", "YES", "LOOK_CRACKS", "NO", "LOOK_FINS", "YES", "LOOK_STRAIGHT", "YES"));
        var page = Jsoup.parse(body(get(bench + "look-a")));
        assertThat(page.select("input[value=YES][checked]").eachAttr("name"))
                .containsExactly("LOOK_INDEX", "LOOK_FINS", "LOOK_STRAIGHT");
        assertThat(page.select("fieldset").text()).contains("Cracks in barrel or pad none cracked");
    }

    /** A cable whose plan is stopped says so on its first step, and asks. */
    @Test
    void aStoppedPlanAsksBeforeItIsBegun() {
        Cable thin = newCable(newJob(Units.METRIC), Map.of("size", "1 mm2", "current", "200 A"));
        String check = "/cables/" + thin.id() + "/bench/check";
        assertThat(body(get(check))).contains("The plan of this cable is stopped", "name=\"anyway\"");
        assertThat(post(check, Map.of())).hasStatus(422);
        assertThat(make.of(thin.id()).done()).isEmpty();
        assertThat(post(check, Map.of("anyway", "yes"))).hasStatus(302);
        assertThat(make.of(thin.id()).done()).containsExactly("check");
    }

    @Test
    void unknownStepsAreNotFound() {
        for (String path : List.of(bench + "polish", "/cables/999999/bench/cut", "/cables/999999/make")) {
            assertThat(get(path)).hasStatus(404);
        }
    }
}
