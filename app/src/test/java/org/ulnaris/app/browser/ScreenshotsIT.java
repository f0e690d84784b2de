package org.ulnaris.app.browser;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;

/** Makes the pictures of docs/screenshots from the demonstration shop: ./ulnaris shots. */
@EnabledIfSystemProperty(named = "ulnaris.shots", matches = ".+")
class ScreenshotsIT extends BrowserTest {
    private void shot(String path, String name) {
        visit(path);
        page.evaluate("document.fonts.ready");
        page.screenshot(
                new Page.ScreenshotOptions().setPath(Path.of(System.getProperty("ulnaris.shots"), name + ".png")));
    }

    @Test
    void mainViews() {
        Job job = jobs.all().stream()
                .filter(j -> j.details().name().equals("Lantern Cart"))
                .findFirst()
                .orElseThrow();
        List<Cable> list = cables.of(job.id());
        String cable = "/cables/" + list.get(0).id();
        shot("/", "jobs");
        shot("/jobs/" + job.id() + "/plan", "plan");
        shot(cable + "/plan", "cable");
        shot(cable + "/match", "match");
        shot(cable + "/make", "make");
        shot("/crib", "crib");
        context.addInitScript("localStorage.setItem('ulnaris-theme', 'dark')");
        shot(cable + "/plan", "cable-dark");
        context.addInitScript("localStorage.setItem('ulnaris-theme', 'light')");
        page.setViewportSize(390, 844);
        shot(cable + "/bench/strip-a", "bench-phone");
    }
}
