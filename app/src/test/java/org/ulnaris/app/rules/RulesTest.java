package org.ulnaris.app.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.board.BoardService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.sizing.SizeChoice;

class RulesTest extends AppTest {
    @Autowired
    private org.ulnaris.app.loads.LoadsService loads;

    @Autowired
    private RulesService rules;

    @Autowired
    private BoardService board;

    @Autowired
    private RulesPreview preview;

    @Autowired
    private Words words;

    @AfterEach
    void asUsual() {
        rules.change(JobRules.USUAL);
    }

    @Test
    void theShopsRulesAreWhereNewJobsStart() {
        assertThat(body(get("/rules"))).contains("House rules", "the stricter decides", "value=\"3 %\"");
        assertThat(post(
                        "/rules",
                        Map.of("drop", "10 %", "lugs", "3", "bend", "6", "heat", "false", "placement", "LAND")))
                .hasStatus(302);
        var made = post("/jobs", Map.of("name", "Ruled", "voltage", "12 V"));
        long id = Long.parseLong(made.getResponse().getRedirectedUrl().replaceAll("\\D", ""));
        assertThat(jobs.get(id).details().rules())
                .isEqualTo(new JobRules(
                        Placement.School.LAND,
                        false,
                        10,
                        true,
                        75.0,
                        3,
                        6,
                        10,
                        150,
                        250,
                        true,
                        JobRules.Facing.RED_LEFT,
                        125,
                        150,
                        org.ulnaris.core.rules.Practices.USUAL));
        post("/jobs/" + id + "/cables", Map.of("tag", "A", "current", "10 A", "length", "1 m"));
        assertThat(cables.of(id).get(0).details().dropPercent()).isNull();
        assertThat(body(get("/cables/" + cables.of(id).get(0).id() + "/plan")))
                .containsPattern("name=\"drop\" value=\"\"[^>]*placeholder=\"10 %\"");
    }

    @Test
    void aJobCanHaveItsOwnAndGoBack() {
        Job job = newJob(Units.METRIC);
        String page = "/jobs/" + job.id() + "/rules";
        assertThat(post(page, Map.of("lugs", "2"))).hasStatus(302);
        assertThat(jobs.get(job.id()).details().rules().mostLugs()).isEqualTo(2);
        assertThat(rules.rules()).isEqualTo(JobRules.USUAL);
        assertThat(body(get(page))).contains("The shop has");
        post(page, Map.of("asShop", "true"));
        assertThat(jobs.get(job.id()).details().rules()).isEqualTo(JobRules.USUAL);
    }

    /** 119 A in a pair of 8 AWG pass the table and fail the heat balance; whether that counts is the house's choice. */
    @Test
    void theHeatBalanceDecidesOrOnlyTells() {
        Job job = newJob(Units.METRIC);
        post("/jobs/" + job.id() + "/rules", Map.of("margin", "0 %", "clean", "false", "terminal", "150 °C"));
        Cable cable = newCable(job, Map.of("series", "AWG", "current", "119 A", "length", "0.3 m", "drop", "10 %"));
        SizeChoice strict = worked(cable).size();
        assertThat(strict.result().decidedBy()).isEqualTo(FindingCode.HEAT_BALANCE);
        post("/jobs/" + job.id() + "/rules", Map.of("heat", "false"));
        SizeChoice told = worked(cable).size();
        assertThat(told.inUse().size().areaMm2())
                .isLessThan(strict.inUse().size().areaMm2());
        assertThat(told.inUse().verdict()).isEqualTo(Verdict.WATCH);
    }

