package org.ulnaris.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.rating.RuleSet;

class JobPagesTest extends AppTest {
    private static final Map<String, String> NIGHT_FERRY = Map.of(
            "name",
            "Night ferry",
            "kind",
            "MARINE",
            "voltage",
            "12",
            "charging",
            "",
            "units",
            "US",
            "ruleSet",
            "CFR_183_425");

    @Test
    void theDemonstrationOpensWithThreeJobs() {
        for (String name : List.of("Lantern Cart", "Sandpiper", "Frostline")) {
            assertThat(body(mvc.get().uri("/jobs?find={name}", name).exchange()))
                    .contains("Lantern Yard", ">" + name + "<");
        }
    }

    @Test
    void makesAJob() {
        var result = post("/jobs", NIGHT_FERRY);
        assertThat(result).hasStatus(302);
        String place = result.getResponse().getRedirectedUrl();
        assertThat(body(get(place))).contains("Night ferry", "Marine", "12\u00a0V");
        long id = Long.parseLong(place.replaceAll("\\D", ""));
        assertThat(jobs.get(id).details().chargingVoltageV()).isEqualTo(14.4);
    }

    @Test
    void keepsWhatWasTypedAndSaysWhatIsExpected() {
        var result = post("/jobs", Map.of("name", "", "voltage", "twelve", "charging", "2 A", "kind", "MARINE"));
        assertThat(result).hasStatus(422);
        assertThat(body(result))
                .contains(
                        "value=\"twelve\"",
                        "Needs an entry",
                        "Write it like 24 V",
                        "That unit measures something else");
    }

    @Test
    void withoutARuleSetTheUsualOneOfTheKindHolds() {
        String place = post(
                        "/jobs",
                        Map.of("name", "Hut", "kind", "OFF_GRID", "voltage", "48", "charging", "", "ruleSet", ""))
                .getResponse()
                .getRedirectedUrl();
        assertThat(jobs.get(Long.parseLong(place.replaceAll("\\D", "")))
                        .details()
                        .ruleSet())
                .isEqualTo(RuleSet.NEC_FREE_AIR);
    }

    /** Nothing said of its charging, a job at the edge of what may be said still answers, with a fresh battery in it. */
    @ParameterizedTest
    @ValueSource(strings = {"0.1 V", "1500 V"})
    void theEdgesOfVoltageAnswer(String volt) {
        String place = post("/jobs", Map.of("name", "Edge", "voltage", volt, "charging", ""))
                .getResponse()
                .getRedirectedUrl();
        String job = place.replaceAll("(/jobs/\\d+).*", "$1");
        assertThat(post(job + "/equipment", Map.of("kind", "BANK", "tag", "BANK")))
                .hasStatus(302);
        for (String page : new String[] {"", "/plan", "/loads", "/findings", "/settings"}) {
            assertThat(get(job + page)).as(page).hasStatusOk();
        }
    }

    @Test
    void chargingBelowNominalContradicts() {
        var result = post("/jobs", Map.of("name", "x", "voltage", "24", "charging", "12"));
        assertThat(body(result)).contains("Must be at least the nominal voltage");
    }

