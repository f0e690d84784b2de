package org.ulnaris.app.match;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.exchange.ExchangeService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.Side;

/** Ends other than tube lugs, from the choice to the sheet. */
class ContactPagesTest extends AppTest {
    @Autowired
    private MatchService match;

    @Autowired
    private MakeService make;

    @Autowired
    private ExchangeService exchange;

    private Job job;
    private Cable cable;

    @BeforeEach
    void cable() {
        job = newJob(Units.METRIC);
        cable = newCable(
                job, Map.of("series", "METRIC", "size", "4 mm²", "current", "12 A", "outer", "5.5 mm", "to", "LAMP"));
    }

    private MvcTestResult choose(Side side, Map<String, String> typed) {
        return post("/cables/" + cable.id() + "/match/" + side, typed);
    }

    private List<String> steps() {
        return make.of(cable.id()).steps().stream().map(BuildStep::key).toList();
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFamilyGoesFromTheChoiceToTheSheet(Family family) throws Exception {
        assertThat(choose(Side.A, Map.of("family", family.name()))).hasStatus(302);
        String page = body(get("/cables/" + cable.id() + "/match?at=A"));
        assertThat(page).contains("value=\"" + family + "\" selected", "ribbon");
        for (String step : steps()) {
            String bench = body(get("/cables/" + cable.id() + "/bench/" + step));
            assertThat(bench).as(step).contains("bench-form").doesNotContain("null");
        }
        assertThat(get("/cables/" + cable.id() + "/pack/sheet.pdf")).hasStatusOk();
        assertThat(get("/jobs/" + job.id() + "/match")).hasStatusOk();
        assertThat(get("/jobs/" + job.id() + "/findings")).hasStatusOk();
        String json = exchange.json(job.id());
        Job copy = exchange.importJson(json);
        assertThat(exchange.json(copy.id())).isEqualTo(json);
        Cable copied = cables.of(copy.id()).get(0);
        assertThat(match.end(copied, Side.A).details())
                .isEqualTo(match.end(cable, Side.A).details());
    }

    @Test
    void theStepsFollowTheEnds() {
        assertThat(steps()).contains("torque-a", "torque-b").doesNotContain("mate-a");
        choose(Side.A, Map.of("family", "PV"));
        assertThat(steps()).contains("nut-a", "mate-a", "torque-b").doesNotContain("torque-a", "measure-a");
        assertThat(get("/cables/" + cable.id() + "/bench/torque-a")).hasStatus(404);
        assertThat(post("/cables/" + cable.id() + "/bench/torque-a", Map.of())).hasStatus(404);
        assertThat(body(get("/cables/" + cable.id() + "/make"))).contains("Tighten the nut", "Mate");
        assertThat(body(get("/cables/" + cable.id() + "/match")))
                .contains("Before the A end is closed: nut", "grip ring", "seal");
        choose(Side.A, Map.of("family", "TUBE_LUG"));
        assertThat(match.end(cable, Side.A).details().contact()).isNull();
        assertThat(steps()).contains("torque-a");
    }

    @Test
    void bothFacesAreDrawnByTheConvention() {
        choose(Side.A, Map.of("family", "STACKABLE"));
        String left = body(get("/cables/" + cable.id() + "/match"));
        assertThat(left).contains("mating side", "wire side", "Hood up");
        int own = left.indexOf("face-shell pole-positive own");
        int other = left.indexOf("face-shell pole-negative");
        assertThat(own).isPositive().isLessThan(other);
        assertThat(post("/jobs/" + job.id() + "/rules", Map.of("facing", "RED_RIGHT")))
                .hasStatus(302);
        String right = body(get("/cables/" + cable.id() + "/match"));
        assertThat(right.indexOf("face-shell pole-negative")).isLessThan(right.indexOf("face-shell pole-positive own"));
    }

    @ParameterizedTest
    @CsvSource({
        "SMALL, red sealed ring, STOP",
        "SMALL, yellow sealed ring, PASS",
        "SMALL, yellow fork, STOP",
        "FERRULE, ferrule 4 × 10, PASS"
    })
    void aContactIsPickedByHand(Family family, String code, String verdict) {
        choose(Side.A, Map.of("family", family.name()));
        choose(Side.A, Map.of("family", family.name(), "contact", code));
        assertThat(match.end(cable, Side.A).details().contact().contactCode()).isEqualTo(code);
        assertThat(worked(cable).plan().a().contact().fit().verdict().name()).isEqualTo(verdict);
    }

    /** A contact of another family, or none that is known, is the proposal. */
    @Test
    void aContactOfAnotherFamilyIsLetGo() {
        choose(Side.A, Map.of("family", "PV", "contact", "red fork"));
        assertThat(match.end(cable, Side.A).details().contact().contactCode()).isNull();
        choose(Side.A, Map.of("family", "PV", "contact", "PV kite", "ownKey", "north", "mateKey", "south"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("must not be mated", "north");
        choose(Side.A, Map.of("family", "TWO_POLE"));
        assertThat(match.end(cable, Side.A).details().contact().ownKey()).isNull();
        assertThat(choose(Side.A, Map.of("family", "WELD"))).hasStatus(422);
    }

    /** Halves arranged alike mate: the job's convention is red left. */
    @Test
    void thePlugThatIsThereIsCheckedByItsPicture() {
        choose(Side.A, Map.of("family", "STACKABLE"));
        choose(Side.A, Map.of("family", "STACKABLE", "mateKey", "RED_LEFT"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("both halves match");
        choose(Side.A, Map.of("family", "STACKABLE", "mateKey", "RED_RIGHT"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("must not be mated");
    }

    @Test
    void aPairOfUnequalLengthsIsFound() {
        for (String tag : List.of("P+", "P−")) {
            Cable half = newCable(
                    job,
                    Map.of("tag", tag, "size", "6 mm2", "current", "10", "length", tag.equals("P+") ? "1.60" : "1.64"));
            postHtmx("/cables/" + half.id() + "/match/A", Map.of("family", "STACKABLE"));
        }
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("they do not lie together");
    }

    @Test
    void theHouseMayTakeOpenTerminals() {
        choose(Side.A, Map.of("family", "SMALL", "contact", "yellow fork"));
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("refused in vehicles and boats");
        post("/jobs/" + job.id() + "/rules", Map.of("sealed", "false"));
        assertThat(body(get("/jobs/" + job.id() + "/findings")))
                .contains("open to water: tolerated")
                .doesNotContain("refused in vehicles and boats");
    }

    /** The making that was done before the end changed is kept, its steps count only where the new end has them. */
    @Test
    void aChangedEndKeepsWhatIsDone() {
        for (String step : List.of("check", "thread")) {
            post("/cables/" + cable.id() + "/bench/" + step, Map.of());
        }
        assertThat(make.of(cable.id()).doneCount()).isEqualTo(1);
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2540"));
        post("/cables/" + cable.id() + "/bench/thread", Map.of());
        choose(Side.B, Map.of("family", "STACKABLE"));
        assertThat(make.of(cable.id()).doneCount()).isEqualTo(3);
        assertThat(make.of(cable.id()).current().orElseThrow().key()).isEqualTo("strip-a");
    }

    @Test
    void aChoiceIsSpreadOverLikeEnds() {
        Cable like = newCable(job, Map.of("tag", "LIKE", "series", "METRIC", "size", "4 mm²", "current", "5 A"));
        Cable other = newCable(job, Map.of("tag", "OTHER", "series", "METRIC", "size", "50 mm²", "current", "5 A"));
        for (Cable small : List.of(cable, like)) {
            for (Side side : Side.values()) {
                post("/cables/" + small.id() + "/match/" + side, Map.of("family", "SMALL"));
            }
        }
        choose(Side.A, Map.of("family", "SMALL", "contact", "yellow ring"));
        String page = body(get(post("/cables/" + cable.id() + "/match/A/spread", Map.of())
                .getResponse()
                .getRedirectedUrl()
                .replaceAll("#.*", "")));
        assertThat(page).contains("3 more ends have the same now");
        assertThat(match.end(like, Side.B).details().contact().contactCode()).isEqualTo("yellow ring");
        assertThat(match.end(other, Side.A).details().contact()).isNull();
        assertThat(post("/cables/" + cable.id() + "/match/A/spread", Map.of())
                        .getResponse()
                        .getRedirectedUrl())
                .contains("spread=0");
        undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of());
        assertThat(match.end(like, Side.B).details().contact().contactCode()).isNull();
    }

    /** Dies picked for a lug would pierce a small terminal; they are let go with the lug. */
    @Test
    void diesOfALugAreNotKeptForAContact() {
        choose(Side.A, Map.of("die", "K5"));
        assertThat(match.end(cable, Side.A).details().dieTag()).isEqualTo("K5");
        choose(Side.A, Map.of("family", "SMALL", "die", "K5"));
        assertThat(match.end(cable, Side.A).details().dieTag()).isNull();
    }
}
