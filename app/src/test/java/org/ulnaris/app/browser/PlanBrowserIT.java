package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

/** The plan of a whole job: list, what-if, findings, budget. */
class PlanBrowserIT extends BrowserTest {
    private Job demo(String name) {
        return jobs.all().stream()
                .filter(job -> job.details().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theListIsEditedByKeyboard() {
        Job job = newJob(Units.METRIC);
        Cable first = newCable(job, Map.of("tag", "A", "current", "60 A", "length", "2 m"));
        Cable second = newCable(job, Map.of("tag", "B", "current", "30 A", "length", "3 m"));
        visit("/jobs/" + job.id() + "/plan");
        String cell = "#c-" + first.id() + "-length";
        page.locator(cell).focus();
        page.keyboard().press("Control+a");
        page.keyboard().type("0.4 m + 9 m");
        page.keyboard().press("Enter");
        assertThat(page.locator("#row-" + first.id())).containsText("Drop");
        assertThat(page.locator(cell)).hasValue("0.4 m + 9 m");
        assertThat(page.locator(cell)).isFocused();
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("#c-" + second.id() + "-length")).isFocused();
        page.keyboard().press("Control+a");
        page.keyboard().type("far");
        page.keyboard().press("Tab");
        assertThat(page.locator("#row-" + second.id() + " .field-error")).isVisible();
        assertThat(page.locator("#c-" + second.id() + "-length")).hasValue("far");
        assertThat(cables.get(second.id()).details().lengthM()).isEqualTo(3);

        visit("/jobs/" + job.id() + "/plan");
        page.locator("#tick-all").check();
        page.locator("#f-field").selectOption("drop");
        page.locator("#f-value").fill("7 %");
        page.getByText("Change them").click();
        assertThat(page.locator(".undo")).containsText("2 cables were changed at once");
        assertThat(cables.get(second.id()).details().dropPercent()).isEqualTo(7);
        page.locator(".undo button").click();
        assertThat(page.locator(".undo")).containsText("Undone: 2 cables were changed at once.");
        assertThat(cables.get(second.id()).details().dropPercent()).isNull();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Current").setExact(true))
                .click();
        assertThat(page.locator("tbody tr").first()).containsText("B");
        assertThat(complaints).isEmpty();
    }

    @Test
    void aTrialIsShownAndKeptAsACopy() {
        Job job = demo("Frostline");
        visit("/jobs/" + job.id() + "/what-if");
        page.locator(".quick").getByText("24 V").click();
        assertThat(page.locator(".sums")).containsText("more");
        assertThat(page.locator(".trial-table")).containsText("thicker");
        page.locator("#f-piece").selectOption("HEAT");
        page.locator("#f-power").fill("800 W");
        page.getByText("Compare").click();
        assertThat(page).hasURL(Pattern.compile(".*voltage=24.*power=800.*"));
        page.getByText("Keep it as a copy").click();
        page.waitForURL("**/plan");
        assertThat(page.locator("h1")).not().hasText("Frostline");
        assertThat(jobs.get(job.id()).details().nominalVoltageV()).isEqualTo(48);
        assertThat(complaints).isEmpty();
    }

    @Test
    void aFindingLeadsToWhatMendsIt() {
        visit("/jobs/" + demo("Sandpiper").id() + "/findings");
        page.locator(".board .at-places summary").first().click();
        page.locator(".board .place-list a", new Page.LocatorOptions().setHasText("HMAIN"))
                .click();
        assertThat(page.locator("#f-rating")).isVisible();
        assertThat(page.locator(".time-current").first()).isVisible();
        assertThat(page.locator(".fuse-sheet")).containsText("from HOUSE");
        assertThat(complaints).isEmpty();
    }

    @Test
    void theBudgetIsSearchedAndDropped() {
        visit("/jobs/" + demo("Lantern Cart").id() + "/budget");
        page.getByLabel("Keep sizes chosen by hand").uncheck();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Search"))
                .click();
        assertThat(page.locator("#budget")).containsText("Proven");
        assertThat(page.locator("#budget")).containsText("INV+");
        page.getByText("Discard").click();
        assertThat(page.locator("#budget")).containsText("Split the drop");
        assertThat(complaints).isEmpty();
    }
}
