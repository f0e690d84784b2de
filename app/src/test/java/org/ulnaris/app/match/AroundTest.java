package org.ulnaris.app.match;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.conductor.Heading;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.making.Side;

class AroundTest extends AppTest {
    @Autowired
    private MatchService match;

    private MvcTestResult change(Cable cable, Side side, Map<String, String> typed) {
        return postHtmx("/cables/" + cable.id() + "/match/" + side, typed);
    }

    private Cable cable(Map<String, String> typed) {
        return newCable(newJob(Units.METRIC), typed);
    }

    @Test
    void theRoomIsKeptDrawnAndJudged() {
        Cable cable = cable(Map.of("size", "50 mm2"));
        String page = body(change(
                cable,
                Side.A,
                Map.of("clear", "24 mm", "wallReach", "1 in", "neighbour", "26", "headroom", "40", "leave", "20")));
        assertThat(page)
                .contains("on its stud, from above", "class=\"wall\"", "class=\"next\"", "Gap to the neighbour");
        Surroundings kept = match.end(cable, Side.A).details().surroundings();
        assertThat(kept.wallReachMm()).isEqualTo(25.4);
        assertThat(kept.leaveDeg()).isEqualTo(20);
        assertThat(page).contains("takes ", "between the walls, has only");
        assertThat(body(change(cable, Side.A, Map.of("wallReach", "", "neighbour", "", "headroom", "", "leave", ""))))
                .doesNotContain("Gap to the neighbour");
        assertThat(match.end(cable, Side.A).details().around()).isNull();
    }

    @Test
    void twoCablesInOneLugAreRefusedUnlessRated() {
        Cable cable = cable(Map.of("size", "25 mm2"));
        assertThat(body(change(cable, Side.A, Map.of("conductors", "2", "lug", "DIN 25 · M8"))))
                .contains("2 cables in a lug rated for 1");
        assertThat(body(change(cable, Side.A, Map.of("lug", ""))))
                .contains("the best, <b class=\"fig\">KT 25 twin · M8");
    }

    @Test
    void theRouteTurnsTheLugs() {
        Cable cable = cable(Map.of("size", "50 mm2", "length", "0.3 m right + 1 m up"));
        assertThat(cable.details().route().orElseThrow().headings()).containsExactly(Heading.RIGHT, Heading.UP);
        change(cable, Side.A, Map.of("points", "forward"));
        String page = body(change(cable, Side.B, Map.of("points", "left")));
        assertThat(page).contains("−90°, from the route and the studs");
        assertThat(body(get("/cables/" + cable.id() + "/bench/clock-b"))).contains("−90°", "drawing clock");
        String upright = body(change(cable, Side.B, Map.of("points", "down")));
        assertThat(upright).contains("KU 50 upright · M8", "Angle of the lug");
        assertThat(worked(cable).plan().b().match().lug().form().angleDeg()).isEqualTo(90);
    }

    private Job job(Cable cable) {
        return jobs.get(cable.jobId());
    }

    private Cable cable(Cable stale) {
        return cables.get(stale.id());
    }

    @Test
    void whatWasTypedStandsAboveTheRoute() {
        Cable cable = cable(Map.of("length", "1 m forward", "clock", "45"));
        change(cable, Side.A, Map.of("points", "up"));
        assertThat(body(change(cable, Side.B, Map.of("points", "down"))))
                .contains("45° as typed; by the route and the studs it would be 180°");
    }

    @Test
    void aShortStiffCableIsWatched() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("size", "95 mm2", "length", "0.1 m"));
        assertThat(worked(cable).plan().clockFinding().orElseThrow().code()).isEqualTo(FindingCode.CLOCK_TWIST);
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("twists only");
    }

    @ParameterizedTest
    @CsvSource({
        "leave, 120, 90",
        "neighbour, far, Write it like",
        "points, sideways, forward",
        "conductors, 3, 2",
        "headroom, -4, 500"
    })
    void badInputIsSaidAndKept(String field, String typed, String said) {
        Cable cable = cable(Map.of());
        MvcTestResult refused = change(cable, Side.B, Map.of(field, typed));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains(said).contains("<details class=\"around\" open");
        assertThat(match.end(cable, Side.B).details().around()).isNull();
    }
}
