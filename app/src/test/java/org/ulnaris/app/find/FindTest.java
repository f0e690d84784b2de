package org.ulnaris.app.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;

class FindTest extends AppTest {
    private String found(String wanted) {
        return body(mvc.get().uri("/find?q={q}", wanted).exchange());
    }

    @ParameterizedTest
    @CsvSource({
        "sandpip, Jobs, Sandpiper",
        "cap+, Cables, CAP+",
        "hmain, Equipment, HMAIN",
        "din 35, Lugs, DIN 35 · M8",
        "l2/0, Dies, L2/0"
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

    @Test
    void whatIsDeletedIsNotFound() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "GONE-99"));
        assertThat(found("gone-99")).contains("GONE-99</a>");
        cables.delete(cable.id());
        assertThat(found("gone-99")).contains("Nothing is called so.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "%", "_", "'", "<script>", "\\", "zzzzzz"})
    void oddLettersAreLettersToo(String wanted) {
        assertThat(mvc.get().uri("/find?q={q}", wanted).exchange()).hasStatusOk();
        assertThat(found(wanted)).doesNotContain("<script>\"");
    }
}
