package org.ulnaris.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.stock.LugStock;

class PartsApiTest extends AppTest {
    private static final String LUG = """
            {"code":"%s","material":"COPPER","barrelOdMm":14.5,"boreIdMm":10,"barrelDepthMm":28,"padWidthMm":"22 mm",
             "holeMm":8.4,"angleDeg":90,"bellMouth":true}""";
    private static final String DIES =
            "{\"tag\":\"API1\",\"shape\":\"HEX\",\"acrossFlatsMm\":11.9,\"widthMm\":5,\"material\":\"COPPER\",\"family\":\"api jaw\"}";
    private static final String TOOL =
            "{\"tag\":\"APIT\",\"name\":\"press\",\"kind\":\"HYDRAULIC_HAND\",\"family\":\"api jaw\",\"forceKn\":60,\"fullCycle\":true}";

    @Autowired
    private LugStock stock;

    @Autowired
    private CribService crib;

    private MvcTestResult send(HttpMethod method, String path, String json) {
        return mvc.method(method)
                .uri(path)
                .contentType(MediaType.APPLICATION_JSON)
                .content(json)
                .with(csrf())
                .exchange();
    }

    private MvcTestResult ends(String json) {
        return mvc.post()
                .uri("/api/v1/ends")
                .contentType(MediaType.APPLICATION_JSON)
                .content(json)
                .exchange();
    }

    @Test
    void proposesALugWithItsDiesAndSleeve() {
        crib.addStandardSet();
        assertThat(ends("{\"conductor\":{\"size\":\"50 mm²\"},\"landing\":{\"stud\":\"M8\",\"clearWidthMm\":26}}"))
                .hasStatusOk()
                .bodyJson()
                .satisfies(json -> {
                    json.assertThat().extractingPath("$.chosen.code").isEqualTo("DIN 50 · M8");
                    json.assertThat().extractingPath("$.chosen.dies").isEqualTo("K14");
                    json.assertThat().extractingPath("$.chosen.stripMm").isEqualTo(29.0);
                    json.assertThat()
                            .extractingPath("$.chosen.sleeve")
                            .asString()
                            .isNotEmpty();
                    json.assertThat().extractingPath("$.proposals.length()").isEqualTo(12);
                    json.assertThat()
                            .extractingPath("$.proposals[0].diesInCrib")
                            .isEqualTo(true);
                    json.assertThat()
                            .extractingPath("$.proposals[0].findings[*].code")
                            .asArray()
                            .contains("BARREL_FIT", "HOLE_FIT", "PAD_CLEARANCE");
                });
    }

    @ParameterizedTest
    @CsvSource({
        "STACKABLE, 4 mm², SP cane",
        "TWO_POLE, 16 mm², TP wren 16",
        "PV, 6 mm², PV kite",
        "FERRULE, 2.5 mm², ferrule 2.5 × 8",
        "HEAVY_SPLICE, 70 mm², splice 70"
    })
    void proposesContactsOfEveryFamily(String family, String size, String code) {
        assertThat(ends("{\"conductor\":{\"size\":\"" + size
                        + "\"},\"environment\":{\"place\":\"BOAT\",\"currentA\":5},\"schools\":{\"family\":\"" + family
                        + "\"}}"))
                .hasStatusOk()
                .bodyJson()
                .extractingPath("$.chosen.code")
                .asString()
                .startsWith(code.split(" ×")[0].substring(0, 2));
    }

    @Test
    void whatTheRoomAsksForIsHeard() {
        assertThat(ends("{\"conductor\":{\"size\":\"50 mm²\",\"count\":1},\"landing\":{\"stud\":\"M8\",\"angleDeg\":90,"
                        + "\"headroomMm\":40,\"neighbourMm\":30,\"leaveDeg\":10}}"))
                .hasStatusOk()
                .bodyJson()
                .satisfies(json -> json.assertThat()
                        .extractingPath("$.proposals[*].findings[*].code")
                        .asArray()
                        .contains("LUG_ANGLE", "HEADROOM", "NEIGHBOUR_GAP"));
    }

    @Test
    void everyFaultOfAnEndIsListed() {
        assertThat(ends(
                        "{\"conductor\":{\"size\":\"thick\",\"tined\":true},\"landing\":{\"stud\":\"M7\",\"clearWidthMm\":-1},"
                                + "\"schools\":{\"family\":\"GLUE\"}}"))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[*].pointer")
                .asArray()
                .contains("/conductor/size", "/conductor/tined", "/landing/clearWidthMm", "/schools/family");
        for (String body : new String[] {"", "[]", "{}", "{\"conductor\":1}", "{\"conductor\":{\"size\":\"50\"}}"}) {
            assertThat(ends(body)).as(body).hasStatus(400);
        }
    }

