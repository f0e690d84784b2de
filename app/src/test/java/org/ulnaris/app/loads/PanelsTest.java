package org.ulnaris.app.loads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.exchange.ExchangeService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;

/** Solar panels and fuse panels as pieces of a job. */
class PanelsTest extends AppTest {
    private static final Map<String, String> PANEL = Map.of(
            "tag",
            "E1",
            "panels",
            "2",
            "openVolt",
            "22.4 V",
            "workVolt",
            "18.6",
            "shortCurrent",
            "9.8",
            "workCurrent",
            "9.2",
            "panelFuse",
            "15 A",
            "coldest",
            "-10 °C");

    @Autowired
    private LoadsService loads;

    @Autowired
    private ExchangeService exchange;

    private Job job;

    @BeforeEach
    void aJob() {
        job = newJob(Units.METRIC);
    }

    private Cable connect(String from, String to, String length) {
        String tag = "PT" + from + to;
        var made = post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", tag, "from", from, "to", to, "current", "", "length", length));
        assertThat(made).hasStatus(302);
        return cables.get(Long.parseLong(made.getResponse().getRedirectedUrl().replaceAll("\\D", "")));
    }

    private Map<String, String> panel(String... changes) {
        Map<String, String> typed = new HashMap<>(PANEL);
        for (int i = 0; i < changes.length; i += 2) {
            typed.put(changes[i], changes[i + 1]);
        }
        typed.put("kind", "PANELS");
        return typed;
    }

    private String add(Map<String, String> typed) {
        return body(post("/jobs/" + job.id() + "/equipment", typed));
    }

    @Test
    void panelsAreSizedInBrightSunWithoutACase() {
        add(panel());
        loads.add(job.id(), EquipmentKind.PANEL_INPUT, Map.of("tag", "MP", "highest", "45 V"));
        Cable plus = connect("E1.plus", "MP.plus", "4 m");
        connect("MP.minus", "E1.minus", "4 m");
        loads.addCase(job.id(), "night", 8);
        assertThat(worked(plus).carried().currentA()).as("1.25 · Isc").isCloseTo(12.25, within(1e-6));
        assertThat(body(get("/jobs/" + job.id() + "/findings")))
                .as("44.8 V · 1.14 by NEC 690.7(A)")
                .containsPattern("51\\.07?.V in the coldest air destroys a controller for 45");
        assertThat(body(get("/jobs/" + job.id() + "/landing"))).contains("Covered, or in the dark: E1");
    }

    @ParameterizedTest
    @CsvSource({
        "workVolt, 23 V, at most the open-circuit voltage",
        "workCurrent, 10, at most the short-circuit current",
        "openVolt, '', Needs an entry",
        "coldest, 40 °C, 25",
        "coefficient, 5 %, 1"
    })
    void whatCannotBeIsToldAtItsField(String field, String typed, String said) {
        assertThat(add(panel(field, typed))).contains(said).contains("value=\"22.4 V\"".replace("22.4 V", typed));
        assertThat(loads.equipment(job.id())).isEmpty();
    }

    @Test
    void aFileKeepsPanelsAndMountedFuses() throws ExchangeService.RefusedException {
        add(panel("coefficient", "-0.29 %/°C"));
        loads.add(job.id(), EquipmentKind.PANEL_INPUT, Map.of("tag", "MP", "highest", "75 V", "shortLimit", "30 A"));
        assertThat(post(
                        "/jobs/" + job.id() + "/fuse-panel",
                        Map.of("tag", "FP", "ratings", "15 7.5", "rating", "100 A")))
                .hasStatus(302);
        Job back = exchange.importJson(exchange.json(job.id()));
        assertThat(loads.details(back.id())).isEqualTo(loads.details(job.id()));
        assertThat(loads.details(job.id()).get(0).percentPerKelvin()).isEqualTo(-0.29);
    }

    @Test
    void aFusePanelIsOneStepThatCanBeTakenBack() {
        assertThat(post(
                        "/jobs/" + job.id() + "/fuse-panel",
                        Map.of("tag", "FP", "family", "BLADE_C", "ratings", "15 A, 10 A; 7,5")))
                .hasStatus(302);
        assertThat(loads.details(job.id()))
                .extracting(EquipmentDetails::tag)
                .containsExactly("FP", "FP-1", "FP-2", "FP-3");
        assertThat(loads.details(job.id()))
                .extracting(EquipmentDetails::ratingA)
                .containsExactly(null, 15.0, 10.0, 7.5);
        assertThat(loads.of(job.id())).contains("FP.bar", "FP-1.out").doesNotContain("FP-1.in");
        assertThat(body(get("/jobs/" + job.id() + "?mended")))
                .contains("A fuse panel was added, 4 pieces with its bar");
        assertThat(undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of())).hasStatus(302);
        assertThat(loads.details(job.id())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"15,10", "15 A 99", "nothing", "''", "15 10 -3"})
    void ratingsThatNoFuseHasAreToldAndKept(String ratings) {
        var refused =
                post("/jobs/" + job.id() + "/fuse-panel", Map.of("tag", "FP", "family", "BLADE_C", "ratings", ratings));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("value=\"FP\"", "value=\"" + ratings + "\"");
        assertThat(loads.equipment(job.id())).isEmpty();
    }

    @Test
    void aFuseSitsOnSomethingThatIsThere() {
        loads.add(job.id(), EquipmentKind.BUS_BAR, Map.of("tag", "BUS"));
        for (String wrong : List.of("BUSS", "BUS.plus", "F1.out", "F1")) {
            var refused = post(
                    "/jobs/" + job.id() + "/equipment",
                    Map.of("kind", "FUSE", "tag", "F1", "rating", "60 A", "on", wrong));
            assertThat(refused).as(wrong).hasStatus(422);
            assertThat(body(refused)).contains("a bar or a terminal of this job");
        }
        assertThat(post(
                        "/jobs/" + job.id() + "/equipment",
                        Map.of("kind", "FUSE", "tag", "F1", "rating", "60 A", "on", "BUS")))
                .hasStatus(302);
        loads.addCase(job.id(), "day", 1);
        long bar = loads.idOf(job.id(), "BUS").orElseThrow();
        assertThat(post("/equipment/" + bar + "/delete", Map.of())).hasStatus(302);
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("“BUS.bar” is no terminal of this job");
        assertThat(get("/jobs/" + job.id())).hasStatusOk();
    }
}
