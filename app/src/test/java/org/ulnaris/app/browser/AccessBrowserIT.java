package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;

/** axe on every page in both themes, the keyboard alone, a phone. */
class AccessBrowserIT extends BrowserTest {
    @Autowired
    private LoadsService loads;

    private void feed(Job job) {
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        long inverter =
                loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "3 kW", "drop", "0.1"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "MAIN", "family", "CLASS_T", "rating", "200 A"));
        newCable(job, Map.of("from", "BANK.plus", "to", "MAIN.in"));
        newCable(job, Map.of("from", "MAIN.out", "to", "INV.plus"));
        newCable(job, Map.of("from", "INV.minus", "to", "BANK.minus"));
        long show = loads.addCase(job.id(), "Show", 2);
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
    }

    private static final String[] COLOUR_RULES = {"color-contrast", "link-in-text-block"};

    /** What a narrow screen can break beside the colours: what scrolls, what is small, what has lost its name or its place. */
    private static final String[] NARROW_RULES = {
        "color-contrast",
        "scrollable-region-focusable",
        "target-size",
        "label-content-name-mismatch",
        "button-name",
        "link-name",
        "region",
        "page-has-heading-one",
        "heading-order"
    };

    private List<String> pages(Job job, Cable cable) {
        return List.of(
                "/",
                "/?ask=180%20A%202.4%20m%2024%20V",
                "/?ask=180%20frob%202/0",
                "/jobs",
                "/crib",
                "/crib/tools",
                "/crib/tool?tag=B1",
                "/crib/tool?tag=I1",
                "/crib/die?tag=K16",
                "/crib/map",
                "/crib?lug=DIN%2050%20%C2%B7%20M8",
                "/crib/gaps",
                "/identify?hold=cable&strands=665&strand=0.25",
                "/identify?hold=lug&outer=14.5",
                "/identify?hold=bar&moves=true",
                "/stock",
                "/stock/buy",
                "/stock/lugs",
                "/stock/parts",
                "/stock/contacts",
                "/nowhere",
                "/jobs/" + job.id() + "/settings",
                "/jobs/" + job.id() + "/plan",
                "/jobs/" + job.id() + "/loads?kind=MOTOR",
                "/jobs/" + job.id() + "/plan?grouped=true&sort=SIZE",
                "/jobs/" + job.id() + "/layout",
                "/jobs/" + job.id() + "?at=" + cable.details().tag(),
                "/jobs/" + job.id() + "?at=MAIN",
                "/jobs/" + job.id() + "?kind=MOTOR",
                "/jobs/" + archived() + "?at=OLD",
                "/jobs/" + archived() + "/plan",
                "/jobs/" + job.id() + "/findings",
                "/jobs/" + job.id() + "/budget",
                "/jobs/" + job.id() + "/what-if?voltage=48%20V&free=true",
                "/jobs/" + job.id() + "/rules",
                "/rules",
                "/equipment/" + loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "SPARE")),
                "/equipment/" + loads.idOf(job.id(), "MAIN").orElseThrow(),
                "/jobs/" + job.id() + "/match",
                "/jobs/" + job.id() + "/make",
                "/jobs/" + job.id() + "/prove",
                "/jobs/" + job.id() + "/pack",
                "/jobs/" + job.id() + "/landing",
                "/jobs/" + job.id() + "/import",
                "/cables/" + cable.id() + "/plan",
                "/cables/" + cable.id() + "/match",
                "/cables/" + cable.id() + "/make",
                "/cables/" + cable.id() + "/prove",
                "/cables/" + cable.id() + "/pack",
                "/cables/" + cable.id() + "/bench/cut",
                "/cables/" + cable.id() + "/bench/pull-a",
                "/cables/" + cable.id() + "/bench/witness-b",
                "/cables/" + connector(job) + "/match",
                "/cables/" + connector(job) + "/bench/seat-a");
    }

    private long archived() {
        Job old = newJob(Units.METRIC);
        newCable(old, Map.of("tag", "OLD"));
        jobs.archive(old.id(), true);
        return old.id();
    }

    /** A table of parts is checked before it is taken; both pages are for everybody. */
    @Test
    void aTableOfPartsIsCheckedAndTaken() {
        visit("/stock/lugs");
        page.getByText("Many lugs from a file").click();
        page.locator("#f-file")
                .setInputFiles(new FilePayload(
                        "lugs.csv",
                        "text/csv",
                        "code,outside,inside,depth,pad_width,hole\nbrowser lug,20,14,30,28,10.5\n"
                                .getBytes(StandardCharsets.UTF_8)));
        page.getByText("Check the file").click();
        assertThat(page.locator("main")).containsText("1 new, 0 changed, 0 the same already.");
        assertThat(axe()).isEmpty();
        page.setViewportSize(360, 740);
        assertThat(axe(NARROW_RULES)).isEmpty();
        page.getByText("Take the file").click();
        assertThat(page.locator("#measured")).containsText("browser lug");
        assertThat(page.locator(".undo")).containsText("One lug was taken from a file");
        assertThat(axe()).isEmpty();
        page.locator(".undo button").click();
        assertThat(page.locator("main")).not().containsText("browser lug");
        assertThat(complaints).isEmpty();
    }

    /** A cable with a connector at one end and a small terminal at the other. */
    private long connector(Job job) {
        Cable cable = newCable(job, Map.of("series", "METRIC", "size", "6 mm²", "current", "10 A"));
        post("/cables/" + cable.id() + "/match/A", Map.of("family", "STACKABLE"));
        post("/cables/" + cable.id() + "/match/B", Map.of("family", "SMALL"));
        return cable.id();
    }

    /** Colours do not pass through others on their way into the dark. */
    @Override
    protected Browser.NewContextOptions options() {
        return super.options().setReducedMotion(ReducedMotion.REDUCE);
    }

    /**
     * At a desk and at 360 px, light and dark; what a page asks for after it is shown is looked at too. Each theme is that in which every
     * other page is loaded, and is turned to on the rest.
     */
    @Test
    void axeFindsNothing() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("terminal", "75"));
        newCable(job, Map.of("current", "3000"));
        feed(job);
        post("/cables/" + cable.id() + "/bench/check", Map.of());
        post("/cables/" + cable.id() + "/bench/cut", Map.of("CUT_LENGTH", "1 m"));
        List<String> found = new ArrayList<>();
        boolean dark = false;
        for (String path : pages(job, cable)) {
            visit(path);
            assertThat(page.locator("[hx-trigger='load']")).hasCount(0);
            found.addAll(axe());
            found.addAll(widerWithLargeText(path));
            page.setViewportSize(360, 740);
            found.addAll(axe(NARROW_RULES));
            dark = !dark;
            page.evaluate("""
                    (theme) => {
                      localStorage.setItem("ulnaris-theme", theme);
                      document.documentElement.dataset.bsTheme = theme;
                    }""", dark ? "dark" : "light");
            found.addAll(axe(NARROW_RULES));
            page.setViewportSize(1280, 800);
            found.addAll(axe(COLOUR_RULES));
        }
        assertThat(found).isEmpty();
        assertThat(complaints).isEmpty();
    }

    /** Text twice as large pushes nothing out of the page (WCAG 2.2, 1.4.4). */
    private List<String> widerWithLargeText(String path) {
        Object wider = page.evaluate("""
                () => {
                  const root = document.documentElement;
                  root.style.fontSize = "200%";
                  const wider = root.scrollWidth - root.clientWidth;
                  root.style.fontSize = "";
                  return wider;
                }""");
        return wider.equals(0) ? List.of() : List.of(path + ": " + wider + " px wider with large text");
    }

    @Test
    void keyboardAlone() {
        Job job = newJob(Units.METRIC);
        Cable first = newCable(job, Map.of("tag", "K1"));
        newCable(job, Map.of("tag", "K2"));
        visit("/cables/" + first.id() + "/plan");
        page.keyboard().press("Tab");
        assertThat(page.locator(":focus")).hasText("Skip to content");
        page.keyboard().press("Enter");
        page.keyboard().press("]");
        assertThat(page.locator("h1")).containsText("K2");
        page.keyboard().press("[");
        assertThat(page.locator("h1")).containsText("K1");
        page.keyboard().press("?");
        assertThat(page.locator("#keys")).isVisible();
        page.keyboard().press("Escape");
        page.keyboard().press("w");
        assertThat(page.locator("details.why").first()).hasAttribute("open", "");
        page.locator("#f-current").focus();
        page.keyboard().press("Control+a");
        page.keyboard().type("95");
        assertThat(page.locator(".reasons")).containsText("95 A");
        assertThat(page.locator("#f-current")).isFocused();
        page.locator("[id='rung-50mm²']").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".in-use")).containsText("50 mm²");
        page.locator("#main").focus();
        page.keyboard().press("2");
        page.waitForURL("**/match");
        page.keyboard().press("x");
        assertThat(page.locator("#end-B")).isVisible();
        page.locator(".map-across a[href$='at=A.crimp']").press("Enter");
        assertThat(page.locator("#end-A.only-CRIMP")).isVisible();
        assertThat(page.locator(".map-across a[href$='at=A.crimp']")).isFocused();
        page.locator("#main").focus();
        page.keyboard().press("3");
        page.waitForURL("**/make");
        page.getByText("Begin at the bench").press("Enter");
        page.waitForURL("**/bench/check");
        page.keyboard().press("Enter");
        page.waitForURL("**/bench/cut");
        page.keyboard().press("r");
        page.keyboard().type("2540");
        page.keyboard().press("Enter");
        page.waitForURL("**/bench/thread");
        page.keyboard().press("Backspace");
        page.waitForURL("**/bench/cut");
        assertThat(complaints).isEmpty();
    }
}
