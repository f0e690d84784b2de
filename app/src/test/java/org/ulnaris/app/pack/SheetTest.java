package org.ulnaris.app.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import com.openhtmltopdf.util.ThreadCtx;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.shell.Units;

class SheetTest extends AppTest {
    @Autowired
    private SheetService sheets;

    @Autowired
    private PdfPrinter printer;

    @Autowired
    private Prints prints;

    @Test
    void holdsDrawingFiguresStepsReadingsCautionsAndSources() throws Exception {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "INV+", "from", "fuse", "to", "inverter"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2.5 m"));
        String text = text(printer.print(sheets.document(cable.id())));
        assertThat(text)
                .contains("INV+", "fuse", "inverter", "2.40", "Mark and strip · A end", "Witness mark · B end")
                .contains("Length as cut", "Isolate and lock out", "33 CFR 183.425", "DIN 46235", "recalled")
                .contains("a licensed or qualified person decide")
                .doesNotContain("#");
    }

    /** Who holds the sheet would cut the thinnest size of the table. */
    @Test
    void noSizeIsPrintedWhileNoCurrentIsKnown() throws Exception {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "N1"));
        cables.change(cable.id(), cable.details().byLoads());
        String thinnest = works.of(job.id()).cable("N1").rung().size().designation();
        assertThat(text(printer.print(sheets.document(cable.id()))))
                .contains("no size yet", "—")
                .doesNotContain(" " + thinnest + " ", "0.00 %", "usually has about", "forgives");
        for (String page : List.of(
                "/cables/" + cable.id() + "/make",
                "/cables/" + cable.id() + "/bench/check",
                "/cables/" + cable.id() + "/match",
                "/jobs/" + job.id() + "/match",
                "/jobs/" + job.id() + "/plan",
                "/jobs/" + job.id())) {
            assertThat(body(get(page))
                            .replaceAll("(?s)<select.*?</select>|placeholder=\"[^\"]*\"|value=\"[^\"]*\"", ""))
                    .as(page)
                    .doesNotContain(">" + thinnest + "<", thinnest + ",");
        }
        assertThat(body(get("/api/v1/jobs/" + job.id() + "/worked"))).doesNotContain("\"" + thinnest + "\"");
        cables.change(cable.id(), cable.details().byLoads().sized("35 mm²"));
        assertThat(text(printer.print(sheets.document(cable.id())))).contains("35 mm²");
    }

    @Test
    void markupShowsAsText() throws Exception {
        Cable cable =
                newCable(newJob(Units.METRIC), Map.of("tag", "<script>", "from", "a & b </td>", "to", "\"<svg/>'"));
        assertThat(text(printer.print(sheets.document(cable.id())))).contains("<script>", "a & b </td>", "\"<svg/>'");
    }

    @Test
    void oneSheetACableAndEveryFontEmbedded() throws Exception {
        Job job = newJob(Units.US);
        newCable(job, Map.of("tag", "ONE"));
        newCable(job, Map.of("tag", "TWO", "current", "5", "size", "18"));
        byte[] pdf = bytes(get("/jobs/" + job.id() + "/pack/sheet.pdf"));
        assertThat(text(pdf)).contains("ONE", "TWO", "lbf·in");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    assertThat(page.getResources().getFont(name).isEmbedded()).isTrue();
                }
            }
        }
    }

    /** A page that falls out of the pile says whose it is and how many belong to it. */
    @Test
    void everyPageBearsItsCableAndItsNumber() throws Exception {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "ONE"));
        newCable(job, Map.of("tag", "a<b&c"));
        String text = text(bytes(get("/jobs/" + job.id() + "/pack/sheet.pdf")));
        assertThat(text).contains("ONE · 1 /", "a<b&c · 1 /");
    }

    @Test
    void manySheetsArePrintedBesideThePagesAndCanBeStopped() throws Exception {
        Job job = newJob(Units.METRIC);
        for (int i = 0; i < 21; i++) {
            newCable(job, Map.of("tag", "N" + i));
        }
        String page = "/jobs/" + job.id() + "/pack";
        assertThat(get(page + "/sheet.pdf")).hasStatus(303);
        assertThat(post(page + "/print", Map.of())).hasStatus3xxRedirection();
        ends(job.id(), Print.State.READY);
        assertThat(body(get(page))).contains("Open the PDF").doesNotContain("has changed since");
        String text = text(bytes(get(page + "/sheet.pdf")));
        assertThat(text).contains("N0 · 1 /", "N20 · 1 /");
        newCable(job, Map.of());
        assertThat(body(get(page))).contains("has changed since");
        post(page + "/print", Map.of());
        post(page + "/print/drop", Map.of());
        assertThat(body(get(page))).contains("Print build sheets").doesNotContain("Open the PDF");
    }

    private void ends(long jobId, Print.State state) {
        await().atMost(Duration.ofMinutes(5))
                .until(() -> !prints.of(jobId).orElseThrow().progress().running());
        assertThat(prints.of(jobId).orElseThrow().progress().state()).isEqualTo(state);
    }

    private static byte[] bytes(MvcTestResult result) {
        return result.getResponse().getContentAsByteArray();
    }

    /** A server has many threads; each would keep the last document that it printed. */
    @Test
    void aThreadKeepsNothingOfWhatItPrinted() {
        printer.print("<html><body>one cable</body></html>");
        assertThatThrownBy(() -> ThreadCtx.get().sharedContext()).hasMessageContaining("must be registered");
    }

    /** Names that were kept before such characters were refused. */
    @Test
    void whatNoDocumentMayHoldIsLeftOut() throws Exception {
        assertThat(text(new PdfPrinter().print("<html><body>A\u0001B\uFFFEC\uD800D</body></html>")))
                .contains("ABCD");
    }

    @Test
    void anEmptyJobStillPrints() {
        assertThat(get("/jobs/" + newJob(Units.METRIC).id() + "/pack/sheet.pdf"))
                .hasStatusOk();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }
}
