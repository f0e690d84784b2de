package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Units;

/** From equipment and a case to the current of a cable. */
class LoadsBrowserIT extends BrowserTest {
    private void equipment(String kind, String tag, String field, String value) {
        page.getByText(kind, new Page.GetByTextOptions().setExact(true)).first().click();
        page.locator("#f-tag").fill(tag);
        page.locator("#f-" + field).fill(value);
        page.getByText("Add it").click();
        assertThat(page.locator(".pieces")).containsText(tag);
    }

    private void cable(String tag, String from, String to) {
        page.locator("#f-tag").fill(tag);
        page.locator("#f-from").fill(from);
        page.locator("#f-to").fill(to);
        page.locator("#f-length").fill("1.6 m");
        page.getByText("Add and size it").click();
        assertThat(page.locator("h1")).containsText(tag);
    }

    @Test
    void theLoadsGiveTheCurrent() {
        Job job = newJob(Units.METRIC);
        visit("/jobs/" + job.id() + "/plan");
        page.getByText("Loads", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".empty")).containsText("Let the loads give the currents");
        equipment("Battery bank", "BANK", "capacity", "200 Ah");
        equipment("Inverter", "INV", "power", "3 kW");
        page.locator("#f-caseName").fill("Show");
        page.locator("#f-hours").fill("2");
        page.getByText("Add the case").click();
        assertThat(page.locator("#f-caseName")).hasValue("");

        visit("/jobs/" + job.id() + "/plan");
        cable("INV+", "BANK.plus", "INV.plus");
        assertThat(page.locator(".load-note")).containsText("No current here in any case yet");
        visit("/jobs/" + job.id() + "/plan");
        cable("INV-", "INV.minus", "BANK.minus");

        visit("/jobs/" + job.id() + "/loads");
        page.getByLabel("INV in Show").focus();
        page.getByLabel("INV in Show").selectOption("ON");
        assertThat(page.locator(".case-grid")).containsText("gives");
        assertThat(page.getByLabel("INV in Show")).hasValue("ON");
        assertThat(page.getByLabel("INV in Show")).isFocused();
        assertThat(page.locator(".shares li")).hasCount(2);
        page.reload();
        assertThat(page.getByLabel("INV in Show")).hasValue("ON");

        visit("/jobs/" + job.id() + "/plan");
        page.getByText("INV+", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".load-note")).containsText("154.3");
        page.locator("#f-current").fill("90");
        assertThat(page.locator(".load-note")).hasCount(0);
        page.locator("#f-current").fill("");
        assertThat(page.locator(".load-note")).containsText("154.3");
        assertThat(complaints).isEmpty();
    }
}
