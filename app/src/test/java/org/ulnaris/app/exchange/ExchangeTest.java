package org.ulnaris.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.making.Side;

class ExchangeTest extends AppTest {
    @Autowired
    private MatchService match;

    @Autowired
    private ExchangeService exchange;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private org.ulnaris.app.loads.LoadsService loads;

    @Test
    void exportAndImportGiveTheSameCables() {
        Job from = newJob(Units.US);
        newCable(from, Map.of("tag", "=1+2", "from", "a \"b\", c; d", "to", "-5 bus", "length", "3 ft 4 in"));
        newCable(
                from,
                Map.of(
                        "current",
                        "33,3",
                        "terminal",
                        "75 °C",
                        "outer",
                        "1/2 in",
                        "size",
                        "2/0",
                        "engineSpace",
                        "true"));
        Job to = newJob(Units.METRIC);
        String csv = exchange.csv(from.id());
        assertThat(csv).contains("'=1+2").doesNotContain("\n=1+2");
        assertThat(exchange.importCsv(to.id(), csv).faults()).isEmpty();
        assertThat(cables.of(to.id()))
                .extracting(Cable::details)
                .containsExactlyElementsOf(
                        cables.of(from.id()).stream().map(Cable::details).toList());
    }

    /** A file as an earlier version wrote it. */
    private static String written(String name) throws java.io.IOException {
        return new String(
                new org.springframework.core.io.ClassPathResource(name)
                        .getInputStream()
                        .readAllBytes(),
                java.nio.charset.StandardCharsets.UTF_8);
    }

    /** A file that the first version wrote. */
    @Test
    void filesOfVersionOneStillImport() throws Exception {
        String old = written("job-of-version-1.json");
        assertThat(old).contains("\"version\" : 1");
        Job job = exchange.importJson(old);
        assertThat(cables.of(job.id())).hasSize(6);
        assertThat(cables.of(job.id()).get(0).details().currentA()).isEqualTo(145);
        assertThat(cables.of(job.id()).get(0).details().currentFromLoads()).isFalse();
        assertThatThrownBy(() -> exchange.importJson(old.replace("\"tinned\"", "\"tined\"")))
                .isInstanceOf(ExchangeService.RefusedException.class);
    }

    @Test
    void filesOfTheSecondVersionStillImport() throws Exception {
        String old = written("job-of-version-2.json");
        assertThat(old).contains("\"version\" : 2").doesNotContain("conduit");
        Job job = exchange.importJson(old);
        assertThat(cables.of(job.id()))
                .hasSize(17)
                .noneMatch(cable -> cable.details().conduit());
        assertThat(exchange.json(job.id())).contains("\"version\" : 7");
        assertThatThrownBy(() -> exchange.importJson(old.replace("\"tinned\"", "\"conduit\"")))
                .isInstanceOf(ExchangeService.RefusedException.class);
    }

    @Test
    void filesOfTheThirdVersionStillImport() throws Exception {
        String old = written("job-of-version-3.json");
        assertThat(old).contains("\"version\" : 3").doesNotContain("fuseOver");
        Job job = exchange.importJson(old);
        assertThat(job.details().rules().fuseOverLoadPercent()).isEqualTo(125);
        assertThat(cables.of(job.id()))
                .hasSizeGreaterThan(15)
                .allMatch(cable -> cable.details().clockDeg() == null);
        assertThatThrownBy(() -> exchange.importJson(old.replace("\"tinned\"", "\"around\"")))
                .isInstanceOf(ExchangeService.RefusedException.class);
    }

    /** The fourth version wrote every end and the last outcome of the loads. */
    @Test
    void filesOfTheFourthVersionStillImport() throws Exception {
        String old = written("job-of-version-4.json");
        assertThat(old).contains("\"version\" : 4");
        Job job = exchange.importJson(old);
        assertThat(cables.of(job.id())).hasSize(17);
        assertThat(works.of(job.id()).cable("INV+").carried().worstCase()).isEqualTo("Show on the bank");
        assertThat(exchange.importJson(exchange.json(job.id())).details()).isEqualTo(job.details());
        assertThatThrownBy(() -> exchange.importJson(old.replaceFirst("\"A\" : \\{", "\"C\" : {")))
                .isInstanceOf(ExchangeService.RefusedException.class);
    }

