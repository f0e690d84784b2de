package org.ulnaris.app.crib;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.ToolTrust;

class CribTest extends AppTest {
    private static int made;

    @Autowired
    private CribService crib;

    private String press;
    private String other;
    private String dies;

    /** A press of its own with two pairs of dies, so that tests do not meet in the shared crib. */
    @BeforeEach
    void press() {
        int number = ++made;
        press = "P" + number;
        dies = "X" + number;
        other = "Y" + number;
        add(
                "/crib/tools",
                Map.of(
                        "tag",
                        press,
                        "name",
                        "test press",
                        "kind",
                        "BENCH_PRESS",
                        "family",
                        "jaw " + number,
                        "force",
                        "12 t"));
        for (String tag : List.of(dies, other)) {
            add("/crib", Map.of("tag", tag, "acrossFlats", "60 mm", "width", "5", "family", "Jaw " + number));
        }
    }

    private void add(String path, Map<String, String> typed) {
        assertThat(post(path, typed)).as(path + typed).hasStatus(302);
    }

    @Test
    void aToolHoldsOnePair() {
        post("/crib/fit", Map.of("tag", dies, "tool", press));
        assertThat(crib.find(dies).orElseThrow().inTool()).isEqualTo(press);
        assertThat(body(get("/crib"))).contains("back into the box");
        post("/crib/fit", Map.of("tag", other, "tool", press));
        assertThat(crib.find(dies).orElseThrow().inTool()).isNull();
        assertThat(crib.find(other).orElseThrow().inTool()).isEqualTo(press);
        assertThat(body(get("/crib/tools"))).contains(other);
        post("/crib/box", Map.of("tag", other, "back", "die"));
        assertThat(crib.find(other).orElseThrow().inTool()).isNull();
    }

    @Test
    void diesFitTheirOwnJawOnly() {
        assertThat(post("/crib/fit", Map.of("tag", dies, "tool", "H1"))).hasStatus(404);
        post("/crib/fit", Map.of("tag", dies, "tool", press));
        add("/crib/tool?tag=" + press, Map.of("family", "another jaw"));
        assertThat(crib.find(dies).orElseThrow().inTool()).isNull();
    }

    @Test
    void aToolCanGoAndComeBack() {
        post("/crib/fit", Map.of("tag", dies, "tool", press));
        String page = body(post("/crib/tools/remove", Map.of("tag", press)));
        assertThat(page).contains("The tool is removed from the crib", "Undo");
        assertThat(crib.hasTool(press)).isFalse();
        assertThat(crib.find(dies).orElseThrow().inTool()).isNull();
        assertThat(body(post("/crib/remove", Map.of("tag", dies)))).contains("The dies are removed from the crib");
        assertThat(crib.has(dies)).isFalse();
    }

    @Test
    void tonnesAndKilonewtonsAreForces() {
        assertThat(crib.toolDetails(press).forceKn()).isCloseTo(117.68, within(0.01));
        add("/crib/tool?tag=" + press, Map.of("force", "60"));
        assertThat(crib.toolDetails(press).forceKn()).isEqualTo(60.0);
        assertThat(crib.toolDetails(press).fullCycle()).isTrue();
        add("/crib/tool?tag=" + press, Map.of("_fullCycle", "on"));
        assertThat(crib.toolDetails(press).fullCycle()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "calibrationDue,tomorrow,2026-05-04",
        "calibrationDue,1066-10-14,1990",
        "force,12 kg m,118",
        "upTo,many,Can",
        "dialMark,0.5,Needs an entry"
    })
    void aBadFigureOfAToolIsKeptAndSaid(String field, String text, String said) {
        var refused = post("/crib/tools", Map.of("tag", "NEW", "name", "new", field, text));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains(text, "NEW");
        if (!field.equals("force")) {
            assertThat(body(refused)).contains(said);
        }
        assertThat(crib.hasTool("NEW")).isFalse();
    }

