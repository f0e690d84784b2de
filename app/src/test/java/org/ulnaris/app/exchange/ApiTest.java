package org.ulnaris.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;

class ApiTest extends AppTest {
    private static final String SIZING = """
            {"currentA":180,"oneWayLengthM":2.4,"systemVoltageV":24,"maxDropPercent":3,"insulationTempC":105,"ambientC":30,
             "engineSpace":false,"bundledConductors":2,"ruleSet":"CFR_183_425","sizeSeries":"AWG","tinned":true}""";
    private static final String CRIMP = """
            {"conductor":{"areaMm2":50},"lug":{"material":"COPPER","barrelOdMm":14.5,"boreIdMm":10,"barrelDepthMm":28},
             "die":{"shape":"HEX","acrossFlatsMm":11.9,"widthMm":5}}""";

    private MvcTestResult call(String path, String json) {
        return mvc.post()
                .uri(path)
                .contentType(MediaType.APPLICATION_JSON)
                .content(json)
                .exchange();
    }

    @Test
    void sizing() {
        assertThat(call("/api/v1/sizing", SIZING)).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat().extractingPath("$.chosen.designation").isEqualTo("1 AWG");
            json.assertThat().extractingPath("$.chosen.areaMm2").isEqualTo(42.41);
            json.assertThat().extractingPath("$.decidedBy").isEqualTo("TERMINAL_TEMPERATURE");
            json.assertThat().extractingPath("$.rungs.length()").isEqualTo(15);
            json.assertThat().extractingPath("$.rungs[9].findings[0].code").isEqualTo("AMPACITY");
            json.assertThat().extractingPath("$.rungs[9].findings[0].limit").isEqualTo(210.0);
            json.assertThat().extractingPath("$.rungs[9].findings[0].verdict").isEqualTo("PASS");
            json.assertThat().extractingPath("$.rungs[9].findings[0].unit").isEqualTo("A");
            json.assertThat()
                    .extractingPath("$.rungs[9].findings[0].source")
                    .asString()
                    .contains("33 CFR 183.425");
        });
    }

    private static final String NETWORK = """
            {"elements":[
              {"type":"SOURCE","id":"bank","from":"b-","to":"b+","openV":25.6,"ohm":0.004},
              {"type":"WIRE","id":"plus","from":"b+","to":"i+","ohmAt20":0.002,"ambientC":30,"maxC":105,"ampacityA":160},
              {"type":"RESISTOR","id":"fuse","from":"i+","to":"f","ohm":0.0003},
              {"type":"POWER_LOAD","id":"inverter","from":"f","to":"b-","powerW":3000},
              {"type":"RESISTIVE_LOAD","id":"heater","from":"b+","to":"b-","ohm":2},
              {"type":"CURRENT_LOAD","id":"stray","from":"x","to":"y","currentA":1},
              {"type":"LIMITED_SOURCE","id":"charger","from":"b-","to":"b+","setV":28.8,"ohm":0.01,"maxA":30}]}""";

    @Test
    void network() {
        assertThat(call("/api/v1/network", NETWORK)).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat().extractingPath("$.elements.charger.currentA").isEqualTo(30.0);
            json.assertThat().extractingPath("$.elements.inverter.powerW").isEqualTo(3000.0);
            json.assertThat()
                    .extractingPath("$.elements.plus.temperatureC")
                    .asNumber()
                    .isNotNull();
            json.assertThat().extractingPath("$.nodeV['b-']").isEqualTo(0.0);
            json.assertThat().extractingPath("$.faults[0].kind").isEqualTo("NO_SOURCE");
            json.assertThat().extractingPath("$.faults[0].elements[0]").isEqualTo("stray");
        });
    }

    @Test
    void aNetworkWithFaultsListsThemAll() {
        String faulty = NETWORK.replace("\"ohm\":0.004", "\"ohm\":-1")
                .replace("\"id\":\"fuse\"", "\"id\":\"plus\"")
                .replace("\"powerW\":3000", "\"power\":3000")
                .replace("\"from\":\"x\"", "\"from\":\"y\"");
        assertThat(call("/api/v1/network", faulty)).hasStatus(400).bodyJson().satisfies(json -> {
            json.assertThat()
                    .extractingPath("$.errors[*].pointer")
                    .asArray()
                    .contains("/elements/0/ohm", "/elements/3/power", "/elements/3/powerW", "/elements/5/to");
        });
        for (String body :
                java.util.List.of("{}", "{\"elements\":[]}", "{\"elements\":[1]}", "{\"elements\":{}}", "[]", "")) {
            assertThat(call("/api/v1/network", body)).as(body).hasStatus(400);
        }
    }

    @Test
    void aJobIsSolved() {
        long cart = jobs.all().stream()
                .filter(job -> job.details().name().equals("Lantern Cart"))
                .reduce((first, second) -> second)
                .orElseThrow()
                .id();
        assertThat(call("/api/v1/jobs/" + cart + "/solve", ""))
                .hasStatusOk()
                .bodyJson()
                .satisfies(json -> {
                    json.assertThat().extractingPath("$.cables[0].tag").isEqualTo("INV+");
                    json.assertThat().extractingPath("$.cables[0].worstCase").isEqualTo("Show on the bank");
                    json.assertThat().extractingPath("$.cases.length()").isEqualTo(3);
                    json.assertThat()
                            .extractingPath("$.cases[0].paths.INV.shares.length()")
                            .isEqualTo(8);
                });
        assertThat(call("/api/v1/jobs/999999/solve", "")).hasStatus(404);
    }

    @Test
    void crimp() {
        assertThat(call("/api/v1/crimp", CRIMP)).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat().extractingPath("$.verdict").isEqualTo("PASS");
            json.assertThat().extractingPath("$.crimps").isEqualTo(3);
            json.assertThat().extractingPath("$.positionsMm").asArray().containsExactly(23.5, 14.0, 4.5);
            json.assertThat().extractingPath("$.boreFill").isEqualTo(0.63662);
        });
    }

    @Test
    void nothingFitsSaysWhy() {
        assertThat(call("/api/v1/sizing", SIZING.replace("\"currentA\":180", "\"currentA\":4000")))
                .hasStatusOk()
                .bodyJson()
                .satisfies(json -> {
                    json.assertThat().extractingPath("$.chosen").isNull();
                    json.assertThat().extractingPath("$.why").asString().contains("Even 4/0 AWG fails AMPACITY");
                });
    }

    @Test
    void everyFaultIsListed() {
        String bad = SIZING.replace("180", "-1")
                .replace("24,", "\"24\",")
                .replace("\"AWG\"", "\"SWG\"")
                .replace("tinned", "tinnned");
        assertThat(call("/api/v1/sizing", bad))
                .hasStatus(400)
                .hasContentType(MediaType.APPLICATION_PROBLEM_JSON)
                .bodyJson()
                .satisfies(json -> {
                    json.assertThat()
                            .extractingPath("$.errors[*].pointer")
                            .asArray()
                            .containsExactlyInAnyOrder("/tinnned", "/currentA", "/systemVoltageV", "/sizeSeries");
                    json.assertThat().extractingPath("$.status").isEqualTo(400);
                });
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "null", "[]", "7", "{", "{}", "{\"currentA\":NaN}", "{\"a\":1}{}", "\"x\""})
    void brokenBodiesGiveProblemDocuments(String body) {
        for (String path : new String[] {"/api/v1/sizing", "/api/v1/crimp"}) {
            assertThat(call(path, body)).hasStatus(400).hasContentType(MediaType.APPLICATION_PROBLEM_JSON);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "boreIdMm\":10,boreIdMm\":15,/lug/boreIdMm",
        "widthMm\":5,widthMm\":0,/die/widthMm",
        "areaMm2\":50,areaMm2\":null,/conductor/areaMm2",
        "HEX,ROUND,/die/shape"
    })
    void crimpFaultsNameTheirPlace(String from, String to, String pointer) {
        assertThat(call("/api/v1/crimp", CRIMP.replace(from, to)))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[0].pointer")
                .isEqualTo(pointer);
    }

    @Test
    void describesItself() {
        assertThat(get("/api/v1/openapi")).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat()
                    .extractingPath("$.paths")
                    .asMap()
                    .containsOnlyKeys(
                            "/api/v1/sizing",
                            "/api/v1/crimp",
                            "/api/v1/network",
                            "/api/v1/jobs/{id}/solve",
                            "/api/v1/jobs/{id}/worked",
                            "/api/v1/to-buy",
                            "/api/v1/ends",
                            "/api/v1/token",
                            "/api/v1/lugs",
                            "/api/v1/contacts",
                            "/api/v1/crib",
                            "/api/v1/crib/dies",
                            "/api/v1/crib/tools",
                            "/api/v1/crib/place");
        });
    }

    @Test
    void otherMethodsAndAddressesGetProblems() {
        assertThat(get("/api/v1/sizing")).hasStatus(405);
        assertThat(get("/api/v1/nowhere")).hasStatus(404);
    }
}