    /** The sixth version knew strands of copper only, and nothing of how strings are joined. */
    @Test
    void filesOfTheSixthVersionStillImport() throws Exception {
        String old = written("job-of-version-6.json");
        assertThat(old).contains("\"version\" : 6").doesNotContain("stringTap");
        Job job = exchange.importJson(old);
        assertThat(cables.of(job.id()))
                .hasSizeGreaterThan(15)
                .allMatch(cable -> cable.details().metal() == ConductorMetal.COPPER);
        assertThat(loads.details(job.id())).allMatch(piece -> piece.stringTap() == null);
        Cable aluminium = cables.of(job.id()).get(0);
        String json = exchange.json(job.id()).replaceFirst("\"metal\" : \"COPPER\"", "\"metal\" : \"ALUMINIUM\"");
        Job copy = exchange.importJson(json);
        assertThat(cables.of(copy.id()).get(0).details().metal()).isEqualTo(ConductorMetal.ALUMINIUM);
        assertThat(works.of(copy.id())
                        .cable(aluminium.details().tag())
                        .rung()
                        .conductor()
                        .metal())
                .isEqualTo(ConductorMetal.ALUMINIUM);
    }

    @Test
    void equipmentAndCasesTravelWithTheJob() throws Exception {
        Job cart = jobs.all().stream()
                .filter(job -> job.details().name().equals("Lantern Cart"))
                .reduce((first, second) -> second)
                .orElseThrow();
        String json = exchange.json(cart.id());
        Job copy = exchange.importJson(json);
        assertThat(exchange.json(copy.id())).isEqualTo(json);
        assertThat(loads.details(copy.id())).isEqualTo(loads.details(cart.id())).isNotEmpty();
        assertThatThrownBy(() ->
                        exchange.importJson(json.replaceFirst("\"capacityAh\" : [0-9.]+", "\"capacityAh\" : null")))
                .hasMessageContaining("BANK");
    }

    @Test
    void readsWhatPeopleWriteInTables() {
        Job job = newJob(Units.METRIC);
        String csv = "\uFEFFTag;From;To;Polarity;Current;Length;Drop;Engine space;Tinned;Series\n"
                + "A1;fuse;inverter;positive;180 A;1,02;3 %;yes;no;awg\n"
                + "A2;;;NEGATIVE;90;3 ft 4 in;;;x;METRIC\n";
        CableCsv.Parsed parsed = exchange.importCsv(job.id(), csv);
        assertThat(parsed.faults()).isEmpty();
        assertThat(cables.of(job.id())).extracting(c -> c.details().lengthM()).containsExactly(1.02, 1.016);
        assertThat(cables.of(job.id()).get(0).details().engineSpace()).isTrue();
        assertThat(cables.of(job.id()))
                .extracting(cable -> cable.details().metal())
                .containsExactly(ConductorMetal.COPPER, ConductorMetal.TINNED);
        assertThat(exchange.csv(job.id())).contains("strands", "TINNED").doesNotContain("tinned");
    }

    /** Legs, bends and further joints travel both ways; so do all three made-up jobs as JSON. */
    @Test
    void whatThePlanOfAJobAddedTravels() throws Exception {
        Job job = newJob(Units.US);
        Cable bent = newCable(job, Map.of("length", "0.4 m + 45° + 1.2 m + 800 mm", "bend", "3 in", "joints", "1"));
        assertThat(bent.details().lengthM()).isLessThan(2.4);
        String csv = CableCsv.write(List.of(bent.details()));
        assertThat(csv).contains("0.4 m + 45° + 1.2 m + 0.8 m", "76.2 mm");
        Job metric = newJob(Units.METRIC);
        assertThat(exchange.importCsv(metric.id(), csv).faults()).isEmpty();
        assertThat(cables.of(metric.id()).get(0).details()).isEqualTo(bent.details());
        for (Job demo : jobs.all()) {
            String json = exchange.json(demo.id());
            assertThat(exchange.json(exchange.importJson(json).id())).isEqualTo(json);
        }
    }

