package org.ulnaris.app.whatif;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.worked.JobWorker;

class WhatIfTest extends AppTest {
    @Autowired
    private LoadsService loads;

    @Autowired
    private WhatIfService trials;

    private Job job;

    @BeforeEach
    void aVan() {
        job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "inParallel", "2"));
        long inverter =
                loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "2 kW", "lowest", "22 V"));
        for (String run : new String[] {"A+ BANK.plus INV.plus", "A- INV.minus BANK.minus"}) {
            String[] part = run.split(" ");
            post(
                    "/jobs/" + job.id() + "/cables",
                    Map.of("tag", part[0], "from", part[1], "to", part[2], "current", "", "length", "2 m"));
        }
        loads.changeCase(loads.addCase(job.id(), "on", 2), "on", 2, Map.of(inverter, State.ON));
    }

    private static final java.util.Map<String, Double> PRICES = java.util.Map.of("16 mm²", 4.0, "35 mm²", 8.0);

    private Comparison compare(long jobId, Trial trial) {
        JobParts parts = trials.parts(jobId);
        return Comparison.of(
                JobWorker.work(parts.model()), JobWorker.work(trial.over(parts).model()), PRICES);
    }

    private Trial voltage(double volt) {
        return new Trial(volt, null, true, null, null);
    }

    /** Twice the voltage, the same power: half the current, a quarter of the drop in % in the same size. */
    @ParameterizedTest
    @CsvSource({"48,0.5", "12,2"})
    void anotherVoltageScalesTheCurrents(double volt, double factor) {
        Comparison comparison = compare(job.id(), voltage(volt));
        assertThat(comparison.cables())
                .hasSize(2)
                .allSatisfy(change -> assertThat(
                                change.after().currentA() / change.before().currentA())
                        .isCloseTo(factor, within(1e-6)));
        assertThat(comparison.after().metalKg() < comparison.before().metalKg()).isEqualTo(factor < 1);
    }

    @Test
    void nothingIsKeptBeforeItIsTaken() {
        String page = body(get("/jobs/" + job.id() + "/what-if?voltage=48 V&free=true"));
        assertThat(page).contains("Before and after", "Keep it as a copy", "thinner");
        assertThat(jobs.get(job.id()).details().nominalVoltageV()).isEqualTo(24);
        assertThat(body(get("/jobs/" + job.id() + "/what-if")))
                .contains("As it is")
                .doesNotContain("Keep it as a copy");
    }

    @Test
    void takenItIsAsItWasShown() {
        Comparison shown = compare(job.id(), voltage(48));
        assertThat(post("/jobs/" + job.id() + "/what-if", Map.of("voltage", "48 V", "free", "true")))
                .hasStatus(302);
        assertThat(jobs.get(job.id()).details().nominalVoltageV()).isEqualTo(48);
        assertThat(loads.details(job.id()).get(0).inSeries()).isEqualTo(15);
        Comparison now = compare(job.id(), new Trial(null, null, false, null, null));
        assertThat(now.before().metalKg()).isCloseTo(shown.after().metalKg(), within(1e-9));
        Cable first = cables.of(job.id()).get(0);
        assertThat(worked(first).carried().currentA())
                .isCloseTo(shown.cables().get(0).after().currentA(), within(1e-6));
    }

    @Test
    void aCopyLeavesTheJobAlone() {
        var made = post("/jobs/" + job.id() + "/what-if", Map.of("voltage", "48 V", "copy", "true"));
        long copy = Long.parseLong(made.getResponse().getRedirectedUrl().replaceAll("\\D", ""));
        assertThat(copy).isNotEqualTo(job.id());
        assertThat(jobs.get(copy).details().nominalVoltageV()).isEqualTo(48);
        assertThat(jobs.get(copy).details().name()).isNotEqualTo(job.details().name());
        assertThat(jobs.get(job.id()).details().nominalVoltageV()).isEqualTo(24);
    }

    @Test
    void aPieceALengthAndASchoolCanBeTried() {
        String piece = body(get("/jobs/" + job.id() + "/what-if?piece=INV&power=1 kW"));
        assertThat(piece).contains("value=\"1 kW\"", "Before and after");
        assertThat(body(get("/jobs/" + job.id() + "/what-if?cable=A+&length=9 m")))
                .contains("thicker");
        assertThat(body(get("/jobs/" + job.id() + "/what-if?ruleSet=NEC_RACEWAY&free=true")))
                .contains("Before and after");
        assertThat(post("/jobs/" + job.id() + "/what-if", Map.of("cable", "A+", "length", "9 m")))
                .hasStatus(302);
        assertThat(cables.of(job.id()).get(0).details().lengthM()).isEqualTo(9);
        assertThat(cables.of(job.id()).get(0).details().currentFromLoads()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "voltage=1500 V",
        "voltage=seven",
        "voltage=0",
        "piece=INV&power=lots",
        "cable=A+&length=no",
        "ruleSet=OTHER"
    })
    void aBadEntryIsKeptAndSaid(String query) {
        var page = get("/jobs/" + job.id() + "/what-if?" + query);
        assertThat(page).hasStatus(422);
        assertThat(body(page)).contains("field-error");
    }

    /** A hundredth of a volt asks its chargers for more current than there is. */
    @Test
    void aTrialBeyondEveryRangeKeepsTheJobOnThePage() {
        long cart = jobs.all().stream()
                .filter(one -> one.details().name().equals("Lantern Cart"))
                .findFirst()
                .orElseThrow()
                .id();
        for (String voltage : new String[] {"0.01 V", "1500 V"}) {
            var page = get("/jobs/" + cart + "/what-if?voltage=" + voltage);
            assertThat(page).as(voltage).hasStatus(422);
            assertThat(body(page)).contains("within its range", "value=\"" + voltage + "\"", "As it is");
        }
    }

    @Test
    void aJobWithPlainCurrentsCanBeTriedToo() {
        Job plain = newJob(Units.METRIC);
        newCable(plain, Map.of("current", "100 A", "length", "3 m"));
        Comparison comparison = compare(plain.id(), voltage(48));
        assertThat(comparison.cables().get(0).after().currentA()).isEqualTo(50);
        assertThat(comparison.after().lossW()).isZero();
    }

    /** A load far beyond every cable is worked with and said, in the trial as in the job. */
    @Test
    void aLoadBeyondEveryCableIsSaid() {
        assertThat(body(get("/jobs/" + job.id() + "/what-if?piece=INV&power=900 kW")))
                .contains("v-STOP");
        long inverter = loads.idOf(job.id(), "INV").orElseThrow();
        assertThat(post("/equipment/" + inverter, Map.of("power", "900 kW"))).hasStatus(302);
        Cable first = cables.of(job.id()).get(0);
        assertThat(worked(first).carried().currentA()).isEqualTo(5000);
        for (String place :
                new String[] {"plan", "loads", "layout", "findings", "budget", "what-if", "match", "pack"}) {
            assertThat(get("/jobs/" + job.id() + "/" + place)).as(place).hasStatusOk();
        }
        assertThat(get("/cables/" + first.id() + "/plan")).hasStatusOk();
        post("/jobs/" + job.id() + "/budget", Map.of());
        assertThat(get("/jobs/" + job.id() + "/budget")).hasStatusOk();
    }

    /** The thinnest size of the table would be compared, weighed and priced. */
    @Test
    void noSizeIsComparedWhileNoneIsSaid() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "W1"));
        cables.change(cable.id(), cable.details().byLoads());
        String page = body(get("/jobs/" + job.id() + "/what-if?voltage=48%20V&free=true"));
        String row = page.substring(page.indexOf("<tbody>"), page.indexOf("</tbody>"));
        assertThat(row).contains("W1", "—").doesNotContain("mm²", "thinner");
    }
}