    /** Typed figures stay, and the message names both ends of the range as people write them. */
    @Test
    void marginAndTerminalsHaveTheirRange() {
        var refused = post("/rules", Map.of("margin", "60 %", "terminal", "20 °C"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("value=\"60 %\"", "from 0 % to 50 %", "from 40 °C");
        Job job = newJob(Units.METRIC);
        post("/jobs/" + job.id() + "/rules", Map.of("terminal", ""));
        assertThat(jobs.get(job.id()).details().rules().terminalC()).isNull();
        Cable cable = newCable(job, Map.of());
        assertThat(worked(cable).findings())
                .anyMatch(said ->
                        said.finding().code() == FindingCode.TERMINAL_UNKNOWN && said.verdict() == Verdict.OPEN);
    }

    @Test
    void theSchoolOfTheFusesPlaceFollows() {
        Job boat = jobs.all().stream()
                .filter(job -> job.details().name().equals("Sandpiper"))
                .reduce((first, second) -> second)
                .orElseThrow();
        Job copy = jobs.copy(boat.id());
        assertThat(limit(copy)).isCloseTo(1828.8, org.assertj.core.data.Offset.offset(0.1));
        post("/jobs/" + copy.id() + "/rules", Map.of("placement", "LAND"));
        assertThat(limit(jobs.get(copy.id()))).isEqualTo(1500);
    }

    @Test
    void theMarginOfAFuseFollows() {
        Job cart = jobs.all().stream()
                .filter(job -> job.details().name().equals("Lantern Cart"))
                .reduce((first, second) -> second)
                .orElseThrow();
        Job copy = jobs.copy(cart.id());
        double usual = fuseLoad(copy);
        post("/jobs/" + copy.id() + "/rules", Map.of("fuseLoad", "150 %", "fuseNext", "100"));
        assertThat(jobs.get(copy.id()).details().rules().fuseOverAmpacityPercent())
                .isEqualTo(100);
        assertThat(fuseLoad(jobs.get(copy.id())))
                .isCloseTo(usual * 1.5 / 1.25, org.assertj.core.data.Offset.offset(1e-6));
        jobs.delete(copy.id());
    }

    private double fuseLoad(Job job) {
        return works.of(job.id()).about("MAIN").stream()
                .filter(said -> said.finding().code() == FindingCode.FUSE_LOAD)
                .findFirst()
                .orElseThrow()
                .finding()
                .limit();
    }

    /** The shop's page tells what its rules would do to a job that has its own, and changes nothing. */
    @Test
    void theShopsPageTellsWhatItsRulesWouldDo() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("series", "AWG", "current", "119 A", "length", "0.3 m", "drop", "10 %", "size", "8 AWG"));
        post("/jobs/" + job.id() + "/rules", Map.of("heat", "false"));
        assertThat(body(get("/rules"))).contains("/jobs/" + job.id() + "/rules/would");
        assertThat(body(get("/jobs/" + job.id() + "/rules/would"))).contains(": with the shop’s rules");
        assertThat(jobs.get(job.id()).details().rules().heatBalanceDecides()).isFalse();
    }