    @Test
    void everyFaultIsShownByRowAndColumnAndNothingIsKept() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "A1"));
        String csv = "tag,current,length,bundled\nA1,180,2.4,0\nA2,lots,-1,0\nA3,5,1,1.5\nA3,5,1,1,9\n";
        var result = post("/jobs/" + job.id() + "/import/accept", Map.of("text", csv));
        assertThat(result).hasStatus(422);
        assertThat(body(result))
                .contains("Row 2, bundled", "Row 3, current", "Row 3, length", "Row 3, bundled", "Row 4, bundled")
                .contains("lots", "Write it like 180 A", "Nothing is imported yet");
        assertThat(cables.of(job.id())).hasSize(1);
    }

    /** Two at once: what somebody changed while a table was checked is shown before it is overwritten. */
    @Test
    void aTableOfCablesThatChangedMeanwhileIsShownAgain() {
        Job job = newJob(Units.METRIC);
        Cable known = newCable(job, Map.of("tag", "A1"));
        String path = "/jobs/" + job.id() + "/import";
        String csv = "tag,current,length\nA1,5,1\n";
        String began = begun(body(post(path, Map.of("text", csv)))).orElseThrow();
        post("/cables/" + known.id() + "/row", Map.of("length", "7 m"));
        var again = post(path + "/accept", Map.of("text", csv, "began", began));
        assertThat(again).hasStatus(409);
        assertThat(body(again)).contains("Somebody changed the list meanwhile", "Import all of them");
        assertThat(cables.get(known.id()).details().lengthM()).isEqualTo(7);
        assertThat(post(
                        path + "/accept",
                        Map.of("text", csv, "began", begun(body(again)).orElseThrow())))
                .hasStatus(302);
        assertThat(cables.get(known.id()).details().lengthM()).isEqualTo(1);
    }

    @Test
    void aPreviewComesBeforeTheImport() {
        Job job = newJob(Units.METRIC);
        var preview = post("/jobs/" + job.id() + "/import", Map.of("text", "tag,current,length\nA1,5,1\n"));
        assertThat(body(preview)).contains("cables, every row checked", "Import all of them");
        assertThat(cables.of(job.id())).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "tag",
                "tag,current,length",
                "tag,current\nA,1",
                "tag,tag,current,length\nA,B,1,1",
                "tag,current,length\n\"A,1,1",
                "tag,current,length,colour\nA,1,1,red",
                "\u0000\u0001"
            })
    void brokenTablesAreRefused(String csv) {
        Job job = newJob(Units.METRIC);
        assertThat(exchange.importCsv(job.id(), csv).faults()).isNotEmpty();
        assertThat(cables.of(job.id())).isEmpty();
    }

    @Test
    void aJobComesBackWholeFromItsFile() throws Exception {
        Job job = newJob(Units.US);
        Cable cable = newCable(job, Map.of("tag", "<b>"));
        post("/cables/" + cable.id() + "/match/A", Map.of("stud", "3/8", "torque", "20 lbf·ft"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2 m"));
        String json = exchange.json(job.id());
        Job copy = exchange.importJson(json);
        assertThat(exchange.json(copy.id())).isEqualTo(json);
        assertThat(copy.id()).isNotEqualTo(job.id());
    }

    @Test
    void everyDemonstrationJobFollowsTheSchema() throws Exception {
        for (Job job : List.copyOf(jobs.all())) {
            assertThat(exchange.importJson(exchange.json(job.id()))).isNotNull();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "null",
                "[]",
                "{",
                "{\"format\":\"ulnaris-job\"}",
                "{\"format\":\"ulnaris-job\",\"version\":3,\"job\":{},\"cables\":[]}",
                "{\"format\":\"ulnaris-job\",\"version\":1,\"job\":{\"name\":\"x\",\"kind\":\"MARINE\",\"nominalVoltageV\":-1,"
                        + "\"chargingVoltageV\":1e400,\"units\":\"US\",\"ruleSet\":\"NEC_RACEWAY\"},\"cables\":[]}"
            })
    void brokenJobFilesAreRefused(String json) {
        int before = jobs.all().size();
        assertThatThrownBy(() -> exchange.importJson(json))
                .isInstanceOfSatisfying(
                        ExchangeService.RefusedException.class,
                        e -> assertThat(e.faults()).isNotEmpty());
        assertThat(jobs.all()).hasSize(before);
    }

    @Test
    void whatASchemaCannotSayIsCheckedToo() {
        Job job = newJob(Units.METRIC);
        match.change(newCable(job, Map.of("tag", "A1")).id(), Side.A, EndDetails.FRESH);
        String json = exchange.json(job.id()).replace("\"stud\" : \"M8\"", "\"stud\" : \"M7\"");
        assertThatThrownBy(() -> exchange.importJson(json)).hasMessageContaining("A1, end A, Stud M7: Expected one of");
    }

    /** What the pages refuse a file can't bring in either; a contradiction kept would stop every page of its job. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "\"stud\" : \"M8\"; \"stud\" : \"M7\"; BANK: unknown stud M7",
                "\"torqueMinNm\" : 7.0; \"torqueMinNm\" : 9.0; BANK: the nominal torque must lie in its range",
                "\"torqueNm\" : 8.0; \"torqueNm\" : 1e-400; torqueNm: must have an exclusive minimum",
                "\"torqueMaxNm\" : 9.0; \"torqueMaxNm\" : 7.5; BANK: the nominal torque must lie in its range",
                "\"kind\" : \"MOBILE\"; \"kind\" : \"MARINE\"; BODY: no return through the hull of a boat"
            })
    void whatPagesRefuseNoFileBringsIn(String kept, String changed, String refusal) throws Exception {
        Job job = newJob(Units.METRIC);
        Map<String, String> bank = Map.of(
                "kind",
                "BANK",
                "tag",
                "BANK",
                "stud",
                "M8",
                "torque",
                "8 Nm",
                "torqueMin",
                "7 Nm",
                "torqueMax",
                "9 Nm");
        assertThat(post("/jobs/" + job.id() + "/equipment", bank)).hasStatus(302);
        assertThat(post("/jobs/" + job.id() + "/equipment", Map.of("kind", "CHASSIS", "tag", "BODY")))
                .hasStatus(302);
        String json = exchange.json(job.id());
        assertThat(exchange.importJson(json)).isNotNull();
        assertThat(json).contains(kept);
        assertThatThrownBy(() -> exchange.importJson(json.replace(kept, changed)))
                .hasMessageContaining(refusal);
    }

    /** Figures and texts that a schema lets pass and no form would. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "\"currentA\" : 180.0; \"currentA\" : 1e-400; currentA: must have an exclusive minimum",
                "\"currentA\" : 180.0; \"currentA\" : 1e300; the figure is too large",
                "\"lengthM\" : 2.4; \"lengthM\" : 1e-400; lengthM: must have an exclusive minimum",
                "\"tag\" : \"A1\"; \"tag\" : \"A\\u00011\"; a character that can’t be printed, U+0001",
                "\"tag\" : \"A1\"; \"tag\" : \"A\\uFFFE1\"; a character that can’t be printed, U+FFFE",
                "\"tag\" : \"A1\"; \"tag\" : \"A\\uD8001\"; a character that can’t be printed, U+D800",
                "\"mostLugs\" : 4; \"mostLugs\" : 900; rules"
            })
    void oddFiguresAreRefusedWithTheirPlace(String kept, String changed, String refusal) {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "A1"));
        String json = exchange.json(job.id());
        assertThat(json).contains(kept);
        assertThatThrownBy(() -> exchange.importJson(json.replace(kept, changed)))
                .hasMessageContaining(refusal);
        assertThatThrownBy(() -> exchange.importJson(json.replace("180.0", "9".repeat(900))))
                .isInstanceOf(ExchangeService.RefusedException.class);
    }

    @Test
    void aZeroLosesItsSign() throws Exception {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "A1", "slack", "0"));
        String json = exchange.json(job.id()).replace("\"slackMm\" : 0.0", "\"slackMm\" : -0.0");
        assertThat(json).contains("-0.0");
        assertThat(exchange.json(exchange.importJson(json).id())).doesNotContain("-0.0");
    }

    /** A file with the same tag for a cable and a fuse, as jobs could once be. */
    @Test
    void aTagForTwoThingsIsRefused() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "A1"));
        post(
                "/jobs/" + job.id() + "/equipment",
                Map.of("kind", "FUSE", "tag", "F1", "family", "CLASS_T", "rating", "100 A"));
        String json = exchange.json(job.id()).replace("\"A1\"", "\"f1\"");
        assertThatThrownBy(() -> exchange.importJson(json)).hasMessageContaining("f1: the tag is there twice");
    }

    /** Tables come back in, into their own job and into a new one, with the currents left to the loads. */
    @Test
    void everyDemonstrationTableComesBack() {
        for (Job demo : jobs.all().stream().filter(job -> job.id() <= 3).toList()) {
            String csv = exchange.csv(demo.id());
            CableCsv.Parsed own = exchange.preview(demo.id(), csv);
            assertThat(own.faults()).isEmpty();
            assertThat(own.rows()).isNotEmpty().allMatch(CableCsv.Row::same);
            Job fresh = newJob(Units.US);
            assertThat(exchange.importCsv(fresh.id(), csv).faults()).isEmpty();
            assertThat(exchange.csv(fresh.id())).isEqualTo(csv);
            assertThat(get("/jobs/" + fresh.id() + "/findings")).hasStatusOk();
        }
    }

    /** A file may say that loads make the current of a cable between places that are no terminals; found by the hunt. */
    @Test
    void theTableOfACableThatNoLoadReachesComesBack() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("from", "the shelf", "to", ""));
        cables.change(cable.id(), cable.details().byLoads());
        CableCsv.Parsed own = exchange.preview(job.id(), exchange.csv(job.id()));
        assertThat(own.faults()).isEmpty();
        assertThat(own.rows()).allMatch(CableCsv.Row::same);
    }

    /** A file of millions of quotes, each six characters when it is escaped, is answered in short; a short one comes back to be mended. */
    @Test
    void aHugeTableIsAnsweredInShort() {
        Job job = newJob(Units.METRIC);
        for (int length : List.of(200_000, 5_000_000)) {
            MvcTestResult answer = upload("/jobs/" + job.id() + "/import", "\"".repeat(length));
            assertThat(answer).hasStatus(422);
            assertThat(body(answer)).hasSizeLessThan(100_000).contains("role=\"alert\"");
        }
        assertThat(body(post("/jobs/" + job.id() + "/import", Map.of("text", "tag,current\nmend me,x"))))
                .contains("mend me");
    }

    @Test
    void aRowChangesTheCableWithItsTagAndIsTakenBackWithTheRest() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "A1", "size", "70 mm²", "series", "METRIC"));
        String csv = "tag,current,length,size\na1,90 A,3 m,\nB2,5,1,\n";
        assertThat(body(post("/jobs/" + job.id() + "/import", Map.of("text", csv))))
                .contains(">changed<", ">new<");
        assertThat(post("/jobs/" + job.id() + "/import/accept", Map.of("text", csv)))
                .hasStatus(302);
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(90);
        assertThat(cables.get(cable.id()).details().chosenSize()).isNull();
        assertThat(cables.of(job.id())).hasSize(2);
        undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of());
        assertThat(cables.of(job.id())).hasSize(1);
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(180);
    }

    /** What a spreadsheet would compute is text, a negative figure is none. */
    @ParameterizedTest
    @ValueSource(strings = {"-1+HYPERLINK(A1)", "-5+3", "-cmd", "=1", "@x", "-1-1", "-2.5 mm+1"})
    void nothingInATableIsComputed(String cell) {
        assertThat(CsvText.neutral(cell)).isEqualTo("'" + cell);
        assertThat(CsvText.original("'" + cell)).isEqualTo(cell);
        assertThat(List.of("-2.5 mm", "-5", "-40 °C"))
                .allMatch(figure -> CsvText.neutral(figure).equals(figure));
    }

    /** A job that can't be worked out does not take the pages of the shop with it. */
    @Test
    void aBrokenJobIsALineOfItsOwn() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "A1"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        database.update("update cable set length_m = -1 where id = ?", cable.id());
        database.update("update job set most_lugs = -7 where id = ?", job.id());
        post("/jobs/" + job.id() + "/settings", Map.of("name", "Broken"));
        assertThat(get("/jobs/" + job.id() + "/plan")).hasStatus(422);
        assertThat(body(get("/jobs/" + job.id() + "/plan")))
                .contains("can’t be worked out", "this job can&#39;t be worked out: ");
        assertThat(get("/api/v1/jobs/" + job.id() + "/worked")).hasStatus(422);
        assertThat(body(get("/crib/gaps"))).contains("Broken</b> can’t be worked out");
        for (String page : List.of(
                "/",
                "/jobs",
                "/rules",
                "/find?q=fuse",
                "/stock/buy",
                "/stock/buy.csv",
                "/crib/gaps/nests",
                "/jobs/" + job.id() + "/rules/would",
                "/jobs/" + job.id() + "/pack",
                "/jobs/" + job.id() + "/pack/cables.csv",
                "/jobs/" + job.id() + "/settings")) {
            assertThat(get(page)).as(page).hasStatusOk();
        }
        assertThat(body(get("/stock/buy"))).contains("Broken</b> can’t be worked out");
        assertThat(body(postHtmx("/rules/effect?field=heat", Map.of("heat", "false"))))
                .contains("Broken can’t be worked out");
        assertThat(post("/jobs/" + job.id() + "/delete", Map.of())).hasStatus(302);
    }

    @Test
    void filesAreServedUnderSafeNames() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of());
        assertThat(get("/jobs/" + job.id() + "/pack/cables.csv"))
                .hasStatusOk()
                .headers()
                .hasValue("Content-Disposition", "attachment; filename=\"test-job-cables.csv\"");
        assertThat(get("/jobs/" + job.id() + "/pack/job.json")).hasStatusOk();
    }
}
