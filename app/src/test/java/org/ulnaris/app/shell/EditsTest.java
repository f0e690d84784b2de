package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import jakarta.servlet.http.Cookie;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Reading;
import org.ulnaris.app.plan.Cable;

/** Several clients at once, the same press twice, names that two things want. */
class EditsTest extends AppTest {
    private static final int CLIENTS = 6;

    @Autowired
    private CribService crib;

    @Autowired
    private LoadsService loads;

    @Autowired
    private MakeService make;

    private Job job;

    @BeforeEach
    void aJob() {
        job = newJob(Units.METRIC);
    }

    /** What clients that press at the same moment are answered. */
    private List<Integer> atOnce(IntFunction<MvcTestResult> press) throws Exception {
        ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);
        CountDownLatch ready = new CountDownLatch(CLIENTS);
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < CLIENTS; i++) {
            int client = i;
            answers.add(clients.submit(() -> {
                ready.countDown();
                ready.await();
                return press.apply(client).getResponse().getStatus();
            }));
        }
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> answer : answers) {
            statuses.add(answer.get());
        }
        clients.shutdown();
        Collections.sort(statuses);
        return statuses;
    }

    @Test
    void oneOfManyGetsTheTag() throws Exception {
        List<Integer> statuses = atOnce(client -> client % 2 == 0
                ? post(
                        "/jobs/" + job.id() + "/cables",
                        Map.of("tag", client % 4 == 0 ? "RACE" : "race", "current", "20", "length", "1 m"))
                : post("/jobs/" + job.id() + "/equipment", Map.of("kind", "MOTOR", "tag", "Race", "current", "2 A")));
        assertThat(statuses).containsExactly(302, 422, 422, 422, 422, 422);
        assertThat(cables.of(job.id()).size() + loads.details(job.id()).size()).isOne();
        assertThat(get("/jobs/" + job.id() + "/loads")).hasStatusOk();
    }

    @Test
    void oneOfManyGetsTheDiesIntoTheCrib() throws Exception {
        List<Integer> statuses = atOnce(client ->
                post("/crib", Map.of("tag", client % 2 == 0 ? "RACED" : "raced", "acrossFlats", "11.9 mm")));
        assertThat(statuses).containsExactly(302, 422, 422, 422, 422, 422);
        assertThat(get("/crib/die?tag=raced")).hasStatusOk();
        assertThat(post("/crib/remove", Map.of("tag", "RaceD"))).hasStatusOk();
        assertThat(crib.has("RACED")).isFalse();
    }

    @Test
    void oneReadingIsInForce() throws Exception {
        Cable cable = newCable(job, Map.of());
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        assertThat(atOnce(client -> post(
                        "/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2." + (50 + client) + " m"))))
                .allMatch(status -> status < 500);
        assertThat(make.of(cable.id()).readings().stream().filter(reading -> !reading.superseded()))
                .hasSize(1)
                .extracting(Reading::step)
                .containsExactly("cut");
    }

    @Test
    void firstSavesOfTheShopDoNotCollide() throws Exception {
        assertThat(atOnce(client -> post("/rules", Map.of("lugs", "" + (2 + client % 3)))))
                .containsOnly(302);
        assertThat(atOnce(client -> post("/stock/prices", Map.of("prices", "16 mm² " + (4 + client)))))
                .containsOnly(302);
        post("/rules", Map.of("lugs", "4"));
        post("/stock/prices", Map.of("prices", ""));
    }

    @Test
    void thePressOfADoubleClickIsDoneOnce() {
        int before = jobs.all().size();
        Map<String, String> press = new HashMap<>(Map.of("name", "Pressed twice", "kind", "MOBILE", "voltage", "24 V"));
        press.putAll(Map.of("charging", "", "ruleSet", "", "once", "abc"));
        String first = post("/jobs", press).getResponse().getRedirectedUrl();
        assertThat(first).startsWith("/jobs/");
        assertThat(post("/jobs", press).getResponse().getRedirectedUrl()).isEqualTo(first);
        assertThat(jobs.all()).hasSize(before + 1);
        press.put("once", "abd");
        assertThat(post("/jobs", press).getResponse().getRedirectedUrl()).isNotEqualTo(first);
        assertThat(jobs.all()).hasSize(before + 2);
        assertThat(body(get("/"))).contains("name=\"once\"", "name=\"_csrf\"");
    }

    private MvcTestResult press(String browser, String path, Map<String, String> fields) {
        var request = mvc.post().uri(path).with(csrf()).cookie(new Cookie("XSRF-TOKEN", browser));
        fields.forEach(request::param);
        return request.exchange();
    }

    /** To delete, bring back and delete again from a page that stood open deletes. */
    @Test
    void aPressAfterAnotherIsANewOne() {
        Cable cable = newCable(job, Map.of("tag", "AGAIN"));
        String path = "/cables/" + cable.id();
        for (int time = 0; time < 3; time++) {
            press("mine", path + "/delete", Map.of("once", "again"));
            press("mine", path + "/delete", Map.of("once", "again"));
            assertThat(cables.of(job.id())).doesNotContain(cable);
            press("mine", path + "/restore", Map.of("once", "other"));
            assertThat(cables.of(job.id())).extracting(Cable::id).contains(cable.id());
        }
    }

    /** One setting, another, and the first again, all from one page: the third counts. */
    @Test
    void aSettingCanGoBack() {
        for (String lugs : List.of("3", "5", "3", "5")) {
            press("mine", "/rules", Map.of("lugs", lugs, "once", "page"));
            assertThat(body(get("/rules"))).containsPattern("name=\"lugs\"[^>]*value=\"" + lugs + "\"");
        }
        post("/rules", Map.of("lugs", "4"));
    }

    /** Somebody else's press between the two of a double click makes no difference; the same page of another browser is another press. */
    @Test
    void aDoubleClickBesideOthersIsDoneOnce() {
        int before = jobs.all().size();
        Map<String, String> fields = Map.of(
                "name", "Beside", "kind", "MOBILE", "voltage", "24 V", "charging", "", "ruleSet", "", "once", "beside");
        press("mine", "/jobs", fields);
        press("theirs", "/jobs", fields);
        press("mine", "/jobs", fields);
        press("theirs", "/jobs", fields);
        assertThat(jobs.all()).hasSize(before + 2);
    }

    /** A press that was refused may be sent again. */
    @Test
    void aRefusedPressIsNotRemembered() {
        Map<String, String> press = Map.of("tag", "LATER", "current", "20", "length", "1 m", "once", "abe" + job.id());
        loads.add(job.id(), EquipmentKind.MOTOR, Map.of("tag", "LATER", "current", "3 A"));
        assertThat(post("/jobs/" + job.id() + "/cables", press)).hasStatus(422);
        post("/equipment/" + loads.idOf(job.id(), "LATER").orElseThrow() + "/delete", Map.of());
        assertThat(post("/jobs/" + job.id() + "/cables", press)).hasStatus(302);
    }

    @Test
    void aCableAndAPieceDoNotShareATag() {
        long fuse =
                loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F1", "family", "CLASS_T", "rating", "100 A"));
        Cable cable = newCable(job, Map.of("tag", "K1"));
        String list = "/jobs/" + job.id() + "/cables";
        assertThat(post(list, Map.of("tag", "f1", "current", "20", "length", "1 m")))
                .hasStatus(422);
        assertThat(postHtmx("/cables/" + cable.id() + "/plan", Map.of("tag", "F1")))
                .hasStatus(422);
        assertThat(post("/equipment/" + fuse, Map.of("tag", "k1"))).hasStatus(422);
        assertThat(post("/jobs/" + job.id() + "/import/accept", Map.of("text", "tag,current,length\nF1,20,1\n")))
                .hasStatus(422);
        for (String page : List.of("loads", "layout", "findings", "budget", "what-if", "plan")) {
            assertThat(get("/jobs/" + job.id() + "/" + page)).as(page).hasStatusOk();
        }
    }

    @Test
    void aPieceComesBackUnderAFreeTag() {
        long fuse =
                loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "F1", "family", "CLASS_T", "rating", "100 A"));
        post("/equipment/" + fuse + "/delete", Map.of());
        newCable(job, Map.of("tag", "F1"));
        String place =
                post("/equipment/" + fuse + "/restore", Map.of()).getResponse().getRedirectedUrl();
        assertThat(body(get(place))).contains(">F1-2</b> is back, under this new tag");
        assertThat(loads.details(job.id()).get(0).tag()).isEqualTo("F1-2");
        assertThat(post("/equipment/" + fuse + "/restore", Map.of())).hasStatus(302);
        assertThat(loads.details(job.id())).hasSize(1);
        assertThat(get("/jobs/" + job.id() + "/layout")).hasStatusOk();
    }

    @Test
    void casesHaveNamesOfTheirOwn() {
        String cases = "/jobs/" + job.id() + "/cases";
        assertThat(post(cases, Map.of("caseName", "Night", "hours", "2 h"))).hasStatus(302);
        assertThat(post(cases, Map.of("caseName", "night", "hours", "3 h"))).hasStatus(422);
    }

    /** "ß" grows in capitals: the column that keeps tags apart has room for it. */
    @Test
    void aTagThatGrowsInCapitalsIsKept() {
        assertThat(post(
                        "/jobs/" + job.id() + "/cables",
                        Map.of("tag", "ß".repeat(24), "current", "20", "length", "1 m")))
                .hasStatus(302);
    }

    @Test
    void statesOfACaseAreMerged() {
        long pump = loads.add(job.id(), EquipmentKind.MOTOR, Map.of("tag", "PUMP", "current", "3 A"));
        long fan = loads.add(job.id(), EquipmentKind.MOTOR, Map.of("tag", "FAN", "current", "1 A"));
        long night = loads.addCase(job.id(), "Night", 2);
        String began = began("/jobs/" + job.id() + "/loads");
        String path = "/cases/" + night;
        post(path, Map.of("began", began, "state-" + pump, "ON", "state-" + fan, "OFF"));
        post(path, Map.of("began", began, "state-" + pump, "OFF", "state-" + fan, "ON"));
        assertThat(loads.caseFiles(job.id()).get(0).states()).containsOnlyKeys("PUMP", "FAN");
        var late = post(path, Map.of("began", began, "state-" + pump, "SURGE"));
        assertThat(late).hasStatus(409);
        assertThat(body(late)).contains("Someone else changed this meanwhile", "<legend>PUMP</legend>");
    }

    @Test
    void settingsRulesPricesAndShelfAreMerged() {
        String settings = "/jobs/" + job.id() + "/settings";
        String began = began(settings);
        post(settings, Map.of("began", began, "name", "Renamed", "charging", "29.2 V"));
        post(settings, Map.of("began", began, "name", "Test job", "charging", "28.8 V"));
        assertThat(jobs.get(job.id()).details().name()).isEqualTo("Renamed");
        assertThat(jobs.get(job.id()).details().chargingVoltageV()).isEqualTo(28.8);
        assertThat(post(settings, Map.of("began", began, "name", "Mine"))).hasStatus(409);
        String rules = "/jobs/" + job.id() + "/rules";
        String first = began(rules);
        post(rules, Map.of("began", first, "lugs", "3", "bend", "5"));
        post(rules, Map.of("began", first, "lugs", "4", "bend", "6"));
        assertThat(jobs.get(job.id()).details().rules().mostLugs()).isEqualTo(3);
        assertThat(jobs.get(job.id()).details().rules().bendDiameters()).isEqualTo(6);
        String shop = Merge.began(Map.of("prices", ""));
        assertThat(post("/stock/prices", Map.of("began", shop, "prices", "16 mm² 4.2")))
                .hasStatus(302);
        var late = post("/stock/prices", Map.of("began", shop, "prices", "25 mm² 6"));
        assertThat(late).hasStatus(409);
        assertThat(body(late)).contains("16 mm² 4.2", "25 mm² 6");
        assertThat(post("/stock/prices", Map.of("began", shop, "prices", ""))).hasStatus(302);
        assertThat(body(get("/stock"))).contains("16 mm² 4.2");
        post("/stock/prices", Map.of("prices", ""));
    }
}
