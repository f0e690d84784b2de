package org.ulnaris.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;

/** Requests that no page would send: none ends in a 500, none shows a stack trace, none changes what was kept. */
class BadInputTest extends AppTest {
    private static final List<String> NASTY = List.of(
            "",
            " ",
            "-1",
            "0",
            "1e308",
            "1e999",
            "NaN",
            "Infinity",
            "-Infinity",
            "abc",
            "12 parsec",
            "5 Hz",
            "5 kg",
            "1,2,3",
            "1.2.3",
            "１２",
            "٣",
            "<script>alert(1)</script>",
            "' or 1=1 --",
            "\u0000",
            "\u202e12",
            "9".repeat(400),
            "🔌",
            "${7*7}",
            "__proto__",
            "../../etc/passwd",
            "true",
            "null",
            "0x1F",
            "1/0",
            "--5",
            "5--",
            "%00",
            "\r\nx");

    private Job job;

    @Autowired
    private LoadsService loads;

    private Cable cable;
    private CableDetails kept;
    private int sent;

    @BeforeEach
    void aCableToSpoil() {
        job = newJob(Units.METRIC);
        cable = newCable(job, Map.of("tag", "KEEP"));
        kept = cable.details();
        sent = 0;
    }

    private void check(String what, MvcTestResult result) {
        sent++;
        int status = result.getResponse().getStatus();
        assertThat(status).as(what).isBetween(200, 499);
        assertThat(body(result)).as(what).doesNotContain("Exception", "\tat ", "org.springframework", "java.lang");
    }

    @Test
    void everyFieldOfACableWithEveryNastyText() {
        for (String field : List.of(
                "tag",
                "current",
                "length",
                "drop",
                "insulation",
                "ambient",
                "terminal",
                "bundled",
                "series",
                "slack",
                "clock",
                "outer",
                "size",
                "polarity",
                "engineSpace",
                "joints",
                "bend",
                "began")) {
            for (String text : NASTY) {
                Map<String, String> fields = new HashMap<>();
                fields.put(field, text);
                check(field + "=" + text, postHtmx("/cables/" + cable.id() + "/plan", fields));
                assertThat(get("/cables/" + cable.id() + "/plan"))
                        .as(field + "=" + text)
                        .hasStatusOk();
            }
        }
        assertThat(sent).isGreaterThan(500);
        CableDetails now = cables.get(cable.id()).details();
        assertThat(now.currentA()).isEqualTo(kept.currentA());
        assertThat(now.lengthM()).isEqualTo(kept.lengthM());
    }

