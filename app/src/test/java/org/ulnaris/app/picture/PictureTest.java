package org.ulnaris.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.Polarity;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

class PictureTest extends AppTest {
    @Autowired
    private LoadsService loads;

    private Job job;

    @BeforeEach
    void aJob() {
        job = newJob(Units.METRIC);
    }

    private Job demo(String name) {
        return jobs.all().stream()
                .filter(one -> one.details().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private String picture() {
        return "/jobs/" + job.id();
    }

    private MvcTestResult at(String tag) {
        return mvc.get().uri("/jobs/{id}?at={tag}", job.id(), tag).exchange();
    }

    private MvcTestResult add(String kind, String tag, String field, String value) {
        return post(picture() + "/pieces", Map.of("kind", kind, "tag", tag, field, value));
    }

    /** A bank and an inverter with both cables between them, put together by presses alone. */
    private void aCircuit() {
        add("BANK", "BANK", "capacity", "200 Ah");
        add("INVERTER", "INV", "power", "2 kW");
        post(picture() + "/joins", Map.of("from", "BANK.plus", "to", "INV.plus", "length", "1.5 m", "pair", "true"));
    }

    private Cable cable(String tag) {
        return cables.of(job.id()).stream()
                .filter(one -> one.details().tag().equals(tag))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Lantern Cart", "Sandpiper", "Frostline"})
    void everyPieceAndCableBearsItsOneVerdict(String name) {
        Job shown = demo(name);
        WorkedJob worked = works.of(shown.id());
        String page = body(get("/jobs/" + shown.id()));
        for (Piece piece : worked.model().pieces()) {
            String tag = piece.device().tag();
            assertThat(label(page, tag)).as(tag).endsWith(", " + word(worked.verdictOf(tag)));
        }
        for (WorkedCable cable : worked.cables()) {
            assertThat(label(page, cable.tag())).as(cable.tag()).endsWith(", " + word(cable.verdict()));
        }
        List<Verdict> marked = worked.findings().stream()
                .map(said -> said.verdict())
                .filter(Verdict::asks)
                .toList();
        assertThat(page.contains("mark-STOP")).isEqualTo(marked.contains(Verdict.STOP));
    }

    private static String word(Verdict verdict) {
        return verdict.name().charAt(0) + verdict.name().substring(1).toLowerCase(Locale.ROOT);
    }

    /** What is read out of the link of a piece or a cable. */
    private static String label(String page, String tag) {
        String address = "at=" + URLEncoder.encode(tag, StandardCharsets.UTF_8) + "\"";
        int at = page.indexOf(address);
        assertThat(at).as("a link to " + tag).isPositive();
        String from = page.substring(at + address.length());
        return from.substring(from.indexOf("aria-label=\"") + 12).replaceFirst("(?s)\".*", "");
    }

    @Test
    void theCaseDecidesWhatFlows() {
        Job sandpiper = demo("Sandpiper");
        String hauling = body(get("/jobs/" + sandpiper.id()));
        String starting = body(get("/jobs/" + sandpiper.id() + "?case=4"));
        assertThat(hauling).contains("capstan", "aria-label=\"The network in the case Hauling");
        assertThat(starting).contains("210" + Fmt.SPACE + "A").isNotEqualTo(hauling);
        assertThat(body(get("/jobs/" + sandpiper.id() + "/layout?case=4")))
                .contains("The network in the case Starting");
    }

    @Test
    void whatIsNotThereIsNotFound() {
        assertThat(get(picture() + "?case=2")).hasStatus(404);
        assertThat(get(picture() + "?case=0")).hasStatus(404);
        long heater = loads.add(job.id(), EquipmentKind.HEATER, Map.of("tag", "NOCASE", "power", "60 W"));
        for (String number : List.of("0", "2", "99", "-1")) {
            assertThat(post("/equipment/" + heater + "/state", Map.of("case", number, "state", "ON")))
                    .as(number)
                    .hasStatus(404);
        }
        assertThat(loads.caseFiles(job.id())).isEmpty();
        assertThat(get(picture() + "?at=NOBODY")).hasStatus(404);
        assertThat(get(picture() + "?kind=NOTHING")).hasStatus(404);
        assertThat(get(picture() + "?from=MOON.plus")).hasStatus(404);
        assertThat(get("/jobs/999999")).hasStatus(404);
    }

    @Test
    void anEmptyJobSaysWhereToBegin() {
        assertThat(body(get(picture())))
                .contains("What feeds it, what does it feed?", "kind=BANK", "kind=INVERTER")
                .doesNotContain("<svg xmlns");
    }

    @Test
    void aCircuitIsPutTogetherByPresses() {
        aCircuit();
        assertThat(loads.details(job.id())).extracting(EquipmentDetails::tag).containsExactly("BANK", "INV");
        assertThat(loads.caseFiles(job.id()))
                .singleElement()
                .satisfies(one -> assertThat(one.states()).containsEntry("INV", State.ON));
        CableDetails out = cable("INV+").details();
        CableDetails back = cable("INV−").details();
        assertThat(out.fromPoint() + out.toPoint()).isEqualTo("BANK.plusINV.plus");
        assertThat(back.fromPoint() + back.toPoint()).isEqualTo("INV.minusBANK.minus");
        assertThat(back.polarity()).isEqualTo(Polarity.NEGATIVE);
        assertThat(worked(cable("INV+")).carried().known()).isTrue();
        assertThat(body(at("INV+"))).contains("Carries ", "value=\"1.5 m\"");
    }

    @Test
    void aTerminalThatIsPressedAsksForTheOther() {
        add("BANK", "BANK", "capacity", "100 Ah");
        add("MOTOR", "WINCH", "current", "90 A");
        String page = body(get(picture() + "?from=BANK.plus"));
        assertThat(page).contains("Terminal WINCH.plus: the cable from BANK.plus ends here", "to=WINCH.plus");
        assertThat(body(get(picture() + "?from=BANK.plus&to=WINCH.plus")))
                .contains("value=\"WINCH+\"", "its return WINCH−, from WINCH.minus to BANK.minus, too");
        assertThat(body(get(picture() + "?from=BANK.minus&to=WINCH.minus"))).doesNotContain("name=\"pair\"");
    }

    @Test
    void aCableThatCanNotBeDrawnKeepsWhatWasTyped() {
        add("BANK", "BANK", "capacity", "100 Ah");
        add("MOTOR", "WINCH", "current", "90 A");
        MvcTestResult answer = post(
                picture() + "/joins",
                Map.of("from", "BANK.plus", "to", "WINCH.plus", "length", "far", "tag", "K7", "pair", "true"));
        assertThat(answer).hasStatus(422);
        assertThat(body(answer)).contains("value=\"far\"", "value=\"K7\"", "aria-invalid=\"true\"");
        assertThat(post(picture() + "/joins", Map.of("from", "BANK.plus", "to", "WINCH.plus")))
                .hasStatus(422);
        assertThat(post(picture() + "/joins", Map.of("from", "BANK.plus", "to", "MOON.plus", "length", "1 m")))
                .hasStatus(422);
        assertThat(cables.of(job.id())).isEmpty();
    }

    @Test
    void whatIsChangedBesideThePictureIsSeenInIt() {
        aCircuit();
        long out = cable("INV+").id();
        String fragment = body(postHtmx("/cables/" + out + "/picture", Map.of("length", "9 m")));
        assertThat(fragment)
                .startsWith("<div id=\"picture\"")
                .contains("value=\"9 m\"")
                .doesNotContain("<html");
        assertThat(cable("INV+").details().lengthM()).isEqualTo(9);
        MvcTestResult faulty = postHtmx("/cables/" + out + "/picture", Map.of("length", "long", "drop", "4 %"));
        assertThat(faulty).hasStatus(422);
        assertThat(body(faulty)).contains("value=\"long\"");
        assertThat(cable("INV+").details().lengthM()).isEqualTo(9);
        assertThat(cable("INV+").details().dropPercent()).isEqualTo(4);
        long inverter = loads.idOf(job.id(), "INV").orElseThrow();
        assertThat(post("/equipment/" + inverter + "/picture", Map.of("power", "3 kW", "tag", "INV")))
                .hasStatus(302);
        assertThat(loads.details(job.id()).get(1).powerW()).isEqualTo(3000);
        assertThat(postHtmx("/equipment/" + inverter + "/picture", Map.of("tag", "INV+")))
                .hasStatus(422);
    }

    /** What nothing was judged of is no pass: a fuse that no cable ends at, a bank before any case. */
    @Test
    void whatIsNotJudgedIsOpen() {
        add("FUSE", "F1", "rating", "100 A");
        assertThat(label(body(get(picture())), "F1")).endsWith(", " + word(Verdict.OPEN));
        assertThat(body(at("F1"))).contains("v-OPEN", "Not judged yet").doesNotContain("v-PASS");
        aCircuit();
        assertThat(label(body(get(picture())), "F1")).endsWith(", " + word(Verdict.OPEN));
        assertThat(label(body(get(picture())), "INV")).doesNotEndWith(", " + word(Verdict.OPEN));
    }

    /** A switch between two banks with a branch on either side: as many cables come to each of its terminals as leave it. */
    @Test
    void aPieceInTheMiddleHasTwoSides() {
        add("BANK", "B1", "capacity", "100 Ah");
        add("BANK", "B2", "capacity", "100 Ah");
        add("SWITCH", "SW", "rating", "100 A");
        add("MOTOR", "M1", "current", "20 A");
        add("MOTOR", "M2", "current", "20 A");
        for (String[] ends :
                new String[][] {{"B1.plus", "SW.in"}, {"SW.in", "M1.plus"}, {"B2.plus", "SW.out"}, {"SW.out", "M2.plus"}
                }) {
            assertThat(post(picture() + "/joins", Map.of("from", ends[0], "to", ends[1], "length", "1 m")))
                    .hasStatus(302);
        }
        assertThat(get(picture())).hasStatusOk();
        assertThat(get(picture() + "/card")).hasStatusOk();
    }

    /** Its case may be gone meanwhile: what was typed is kept all the same. */
    @Test
    void aChangeBesideACaseThatIsGoneIsKept() {
        aCircuit();
        long out = cable("INV+").id();
        assertThat(postHtmx("/cables/" + out + "/picture", Map.of("length", "7 m", "case", "9")))
                .hasStatusOk();
        assertThat(cable("INV+").details().lengthM()).isEqualTo(7);
    }

    @Test
    void twoPeopleAtOneFieldAreBothTold() {
        aCircuit();
        long out = cable("INV+").id();
        String before = body(at("INV+")).replaceFirst("(?s).*name=\"began\" value=\"([^\"]*)\".*", "$1");
        postHtmx("/cables/" + out + "/picture", Map.of("length", "3 m", "began", before));
        MvcTestResult late = postHtmx("/cables/" + out + "/picture", Map.of("length", "4 m", "began", before));
        assertThat(late).hasStatus(422);
        assertThat(body(late)).contains("3 m", "value=\"4 m\"");
        assertThat(cable("INV+").details().lengthM()).isEqualTo(3);
    }

    @Test
    void aLoadIsSwitchedInTheCaseThatIsShown() {
        aCircuit();
        long inverter = loads.idOf(job.id(), "INV").orElseThrow();
        post("/equipment/" + inverter + "/state", Map.of("case", "1", "state", "OFF"));
        assertThat(loads.caseFiles(job.id()).get(0).states()).doesNotContainEntry("INV", State.ON);
        assertThat(body(get(picture()))).contains(">off</text>");
    }

    @Test
    void aCableThatJoinsNothingIsNamedBesideThePicture() {
        newCable(job, Map.of("tag", "LOOSE"));
        assertThat(body(get(picture()))).contains("not drawn", ">LOOSE</a>");
        assertThat(body(at("LOOSE"))).contains("value=\"180 A\"");
    }

    @Test
    void aSecondPieceOfAKindGetsAFreeTag() {
        add("FUSE", "F1", "rating", "100 A");
        assertThat(body(get(picture() + "?kind=FUSE"))).contains("value=\"F1-2\"");
        assertThat(add("FUSE", "f1", "rating", "100 A")).hasStatus(422);
        assertThat(add("FUSE", "F2", "rating", "101 A")).hasStatus(422);
    }

    /** What is deleted beside the picture is brought back there, whatever has happened to its tag. */
    @Test
    void whatIsDeletedComesBackInThePicture() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "GONE+"));
        String after = post("/cables/" + cable.id() + "/delete", Map.of("picture", "true"))
                .getResponse()
                .getRedirectedUrl();
        assertThat(after).isEqualTo("/jobs/" + job.id() + "?cables=" + cable.id());
        assertThat(body(get(after))).contains("/cables/" + cable.id() + "/restore", "It is deleted.");
        newCable(job, Map.of("tag", "GONE+"));
        String back = post("/cables/" + cable.id() + "/restore", Map.of("picture", "true"))
                .getResponse()
                .getRedirectedUrl();
        assertThat(back).contains("renamed=true");
        assertThat(mvc.get().uri(java.net.URI.create(back)))
                .hasStatusOk()
                .bodyText()
                .contains("back under this new tag");
        for (String odd : List.of("x", "-1", "9".repeat(30), "")) {
            assertThat(mvc.get().uri("/jobs/{id}?cables={odd}&equipment={odd}", job.id(), odd, odd))
                    .hasStatusOk()
                    .bodyText()
                    .doesNotContain("It is deleted.");
        }
    }