    @Test
    void renamesCopiesArchivesDeletesAndRestores() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "INV+"));
        Map<String, String> renamed = new java.util.HashMap<>(JobService.texts(job.details()));
        renamed.put("name", "Renamed");
        assertThat(post("/jobs/" + job.id() + "/settings", renamed)).hasStatus(302);
        assertThat(jobs.get(job.id()).details().name()).isEqualTo("Renamed");

        String copied =
                post("/jobs/" + job.id() + "/copy", Map.of()).getResponse().getRedirectedUrl();
        long copyId = Long.parseLong(copied.replaceAll("\\D", ""));
        assertThat(jobs.get(copyId).details().name()).isEqualTo("Copy of Renamed");
        assertThat(cables.of(copyId)).extracting(Cable::details).containsExactly(cable.details());

        assertThat(post("/jobs/" + job.id() + "/archive", Map.of("archive", "true")))
                .hasStatus(302);
        assertThat(jobs.get(job.id()).archived()).isTrue();
        assertThat(body(get("/jobs?find=renamed")).split("class=\"archive\"")[1])
                .contains("Take Renamed out of the archive");

        var deleted = post("/jobs/" + job.id() + "/delete", Map.of());
        assertThat(get("/jobs/" + job.id() + "/plan")).hasStatus(404);
        assertThat(body(get(deleted.getResponse().getRedirectedUrl()))).contains("Undo");
        assertThat(post("/jobs/" + job.id() + "/restore", Map.of())).hasStatus(302);
        assertThat(get("/jobs/" + job.id() + "/plan")).hasStatusOk();
    }

    @Test
    void unknownJobsAreNotFound() {
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> jobs.get(987654))
                .isInstanceOf(NotFoundException.class);
        assertThat(get("/jobs/987654/plan")).hasStatus(404);
    }

    /** Whoever changes anything of a job, a reading too, touches it; who only looks or reckons does not. */
    @Test
    void theJobThatWasChangedLastComesFirst() {
        Job older = newJob(Units.METRIC);
        Job newer = newJob(Units.METRIC);
        Cable cable = newCable(older, Map.of("tag", "T1"));
        newCable(newer, Map.of("tag", "T2"));
        Instant begun = clock.instant();
        assertThat(order(older, newer)).isNegative();
        clock.after(Duration.ofHours(1), () -> {
            get("/jobs/" + older.id());
            get("/jobs/" + older.id() + "/what-if?voltage=48 V");
            get("/cables/" + cable.id() + "/match");
            assertThat(jobs.get(older.id()).touched()).isBeforeOrEqualTo(begun);
            post("/cables/" + cable.id() + "/bench/check", Map.of());
            assertThat(jobs.get(older.id()).touched()).isBetween(begun.plusSeconds(3600), clock.instant());
            assertThat(jobs.get(older.id()).version()).as("no edit of the job").isEqualTo(older.version());
            assertThat(order(older, newer)).isPositive();
            assertThat(body(get("/jobs"))).contains("last changed first", "changed today");
        });
        clock.after(Duration.ofDays(40), () -> assertThat(body(get("/jobs"))).contains("changed 20"));
        jobs.delete(older.id());
        jobs.delete(newer.id());
    }

    /** Positive where {@code one} stands before {@code other}. */
    private int order(Job one, Job other) {
        String page = body(get("/jobs"));
        return page.indexOf("/jobs/" + other.id() + "/copy") - page.indexOf("/jobs/" + one.id() + "/copy");
    }

    /** One more than a page takes, open and archived; the pages of both lead to all of them. */
    @Test
    void aLongListOfJobsHasPages() {
        List<Long> made = new ArrayList<>();
        for (int i = 0; i <= JobController.LONGEST_PAGE; i++) {
            made.add(newJob(Units.METRIC).id());
            made.add(newJob(Units.METRIC).id());
            jobs.archive(made.get(made.size() - 1), true);
        }
        Set<String> found = new HashSet<>();
        for (String page : List.of("/jobs?sort=new", "/jobs?sort=new&page=2", "/jobs?sort=new&page=2&archived=2")) {
            String body = body(get(page));
            assertThat(body.split("<li class=\"job-card\""))
                    .hasSizeLessThanOrEqualTo(2 * JobController.LONGEST_PAGE + 1);
            Pattern.compile("/jobs/(\\d+)/copy").matcher(body).results().forEach(job -> found.add(job.group(1)));
        }
        assertThat(found).containsAll(made.stream().map(String::valueOf).toList());
        assertThat(body(get("/jobs?archived=1"))).containsPattern("class=\"archive\"[^>]* open");
        made.forEach(jobs::delete);
    }
}
