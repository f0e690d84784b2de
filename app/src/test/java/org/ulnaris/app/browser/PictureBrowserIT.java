package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Units;

/** The job as its picture. */
class PictureBrowserIT extends BrowserTest {
    private Job copyOf(String name) {
        return jobs.copy(jobs.all().stream()
                .filter(one -> one.details().name().equals(name))
                .findFirst()
                .orElseThrow()
                .id());
    }

    private Locator link(String label) {
        return page.locator(".layout-sheet a[aria-label^=\"" + label + "\"]");
    }

    /** Where it was pressed: SVG groups have no middle of their own that surely is theirs. */
    private void press(String label) {
        link(label).dispatchEvent("click");
    }

    @Test
    void whatIsPressedOpensBesideThePictureThatStays() {
        Job job = copyOf("Lantern Cart");
        visit("/jobs/" + job.id());
        assertThat(page.locator(".panel")).containsText("What to do first");
        page.evaluate("document.querySelector('.picture-page').dataset.same = 'yes'");
        press("DIM+ ");
        assertThat(page.locator(".panel h2")).containsText("DIM+");
        assertThat(page).hasURL(Pattern.compile(".*at=DIM%2B"));
        assertThat(page.locator(".picture-page")).hasAttribute("data-same", "yes");
        page.goBack();
        assertThat(page.locator(".panel")).containsText("What to do first");
        link("INV ").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".panel h2")).containsText("INV");
        assertThat(page.evaluate("document.activeElement.closest('.layout-sheet') !== null"))
                .isEqualTo(true);
        page.keyboard().press("Escape");
        assertThat(page.locator(".panel")).containsText("What to do first");
        page.locator(".case-tabs a").nth(2).click();
        assertThat(page.locator(".case-tabs a[aria-current]")).hasText("Driving");
        page.getByLabel("Larger").click();
        assertThat(page.locator(".picture-page")).hasAttribute("style", Pattern.compile(".*--zoom: 1.25.*"));
        assertThat(complaints).isEmpty();
    }

    @Test
    void whatIsTypedFastBesideThePictureIsKept() {
        Job job = copyOf("Lantern Cart");
        visit("/jobs/" + job.id() + "?at=DIM%2B");
        page.locator("#f-length").fill("4.1 m");
        page.locator("#f-drop").fill("5 %");
        page.locator("#f-size").fill("soon");
        page.locator("#f-size").press("Tab");
        assertThat(page.locator("#e-size")).isVisible();
        assertThat(page.locator("#e-size")).not().isEmpty();
        assertThat(page.locator("#f-size")).hasValue("soon");
        assertThat(page.locator("#f-length")).hasValue("4.1 m");
        assertThat(page.locator("#f-drop")).hasValue("5 %");
        page.reload();
        assertThat(page.locator("#f-length")).hasValue("4.1 m");
        assertThat(page.locator("#f-drop")).hasValue("5 %");
    }

    /** Each request leaves once the one before is answered, and an answer that is older than what was typed leaves that alone. */
    @Test
    void whatIsTypedWhileAnAnswerIsUnderWayIsKept() {
        Job job = copyOf("Lantern Cart");
        visit("/jobs/" + job.id() + "?at=DIM%2B");
        List<Route> left = new ArrayList<>();
        page.route("**/picture", left::add);
        page.locator("#f-length").fill("4.1 m");
        page.locator("#f-drop").fill("5 %");
        page.locator("#f-size").focus();
        resume(left, 1);
        page.waitForCondition(() -> left.size() == 2);
        page.waitForFunction("document.querySelectorAll('.htmx-settling').length === 0");
        page.waitForTimeout(200);
        page.locator("#f-size").fill("soon");
        page.locator("#f-size").press("Tab");
        page.waitForTimeout(200);
        assertThat(left).hasSize(2);
        resume(left, 2);
        resume(left, 3);
        assertThat(page.locator("#e-size")).not().isEmpty();
        assertThat(page.locator("#f-size")).hasValue("soon");
        assertThat(page.locator("#f-drop")).hasValue("5 %");
    }

    /** One cable beyond what is small: the finding stands at once, the press that mends it comes after. */
    @Test
    void whatMendsAFindingOfALargeJobComesAfterThePicture() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "THIN", "size", "2.5 mm2"));
        for (int i = 0; i < 150; i++) {
            newCable(job, Map.of("tag", "C" + i));
        }
        visit("/jobs/" + job.id());
        assertThat(page.locator(".panel-said")).containsText("THIN");
        page.locator(".panel-said form.fix button").first().click();
        assertThat(page.locator(".undo button")).isVisible();
        assertThat(page.locator(".panel .size-chip")).not().hasText("2.5 mm²");
    }

    /** Archived in another window meanwhile: nothing is kept, what was typed stays, and the way out of the archive is there. */
    @Test
    void anArchivedJobSaysSoInEveryWindow() {
        Job job = copyOf("Lantern Cart");
        visit("/jobs/" + job.id() + "?at=DIM%2B");
        jobs.archive(job.id(), true);
        page.locator("#f-length").fill("4.4 m");
        page.locator("#f-length").press("Tab");
        assertThat(page.locator(".archived")).containsText("This job is archived");
        assertThat(page.locator("#f-length")).hasValue("4.4 m");
        assertThat(page.locator(".panel-form")).hasJSProperty("inert", true);
        page.locator(".archived button").click();
        page.waitForURL("**/jobs/" + job.id());
        assertThat(page.locator(".archived")).hasCount(0);
        visit("/jobs/" + job.id() + "?at=DIM%2B");
        assertThat(page.locator("#f-length")).not().hasValue("4.4 m");
        assertThat(page.locator(".panel-form")).hasJSProperty("inert", false);
    }

    private void resume(List<Route> left, int number) {
        page.waitForCondition(() -> left.size() >= number);
        left.get(number - 1).resume();
    }

    /** From an empty job: bank, fuse, inverter, and every cable between them. */
    @Test
    void anInverterCircuitIsPressedTogether() {
        Job job = newJob(Units.METRIC);
        visit("/jobs/" + job.id());
        int entries = 0;
        entries += shelf("Battery bank", "#f-capacity", "200 Ah");
        entries += shelf("Inverter", "#f-power", "3 kW");
        entries += lead("Terminal BANK.plus", "Terminal INV.plus", "1.5 m");
        assertThat(page.locator(".panel h2")).containsText("INV+");
        page.locator(".fix button").first().click();
        assertThat(page.locator(".undo")).containsText("Fixed");
        assertThat(link("F1 ")).hasCount(1);
        assertThat(entries).isLessThanOrEqualTo(12);
        assertThat(cables.of(job.id())).hasSize(3);
        assertThat(works.of(job.id()).verdictOf("INV+").asks()).isFalse();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(link("F1 ")).hasCount(0);
        assertThat(complaints).isEmpty();
    }

    private int shelf(String kind, String field, String value) {
        if (page.locator(".shelf[open]").count() == 0) {
            page.locator(".shelf summary").click();
        }
        page.locator(".shelf")
                .getByText(kind, new Locator.GetByTextOptions().setExact(true))
                .click();
        page.locator(field).fill(value);
        page.getByText("Put it in").click();
        assertThat(page.locator(".state, .panel-piece").first()).isVisible();
        return 1;
    }

    private int lead(String from, String to, String length) {
        press(from);
        assertThat(page.locator(".panel-from")).isVisible();
        press(to);
        page.locator("#f-length").fill(length);
        page.getByText("Draw it").click();
        return 1;
    }

    /** A terminal is reached, and a cable drawn, by keys alone. */
    @Test
    void aCableIsDrawnByKeys() {
        Job job = copyOf("Lantern Cart");
        int before = cables.of(job.id()).size();
        visit("/jobs/" + job.id());
        link("Terminal BUS.bar").focus();
        page.keyboard().press("Enter");
        page.locator("#f-to").selectOption("NBUS.bar");
        page.getByText("Lead it there").focus();
        page.keyboard().press("Enter");
        page.locator("#f-length").focus();
        page.keyboard().type("0.4 m");
        page.keyboard().press("Enter");
        assertThat(page.locator(".panel h2")).isVisible();
        assertThat(page).hasURL(Pattern.compile(".*at=.*"));
        assertThat(cables.of(job.id())).hasSize(before + 1);
    }

    @Test
    void theCardsOfJobsShowTheirPictures() {
        visit("/jobs");
        Locator card = page.locator(".job-card")
                .filter(new Locator.FilterOptions().setHasText("Frostline"))
                .first();
        card.scrollIntoViewIfNeeded();
        assertThat(card.locator(".job-sketch svg")).isVisible();
        page.locator("#f-find").fill("no such job");
        page.locator("#f-find").press("Enter");
        assertThat(page.locator("main")).containsText("No job found");
        assertThat(complaints).isEmpty();
    }
}