    @Test
    void samplesMakeTrust() {
        for (int i = 0; i < 3; i++) {
            add("/crib/tool/samples?tag=" + press, Map.of("size", "50 mm2", "voids", "1 %", "die", dies));
        }
        assertThat(crib.trust().get(press).level()).isEqualTo(ToolTrust.Level.TRUSTED);
        add(
                "/crib/tool/samples?tag=" + press,
                Map.of("size", "50 mm2", "pull", "40 kg", "parted", "BARREL", "note", "<b>slipped</b>"));
        assertThat(crib.trust().get(press).level()).isEqualTo(ToolTrust.Level.NOT_TRUSTED);
        String page = body(get("/crib/tool?tag=" + press));
        assertThat(page).contains("&lt;b&gt;slipped", "3 of 4 sound", "it came out of the barrel");
        long newest = crib.samples(press).get(0).id();
        String undo = post("/crib/samples/" + newest + "/delete", Map.of())
                .getResponse()
                .getRedirectedUrl();
        assertThat(body(get(undo.replaceAll("#.*", "")))).contains("The sample is deleted");
        assertThat(crib.trust().get(press).level()).isEqualTo(ToolTrust.Level.TRUSTED);
        post("/crib/samples/" + newest + "/restore", Map.of());
        assertThat(crib.trust().get(press).counted()).isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource({
        "voids,,Needs an entry",
        "pull,800 N,where it gave way",
        "size,17 mm2,No such size",
        "made,2099-01-01,today or earlier",
        "voids,90 %,from 0 % to 60 %"
    })
    void aSampleNeedsAnOutcome(String field, String text, String said) {
        Map<String, String> typed = new HashMap<>(Map.of("size", "50 mm2"));
        if (!field.equals("voids") && !field.equals("pull")) {
            typed.put("voids", "1");
        }
        typed.put(field, text == null ? "" : text);
        var refused = post("/crib/tool/samples?tag=" + press, typed);
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains(said);
        assertThat(crib.samples(press)).isEmpty();
    }

    /** The code on the printed tag leads to the page of the dies, and the outline is drawn one to one. */
    @Test
    void aPrintedTagLeadsToItsDies() throws Exception {
        byte[] pdf = get("/crib/tags.pdf?tag=L1/0").getResponse().getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, 200);
            int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            String address = new MultiFormatReader()
                    .decode(new BinaryBitmap(
                            new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels))))
                    .getText();
            assertThat(address).endsWith("/crib/die?tag=L1%2F0");
            assertThat(get(address.substring(address.indexOf("/crib")).replace("%2F", "/")))
                    .hasStatusOk();
        }
        assertThat(body(get("/crib/outline.svg?tag=L1/0"))).contains("height=\"13.1mm\"", "viewBox=\"0 0 14.82 13.1\"");
        assertThat(get("/crib/tags.pdf?tag=NONE")).hasStatus(404);
        assertThat(get("/crib/outline.svg?tag=NONE")).hasStatus(404);
    }

    @Test
    void theMapNamesTheSoundDies() {
        String map = body(get("/crib/map"));
        assertThat(map).contains("K14", "DIN 50", "0.90", "die-press", "lug=DIN%2050");
        assertThat(body(get("/crib/map?size=50+mm2"))).contains("DIN 50");
        assertThat(get("/crib/map?size=17+mm2")).hasStatus(422);
    }

    @Test
    void theDiesForTheLugInTheHand() {
        String found = body(get("/crib?lug=DIN 50 · M8"));
        assertThat(found).contains("50 mm²", "Take <b>K14", "Fit K14 in B1", "gap-free", "found-coin");
        assertThat(get("/crib?lug=nothing")).hasStatus(422);
        assertThat(get("/crib/find?lug=DIN 50 · M8")).hasRedirectedUrl("/crib?lug=DIN%2050%20%C2%B7%20M8&size=");
        assertThat(get("/crib/find")).hasRedirectedUrl("/crib?lug=&size=");
    }

    @Test
    void anIndentToolShowsItsSettings() {
        assertThat(body(get("/crib/tool?tag=I1"))).contains("Settings of the spike", "DIN 50", "Left across");
        assertThat(body(get("/crib/tool?tag=M1"))).contains("0 of 2 sound", "repeat less well");
        assertThat(get("/crib/tool?tag=NONE")).hasStatus(404);
        assertThat(get("/crib/die?tag=NONE")).hasStatus(404);
    }

    /** The match page names the tool; what it lacks by the house's rule on marks is named with what to buy, and nothing else. */
    @Test
    void endsNameTheirToolAndGapsTheirDies() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "GAP16", "series", "METRIC", "size", "16 mm2", "current", "40 A"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("<dt>Tool</dt>", "take K8 from the box");
        assertThat(body(get("/crib/gaps"))).doesNotContain("GAP16");
        post("/jobs/" + job.id() + "/rules", Map.of("practice-MARKS", "COMPUTED"));
        assertThat(body(get("/crib/gaps")))
                .contains(
                        "No sound dies",
                        "Test job",
                        cable.details().tag(),
                        "across flats",
                        "K8 at compaction",
                        "nest gap");
        assertThat(body(get("/crib/gaps/nests")))
                .contains("nest-gap", "6.9–7.3")
                .doesNotContain("<html");
        assertThat(body(get("/cables/" + cable.id() + "/bench/crimp-a"))).contains("Tool B1");
    }

    /** A page that was worked out yesterday is worked out anew today: samples of a tool grow old. */
    @Test
    void trustGrowsOldWithoutAnyChange() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "240 mm2", "current", "40 A"));
        post("/crib/tool/samples?tag=B1", Map.of("size", "240 mm2", "voids", "20"));
        long bad = crib.samples("B1").get(0).id();
        try {
            String page = "/cables/" + cable.id() + "/match";
            assertThat(body(get(page))).contains("the tool is not trusted");
            clock.after(
                    Duration.ofDays(750), () -> assertThat(body(get(page))).doesNotContain("the tool is not trusted"));
            assertThat(body(get(page))).contains("the tool is not trusted");
        } finally {
            post("/crib/samples/" + bad + "/delete", Map.of());
        }
    }

    /** A tool that is not trusted stops every end that would be made with it. */
    @Test
    void aToolThatIsNotTrustedIsAFinding() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("series", "METRIC", "size", "240 mm2", "current", "40 A"));
        post(
                "/crib/tool/samples?tag=B1",
                Map.of("size", "240 mm2", "voids", "20", "made", LocalDate.now().toString()));
        long bad = crib.samples("B1").get(0).id();
        try {
            assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("the tool is not trusted");
            assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("the tool is not trusted");
        } finally {
            post("/crib/samples/" + bad + "/delete", Map.of());
        }
        assertThat(body(get("/cables/" + cable.id() + "/match"))).doesNotContain("the tool is not trusted");
    }

    /** The bench names the wrench whose range holds the torque, one in calibration before one that is overdue. */
    @Test
    void theBenchNamesTheWrench() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("series", "METRIC", "size", "50 mm2"));
        assertThat(body(get("/cables/" + cable.id() + "/bench/torque-a"))).contains("Wrench W1, torque wrench, small");
        post("/cables/" + cable.id() + "/match/A", Map.of("stud", "M12", "torque", "40 Nm"));
        assertThat(body(get("/cables/" + cable.id() + "/bench/torque-a")))
                .contains("Wrench W2", "its calibration is overdue since");
        post("/cables/" + cable.id() + "/match/A", Map.of("torque", "90 Nm"));
        assertThat(body(get("/cables/" + cable.id() + "/bench/torque-a")))
                .contains("No torque wrench in the crib covers");
        assertThat(body(get("/cables/" + cable.id() + "/bench/clock-b"))).contains("between its lugs");
        assertThat(body(get("/cables/" + cable.id() + "/bench/crimp-a"))).doesNotContain("Wrench W");
    }

    @Test
    void theCaliperDrawingStandsBesideItsFields() {
        assertThat(body(get("/stock/lugs"))).contains("cal-outer", "cal-bore", "cal-depth", "cal-padWidth", "cal-hole");
    }

    /** Tags with characters that mean something in an address. */
    @Test
    void aTagMayHoldACommaOrAnAmpersand() {
        for (String tag : List.of("A,B " + made, "A&B <x> #" + made)) {
            add("/crib", Map.of("tag", tag, "acrossFlats", "60 mm"));
            for (String path : List.of("/crib/tags.pdf", "/crib/outline.svg", "/crib/die")) {
                assertThat(mvc.get().uri(path).queryParam("tag", tag).exchange())
                        .as(path + tag)
                        .hasStatusOk();
            }
            crib.remove(tag);
        }
    }

    /** Two people edit the same dies: the later one sees both values; a move of the dies meanwhile is no conflict. */
    @Test
    void twoEditsAtOnceShowBothValues() {
        crib.add(new DieDetails("TWICE", DieShape.HEX, 11.9, 5, LugMaterial.COPPER, "twice jaw", "", "", ""));
        String began = began("/crib/die?tag=TWICE");
        assertThat(post("/crib/die?tag=TWICE", Map.of("began", began, "acrossFlats", "12 mm")))
                .hasStatus(302);
        var late = post("/crib/die?tag=TWICE", Map.of("began", began, "acrossFlats", "12.1 mm"));
        assertThat(late).hasStatus(409);
        assertThat(body(late)).contains("Someone else changed this meanwhile", "12 mm", "12.1 mm");
        assertThat(crib.find("TWICE").orElseThrow().details().acrossFlatsMm()).isEqualTo(12);
        String now = began("/crib/die?tag=TWICE");
        crib.box("TWICE");
        assertThat(post("/crib/die?tag=TWICE", Map.of("began", now, "acrossFlats", "12.1 mm")))
                .hasStatus(302);
        crib.addTool(press("TWICET", "twice jaw"));
        String tool = began("/crib/tool?tag=TWICET");
        assertThat(post("/crib/tool?tag=TWICET", Map.of("began", tool, "name", "old press")))
                .hasStatus(302);
        assertThat(post("/crib/tool?tag=TWICET", Map.of("began", tool, "name", "new press")))
                .hasStatus(409);
        crib.removeTool("TWICET");
        crib.remove("TWICE");
    }

    @Test
    void aWrenchIsSetToTheNearestOfItsMarks() {
        ToolDetails wrench = new ToolDetails(
                "W",
                "wrench",
                ToolKind.TORQUE_WRENCH,
                "",
                null,
                null,
                true,
                null,
                null,
                4.0,
                20.0,
                null,
                null,
                null,
                2.5);
        assertThat(wrench.settingNm(14)).isEqualTo(14.0);
        assertThat(wrench.settingNm(12)).isEqualTo(11.5);
        assertThat(CribReader.FRESH_TOOL.settingNm(12)).isEqualTo(12);
    }

    @Test
    void aPhotoOfASectionIsScored() throws Exception {
        BufferedImage picture = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = picture.createGraphics();
        pen.setColor(new Color(205, 140, 95));
        pen.fillOval(50, 50, 200, 200);
        pen.setColor(Color.DARK_GRAY);
        pen.fillOval(130, 130, 40, 40);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", png);
        var scored = photo(png.toByteArray());
        assertThat(scored).hasStatusOk();
        assertThat(body(scored))
                .contains("of the section is open")
                .containsPattern("name=\"voids\"[^>]*value=\"4\\.0 %\"");
        for (byte[] file : List.of(
                new byte[0], "no picture".getBytes(StandardCharsets.UTF_8), Arrays.copyOf(png.toByteArray(), 60))) {
            var refused = photo(file);
            assertThat(refused).hasStatus(422);
            assertThat(body(refused)).contains("bright on a dark ground");
        }
    }

    private MvcTestResult photo(byte[] file) {
        crib.removeTool("PHOTO");
        crib.addTool(press("PHOTO", ""));
        return mvc.post()
                .uri("/crib/tool/photo?tag=PHOTO")
                .multipart()
                .file(new MockMultipartFile("photo", "cut.png", "image/png", file))
                .with(csrf())
                .exchange();
    }

    private static ToolDetails press(String tag, String jaw) {
        return new ToolDetails(
                tag,
                "press",
                ToolKind.HYDRAULIC_HAND,
                jaw,
                60.0,
                null,
                true,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    /** A damaged picture is refused, however it is damaged. */
    @Test
    void aDamagedPhotoIsNoFault() throws Exception {
        BufferedImage picture = new BufferedImage(60, 60, BufferedImage.TYPE_INT_RGB);
        java.util.Random dice = new java.util.Random(5);
        for (String format : List.of("png", "jpg", "gif", "bmp")) {
            ByteArrayOutputStream file = new ByteArrayOutputStream();
            ImageIO.write(picture, format, file);
            for (int i = 0; i < 60; i++) {
                byte[] damaged = file.toByteArray();
                for (int hit = 0; hit < 6; hit++) {
                    damaged[8 + dice.nextInt(damaged.length - 8)] = (byte) dice.nextInt(256);
                }
                assertThat(SamplePhoto.voidsPercent(damaged)).isNotNull();
            }
        }
    }
}