    @Test
    void everyFieldOfAnEndAJobALugADie() {
        Map<String, List<String>> forms = new HashMap<>();
        forms.put(
                "/cables/" + cable.id() + "/match/A",
                List.of(
                        "stud",
                        "torque",
                        "torqueMin",
                        "torqueMax",
                        "clear",
                        "studLength",
                        "lug",
                        "die",
                        "family",
                        "contact",
                        "method",
                        "ownKey",
                        "began"));
        forms.put("/jobs", List.of("name", "kind", "voltage", "charging", "units", "ruleSet"));
        forms.put("/stock/lugs", List.of("code", "material", "outer", "bore", "depth", "padWidth", "hole", "back"));
        forms.put("/stock/prices", List.of("prices"));
        forms.put("/stock/shelf", List.of("shelf"));
        forms.put("/stock/shelf/step", List.of("more", "fewer", "leastMore", "leastFewer", "least", "back"));
        forms.put("/crib", List.of("tag", "shape", "acrossFlats", "width", "material", "family", "stamped", "colour"));
        forms.put("/crib/die?tag=K14", List.of("shape", "acrossFlats", "width", "material", "family"));
        forms.put(
                "/crib/tools",
                List.of(
                        "tag",
                        "name",
                        "kind",
                        "family",
                        "force",
                        "upTo",
                        "calibratedOn",
                        "calibrationDue",
                        "torqueFrom",
                        "torqueTo",
                        "spike",
                        "dialZero",
                        "dialMark"));
        forms.put("/crib/tool?tag=I1", List.of("name", "kind", "force", "spike", "dialZero", "dialMark"));
        forms.put(
                "/crib/tool/samples?tag=M1", List.of("made", "size", "lug", "die", "voids", "pull", "parted", "note"));
        forms.put("/crib/fit", List.of("tag", "tool"));
        forms.put("/crib/box", List.of("tag"));
        forms.put("/crib/remove", List.of("tag"));
        forms.put("/crib/tools/remove", List.of("tag"));
        forms.put("/jobs/" + job.id() + "/cables", List.of("tag", "current", "length"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        forms.put("/cables/" + cable.id() + "/bench/cut", List.of("CUT_LENGTH", "why", "reason"));
        forms.put("/cables/" + cable.id() + "/bench/cut/not-measured", List.of("why"));
        forms.put("/cables/" + cable.id() + "/bench/cut/deviation", List.of("reason"));
        long bank = loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "SPOIL"));
        long loadCase = loads.addCase(job.id(), "Spoil", 1);
        forms.put(
                "/equipment/" + bank,
                List.of(
                        "tag",
                        "name",
                        "chemistry",
                        "inSeries",
                        "inParallel",
                        "capacity",
                        "ohm",
                        "stud",
                        "torque",
                        "torqueMin",
                        "lugs",
                        "clear",
                        "began"));
        forms.put("/cases/" + loadCase, List.of("caseName", "hours", "state-" + bank, "state-99999999999999999999"));
        forms.put("/jobs/" + job.id() + "/cases", List.of("caseName", "hours"));
        forms.put("/jobs/" + job.id() + "/equipment", List.of("kind", "tag", "current", "power", "family", "rating"));
        forms.put(
                "/cables/" + newCable(job, Map.of("tag", "LINE")).id() + "/row",
                List.of("current", "length", "size", "began"));
        forms.put("/jobs/" + job.id() + "/bulk", List.of("field", "value", "cable"));
        forms.put(
                "/jobs/" + job.id() + "/rules",
                List.of("placement", "drop", "lugs", "bend", "sealed", "facing", "practice-LAY"));
        forms.put("/jobs/" + job.id() + "/budget", List.of("prices", "keep", "aim"));
        forms.put("/jobs/" + job.id() + "/what-if", List.of("voltage", "ruleSet", "piece", "cable"));
        forms.forEach((path, fields) -> {
            for (String field : fields) {
                for (String text : NASTY) {
                    check(path + " " + field + "=" + text, post(path, Map.of(field, text)));
                }
            }
        });
        assertThat(get("/cables/" + cable.id() + "/match")).hasStatusOk();
        assertThat(get("/cables/" + cable.id() + "/pack/sheet.pdf")).hasStatusOk();
        assertThat(get("/crib")).hasStatusOk();
        for (String page : List.of("/stock", "/stock/lugs", "/stock/contacts", "/stock/parts", "/stock/buy")) {
            assertThat(get(page)).as(page).hasStatusOk();
        }
        assertThat(cables.get(cable.id()).details()).isEqualTo(kept);
    }

    /** A request that leaves the field out is no way to a part without a name. */
    @ParameterizedTest
    @ValueSource(strings = {"/stock/lugs", "/stock/contacts", "/crib", "/crib/tools"})
    void whatHasNoNameIsNotKept(String path) {
        MvcTestResult answer = post(path, Map.of("bore", "8.5"));
        assertThat(answer).hasStatus(422);
        assertThat(body(answer)).contains("Needs an entry");
    }

