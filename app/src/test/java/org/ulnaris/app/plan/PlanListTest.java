package org.ulnaris.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.rating.RuleSet;

class PlanListTest extends AppTest {
    @Autowired
    private LoadsService loads;

    private Job job;
    private Cable thin;
    private Cable thick;
    private Cable middle;

    @BeforeEach
    void threeCables() {
        job = newJob(Units.METRIC);
        middle = newCable(job, Map.of("tag", "B", "current", "60 A", "length", "9 m", "from", "galley"));
        thick = newCable(job, Map.of("tag", "A", "current", "200 A", "length", "1 m", "from", "winch"));
        thin = newCable(job, Map.of("tag", "C", "current", "5 A", "length", "3 m", "size", "1 mm²", "from", "lamp"));
    }

    private List<String> tags(String query) {
        Matcher tag = Pattern.compile("class=\"tag\" href=\"/cables/\\d+/plan\">([^<]+)<")
                .matcher(body(get("/jobs/" + job.id() + "/plan" + query)));
        return tag.results().map(found -> found.group(1)).toList();
    }

    /** 100 lines a page, and the last page however far one asks; a group goes on over a page. */
    @Test
    void aLongListHasPages() {
        CableDetails like = thin.details();
        cables.addAll(
                job.id(),
                IntStream.rangeClosed(1, 198)
                        .mapToObj(number -> Records.with(like, Map.of("tag", "L" + number)))
                        .toList());
        assertThat(tags("")).hasSize(100).startsWith("B", "A", "C", "L1").endsWith("L97");
        assertThat(tags("?page=2")).hasSize(100).startsWith("L98").endsWith("L197");
        assertThat(tags("?page=3")).containsExactly("L198");
        assertThat(tags("?page=999")).containsExactly("L198");
        assertThat(tags("?page=0")).hasSize(100);
        assertThat(tags("?page=x")).hasSize(100);
        assertThat(tags("?grouped=true&page=3")).hasSize(1);
        assertThat(tags("?find=winch&page=2")).containsExactly("A");
        assertThat(body(get("/jobs/" + job.id() + "/plan?sort=TAG&page=2")))
                .contains("sort=TAG&amp;down=false&amp;find=&amp;verdict=&amp;grouped=false&amp;page=3");
        assertThat(body(get("/jobs/" + job.id() + "/plan?find=L1"))).contains("page=2");
        assertThat(body(get("/jobs/" + job.id() + "/plan?find=L19"))).doesNotContain("page=2");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "'';B,A,C",
                "?sort=TAG;A,B,C",
                "?sort=TAG&down=true;C,B,A",
                "?sort=CURRENT;C,B,A",
                "?sort=LENGTH;A,C,B",
                "?sort=SIZE&down=true;A,B,C",
                "?sort=NONSENSE&verdict=MAYBE;B,A,C",
                "?find=WINCH;A",
                "?find=nothing of it;''",
                "?verdict=STOP;''"
            })
    void theAddressSaysWhatIsShown(String query, String expected) {
        assertThat(String.join(",", tags(query))).isEqualTo(expected == null ? "" : expected);
    }

    @Test
    void aLineIsEditedInPlace() {
        var row = postHtmx("/cables/" + thin.id() + "/row", Map.of("current", "40 A"));
        assertThat(row).hasStatusOk();
        assertThat(body(row)).startsWith("<tr id=\"row-" + thin.id()).contains("v-STOP");
        assertThat(body(row))
                .as("the verdict of the job goes with it")
                .containsPattern("id=\"job-verdict\"[^>]*hx-swap-oob=\"true\"");
        assertThat(cables.get(thin.id()).details().currentA()).isEqualTo(40);
        assertThat(cables.get(thin.id()).details().chosenSize()).isEqualTo("1 mm²");
        assertThat(tags("?verdict=STOP")).containsExactly("C");
    }

    @ParameterizedTest
    @CsvSource({"length,long", "current,-3 A", "size,7 bananas", "length,0.4 m + ", "current,''"})
    void aBadEntryInALineIsKeptAndSaid(String field, String typed) {
        var row = postHtmx("/cables/" + thick.id() + "/row", Map.of(field, typed));
        assertThat(row).hasStatus(422);
        assertThat(body(row)).contains("aria-invalid=\"true\"", "field-error");
        assertThat(cables.get(thick.id()).details()).isEqualTo(thick.details());
    }

    @Test
    void aLineChangedMeanwhileIsNotOverwritten() {
        String row = "/cables/" + thick.id() + "/row";
        String began = Merge.began(new TreeMap<>(Map.of("length", "2 m", "current", "60 A", "size", "")));
        post(row, Map.of("length", "2 m", "current", "60 A"));
        post(row, Map.of("began", began, "length", "3 m"));
        var late = postHtmx(row, Map.of("began", began, "length", "7 m", "current", "60 A"));
        assertThat(late).hasStatus(422);
        assertThat(body(late)).contains("meanwhile", "value=\"7 m\"");
        assertThat(cables.get(thick.id()).details().lengthM()).isEqualTo(3);
        assertThat(postHtmx(row, Map.of("began", began, "length", "2 m", "current", "70 A")))
                .hasStatusOk();
        assertThat(cables.get(thick.id()).details().lengthM()).isEqualTo(3);
        assertThat(cables.get(thick.id()).details().currentA()).isEqualTo(70);
    }

    private MvcTestResult bulk(String field, String value, Cable... chosen) {
        var request = mvc.post()
                .uri("/jobs/" + job.id() + "/bulk")
                .with(csrf())
                .param("field", field)
                .param("value", value);
        for (Cable cable : chosen) {
            request.param("cable", "" + cable.id());
        }
        return request.exchange();
    }

    @Test
    void manyAreChangedAtOnce() {
        assertThat(bulk("drop", "5 %", thin, middle)).hasStatus(302);
        assertThat(cables.get(thin.id()).details().dropPercent()).isEqualTo(5);
        assertThat(cables.get(middle.id()).details().dropPercent()).isEqualTo(5);
        assertThat(cables.get(thick.id()).details().dropPercent()).isNull();
        assertThat(bulk("size", "", thin)).hasStatus(302);
        assertThat(cables.get(thin.id()).details().chosenSize()).isNull();
        assertThat(bulk("strands", "tinned", thin)).hasStatus(302);
        assertThat(cables.get(thin.id()).details().metal()).isEqualTo(ConductorMetal.TINNED);
        assertThat(body(get("/jobs/" + job.id() + "/plan"))).contains("One cable was changed at once.");
    }

    /** One press takes it back, but for what somebody has changed since; a press more finds nothing to do. */
    @Test
    void aChangeOfManyIsTakenBackAsOneStep() {
        bulk("drop", "5 %", thin, middle, thick);
        assertThat(body(get("/jobs/" + job.id() + "/plan"))).contains("3 cables were changed at once.");
        Cable touched = cables.get(middle.id());
        cables.change(touched.id(), touched.details().carrying(77));
        var undone = undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of());
        assertThat(undone).hasStatus(302);
        assertThat(undone.getResponse().getRedirectedUrl()).endsWith("?undone=2&left=1");
        assertThat(cables.get(thin.id()).details()).isEqualTo(thin.details());
        assertThat(cables.get(thick.id()).details()).isEqualTo(thick.details());
        assertThat(cables.get(middle.id()).details().dropPercent()).isEqualTo(5);
        assertThat(cables.get(middle.id()).details().currentA()).isEqualTo(77);
        assertThat(body(get("/jobs/" + job.id() + "/plan?undone=2&left=1"))).contains("changed since");
        assertThat(undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of())
                        .getResponse()
                        .getRedirectedUrl())
                .endsWith("?late");
    }

    @Test
    void anImportIsTakenBackAsOneStep() {
        post("/jobs/" + job.id() + "/import/accept", Map.of("text", "tag,current,length\nI1,20,3\nI2,30,4\n"));
        assertThat(cables.of(job.id())).hasSize(5);
        assertThat(body(get("/jobs/" + job.id() + "/plan"))).contains("2 cables were imported.");
        undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of());
        assertThat(cables.of(job.id())).hasSize(3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"drop", "ambient", "tag", "", "series"})
    void aBadValueForManyChangesNone(String field) {
        var refused = bulk(field, "nonsense", thin, middle);
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("value=\"nonsense\"");
        assertThat(cables.get(thin.id()).details()).isEqualTo(thin.details());
        assertThat(bulk("drop", "5 %")).hasStatus(422);
    }

    @Test
    void aCableOfAnotherJobIsNotTouched() {
        Cable foreign = newCable(newJob(Units.METRIC), Map.of());
        assertThat(bulk("drop", "5 %", thin, foreign)).hasStatus(404);
        assertThat(cables.get(foreign.id()).details().dropPercent()).isNull();
        assertThat(cables.get(thin.id()).details().dropPercent()).isNull();
    }

    @Test
    void aPairIsMadeAtOnce() {
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "1 kW"));
        Map<String, String> pair = Map.of(
                "tag", "INV+", "from", "BANK.plus", "to", "INV.plus", "length", "2 m", "current", "", "pair", "true");
        assertThat(post("/jobs/" + job.id() + "/cables", pair)).hasStatus(302);
        assertThat(cables.of(job.id()))
                .filteredOn(cable -> cable.details().tag().equals("INV−"))
                .singleElement()
                .satisfies(cable -> {
                    assertThat(cable.details().fromPoint()).isEqualTo("INV.minus");
                    assertThat(cable.details().toPoint()).isEqualTo("BANK.minus");
                    assertThat(cable.details().polarity()).isEqualTo(Polarity.NEGATIVE);
                });
        assertThat(post("/jobs/" + job.id() + "/cables", pair)).hasStatus(422);
        loads.changeCase(loads.addCase(job.id(), "on", 1), "on", 1, Map.of());
        assertThat(body(get("/jobs/" + job.id() + "/plan?grouped=true"))).contains("group-row", ">INV<", "no circuit");
    }

    /** From a plus bar the return does not go back to that bar: which minus bar is asked, and no live one is taken. */
    @Test
    void theReturnOfABarIsAskedFor() {
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "1 kW"));
        for (String bar : List.of("BUS", "NEG", "OTHER")) {
            loads.add(job.id(), EquipmentKind.BUS_BAR, Map.of("tag", bar));
        }
        newCable(job, Map.of("tag", "B1", "from", "BANK.plus", "to", "BUS.bar"));
        newCable(job, Map.of("tag", "B2", "from", "BUS.bar", "to", "OTHER.bar"));
        newCable(job, Map.of("tag", "B3", "from", "NEG.bar", "to", "BANK.minus"));
        loads.changeCase(loads.addCase(job.id(), "on", 1), "on", 1, Map.of());
        Map<String, String> pair = new HashMap<>(Map.of(
                "tag", "INV+", "from", "BUS.bar", "to", "INV.plus", "length", "2 m", "current", "", "pair", "true"));
        var asked = post("/jobs/" + job.id() + "/cables", pair);
        assertThat(asked).hasStatus(422);
        assertThat(body(asked)).contains("the terminal where its return ends, for example NEG.bar");
        for (String wrong : List.of("BUS.bar", "OTHER.bar", "BANK.plus", "INV.plus", "NOWHERE.bar")) {
            pair.put("back", wrong);
            var refused = post("/jobs/" + job.id() + "/cables", pair);
            assertThat(refused).as(wrong).hasStatus(422);
            assertThat(body(refused))
                    .contains("a terminal on the minus side, for example NEG.bar", "value=\"" + wrong + "\"");
        }
        pair.put("back", "NEG.bar");
        assertThat(post("/jobs/" + job.id() + "/cables", pair)).hasStatus(302);
        assertThat(cables.of(job.id()))
                .filteredOn(cable -> cable.details().tag().equals("INV−"))
                .singleElement()
                .satisfies(cable -> {
                    assertThat(cable.details().fromPoint()).isEqualTo("INV.minus");
                    assertThat(cable.details().toPoint()).isEqualTo("NEG.bar");
                });
        pair.putAll(Map.of("tag", "X", "from", "BUS.bar", "to", "OTHER.bar"));
        assertThat(body(post("/jobs/" + job.id() + "/cables", pair))).contains("a pair runs to a plus");
    }

    @Test
    void aHullReturnIsRefusedWithTheReason() {
        Job boat = jobs.create(
                new JobDetails("Boat", JobKind.MARINE, 12, 14.4, Units.US, RuleSet.CFR_183_425, JobRules.USUAL));
        Map<String, String> hull = Map.of("kind", "CHASSIS", "tag", "HULL");
        var refused = post("/jobs/" + boat.id() + "/equipment", hull);
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("marine practice refuses a hull return", "value=\"HULL\"");
        assertThat(post("/jobs/" + job.id() + "/equipment", hull)).hasStatus(302);
        var turned = post("/jobs/" + job.id() + "/settings", Map.of("kind", "MARINE"));
        assertThat(turned).hasStatus(422);
        assertThat(body(turned)).contains("HULL is a part of this job", "Take HULL out first");
        assertThat(jobs.get(job.id()).details().kind()).isEqualTo(JobKind.MOBILE);
        assertThat(post("/jobs/" + job.id() + "/settings", Map.of("kind", "OFF_GRID")))
                .hasStatus(302);
    }
}