    @Test
    void aPieceComesBackInThePicture() {
        Job job = newJob(Units.METRIC);
        long piece = loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "capacity", "200 Ah"));
        String after = post("/equipment/" + piece + "/delete", Map.of("picture", "true"))
                .getResponse()
                .getRedirectedUrl();
        assertThat(body(get(after))).contains("/equipment/" + piece + "/restore");
        assertThat(post("/equipment/" + piece + "/restore", Map.of("picture", "true"))
                        .getResponse()
                        .getRedirectedUrl())
                .isEqualTo("/jobs/" + job.id() + "?at=BANK&renamed=false");
    }

    /** A fuse too far from its source is said of the cable and of the fuse: one line on the picture, as on the board. */
    @Test
    void whatIsSaidAlikeIsOneLine() {
        long demo = jobs.all().stream()
                .filter(one -> one.details().name().equals("Sandpiper"))
                .findFirst()
                .orElseThrow()
                .id();
        String panel = body(get("/jobs/" + demo)).split("panel-said")[1].split("</ul>")[0];
        assertThat(panel.split("<li")).hasSize(2);
        assertThat(panel).contains("HOUSE+: Place of the fuse", "Also at HMAIN");
        assertThat(body(get("/jobs/" + demo + "?at=HMAIN")))
                .contains("said-STOP")
                .doesNotContain("Also at");
    }

    /** One cable beyond what is drawn at once: by part, every piece and cable to be found from its own link, also while another is asked for. */
    @Test
    void aLargeJobIsDrawnByPart() {
        add("BANK", "BANK", "capacity", "400 Ah");
        StringBuilder table = new StringBuilder("tag,from,to,current,length\n");
        for (int block = 0; block < 3; block++) {
            add("BUS_BAR", "P" + block, "name", "");
            add("BUS_BAR", "N" + block, "name", "");
            table.append("BP%d,BANK.plus,P%d.bar,,1 m\nBN%d,BANK.minus,N%d.bar,,1 m\n".replace("%d", "" + block));
        }
        for (int load = 0; load < 72; load++) {
            add("HEATER", "L" + load, "power", "40 W");
            table.append("C%d,P%b.bar,L%d.plus,,2 m\nD%d,L%d.minus,N%b.bar,,2 m\n"
                    .replace("%d", "" + load)
                    .replace("%b", "" + load % 3));
        }
        assertThat(post(picture() + "/import/accept", Map.of("text", table.toString())))
                .hasStatus3xxRedirection();
        assertThat(body(mvc.get().uri(picture()).exchange())).doesNotContain("picture-parts");

        newCable(job, Map.of("tag", "ONE-MORE"));

        String first = body(mvc.get().uri(picture()).exchange());
        assertThat(first).contains("picture-parts", ">BANK<", "drawn by part", ">ONE-MORE<");
        for (String tag : List.of("L0", "L71", "C70", "D5", "P2", "N1", "BANK", "BP1")) {
            for (int part = 0; part < 6; part++) {
                String page = body(mvc.get()
                        .uri("/jobs/{id}?at={tag}&part={part}", job.id(), tag, part)
                        .exchange());
                assertThat(page)
                        .as(tag + " in " + part)
                        .contains("panel-title")
                        .containsPattern("class=\"[^\"]*chosen");
            }
        }
        assertThat(first).containsPattern("\\+ \\d+ cables");
        assertThat(mvc.get().uri("/jobs/{id}/card", job.id()).exchange()).hasStatusOk();
        assertThat(first).contains("hx-get=\"/jobs/" + job.id() + "/offers?at=\"");
        assertThat(body(mvc.get().uri("/jobs/{id}/offers?at=", job.id()).exchange()))
                .contains("panel-said")
                .doesNotContain("hx-get", "<html");
        assertThat(body(mvc.get().uri("/jobs/{id}/offers?at=C70", job.id()).exchange()))
                .contains("panel-said");
        assertThat(mvc.get().uri("/jobs/{id}/offers?at=NONE", job.id()).exchange())
                .hasStatus(404);
    }
}
