package org.ulnaris.app.pack;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

class SheetTest extends AppTest {
    @Autowired
    private SheetService sheets;

    @Test
    void holdsDrawingFiguresStepsReadingsCautionsAndSources() throws Exception {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "INV+", "from", "fuse", "to", "inverter"));
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "2.5 m"));
        String text = text(sheets.ofCable(cable.id()));
        assertThat(text)
                .contains("INV+", "fuse", "inverter", "2.40", "Mark and strip · A end", "Witness mark · B end")
                .contains("Length as cut", "Isolate and lock out", "33 CFR 183.425", "DIN 46235", "recalled")
                .contains("a licensed or qualified person decide")
                .doesNotContain("#");
    }

    @Test
    void markupShowsAsText() throws Exception {
        Cable cable =
                newCable(newJob(Units.METRIC), Map.of("tag", "<script>", "from", "a & b </td>", "to", "\"<svg/>'"));
        assertThat(text(sheets.ofCable(cable.id()))).contains("<script>", "a & b </td>", "\"<svg/>'");
    }

    @Test
    void oneSheetACableAndEveryFontEmbedded() throws Exception {
        Job job = newJob(Units.US);
        newCable(job, Map.of("tag", "ONE"));
        newCable(job, Map.of("tag", "TWO", "current", "5", "size", "18"));
        byte[] pdf = sheets.ofJob(job.id());
        assertThat(text(pdf)).contains("ONE", "TWO", "lbf·in");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    assertThat(page.getResources().getFont(name).isEmbedded()).isTrue();
                }
            }
        }
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
