package org.ulnaris.app.buying;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.core.making.BuildStep;

class BuyingTest extends AppTest {
    @Autowired
    private Shelf shelf;

    @Autowired
    private MakeService make;

    @Autowired
    private LoadsService loads;

    private Map<String, Shelf.Count> before;
    private Job job;

    @BeforeEach
    void aJob() {
        before = shelf.all();
        shelf.replace(Map.of());
        job = newJob(Units.METRIC);
    }

    @AfterEach
    void asBefore() {
        shelf.replace(before);
        jobs.delete(job.id());
    }

    private String csv() {
        return body(get("/stock/buy.csv?job=" + job.id()));
    }

    private String page() {
        return body(get("/stock/buy?job=" + job.id()));
    }

    private Cable cable(String tag) {
        return newCable(job, Map.of("tag", tag, "size", "50 mm2", "current", "60 A"));
    }

    @Test
    void nothingIsBoughtForNothing() {
        assertThat(page()).contains("Nothing to buy", "No open job needs anything");
    }

    /** A program reads what the page and the table say. */
    @Test
    void theSameForPrograms() {
        cable("K1");
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F7", "family", "CLASS_T", "rating", "200 A"));
        post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", "LATER", "from", "BANK.plus", "to", "F7.in", "current", "", "length", "2 m"));
        shelf.replace(Map.of("nut M8", new Shelf.Count(7, 5)));
        String query = "?job=" + job.id();
        assertThat(get("/api/v1/to-buy" + query)).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat()
                    .extractingPath("$.parts[?(@.part == 'cable 50 mm²')].buy")
                    .asArray()
                    .containsExactly(3);
            json.assertThat()
                    .extractingPath("$.parts[?(@.part == 'nut M8')]['buy','needed','there','least']")
                    .asArray()
                    .containsExactly(Map.of("buy", 0, "needed", 2.0, "there", 7, "least", 5));
            json.assertThat().extractingPath("$.unknown[*].tag").asArray().containsExactly("LATER");
            json.assertThat().extractingPath("$.parts.length()").isEqualTo((int)
                    csv().lines().skip(1).count());
        });
    }

    @Test
    void whatTwoCablesTake() {
        cable("K1");
        cable("K2");
        String lug = worked(cables.of(job.id()).get(0)).plan().a().termination().code();
        assertThat(csv())
                .contains("cable 50 mm²,6,m,5.05,2.53,", "nut M8,4,pieces,4,,,0,\"Test job: K1, K2\"")
                .contains(lug + ",4,pieces,4,,,0,");
        shelf.replace(Map.of(lug, new Shelf.Count(3, 2)));
        assertThat(csv()).as("four are needed, two shall stay, three are there").contains(lug + ",3,pieces,4,,3,2,");
        shelf.replace(Map.of(lug, new Shelf.Count(6, 2)));
        assertThat(csv()).contains(lug + ",0,pieces,4,,6,2,");
        assertThat(page()).contains("There already", "<b>6 m</b>");
    }

    @Test
    void whatIsMadeIsOffTheList() {
        Cable cable = cable("K1");
        assertThat(csv()).contains("cable 50 mm²");
        for (String step : List.of("check", "cut")) {
            make.done(cable.id(), BuildStep.keyed(step).orElseThrow());
        }
        assertThat(csv()).doesNotContain("cable 50 mm²").contains("nut M8");
    }

    @Test
    void aLeastNumberAloneIsBought() {
        shelf.replace(Map.of("fuse class T 200 A", new Shelf.Count(1, 3)));
        assertThat(csv()).contains("fuse class T 200 A,2,pieces,0,,1,3,");
    }

    @Test
    void aFuseThatIsDrawnIsBought() {
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F7", "family", "BLADE_F", "rating", "20 A"));
        assertThat(csv()).contains("fuse blade F 20 A,1,pieces,1,,,0,Test job: F7");
    }

    /** Who buys for a cable that is stopped is told so. */
    @Test
    void whatIsStoppedIsSettledFirst() {
        newCable(job, Map.of("tag", "THIN", "size", "1 mm2", "current", "180 A"));
        assertThat(page()).contains("Settle first", ">THIN<", "may change");
    }

    /** A fuse that is stopped is not bought in silence, nor a cable of which neither current nor size is known. */
    @Test
    void whatIsStoppedOrUnknownIsSaid() {
        Job cabin = jobs.all().stream()
                .filter(one -> one.details().name().equals("Frostline"))
                .findFirst()
                .orElseThrow();
        assertThat(body(get("/stock/buy?job=" + cabin.id()))).containsPattern("Settle first[^$]*>HEATF<");
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F7", "family", "CLASS_T", "rating", "200 A"));
        post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", "WHAT", "from", "BANK.plus", "to", "F7.in", "current", "", "length", "2 m"));
        assertThat(page()).containsPattern("Not known[^$]*>WHAT<");
        assertThat(csv()).doesNotContain("WHAT");
    }

    @Test
    void pricesOfCableAreAdded() {
        cable("K1");
        assertThat(page()).doesNotContain("price is known");
        post("/stock/prices", Map.of("prices", "50 mm² 10"));
        assertThat(page()).as("three metres").contains("price is known", "30.00");
        post("/stock/prices", Map.of("prices", ""));
    }

    /** A name that a spreadsheet would run. */
    @Test
    void namesAreNeutralInTheTable() {
        newCable(job, Map.of("tag", "=1+1", "size", "50 mm2", "current", "60 A"));
        assertThat(csv()).doesNotContain(",=1");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "999999", "x", "-1", "1e3", "9223372036854775808"})
    void aJobThatIsNone(String id) {
        assertThat(get("/stock/buy?job=" + id).getResponse().getStatus()).isIn(400, 404);
        assertThat(get("/stock/buy.csv?job=" + id).getResponse().getStatus()).isIn(400, 404);
    }
}
