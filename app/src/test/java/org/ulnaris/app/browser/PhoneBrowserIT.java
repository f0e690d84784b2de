package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.options.BoundingBox;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.EndKind;

/** The bench in one hand: 390 px wide, large targets, nothing that scrolls sideways. */
class PhoneBrowserIT extends BrowserTest {
    @Autowired
    private MakeService make;

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

    /** Each kind of wrong reading: the stop is what is seen, uncovered, with the focus on it and its ways out below; nothing leads over it. */
    @ParameterizedTest
    @CsvSource({
        "cut, CUT_LENGTH=900, too short",
        "strip-a, STRIP_LENGTH=20, bare",
        "strands-a, STRANDS_LOST=200, lost",
        "measure-a, ACROSS_FLATS_1=15.6 ACROSS_FLATS_2=11.9, across flats",
        "gap-a, CRIMP_GAP=9, crept",
        "look-a, LOOK_INDEX=YES LOOK_CRACKS=NO LOOK_FINS=YES LOOK_STRAIGHT=YES, cracked",
        "pull-a, PULL_FORCE=200 HOLD_TIME=60, required",
        "pull-b, PULL_FORCE=5000 HOLD_TIME=5, required",
        "torque-a, TORQUE=60, beyond"
    })
    void aStopIsSeenOnAPhone(String step, String readings, String words) {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2", "slack", "150"));
        BuildStep.inOrder().stream()
                .takeWhile(one -> !one.key().equals(step))
                .forEach(one -> make.done(cable.id(), one));
        visit("/cables/" + cable.id() + "/bench/" + step);
        for (String reading : readings.split(" ")) {
            String[] pair = reading.split("=");
            if (pair[0].startsWith("LOOK")) {
                page.locator("input[name=" + pair[0] + "][value=" + pair[1] + "]")
                        .check();
            } else {
                page.locator("#r-" + pair[0]).fill(pair[1]);
            }
        }
        page.locator("#bench-accept").tap();
        assertThat(page.locator("#bench-stop")).isFocused();
        assertThat(page.locator("#bench-stop")).containsText(words);
        assertThat(page.locator(".bench-picture")).hasCount(0);
        for (String part : List.of("#bench-stop-title", ".bench-stop-why", ".bench-way summary >> nth=-1")) {
            BoundingBox box = page.locator(part).first().boundingBox();
            assertThat(box.y).as(part).isGreaterThanOrEqualTo(0);
            assertThat(box.y + box.height).as(part).isLessThanOrEqualTo(844);
            Object seen = page.locator(part)
                    .first()
                    .evaluate(
                            "e => { const b = e.getBoundingClientRect();"
                                    + " return e.contains(document.elementFromPoint(b.x + b.width / 3, b.y + b.height / 2)); }");
            assertThat(seen).as(part + " is uncovered").isEqualTo(true);
        }
        assertThat(page.locator(".bench-unmeasured")).hasCount(0);
        visit("/cables/" + cable.id() + "/bench");
        assertThat(page).hasURL(Pattern.compile(".*/bench/" + step + "$"));
        visit("/cables/" + cable.id() + "/make");
        assertThat(page.locator(".headline .v-STOP")).isVisible();
        assertThat(page.locator(".v-PASS")).hasCount(0);
    }

    /** The second tap of a double tap belongs to the page before: it never ends the next step. */
    @Test
    void aDoubleTapEndsOneStep() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        make.done(cable.id(), BuildStep.keyed("check").orElseThrow());
        make.done(cable.id(), BuildStep.keyed("cut").orElseThrow());
        visit("/cables/" + cable.id() + "/bench/thread");
        assertThat(page.locator("#bench-accept")).isEnabled();
        page.locator("#bench-accept").tap();
        page.waitForURL("**/bench/strip-a");
        // No later than the page itself: a press that is taken at once would have ended the step.
        page.evaluate("document.querySelector('#r-STRIP_LENGTH').value = '29'");
        assertThat(page.evaluate("document.querySelector('#bench-accept').disabled"))
                .isEqualTo(true);
        page.locator("#bench-accept").dispatchEvent("click");
        assertThat(make.of(cable.id()).done()).doesNotContain("strip-a");
        assertThat(page.locator("#bench-accept")).isEnabled();
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

    /** Every target of the start pages and the crib is as large as a fingertip; links within a sentence excepted (WCAG 2.5.5). */
    @ParameterizedTest
    @ValueSource(strings = {"/", "/jobs", "/crib", "/crib/tools", "/crib/gaps"})
    void targetsAreAsLargeAsAFingertip(String path) {
        jobs.archive(newJob(Units.METRIC).id(), true);
        visit(path);
        page.evaluate("document.querySelectorAll('.archive').forEach(archive => archive.open = true)");
        Object small = page.evaluate("""
                () => [...document.querySelectorAll(
                        'a[href], button, input:not([type=hidden]), select, textarea, summary')]
                    .map(target => {
                        const label = target.closest('label');
                        const box = target.type === 'checkbox' && label ? label : target;
                        const { width, height, left } = box.getBoundingClientRect();
                        const style = getComputedStyle(target);
                        const words = [...target.parentElement.childNodes]
                            .some(node => node.nodeType === 3 && node.textContent.trim().length > 3);
                        const seen = width && height && left > -500 && style.visibility !== 'hidden'
                            && !target.closest('svg, .visually-hidden');
                        const sentence = target.tagName === 'A' && style.display === 'inline' && words;
                        return seen && !sentence && (width < 43.9 || height < 43.9)
                            ? `${target.outerHTML.slice(0, 90)} ${width} by ${height}` : '';
                    })
                    .filter(text => text)
                """);
        assertThat((List<?>) small).isEmpty();
    }
}
