package org.ulnaris.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The whole way of a cable: job, plan, match, make, prove, pack. */
class JourneyBrowserIT extends BrowserTest {
    private void newJob(String name, String units) {
        visit("/jobs");
        page.getByLabel("Name").fill(name);
        page.getByLabel("Kind").selectOption("MOBILE");
        page.getByLabel("Nominal voltage").fill("24");
        page.getByLabel("Units").selectOption(units);
        page.getByText("Make the job").click();
        assertThat(page.locator("h1")).containsText(name);
    }

    private void addCable(String tag, String current, String length) {
        page.locator(".sub-places").getByText("Cables").click();
        page.locator("#f-tag").fill(tag);
        page.locator("#f-current").fill(current);
        page.locator("#f-length").fill(length);
        page.getByText("Add and size it").click();
        assertThat(page.locator("h1")).containsText(tag);
    }

    @Test
    void fromCurrentToSignedOffEnds() {
        newJob("Journey", "METRIC");
        addCable("INV+", "180 A", "2.4 m");

        assertThat(page.locator(".decided")).containsText("decides");
        page.locator("#f-current").fill("60");
        assertThat(page.locator(".decided")).not().containsText("180");
        assertThat(page.locator(".in-use")).containsText("16 mm²");
        page.locator("#f-current").fill("ninety");
        assertThat(page.locator("#e-current")).containsText("Write it like 180 A");
        assertThat(page.locator("#f-current")).hasAttribute("aria-invalid", "true");
        assertThat(page.locator("#save-note")).containsText("One entry is not used yet");
        page.locator("#f-current").fill("120 A");
        assertThat(page.locator("#e-current")).hasText("");
        assertThat(page.locator(".in-use")).containsText("35 mm²");
        page.locator("[id='rung-50mm²']").click();
        assertThat(page.locator(".in-use")).containsText("by hand");
        assertThat(page.locator("#f-size")).hasValue("50 mm²");
        page.reload();
        assertThat(page.locator(".in-use")).containsText("50 mm²");

        page.getByText("Match its ends").click();
        assertThat(page.locator("#end-A .of-LUG .pick").first()).containsText("DIN 50 · M8");
        page.locator("#end-A .around summary").click();
        page.locator("#torque-A").fill("124 in-lb");
        page.locator("#torque-A").press("Tab");
        assertThat(page.locator("#end-A .of-STUD")).containsText("124 lbf·in · 10.3 lbf·ft");
        page.locator(".other-end").click();
        page.locator("#stud-B").selectOption("M10");
        assertThat(page.locator("#end-B .of-LUG .pick").first()).containsText("DIN 50 · M10");

        page.getByText("To the bench").click();
        page.getByText("Begin at the bench").click();
        assertThat(page.locator("h1")).hasText("Check cable and tools");
        accept();
        read("CUT_LENGTH", "2.53 m");
        accept();
        makeEnd();
        makeEnd();
        accept();
        land("14 Nm");
        land("10");
        assertThat(page.locator(".make-head")).containsText("30 of 30");
        assertThat(complaints).isEmpty();

        page.getByText("Prove", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator(".readings > .finding")).hasCount(28);
        assertThat(page.locator(".readings .v-STOP")).hasCount(1);
        page.getByText("Pack", new Page.GetByTextOptions().setExact(true)).click();
        String sheet = page.getByText("Build sheet as PDF").getAttribute("href");
        APIResponse pdf = page.request().get(url(sheet));
        assertThat(pdf.status()).isEqualTo(200);
        assertThat(new String(pdf.body(), 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    }

    private void accept() {
        String before = page.url();
        page.locator("#bench-accept").click();
        page.waitForURL(Pattern.compile("^(?!" + Pattern.quote(before) + "$).*"));
    }

    private void read(String kind, String figure) {
        page.locator("#r-" + kind).fill(figure);
        accept();
    }

    private void makeEnd() {
        read("STRIP_LENGTH", "29");
        page.locator("#r-STRANDS_LOST").fill("0");
        accept();
        accept();
        accept();
        accept();
        page.locator("#r-ACROSS_FLATS_1").fill("11.9");
        page.locator("#r-ACROSS_FLATS_2").fill("11,8");
        accept();
        if (page.url().endsWith("gap-a")) {
            page.locator("#r-CRIMP_GAP").fill("9 mm");
            page.locator("#bench-accept").click();
            assertThat(page.locator(".bench-stop")).containsText("Redo this end");
            page.reload();
            assertThat(page.locator(".bench-stop")).containsText("the wire crept out");
        }
        read("CRIMP_GAP", "1.4");
        for (String look : new String[] {"INDEX", "CRACKS", "FINS", "STRAIGHT"}) {
            page.locator("[name=LOOK_" + look + "][value=YES]").check();
        }
        accept();
        page.locator("#r-PULL_FORCE").fill("1300 N");
        page.locator("#r-HOLD_TIME").fill("60");
        accept();
        accept();
    }

    private void land(String torque) {
        accept();
        read("TORQUE", torque);
        page.locator("[name=WITNESS_MARK][value=YES]").check();
        accept();
    }

    @Test
    void aDraftOutlivesTheBrowser() {
        newJob("Draft", "US");
        addCable("D1", "60 A", "3 ft 4 in");
        page.navigate(page.url().replace("/plan", "/bench/cut"));
        page.locator("#r-CUT_LENGTH").fill("41 1/2 in");
        visit("/");
        page.goBack();
        assertThat(page.locator("#r-CUT_LENGTH")).hasValue("41 1/2 in");
        page.reload();
        assertThat(page.locator("#r-CUT_LENGTH")).hasValue("41 1/2 in");
    }

    @Test
    void twoPeopleOnOneCable() {
        newJob("Two people", "METRIC");
        addCable("T1", "60 A", "2 m");
        Page second = context.newPage();
        second.navigate(page.url());
        String began = page.locator("#f-began").inputValue();
        page.locator("#f-current").fill("70 A");
        assertThat(page.locator("#f-began")).not().hasValue(began);
        second.locator("#f-current").fill("90 A");
        assertThat(second.locator(".conflict")).containsText("Someone else changed this meanwhile");
        assertThat(second.locator("#f-current")).hasValue("90 A");
        second.getByText("Keep what is chosen").click();
        assertThat(second.locator("#f-current")).hasValue("90 A");
        assertThat(second.locator(".conflict")).hasCount(0);
    }

    @Test
    void twoPeopleOnTwoFieldsSeeWhatTheOtherDid() {
        newJob("Two fields", "METRIC");
        addCable("T1", "60 A", "2 m");
        Page second = context.newPage();
        second.navigate(page.url());
        String began = page.locator("#f-began").inputValue();
        page.locator("#f-current").fill("70 A");
        page.locator("#known summary").click();
        page.locator("[name=conduit][value=true]").check();
        assertThat(page.locator("#f-began")).not().hasValue(began);
        assertThat(page.locator("#save-note")).containsText("Saved as you type");
        second.locator("#f-length").fill("3 m");
        assertThat(second.locator("#f-current")).hasValue("70 A");
        assertThat(second.locator("[name=conduit][value=true]")).isChecked();
        assertThat(second.locator("#f-length")).hasValue("3 m");
        second.reload();
        assertThat(second.locator("#f-length")).hasValue("3 m");
        assertThat(second.locator("#f-current")).hasValue("70 A");
    }

    @Test
    void tablesInAndOut() throws Exception {
        newJob("Tables", "METRIC");
        page.locator(".sub-places").getByText("Cables").click();
        page.getByText("Import CSV").click();
        page.locator("#csv-file")
                .setInputFiles(new FilePayload("x.csv", "text/csv", "tag,current,length\nA1,much,1\n".getBytes()));
        page.getByText("Check it").click();
        assertThat(page.locator("[role=alert]")).containsText("Row 2, current");
        page.locator("#csv-text").fill("tag;current;length\n=A1;12,5;3 ft 4 in\nA2;40;2\n");
        page.getByText("Check it").click();
        assertThat(page.locator("#main")).containsText("2 cables, every row checked");
        page.getByText("Import all of them").click();
        assertThat(page.locator(".plan-grid tbody tr")).hasCount(2);
        page.getByText("Pack", new Page.GetByTextOptions().setExact(true)).click();
        Download csv =
                page.waitForDownload(() -> page.getByText("Cables as CSV").click());
        assertThat(Files.readString(csv.path())).contains("'=A1,,,POSITIVE,12.5 A,1.016 m");
        Download json = page.waitForDownload(() -> page.getByText("Job as JSON").click());
        visit("/jobs");
        page.locator("#job-file").setInputFiles(json.path());
        page.getByText("Import the job").click();
        assertThat(page.locator("h1")).hasText("Tables");
    }

    @Test
    void deletingCanBeUndone() {
        newJob("Undo me", "METRIC");
        addCable("U1", "20 A", "1 m");
        page.getByText("Delete the cable").click();
        page.getByText("Undo", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("h1")).containsText("U1");
    }
}
