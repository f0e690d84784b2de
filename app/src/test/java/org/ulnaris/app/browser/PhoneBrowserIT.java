package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.options.BoundingBox;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.EndKind;

/** The bench in one hand: 390 px wide, large targets, nothing that scrolls sideways. */
class PhoneBrowserIT extends BrowserTest {
    @Override
    protected Browser.NewContextOptions options() {
        return new Browser.NewContextOptions().setViewportSize(390, 844).setHasTouch(true);
    }

    @Test
    void everyStepFitsThePhone() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "A-VERY-LONG-TAG-OF-24-CH", "size", "70 mm2"));
        for (BuildStep step : EndKind.steps(EndKind.LUG, EndKind.LUG)) {
            visit("/cables/" + cable.id() + "/bench/" + step.key());
            Object wide = page.evaluate("document.documentElement.scrollWidth <= innerWidth");
            assertThat(wide).as(step.key()).isEqualTo(true);
            BoundingBox accept = page.locator("#bench-accept").boundingBox();
            assertThat(accept.height).as(step.key()).isGreaterThanOrEqualTo(56);
            assertThat(accept.y + accept.height).as(step.key()).isLessThanOrEqualTo(844);
        }
    }

    @Test
    void theDeskPagesCanBeRead() {
        Cable cable = newCable(newJob(Units.US), Map.of("tag", "INV+"));
        for (String place : new String[] {"plan", "match", "make", "prove", "pack"}) {
            visit("/cables/" + cable.id() + "/" + place);
            Object wide = page.evaluate("document.documentElement.scrollWidth <= innerWidth");
            assertThat(wide).as(place).isEqualTo(true);
        }
    }

    @Test
    void theJobsPagesCanBeRead() {
        long demo = jobs.all().stream()
                .filter(job -> job.details().name().equals("Sandpiper"))
                .findFirst()
                .orElseThrow()
                .id();
        for (String place : new String[] {"plan", "loads", "layout", "findings", "budget", "what-if", "rules"}) {
            visit("/jobs/" + demo + "/" + place);
            Object beyond = page.evaluate(
                    "document.documentElement.scrollWidth <= innerWidth ? '' : [...document.querySelectorAll('main *')]"
                            + ".filter(e => e.getBoundingClientRect().right > innerWidth && !e.closest('.table-wrap'))"
                            + ".map(e => e.tagName + '.' + e.className).slice(0, 5).join(' ')");
            assertThat(beyond).as(place).isEqualTo("");
        }
    }

    /** What the panel tells of is seen above it, wherever it lies in the picture. */
    @Test
    void whatIsPressedIsSeen() {
        long demo = jobs.all().stream()
                .filter(job -> job.details().name().equals("Sandpiper"))
                .findFirst()
                .orElseThrow()
                .id();
        List<String> tags =
                cables.of(demo).stream().map(cable -> cable.details().tag()).toList();
        for (int i = 0; i < tags.size(); i += 4) {
            visit("/jobs/" + demo + "?at=" + URLEncoder.encode(tags.get(i), StandardCharsets.UTF_8));
            BoundingBox panel = page.locator(".panel").boundingBox();
            BoundingBox pressed =
                    page.locator(".layout-sheet a[aria-current]").first().boundingBox();
            assertThat(pressed.y).as(tags.get(i)).isGreaterThanOrEqualTo(0);
            assertThat(pressed.y + pressed.height).as(tags.get(i)).isLessThanOrEqualTo(panel.y);
            assertThat(pressed.x).as(tags.get(i)).isBetween(0.0, 390 - pressed.width);
        }
    }

    /** Ends with connectors, and the crib, on a phone. */
    @Test
    void connectorsAndTheCribCanBeRead() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "PV+", "series", "METRIC", "size", "6 mm²"));
        for (String family : new String[] {"STACKABLE", "TWO_POLE", "PV", "SMALL", "SOLDER_SLEEVE", "FERRULE"}) {
            visit("/cables/" + cable.id() + "/match?at=A.lug");
            page.locator("#family-A").selectOption(family);
            assertThat(page.locator("#end-A fieldset.picks legend").first()).hasText("Contact");
            visit("/cables/" + cable.id() + "/match?at=A");
            assertThat(page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .as(family)
                    .isEqualTo(true);
        }
        for (String path : new String[] {
            "/crib",
            "/crib/tools",
            "/crib/tool?tag=B1",
            "/crib/tool?tag=I1",
            "/crib/die?tag=K14",
            "/crib/map",
            "/crib?lug=DIN%2050%20%C2%B7%20M8",
            "/crib/gaps",
            "/stock",
            "/stock/buy",
            "/stock/lugs",
            "/stock/parts",
            "/stock/contacts",
            "/rules"
        }) {
            visit(path);
            assertThat(page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .as(path)
                    .isEqualTo(true);
        }
    }

    @Test
    void theTimerCountsByTheClock() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        page.clock().install();
        visit("/cables/" + cable.id() + "/bench/pull-a");
        // From here on only the test moves the clock: what a slow machine takes between two presses is not counted.
        page.clock().pauseAt(System.currentTimeMillis() + 3_600_000);
        page.locator("#timer-button").tap();
        page.clock().fastForward(30_000);
        page.reload();
        assertThat(page.locator("#timer-out")).hasText("30");
        page.clock().fastForward(31_000);
        assertThat(page.locator("#r-HOLD_TIME")).hasValue("60 s");
    }
}