    @Test
    void everyQuestionInAnAddress() {
        long bank = loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "ASKED"));
        loads.changeCase(loads.addCase(job.id(), "Asked", 1), "Asked", 1, Map.of(bank, State.ON));
        Map<String, List<String>> questions = Map.of(
                "/jobs/" + job.id() + "/plan",
                List.of("sort", "down", "find", "verdict", "grouped", "deleted", "changed"),
                "/jobs/" + job.id() + "/layout",
                List.of("case"),
                "/jobs/" + job.id() + "/what-if",
                List.of("voltage", "ruleSet", "piece", "cable", "length", "free"),
                "/jobs/" + job.id() + "/budget",
                List.of("changed"),
                "/jobs/" + job.id() + "/loads",
                List.of("preset", "kind", "deleted"),
                "/identify",
                List.of(
                        "strands",
                        "strand",
                        "bundle",
                        "reading",
                        "length",
                        "temperature",
                        "claimed",
                        "series",
                        "barWidth",
                        "barThickness",
                        "barLength",
                        "barMaterial",
                        "barCurrent",
                        "barAmbient",
                        "barReading",
                        "barContact"));
        questions.forEach((path, names) -> {
            for (String name : names) {
                for (String text : NASTY) {
                    check(
                            path + "?" + name + "=" + text,
                            mvc.get().uri(path).param(name, text).exchange());
                }
            }
        });
        assertThat(sent).isGreaterThan(1000);
    }

    @Test
    void addressesThatDoNotExist() {
        List<String> ids = List.of("0", "-1", "999999999", "9223372036854775808", "abc", "1.5", "%20", "1;x=1");
        for (String id : ids) {
            for (String place :
                    List.of("plan", "match", "make", "prove", "pack", "bench", "bench/cut", "pack/sheet.pdf")) {
                check("cable " + id + " " + place, get("/cables/" + id + "/" + place));
                check("job " + id + " " + place, get("/jobs/" + id + "/" + place));
            }
            for (String place : List.of("loads", "layout", "findings", "budget", "what-if", "rules")) {
                check(place + " " + id, get("/jobs/" + id + "/" + place));
            }
            for (String act : List.of("budget/stop", "budget/drop", "budget/take", "bulk", "what-if", "rules")) {
                check(act + " " + id, post("/jobs/" + id + "/" + act, Map.of()));
            }
            check("layout " + id, get("/jobs/" + job.id() + "/layout?case=" + id));
            check("kind " + id, get("/jobs/" + job.id() + "/loads?kind=" + id));
            check("netlist " + id, get("/jobs/" + job.id() + "/export/network.cir?case=" + id));
            check("equipment " + id, get("/equipment/" + id));
            check("equipment restore " + id, post("/equipment/" + id + "/restore", Map.of()));
            check("case delete " + id, post("/cases/" + id + "/delete", Map.of()));
            check("restore " + id, post("/cables/" + id + "/restore", Map.of()));
            check("delete " + id, post("/jobs/" + id + "/delete", Map.of()));
            check("redo " + id, post("/cables/" + id + "/bench/strip-a/redo", Map.of()));
            check("accept " + id, post("/jobs/" + id + "/import/accept", Map.of("text", "x")));
            check("match " + id, post("/cables/" + cable.id() + "/match/" + id, Map.of()));
        }
        check("query", get("/?deleted=abc"));
        check("archive", post("/jobs/" + job.id() + "/archive", Map.of("archive", "perhaps")));
        check("archive nothing", post("/jobs/" + job.id() + "/archive", Map.of()));
        check("trailing", get("/jobs/" + job.id() + "/"));
    }

    @Test
    void filesThatAreNone() {
        byte[] noise = new byte[5000];
        new Random(3).nextBytes(noise);
        for (byte[] content :
                List.of(new byte[0], noise, "{".getBytes(), "tag,current\n\"".getBytes(), new byte[] {-1, -2})) {
            for (String path : List.of("/jobs/import", "/jobs/" + job.id() + "/import")) {
                check(
                        path,
                        mvc.post()
                                .uri(path)
                                .multipart()
                                .file(new MockMultipartFile("file", "x.csv", "text/csv", content))
                                .with(csrf())
                                .exchange());
            }
        }
        check("no file", post("/jobs/import", Map.of()));
        assertThat(cables.of(job.id())).hasSize(1);
    }

    @Test
    void jsonOfEveryKind() {
        List<String> values = List.of(
                "-1",
                "0",
                "1e309",
                "\"180\"",
                "null",
                "true",
                "[]",
                "{}",
                "1e-320",
                "99999999999999999999999999",
                "\"\"");
        List<String> bodies = new ArrayList<>();
        for (String name : List.of(
                "currentA",
                "oneWayLengthM",
                "systemVoltageV",
                "maxDropPercent",
                "insulationTempC",
                "ambientC",
                "bundledConductors",
                "terminalTempC",
                "engineSpace",
                "strands",
                "tinned",
                "walled",
                "ruleSet",
                "sizeSeries")) {
            for (String value : values) {
                bodies.add("{\"currentA\":180,\"oneWayLengthM\":2.4,\"systemVoltageV\":24,\"maxDropPercent\":3,"
                        + "\"insulationTempC\":105,\"ambientC\":30,\"ruleSet\":\"CFR_183_425\",\"sizeSeries\":\"AWG\"}"
                                .replaceFirst("\"" + name + "\":[^,}]+", "\"" + name + "\":" + value));
                bodies.add("{\"" + name + "\":" + value + "}");
            }
        }
        bodies.add("[".repeat(3000));
        bodies.add("{\"a\":".repeat(3000));
        bodies.add("x".repeat(30_000));
        for (String body : bodies) {
            for (String path : List.of("/api/v1/sizing", "/api/v1/crimp")) {
                check(
                        path + " " + body.substring(0, Math.min(body.length(), 80)),
                        mvc.post()
                                .uri(path)
                                .contentType(MediaType.APPLICATION_JSON)
                                .content(body)
                                .exchange());
            }
        }
        assertThat(sent).isGreaterThan(400);
    }
}
