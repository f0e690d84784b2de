package org.ulnaris.app.make;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.BuildStep;

class BenchTest extends AppTest {
    @Autowired
    private MakeService make;

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
        assertThat(page).contains("Stopped", "Redo this end", "dies not closed", "Record the deviation");
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
        post(bench + "pull-a", Map.of("PULL_FORCE", "200 N", "HOLD_TIME", "60"));
        assertThat(post(bench + "pull-a/deviation", Map.of("reason", "  "))).hasStatus(422);
        post(bench + "pull-a/deviation", Map.of("reason", "test lead only"));
        Making making = make.of(cable.id());
        assertThat(making.done()).contains("pull-a");
        assertThat(making.inForce()).extracting(Reading::deviation).containsExactly("test lead only", null);
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("accepted: test lead only");
    }

    @Test
    void strandsAreCountedOfTheTotal() {
        doneUntil("strands-b");
        assertThat(post(bench + "strands-b", Map.of("STRANDS_LOST", "9", "TOTAL", "5")))
                .hasStatus(422);
        post(bench + "strands-b", Map.of("STRANDS_LOST", "2", "TOTAL", "380"));
        assertThat(make.of(cable.id()).readings()).singleElement().satisfies(reading -> {
            assertThat(reading.verdict()).isEqualTo(Verdict.WATCH);
            assertThat(reading.total()).isEqualTo(380);
        });
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
                "cut", Map.of("CUT_LENGTH", "2540"),
                "strip", Map.of("STRIP_LENGTH", "29"),
                "strands", Map.of("STRANDS_LOST", "0", "TOTAL", "380"),
                "measure", Map.of("ACROSS_FLATS_1", "11.9", "ACROSS_FLATS_2", "12"),
                "gap", Map.of("CRIMP_GAP", "1"),
                "pull", Map.of("PULL_FORCE", "120 kg", "HOLD_TIME", "1 min"),
                "torque", Map.of("TORQUE", "6"),
                "witness", Map.of("WITNESS_MARK", "true"));
        for (BuildStep step : make.of(cable.id()).steps()) {
            String plain = step.key().replaceAll("-[ab]$", "");
            assertThat(body(get(bench + step.key()))).contains("bench-form");
            assertThat(post(bench + step.key(), readings.getOrDefault(plain, Map.of())))
                    .hasStatus(302);
        }
        Making making = make.of(cable.id());
        assertThat(making.finished()).isTrue();
        assertThat(making.inForce()).hasSize(19).noneMatch(reading -> reading.verdict() == Verdict.STOP);
        assertThat(body(get("/cables/" + cable.id() + "/make"))).contains("finished");
        assertThat(body(get("/cables/" + cable.id() + "/prove"))).contains("held, ", "line drawn");
        post("/cables/" + cable.id() + "/make/start-over", Map.of());
        assertThat(make.of(cable.id()).doneCount()).isZero();
        assertThat(make.of(cable.id()).readings()).hasSize(19).allMatch(Reading::superseded);
    }

    @Test
    void unknownStepsAreNotFound() {
        for (String path : List.of(bench + "polish", "/cables/999999/bench/cut", "/cables/999999/make")) {
            assertThat(get(path)).hasStatus(404);
        }
    }
}
