package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

/** What is typed is never lost, also when it is typed fast and the answers are slow: 15 ms a key through every live form. */
class TypingBrowserIT extends BrowserTest {
    private static final int KEY_MS = 15;
    private static final int ANSWER_MS = 350;

    /** Answers to changes come late, so that the next field is typed while they are under way. */
    private void slowAnswers(String path) {
        page.route("**" + path, route -> {
            page.waitForTimeout(ANSWER_MS);
            route.resume();
        });
    }

    /** Goes from field to field by the tab key, as fast as a practised hand. */
    private void type(Map<String, String> fields) {
        fields.forEach((field, text) -> {
            page.locator(field).focus();
            page.keyboard().press("Control+A");
            page.locator(field).pressSequentially(text, new Locator.PressSequentiallyOptions().setDelay(KEY_MS));
            page.keyboard().press("Tab");
        });
    }

    private void holds(Map<String, String> fields) {
        fields.forEach((field, text) -> assertThat(page.locator(field)).hasValue(text));
        assertThat(page.locator("body.keeping")).hasCount(0);
        page.reload();
        fields.forEach((field, text) -> assertThat(page.locator(field)).hasValue(text));
        assertThat(complaints).isEmpty();
    }

    @Test
    void theRoomAroundAStud() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²", "current", "90 A"));
        visit("/cables/" + cable.id() + "/match");
        slowAnswers("/match/*");
        for (String side : new String[] {"A", "B"}) {
            page.locator("#end-" + side + " .around summary").click();
            Map<String, String> typed = new LinkedHashMap<>();
            typed.put("#torque-" + side, "14 N·m");
            typed.put("#torqueMin-" + side, "12 N·m");
            typed.put("#torqueMax-" + side, "15 N·m");
            typed.put("#clear-" + side, "60 mm");
            typed.put("#studLength-" + side, "26 mm");
            typed.put("#leave-" + side, "5 °");
            typed.put("#wallReach-" + side, "40 mm");
            typed.put("#neighbour-" + side, "48 mm");
            typed.put("#headroom-" + side, "33 mm");
            type(typed);
            page.locator(".other-end").click();
            assertThat(page.locator("#end-" + side)).hasCount(0);
            page.locator(".other-end").click();
            holds(typed);
            page.locator(".other-end").click();
        }
    }

    /** An answer does not take the focus back from who has gone on, and a second one forgets nothing; told in one go, so that no other comes between. */
    @Test
    void theFocusStaysWhereSomebodyHasGone() {
        visit("/crib");
        Object focused = page.evaluate("""
                () => {
                  const tell = (name) => document.dispatchEvent(new CustomEvent(name, { detail: { shouldSwap: true } }));
                  const go = (id) => document.getElementById(id).focus();
                  const leave = () => document.activeElement.blur();
                  const at = () => document.activeElement.id;
                  go("f-lug"); tell("htmx:beforeSwap"); go("f-size"); tell("htmx:afterSettle");
                  const gone = at();
                  go("f-lug"); tell("htmx:beforeSwap"); leave(); tell("htmx:afterSettle");
                  const taken = at();
                  go("f-lug"); tell("htmx:beforeSwap"); leave(); tell("htmx:beforeSwap"); tell("htmx:afterSettle");
                  const two = at();
                  leave(); tell("htmx:beforeSwap"); tell("htmx:afterSettle");
                  return [gone, taken, two, at()];
                }""");
        assertThat(focused).isEqualTo(List.of("f-size", "f-lug", "f-lug", ""));
    }

    @Test
    void theFieldsOfACable() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "current", "90 A"));
        visit("/cables/" + cable.id() + "/plan");
        slowAnswers("/plan");
        page.locator("#known summary").click();
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("#f-from", "main fuse");
        typed.put("#f-to", "inverter");
        typed.put("#f-current", "145 A");
        typed.put("#f-length", "1.85 m");
        typed.put("#f-drop", "2.5 %");
        typed.put("#f-insulation", "90 °C");
        typed.put("#f-ambient", "35 °C");
        typed.put("#f-slack", "120 mm");
        type(typed);
        holds(typed);
    }

    @Test
    void whatCalipersRead() {
        visit("/identify?hold=lug");
        slowAnswers("/identify?*");
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("#f-outer", "14.4 mm");
        typed.put("#f-bore", "10.1 mm");
        typed.put("#f-hole", "8.4 mm");
        List<Route> unanswered = new ArrayList<>();
        page.route("**/identify?*outer=11.2*", unanswered::add);
        page.locator("#f-outer").fill("11.2 mm");
        page.waitForCondition(() -> !unanswered.isEmpty());
        type(typed);
        assertThat(page.locator(".like-lugs")).containsText("DIN 50 · M8");
        assertThat(page.locator(".like-lugs")).not().containsText("DIN 50 · M10");
        assertThat(page.locator(".htmx-request")).hasCount(0);
        typed.forEach((field, text) -> assertThat(page.locator(field)).hasValue(text));
        assertThat(complaints).isEmpty();
    }

    @Test
    void aLineOfTheList() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "current", "90 A"));
        visit("/jobs/" + cable.jobId() + "/plan");
        slowAnswers("/row");
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("#c-" + cable.id() + "-current", "145 A");
        typed.put("#c-" + cable.id() + "-length", "1.85 m");
        typed.put("#c-" + cable.id() + "-size", "70 mm²");
        type(typed);
        holds(typed);
    }
}
