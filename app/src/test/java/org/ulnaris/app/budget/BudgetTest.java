package org.ulnaris.app.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.budget.BudgetPlan;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.OperatingCase.State;

class BudgetTest extends AppTest {
    @Autowired
    private LoadsService loads;

    @Autowired
    private BudgetService budget;

    private Job job;
    private String page;

    @BeforeEach
    void aPath() {
        job = newJob(Units.METRIC);
        page = "/jobs/" + job.id() + "/budget";
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.BUS_BAR, Map.of("tag", "BUS"));
        long lamps =
                loads.add(job.id(), EquipmentKind.ELECTRONICS, Map.of("tag", "LAMP", "current", "20 A", "drop", "3 %"));
        for (String run :
                new String[] {"T+ BANK.plus BUS.bar 2", "L+ BUS.bar LAMP.plus 4", "L- LAMP.minus BANK.minus 6"}) {
            String[] part = run.split(" ");
            post(
                    "/jobs/" + job.id() + "/cables",
                    Map.of("tag", part[0], "from", part[1], "to", part[2], "current", "", "length", part[3] + " m"));
        }
        loads.changeCase(loads.addCase(job.id(), "dusk", 2), "dusk", 2, Map.of(lamps, State.ON));
    }

    private BudgetPlan searched() {
        return await().atMost(Duration.ofMinutes(5))
                .until(() -> budget.task(job.id()).orElseThrow().progress().plan(), Objects::nonNull);
    }

    @Test
    void theSizesAreSearchedShownAndTaken() {
        assertThat(body(get(page))).contains("Split the drop over the cables", "LAMP");
        assertThat(post(page, Map.of("keep", "true"))).hasStatus(302);
        BudgetPlan plan = searched();
        assertThat(plan.proven()).isTrue();
        assertThat(plan.kept()).isTrue();
        assertThat(plan.sizes()).containsOnlyKeys("T+", "L+", "L-");
        assertThat(body(get(page))).contains("Proven", "Take these sizes");
        assertThat(post(page + "/take", Map.of())).hasStatus(302);
        assertThat(cables.of(job.id()))
                .allSatisfy(cable -> assertThat(cable.details().chosenSize())
                        .isEqualTo(plan.sizes().get(cable.details().tag()).designation()));
        assertThat(budget.task(job.id())).isEmpty();
        undo("/jobs/" + job.id(), LastSteps.job(job.id()), Map.of());
        assertThat(cables.of(job.id()))
                .allSatisfy(cable -> assertThat(cable.details().chosenSize()).isNull());
    }

    /** Metal against a missing fuse is dear: that is said before any search. */
    @Test
    void cablesWithoutProtectionAreNamedFirst() {
        assertThat(body(get(page))).contains("First: the protection of", "T+");
    }

    @Test
    void sizesOfAJobThatChangedMeanwhileAreNotTaken() {
        post(page, Map.of("keep", "true"));
        searched();
        newCable(job, Map.of("tag", "X", "from", "BANK.plus", "to", "LAMP.plus"));
        var refused = post(page + "/take", Map.of());
        assertThat(refused.getResponse().getRedirectedUrl()).endsWith("changed=true");
        assertThat(body(get(page + "?changed=true"))).contains("has changed since the search began");
        assertThat(cables.of(job.id()).get(0).details().chosenSize()).isNull();
    }

    @Test
    void aPlanCanBeDropped() {
        post(page, Map.of());
        searched();
        assertThat(post(page + "/stop", Map.of())).hasStatus(302);
        assertThat(post(page + "/drop", Map.of())).hasStatus(302);
        assertThat(budget.task(job.id())).isEmpty();
        assertThat(post(page + "/take", Map.of())).hasStatus(302);
    }

    @ParameterizedTest
    @ValueSource(strings = {"16 mm²", "16 mm² free", "17 mm² 3", "16 mm² -1", "4.20", "16 mm² 1e9"})
    void badPricesAreKeptAndSaid(String prices) {
        var refused = post(page, Map.of("prices", prices));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("one size a line", prices.substring(0, 2));
    }

    @Test
    void pricesAreRead() {
        StringBuilder prices = new StringBuilder();
        for (String size : new String[] {"4 mm²", "6 mm²", "10 mm²", "16 mm²", "25 mm²", "35 mm²"}) {
            prices.append(size).append(" 1,").append(size.length()).append('\n');
        }
        assertThat(body(post(page, Map.of("aim", "COST", "prices", "")))).contains("16 mm² 4.20");
        post(page, Map.of("aim", "COST", "prices", prices.toString()));
        assertThat(searched().sizes().values())
                .allSatisfy(size -> assertThat(size.areaMm2()).isBetween(4.0, 35.0));
        assertThat(body(get("/stock"))).contains("16 mm² 1.6", "35 mm² 1.6");
        post("/stock/prices", Map.of("prices", "240 mm² 40"));
        assertThat(body(get("/jobs/" + job.id() + "/what-if"))).doesNotContain("Cost of the cables");
        StringBuilder all = new StringBuilder();
        ConductorSizes.of(SizeSeries.METRIC)
                .forEach(size -> all.append(size.designation()).append(" 2\r\n"));
        post("/stock/prices", Map.of("prices", all.toString()));
        assertThat(body(get("/jobs/" + job.id() + "/what-if")))
                .contains("Cost of the cables")
                .doesNotContain("Cables without a price");
    }

    @Test
    void withoutALoadThereIsNothingToSplit() {
        Job empty = newJob(Units.METRIC);
        assertThat(body(get("/jobs/" + empty.id() + "/budget"))).contains("No paths yet");
        assertThat(post("/jobs/" + empty.id() + "/budget", Map.of())).hasStatus(422);
    }
}
