package org.ulnaris.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;

/** Like cables entered once with a count. */
class CableRowTest extends AppTest {
    @Autowired
    private LoadsService loads;

    private Job job;

    @BeforeEach
    void fourBatteries() {
        job = newJob(Units.METRIC);
        for (int i = 1; i <= 4; i++) {
            loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "B" + i, "inSeries", "1"));
        }
    }

    private MvcTestResult add(String tag, String from, String to, String count) {
        return post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", tag, "from", from, "to", to, "current", "50 A", "length", "0.3 m", "count", count));
    }

    private String list() {
        return cables.of(job.id()).stream()
                .map(Cable::details)
                .map(cable -> cable.tag() + " " + cable.fromPoint() + " " + cable.toPoint())
                .toList()
                .toString();
    }

    @Test
    void linksOfAStringAreEnteredOnce() {
        assertThat(add("RL1", "B1.minus", "B2.plus", "3")).hasStatus(302);
        assertThat(list()).isEqualTo("[RL1 B1.minus B2.plus, RL2 B2.minus B3.plus, RL3 B3.minus B4.plus]");
        assertThat(body(get("/jobs/" + job.id() + "/plan"))).contains("3 cables were added");
        assertThat(undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of())).hasStatus(302);
        assertThat(list()).isEqualTo("[]");
    }

    @Test
    void endsWithoutANumberStay() {
        assertThat(add("RSIDE", "here", "there 2", "2")).hasStatus(302);
        assertThat(list()).isEqualTo("[RSIDE here there 2, RSIDE 2 here there 2]");
    }

    @Test
    void oneIsOneAndNothingIsOne() {
        assertThat(add("RONE", "B1.minus", "B2.plus", "").getResponse().getRedirectedUrl())
                .contains("/cables/");
        assertThat(add("RTWO", "B2.minus", "B3.plus", "1").getResponse().getRedirectedUrl())
                .contains("/cables/");
    }

    @ParameterizedTest
    @CsvSource({
        "RM1, 4, B5.plus is not",
        "RM1, 0, 50",
        "RM1, 51, 50",
        "RM1, two, number",
        "A very long tag indeed xx, 2, Too long"
    })
    void whatCannotBeCountedIsToldAndNothingIsAdded(String tag, String count, String said) {
        var refused = add(tag, "B1.minus", "B2.plus", count);
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains(said).contains("value=\"" + count + "\"");
        assertThat(list()).isEqualTo("[]");
    }

    @Test
    void allOrNone() {
        assertThat(add("RX2", "somewhere", "else", "1")).hasStatus(302);
        assertThat(add("RX1", "B1.minus", "B2.plus", "3")).as("RX2 is taken").hasStatus(422);
        assertThat(list()).doesNotContain("RX1").doesNotContain("RX3");
    }
}