    /** Beside the switch: what another choice would do to the findings of the open jobs, before it is kept. */
    @Test
    void theEffectStandsBesideTheSwitch() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("series", "AWG", "current", "119 A", "length", "0.3 m", "drop", "10 %", "size", "8 AWG"));
        String path = "/jobs/" + job.id() + "/rules/effect";
        RulesPreview.Count now = preview.now(job);
        String said = body(postHtmx(path + "?field=heat", Map.of("heat", "false")));
        post("/jobs/" + job.id() + "/rules", Map.of("heat", "false"));
        RulesPreview.Count then = preview.now(job);
        assertThat(then).isNotEqualTo(now);
        assertThat(said)
                .contains("id=\"effect-heat\"")
                .contains(now.stops() + " stops and " + now.watches() + " to watch would be " + then.stops() + " and "
                        + then.watches());
        assertThat(body(postHtmx(path + "?field=practice-HEAT", Map.of("practice-HEAT", "FLAME"))))
                .contains("No finding of the open job changes");
        assertThat(jobs.get(job.id()).details().rules().practices().of(Practice.HEAT))
                .isEqualTo("GUN");
        assertThat(body(postHtmx("/rules/effect?field=heat", Map.of("heat", "true"))))
                .as("a job with its own rules too")
                .contains("Test job: ");
        assertThat(body(get("/rules"))).contains("Test job has another.");
        jobs.delete(job.id());
    }

    /** A bare figure is read as the job's own page reads it: in US units it is in °F. */
    @Test
    void theEffectIsReadInTheUnitsOfTheJob() {
        Job job = newJob(Units.US);
        newCable(job, Map.of());
        String path = "/jobs/" + job.id() + "/rules/effect?field=terminal";
        assertThat(body(postHtmx(path, Map.of("terminal", "167"))))
                .isEqualTo(body(postHtmx(path, Map.of("terminal", "75 °C"))));
        assertThat(body(postHtmx(path, Map.of("terminal", "75"))))
                .as("24 °C is below the range")
                .contains("from 104")
                .doesNotContain("No finding");
        jobs.delete(job.id());
    }

    @ParameterizedTest
    @CsvSource({"drop,lots", "lugs,0", "placement,MOON", "practice-LAY,NEITHER"})
    void theEffectOfWhatIsNoneIsItsFault(String field, String typed) {
        assertThat(body(postHtmx("/rules/effect?field=" + field, Map.of(field, typed))))
                .doesNotContain("would be", "No finding");
        assertThat(postHtmx("/rules/effect?field=none", Map.of())).hasStatus(404);
        assertThat(postHtmx("/jobs/0/rules/effect?field=" + field, Map.of())).hasStatus(404);
    }

    /** Each rule that is kept has its field on the page, in one group, with words. */
    @Test
    void everyRuleHasItsField() {
        var sheet = RuleSheet.byField(words);
        assertThat(sheet.keySet()).isEqualTo(RulesReader.texts(JobRules.USUAL).keySet());
        assertThat(sheet.values()).allSatisfy(rule -> {
            assertThat(rule.label()).isNotBlank();
            assertThat(rule.why()).hasSizeGreaterThan(20);
            assertThat(rule.options().isEmpty()).isNotEqualTo(rule.example().isEmpty());
        });
        assertThat(RuleSheet.of(words)).extracting(RuleSheet::group).containsExactly(RuleSheet.Group.values());
    }

    private double limit(Job job) {
        return board.of(job).open().stream()
                .filter(entry -> entry.finding().code() == FindingCode.FUSE_POSITION)
                .findFirst()
                .orElseThrow()
                .finding()
                .limit();
    }

    @ParameterizedTest
    @CsvSource({
        "fuseLoad,90",
        "fuseNext,some",
        "drop,lots",
        "drop,0",
        "lugs,0",
        "lugs,many",
        "bend,1",
        "bend,''",
        "placement,MOON",
        "heat,perhaps"
    })
    void aBadRuleIsKeptAndSaid(String field, String typed) {
        Job job = newJob(Units.METRIC);
        for (String page : new String[] {"/rules", "/jobs/" + job.id() + "/rules"}) {
            assertThat(post(page, Map.of(field, typed))).hasStatus(422);
        }
        assertThat(rules.rules()).isEqualTo(JobRules.USUAL);
        assertThat(jobs.get(job.id()).details().rules()).isEqualTo(JobRules.USUAL);
    }

    /** Every school of the bench can be chosen, is kept, and stands where the work is done. */
    @ParameterizedTest
    @EnumSource(Practice.class)
    void everySchoolCanBeChosen(Practice practice) {
        Job job = newJob(Units.METRIC);
        for (String option : practice.options()) {
            assertThat(post("/jobs/" + job.id() + "/rules", Map.of("practice-" + practice, option)))
                    .hasStatus(302);
            assertThat(jobs.get(job.id()).details().rules().practices().of(practice))
                    .isEqualTo(option);
            assertThat(body(get("/jobs/" + job.id() + "/rules")))
                    .contains("value=\"" + option + "\" selected=\"selected\"");
        }
        assertThat(post("/jobs/" + job.id() + "/rules", Map.of("practice-" + practice, "NEITHER")))
                .hasStatus(422);
    }

    @Test
    void theBenchFollowsTheHouse() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of());
        String bench = "/cables/" + cable.id() + "/bench/";
        assertThat(body(get(bench + "crimp-a"))).contains("One full stroke a crimp");
        assertThat(body(get(bench + "pull-a"))).contains("UL 486A-486B");
        post(
                "/jobs/" + job.id() + "/rules",
                Map.of("practice-PASSES", "QUARTER_TURN", "practice-PULL", "BY_AREA", "practice-CLICKS", "TWO"));
        assertThat(body(get(bench + "crimp-a"))).contains("turn by 90°");
        assertThat(body(get(bench + "pull-a"))).contains("IEC 61238-1");
        assertThat(body(get(bench + "torque-a"))).contains("click once more");
    }

    /** A changed rule says what it did to the findings of the job. */
    @Test
    void aChangedRuleSaysWhatItChanged() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of());
        var changed = post("/jobs/" + job.id() + "/rules", Map.of("practice-STROKE", "FULL_ONLY"));
        String address = changed.getResponse().getRedirectedUrl();
        assertThat(body(get(address))).contains("Before: ", "stops, ");
        assertThat(body(get("/rules"))).contains("Open jobs", "has its own", "as the shop");
    }

    @Test
    void contactsAreJoinedAsTheHouseDoes() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("series", "METRIC", "size", "16 mm²"));
        post("/jobs/" + job.id() + "/rules", Map.of("practice-SOLDER", "SOLDER_FILLED"));
        post("/cables/" + cable.id() + "/match/A", Map.of("family", "TWO_POLE"));
        assertThat(body(get("/cables/" + cable.id() + "/make")))
                .contains("Solder")
                .contains("Crimp · B end")
                .doesNotContain("Crimp · A end");
        post("/cables/" + cable.id() + "/match/B", Map.of("family", "PV"));
        assertThat(body(get("/cables/" + cable.id() + "/make"))).contains("Crimp · B end", "Solder · B end");
    }
}