    @Test
    void lugsAreReadAndWritten() {
        assertThat(send(HttpMethod.POST, "/api/v1/lugs", LUG.formatted("api lug")))
                .hasStatus(201);
        assertThat(stock.coded("api lug").orElseThrow().form().angleDeg()).isEqualTo(90);
        assertThat(get("/api/v1/lugs")).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat()
                    .extractingPath("$[?(@.code=='api lug')].padWidthMm")
                    .asArray()
                    .containsExactly(22.0);
            json.assertThat()
                    .extractingPath("$[?(@.code=='KT 25 twin · M8')].conductors")
                    .asArray()
                    .containsExactly(2);
        });
        assertThat(send(HttpMethod.POST, "/api/v1/lugs", LUG.formatted("api lug")))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[0].code")
                .isEqualTo("TAKEN");
        assertThat(send(HttpMethod.POST, "/api/v1/lugs", "{\"code\":\"x\",\"barrelOdMm\":true,\"colour\":\"red\"}"))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[*].pointer")
                .asArray()
                .contains("/colour");
        assertThat(send(HttpMethod.DELETE, "/api/v1/lugs?code=api lug", "")).hasStatus(204);
        assertThat(send(HttpMethod.DELETE, "/api/v1/lugs?code=api lug", "")).hasStatus(404);
    }

    @Test
    void contactsAreReadAndWritten() {
        String json =
                "{\"code\":\"api frame\",\"family\":\"TWO_POLE\",\"fromMm2\":13,\"toMm2\":\"16 mm²\",\"ratedA\":50,"
                        + "\"stripMm\":12,\"depthMm\":11,\"reachMm\":46,\"barrelOdMm\":7.5,\"boreIdMm\":5.4}";
        assertThat(send(HttpMethod.POST, "/api/v1/contacts", json)).hasStatus(201);
        assertThat(get("/api/v1/contacts"))
                .hasStatusOk()
                .bodyJson()
                .extractingPath("$[?(@.code=='api frame')].boreIdMm")
                .asArray()
                .containsExactly(5.4);
        assertThat(send(HttpMethod.POST, "/api/v1/contacts", json.replace("\"toMm2\":\"16 mm²\"", "\"toMm2\":4")))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[*].pointer")
                .asArray()
                .contains("/toMm2");
        assertThat(send(HttpMethod.DELETE, "/api/v1/contacts?code=api frame", ""))
                .hasStatus(204);
    }

    @Test
    void theCribIsReadAndWritten() {
        assertThat(send(HttpMethod.POST, "/api/v1/crib/dies", DIES)).hasStatus(201);
        assertThat(send(HttpMethod.POST, "/api/v1/crib/tools", TOOL)).hasStatus(201);
        assertThat(send(HttpMethod.PUT, "/api/v1/crib/place", "{\"tag\":\"API1\",\"tool\":\"APIT\"}"))
                .hasStatus(204);
        assertThat(get("/api/v1/crib")).hasStatusOk().bodyJson().satisfies(json -> {
            json.assertThat()
                    .extractingPath("$.dies[?(@.tag=='API1')].inTool")
                    .asArray()
                    .containsExactly("APIT");
            json.assertThat()
                    .extractingPath("$.tools[?(@.tag=='APIT')].forceKn")
                    .asArray()
                    .containsExactly(60.0);
        });
        assertThat(send(HttpMethod.PUT, "/api/v1/crib/place", "{\"tag\":\"API1\"}"))
                .hasStatus(204);
        assertThat(crib.find("API1").orElseThrow().inTool()).isNull();
        assertThat(send(HttpMethod.PUT, "/api/v1/crib/place", "{\"tag\":\"nowhere\"}"))
                .hasStatus(404);
        assertThat(send(HttpMethod.PUT, "/api/v1/crib/place", "{}")).hasStatus(400);
        assertThat(send(
                        HttpMethod.POST,
                        "/api/v1/crib/dies",
                        DIES.replace("11.9", "-1").replace("API1", "API2")))
                .hasStatus(400)
                .bodyJson()
                .extractingPath("$.errors[0].pointer")
                .isEqualTo("/acrossFlatsMm");
        assertThat(send(HttpMethod.DELETE, "/api/v1/crib/tools?tag=APIT", "")).hasStatus(204);
        assertThat(send(HttpMethod.DELETE, "/api/v1/crib/dies?tag=API1", "")).hasStatus(204);
        assertThat(send(HttpMethod.DELETE, "/api/v1/crib/dies?tag=API1", "")).hasStatus(404);
    }

    /** What changes something carries a token; a foreign page has none. */
    @ParameterizedTest
    @ValueSource(strings = {"/api/v1/lugs", "/api/v1/contacts", "/api/v1/crib/dies", "/api/v1/crib/tools"})
    void writingWantsAToken(String path) {
        assertThat(mvc.post()
                        .uri(path)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{}")
                        .exchange())
                .hasStatus(403);
    }
}
