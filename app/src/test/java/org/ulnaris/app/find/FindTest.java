package org.ulnaris.app.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

class FindTest extends AppTest {
    @Autowired
    private Words words;

    private String found(String wanted) {
        return body(mvc.get().uri("/find?q={q}", wanted).exchange());
    }

    @ParameterizedTest
    @CsvSource({
        "sandpip, Jobs, Sandpiper",
        "cap+, Cables, CAP+",
        "hmain, Equipment, HMAIN",
        "din 35, Lugs, DIN 35 · M8",
        "l2/0, Dies, L2/0",
        "witness, House rules, Witness line",
        "nut m10, Other parts, nut M10"
    })
    void findsEachKindByAFewLetters(String wanted, String kind, String name) {
        String page = found(wanted);
        assertThat(page).contains(">" + kind + "</h2>").containsPattern(">" + Pattern.quote(name) + "[^<]*</a>");
    }

    @Test
    void whatIsFoundLeadsThere() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "Ö+&/7"));
        String page = found("ö+&");
        String link = page.replaceFirst("(?s).*href=\"(/jobs/" + job.id() + "\\?at=[^\"]*)\".*", "$1");
        assertThat(link).doesNotContain(" ").contains("%2B%26%2F7");
        assertThat(mvc.get().uri(URI.create(link)).exchange()).hasStatusOk();
    }

    /** A finding is found by what was checked, and leads to its place on the picture; one that passes is none. */
    @Test
    void findingsThatAskAreFound() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "FOUND-7", "size", "4 mm2"));
        var asks = worked(cable).reason().orElseThrow().finding().code();
        String title = words.of("finding." + asks);
        assertThat(found(title))
                .contains(">Findings</h2>", title + ", FOUND-7</a>", "/jobs/" + job.id() + "?at=FOUND-7", "· Test job");
        jobs.delete(job.id());
        assertThat(found(title)).doesNotContain("FOUND-7");
    }

    @Test
    void whatIsDeletedIsNotFound() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "GONE-99"));
        assertThat(found("gone-99")).contains("GONE-99</a>");
        cables.delete(cable.id());
        assertThat(found("gone-99")).contains("Nothing found.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "%", "_", "'", "<script>", "\\", "zzzzzz"})
    void oddLettersAreLettersToo(String wanted) {
        assertThat(mvc.get().uri("/find?q={q}", wanted).exchange()).hasStatusOk();
        assertThat(found(wanted)).doesNotContain("<script>\"");
    }
}
