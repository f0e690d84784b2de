package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The first page: one field, and the answer while it is typed. */
class AnswerBrowserIT extends BrowserTest {
    @Test
    void oneFieldToAnAnswer() {
        visit("/");
        page.keyboard().press("/");
        assertThat(page.locator("#ask")).isFocused();
        page.keyboard().type("180 A 2.4 m 24 V");
        assertThat(page.locator(".answer-size")).hasText(Pattern.compile("50\\s*mm²"));
        assertThat(page.locator("#ask")).hasValue("180 A 2.4 m 24 V");
        assertThat(page.locator("#ask")).isFocused();
        assertThat(page).hasURL(Pattern.compile(".*ask=180%20A%202.4%20m%2024%20V"));
        page.reload();
        assertThat(page.locator(".answer-size")).hasText(Pattern.compile("50\\s*mm²"));
        for (String place : new String[] {".answer-size", ".answer-why", ".answer-decided", ".answer-keep button"}) {
            assertThat(page.locator(place)).isInViewport();
        }
    }

    @Test
    void wordsAreThePlacesToChange() {
        visit("/?ask=180%20A%202.4%20m%2024%20V");
        page.locator(".offers a").getByText("on M10").click();
        assertThat(page.locator("#ask")).hasValue("180 A 2.4 m 24 V on M10");
        assertThat(page.locator(".answer-ends")).containsText("Both ends, M10");
        page.locator(".gloss-word").getByText("24 V").click();
        page.keyboard().type("12 V");
        assertThat(page.locator("#ask")).hasValue("180 A 2.4 m 12 V on M10");
        assertThat(page).hasURL(Pattern.compile(".*12%20V.*"));
        page.locator(".answer-known a").getByText("drop").click();
        assertThat(page.locator(".gloss")).containsText("allowed drop");
        page.keyboard().type("10 %");
        assertThat(page.locator("#ask")).hasValue("180 A 2.4 m 12 V on M10 10 %");
    }

    /** Answers come in any order on a slow line: what stands is that of the last word, and no letter is lost. */
    @Test
    void typedFastNothingIsLost() {
        visit("/");
        Locator line = page.locator("#ask");
        line.pressSequentially(
                "inverter 3 kW 24 V 1,8 m 2 % on M8", new Locator.PressSequentiallyOptions().setDelay(3));
        assertThat(page.locator(".gloss-word").last()).containsText("M8");
        assertThat(line).hasValue("inverter 3 kW 24 V 1,8 m 2 % on M8");
        assertThat(page).hasURL(Pattern.compile(".*on%20M8"));
    }

    /** Three thousand watts from an empty page to a job with fuse, two cables and four ends: one entry and one press. */
    @Test
    void anInverterCircuitInOneEntry() {
        visit("/");
        page.locator("#ask").fill("inverter 3 kW 24 V 1.8 m on M8");
        assertThat(page.locator(".answer-facts").first()).containsText("Class T");
        page.getByText("Keep the cable").click();
        assertThat(page.locator("h1")).containsText("PLUS");
        page.locator(".crumbs a").last().click();
        assertThat(page.locator("main")).containsText("MINUS");
        assertThat(complaints).isEmpty();
    }

    @Test
    void onAPhone() {
        page.setViewportSize(390, 844);
        visit("/?ask=180%20A%202.4%20m%2024%20V");
        for (String place :
                new String[] {"#ask", ".answer-size", ".answer-why .verdict", ".answer-decided", ".answer-keep button"
                }) {
            assertThat(page.locator(place).first()).isInViewport();
        }
        page.setViewportSize(360, 740);
        assertThat(page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .isEqualTo(true);
        page.locator("#ask").fill("180 A");
        assertThat(page.locator(".ask-missing")).containsText("How far");
    }
}
