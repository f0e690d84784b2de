package org.ulnaris.app.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;

/** Makes the pictures of docs/screenshots from the demonstration shop: ./ulnaris shots. */
@EnabledIfSystemProperty(named = "ulnaris.shots", matches = ".+")
class ScreenshotsIT extends BrowserTest {
    @Autowired
    private LoadsService loads;

    private void shot(String path, String name) {
        visit(path);
        page.evaluate("document.fonts.ready");
        page.screenshot(
                new Page.ScreenshotOptions().setPath(Path.of(System.getProperty("ulnaris.shots"), name + ".png")));
    }

    /** From {@code selector} downwards. */
    private void shotFrom(String path, String selector, String name) {
        visit(path);
        page.evaluate("document.fonts.ready");
        page.locator(selector).evaluate("e => e.scrollIntoView({block: 'start', behavior: 'instant'})");
        page.screenshot(
                new Page.ScreenshotOptions().setPath(Path.of(System.getProperty("ulnaris.shots"), name + ".png")));
    }

    /** The first page of a document. */
    private void document(String path, String name, int dpi) {
        byte[] pdf = page.request().get(url(path)).body();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            ImageIO.write(
                    new PDFRenderer(document).renderImageWithDPI(0, dpi),
                    "png",
                    Path.of(System.getProperty("ulnaris.shots"), name + ".png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void mainViews() {
        Job job = jobs.all().stream()
                .filter(j -> j.details().name().equals("Lantern Cart"))
                .findFirst()
                .orElseThrow();
        List<Cable> list = cables.of(job.id());
        String cable = "/cables/" + list.get(0).id();
        shot("/?ask=180%20A%202.4%20m%2024%20V", "first");
        shot("/jobs/" + job.id() + "/plan", "plan");
        shot("/jobs/" + job.id() + "/loads", "loads");
        shot("/jobs/" + job.id() + "?at=LAMP%2B", "picture");
        shot("/jobs/" + job.id() + "/findings", "findings");
        shot("/jobs/" + job.id() + "/what-if?voltage=48%20V&free=true", "what-if");
        shot("/jobs/" + job.id() + "/rules", "rules");
        shot("/equipment/" + loads.idOf(job.id(), "DIMF").orElseThrow(), "fuse");
        visit("/jobs/" + job.id() + "/budget");
        page.getByLabel("Keep sizes chosen by hand").uncheck();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Search"))
                .click();
        page.getByText("Take these sizes").waitFor();
        shot("/jobs/" + job.id() + "/budget", "budget");
        shot(cable + "/plan", "cable");
        shot(cable + "/match", "match");
        shot(cable + "/make", "make");
        shot("/jobs/" + job.id() + "/landing", "landing");
        shot("/crib", "crib");
        shot("/crib/map", "crib-map");
        Cable lamps = list.stream()
                .filter(one -> one.details().tag().equals("LAMP+"))
                .findFirst()
                .orElseThrow();
        shot("/cables/" + lamps.id() + "/match?at=B", "match-connector");
        document("/cables/" + list.get(0).id() + "/pack/sheet.pdf", "build-sheet", 90);
        context.addInitScript("localStorage.setItem('ulnaris-theme', 'dark')");
        shot("/stock", "stock-dark");
        context.addInitScript("localStorage.setItem('ulnaris-theme', 'light')");
        page.setViewportSize(390, 844);
        shot(cable + "/bench/strip-a", "bench-phone");
    }
}
