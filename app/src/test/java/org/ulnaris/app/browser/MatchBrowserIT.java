package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

/** Match and crib in the browser: an end of each family, the crib, its tags, a lug from caliper readings. */
class MatchBrowserIT extends BrowserTest {
    private void press(String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .click();
    }

    /** A program that changes something needs the token; cookie and token come together. */
    @Test
    void aProgramWritesWithItsToken() {
        String lug = "{\"code\":\"token lug\",\"barrelOdMm\":14.5,\"boreIdMm\":10,\"barrelDepthMm\":28,"
                + "\"padWidthMm\":22,\"holeMm\":8.4}";
        RequestOptions bare = RequestOptions.create()
                .setHeader("Content-Type", "application/json")
                .setData(lug);
        assertThat(page.request().post(url("/api/v1/lugs"), bare).status()).isEqualTo(403);
        String token = page.request().get(url("/api/v1/token")).text().replaceAll(".*\"token\":\"([^\"]+)\".*", "$1");
        assertThat(page.request()
                        .post(url("/api/v1/lugs"), bare.setHeader("X-XSRF-TOKEN", token))
                        .status())
                .isEqualTo(201);
    }

    /** From the choice to the order of threading and the bench. */
    @ParameterizedTest
    @CsvSource({
        "STACKABLE, 6 mm², SP cane, orient-a, tag",
        "TWO_POLE, 16 mm², TP wren 16, sheath-a, tag",
        "PV, 6 mm², PV kite, nut-a, grip ring",
        "SMALL, 4 mm², yellow sealed ring, crimp-a, ''",
        "SOLDER_SLEEVE, 4 mm², solder sleeve 12–10, solder-a, tag",
        "HEAVY_SPLICE, 50 mm², splice 50, measure-a, sleeve",
        "FERRULE, 4 mm², ferrule 4 × 10, crimp-a, ''"
    })
    void anEndOfEachFamily(String family, String size, String proposal, String step, String threaded) {
        Cable cable = newCable(
                newJob(Units.METRIC),
                Map.of(
                        "series",
                        "METRIC",
                        "size",
                        size,
                        "current",
                        "10 A",
                        "outer",
                        size.startsWith("50") ? "13" : size.startsWith("16") ? "9" : "5.6"));
        visit("/cables/" + cable.id() + "/match");
        page.locator("#family-A").selectOption(family);
        assertThat(page.locator("#end-A fieldset.picks").first()).containsText("the best, " + proposal);
        if (!threaded.isEmpty()) {
            assertThat(page.locator("#result")).containsText(threaded);
        }
        visit("/cables/" + cable.id() + "/make");
        page.locator(".steps a[href$='/bench/" + step + "']").click();
        assertThat(page.locator("h1")).containsText("A end");
        assertThat(complaints).isEmpty();
    }

    @Test
    void diesGoIntoAToolAndBack() {
        visit("/crib");
        page.getByLabel("Put K20 into B1").click();
        assertThat(page.getByLabel("Put K20 back into the box")).isVisible();
        assertThat(page.locator(".nest .in-tool")).hasCount(1);
        page.getByLabel("Put K14 into B1").click();
        assertThat(page.getByLabel("Put K20 into B1")).isVisible();
        page.getByLabel("Put K14 back into the box").click();
        assertThat(page.locator(".nest .in-tool")).hasCount(0);
        page.getByLabel("Put K16 into B1").click();
        APIResponse tags = page.request().get(url("/crib/tags.pdf"));
        assertThat(tags.ok()).isTrue();
        assertThat(new String(tags.body(), 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
                .isEqualTo("%PDF-");
        assertThat(complaints).isEmpty();
    }

    /** The room around a stud, the lugs' angle by route and studs, and a slider that is no entry. */
    @Test
    void theRoomTheAngleAndTheSlider() {
        Cable cable = newCable(
                newJob(Units.METRIC),
                Map.of("series", "METRIC", "size", "50 mm²", "current", "90 A", "length", "0.3 m right + 1 m up"));
        visit("/cables/" + cable.id() + "/match");
        page.locator("#end-A .around summary").click();
        page.locator("#points-A").selectOption("forward");
        assertThat(page.locator("#end-A .around")).hasAttribute("open", "");
        page.locator("#neighbour-A").fill("26");
        page.locator("#neighbour-A").blur();
        assertThat(page.locator("#end-A .footprint .next").first()).isAttached();
        page.locator(".other-end").click();
        page.locator("#end-B .around summary").click();
        page.locator("#points-B").selectOption("left");
        assertThat(page.locator(".clock-sheet")).containsText("−90°, from the route and the studs");
        page.locator(".other-end").click();
        String before = page.locator("#end-A .coin-before")
                .evaluate("e => getComputedStyle(e).clipPath")
                .toString();
        page.locator("#end-A .coin-range").fill("90");
        assertThat(page.locator("#end-A .coin-range")).hasValue("90");
        String after = page.locator("#end-A .coin-before")
                .evaluate("e => getComputedStyle(e).clipPath")
                .toString();
        assertThat(after).isNotEqualTo(before);
        assertThat(complaints).isEmpty();
    }

    @Test
    void aLugFromCaliperReadingsIsProposed() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²", "current", "90 A"));
        visit("/cables/" + cable.id() + "/match");
        page.locator(".own-lug > summary").click();
        page.locator("#new-lug #f-code").fill("bench find");
        page.locator("#new-lug #f-outer").fill("14.6");
        page.locator("#new-lug #f-bore").fill("9.95 mm");
        page.locator("#new-lug #f-depth").fill("1 1/8 in");
        page.locator("#new-lug #f-padWidth").fill("22");
        page.locator("#new-lug #f-hole").fill("8.4");
        press("Add the lug");
        page.locator("#end-A .others summary").first().click();
        page.locator("#end-A input[value='bench find']").check();
        assertThat(page.locator("#end-A .crimp-seen .coin-figure").first()).isVisible();
        assertThat(page.locator("#end-A input[value='bench find']")).isChecked();
        visit("/stock/lugs");
        page.getByLabel("Remove bench find").click();
        assertThat(complaints).isEmpty();
    }

    @Test
    void aSampleIsAddedAndUndone() {
        visit("/crib/tool?tag=F1");
        page.locator("#f-size").fill("4 mm2");
        page.locator("#f-voids").fill("1 %");
        press("Add the sample");
        assertThat(page.locator("#samples")).containsText("1 of 1 sound");
        page.getByText("Delete", new Page.GetByTextOptions().setExact(true))
                .first()
                .click();
        assertThat(page.locator(".undo")).containsText("The sample is deleted");
        assertThat(complaints).isEmpty();
    }
}
