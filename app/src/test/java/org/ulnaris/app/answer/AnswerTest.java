package org.ulnaris.app.answer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;

class AnswerTest extends AppTest {
    @Autowired
    private LoadsService loads;

    @Autowired
    private AnswerService answers;

    private Document page(String line) {
        MvcTestResult result = mvc.get().uri("/").param("ask", line).exchange();
        assertThat(result).hasStatusOk();
        return Jsoup.parse(body(result));
    }

    /** What the first page says is what the job says that it becomes: size, verdict and fuse. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "180 A 2.4 m 24 V",
                "inverter 3 kW 24 V 1,8 m 2 %",
                "winch 5000 W 12 V 14 ft 10 %",
                "winch 5000 W 12 V 14 ft 10 % 2 min",
                "starter 400 A 12 V 2 m 10 s",
                "charger 30 A 12 V 3 m",
                "solar 430 W 12 V 6 m 2 %",
                "alternator 95 A 12 V 4 m on M6",
                "thruster 3 kW 12 V 6 m 10 % 3 min on M10",
                "20 A 6 m 12 V on M6",
                "heater 400 W 12 V 3 m",
                "starter 600 A 1.5 m 12 V",
                "100 A 5 m 48 V 30 °C 200 Ah M8 M10",
                "35 mm² 120 A 2 m 12 V",
                "2 kW 12 V 9 m",
                "0.2 A 1 m",
                "10 A 3 m 24 V on #10",
                "180 A 2.4 m 24 V 50 Ah",
                "180 A 1.5 m 12 V",
                "50 A 2 m 12 V on 5/16",
                "60 amps, 14 ft 6 in, 12 volts",
                "900 A 12 m 12 V"
            })
    void theAnswerIsThatOfTheJobItBecomes(String line) {
        Document page = page(line);
        AnswerService.Answer answer = answers.answer(Line.read(line)).orElseThrow();
        Cable kept = answers.keep(Line.read(line)).orElseThrow();
        WorkedCable worked = worked(kept);
        assertThat(page.select(".answer-size").text())
                .startsWith(worked.rung().size().name() + " ");
        assertThat(answer.cable().verdict()).isEqualTo(worked.verdict());
        Verdict whole = works.of(kept.jobId()).verdict();
        assertThat(page.select(".answer-why .verdict").first().className()).contains("v-" + whole);
        assertThat(page.select(".answer-why").text().length() > 12).isEqualTo(whole.asks());
        assertThat(answer.cable().rung().size()).isEqualTo(worked.rung().size());
        assertThat(answer.cable().plan().a().termination().code())
                .isEqualTo(worked.plan().a().termination().code());
        assertThat(get("/jobs/" + kept.jobId() + "/layout")).hasStatusOk();
    }

    /** A short way to a load on a large battery: what is said of the fuse holds on the board as well. */
    @Test
    void theFuseGoesIntoTheJob() {
        AnswerService.Answer answer =
                answers.answer(Line.read("180 A 2.4 m 24 V on M8")).orElseThrow();
        assertThat(answer.fuse()).isNotNull();
        assertThat(answer.fuse().ratingA()).isGreaterThanOrEqualTo(1.25 * 180);
        assertThat(answer.cable().verdict()).isNotEqualTo(Verdict.STOP);
        Cable kept = answers.keep(Line.read("180 A 2.4 m 24 V on M8")).orElseThrow();
        String loads = body(get("/jobs/" + kept.jobId() + "/loads"));
        assertThat(loads).contains(new Fmt(Units.METRIC).entry(answer.fuse().ratingA(), Unit.AMPERE));
    }

    /** Common practice: an inverter of these powers runs off its battery over one fuse, and nothing about that is a stop. */
    @ParameterizedTest
    @CsvSource({"12, 500, 3000", "24, 1000, 6000", "48, 2000, 10000"})
    void usualInvertersHaveTheirFuse(int volt, int from, int to) {
        for (int watt = from; watt <= to; watt += 500) {
            String line = "inverter " + watt + " W " + volt + " V 1.2 m on M10";
            AnswerService.Answer answer = answers.answer(Line.read(line)).orElseThrow();
            assertThat(answer.fuse()).as(line).isNotNull();
            assertThat(answer.worked().findings().stream()
                            .filter(said -> said.finding().stops() && said.topic() != Topic.END))
                    .as(line)
                    .isEmpty();
            assertThat(answer.fuse().ratingA()).as(line).isGreaterThanOrEqualTo(watt / (1.2 * volt));
        }
    }

    /** Two amperes of lights are not wired from a class T on the battery's post. */
    @Test
    void aSmallLoadMayHangOnABlockBehindTheMainFuse() {
        String block = "a blade in the block behind your main fuse";
        assertThat(page("lights 2 A 12 V 3 m").select(".answer").text()).contains(block);
        assertThat(page("pump 20 A 12 V 3 m").select(".answer").text()).contains(block);
        assertThat(page("180 A 2.4 m 24 V").select(".answer").text()).doesNotContain(block);
    }

    /** A short circuit that only the kind of the battery speaks of is asked for, not stopped; far beyond every fuse it is. */
    @Test
    void aLargeBatteryIsAskedForItsResistance() {
        AnswerService.Answer answer =
                answers.answer(Line.read("inverter 2 kW 12 V 1.2 m 500 Ah")).orElseThrow();
        assertThat(answer.fuse().ratingA()).isEqualTo(300);
        Cable kept = answers.keep(Line.read("inverter 2 kW 12 V 1.2 m 500 Ah")).orElseThrow();
        assertThat(works.of(kept.jobId()).verdict()).isEqualTo(Verdict.WATCH);
        String board = body(get("/jobs/" + kept.jobId() + "/findings"));
        long bank = loads.idOf(kept.jobId(), "BANK").orElseThrow();
        assertThat(board).contains("ask the battery’s maker", "/equipment/" + bank + "#f-ohm");
        assertThat(post("/equipment/" + bank, Map.of("ohm", "0.3 mΩ"))).hasStatus(302);
        assertThat(works.of(kept.jobId()).verdict())
                .as("its own resistance lets less through")
                .isEqualTo(Verdict.PASS);
    }

    /** What nobody understood may have been what matters: nothing passes then. */
    @Test
    void aWordThatIsNotTakenIsNoPass() {
        assertThat(page("180 A 2.4 m 24 V").select(".answer-why .v-PASS")).hasSize(1);
        Document page = page("180 A 2.4 m 24 V frob");
        assertThat(page.select(".answer-why .v-OPEN")).hasSize(1);
        assertThat(page.select(".answer-why").text()).contains("Left out: frob");
    }

    /** A size by hand stays what it is: its reason is what the load loses, not what a tightened share would say. */
    @Test
    void aSizeByHandIsHeldAgainstTheWholePath() {
        assertThat(page("35 mm² 120 A 2 m 12 V").select(".answer-why").text())
                .contains("Stop")
                .contains("LOAD, Drop of the path");
        assertThat(page("25 mm² 120 A 2 m 12 V").select(".answer-why").text()).contains("Stop Drop: 3");
    }

    /** Where the drop decides, fuse and post take their part of it: the cables are sized for what they leave. */
    @Test
    void theWholePathKeepsItsDrop() {
        for (String line : List.of("20 A 6 m 12 V", "180 A 1.5 m 12 V", "100 A 9 m 24 V", "40 A 20 m 48 V 2 %")) {
            AnswerService.Answer answer = answers.answer(Line.read(line)).orElseThrow();
            assertThat(answer.drop().orElseThrow().verdict()).as(line).isEqualTo(Verdict.PASS);
        }
    }

    @Test
    void everyWordIsEchoed() {
        Document page = page("180 A frob 2,4 m 24");
        assertThat(page.select(".gloss-word b").eachText()).containsExactly("180 A", "frob", "2,4 m", "24");
        assertThat(page.select(".gloss-word.doubtful b").eachText()).containsExactly("frob", "24");
        assertThat(page.select(".gloss-word").get(2).text()).contains("loop 4.8");
        assertThat(page.select(".offers a").eachAttr("data-line")).contains("180 A frob 2,4 m 24 V");
    }

    @Test
    void anEndAlone() {
        Document page = page("2/0 on M10");
        assertThat(page.select(".answer-size").text()).isEqualTo("2/0 AWG");
        assertThat(page.select(".answer-known").text()).contains("3.28 ft long");
        assertThat(page.select(".answer-end h2").text()).contains("M10");
        assertThat(page.select(".answer-end dt").eachText()).contains("Lug", "Crimp", "Strip", "Sleeve", "Torque");
    }

    @Test
    void withoutAStudBothUsualOnesAreShown() {
        assertThat(page("180 A 2.4 m 24 V")
                        .select(".answer-end h2 > span:first-child")
                        .eachText())
                .containsExactly("On M8", "On M10");
        assertThat(page("180 A 2.4 m 24 V M8 M10")
                        .select(".answer-end h2 > span:first-child")
                        .eachText())
                .containsExactly("A end, M8", "B end, M10");
    }

    /**
     * A winch that works for good heats its terminals at any size; for two minutes in ten it does not, and its cable is as thick as a fuse
     * that lets it work asks.
     */
    @Test
    void spellsOfWorkAreSaidAndCounted() {
        Document good = page("winch 5000 W 12 V 14 ft 10 %");
        assertThat(good.select(".answer-why .verdict").first().className())
                .as("terminals that nobody has spoken of ask, and stop nothing")
                .contains("v-WATCH");
        assertThat(good.select(".answer").text()).doesNotContain("No size passes");
        assertThat(good.select(".ways").text()).contains("2 min");
        assertThat(good.select(".answer-known").text()).contains("works without a rest");
        Document spells = page("winch 5000 W 12 V 14 ft 10 % 2 min");
        assertThat(spells.select(".answer-size").text()).startsWith("4/0 ");
        assertThat(spells.select(".answer-why .verdict").first().className()).contains("v-WATCH");
        assertThat(spells.select(".answer-decided").text()).startsWith("The fuse decides");
        assertThat(spells.select(".gloss").text()).contains("rests 8 min");
        assertThat(spells.select("#keep-job option")).hasSize(1);
    }

    /** In a job, too: what mends it stands beside the stop, and mends it. */
    @Test
    void aMotorThatRestsIsMendedAtTheMotor() {
        Cable kept = answers.keep(Line.read("winch 5000 W 12 V 14 ft 10 %")).orElseThrow();
        String page = "/cables/" + kept.id() + "/plan";
        assertThat(body(get(page)))
                .contains("Does it feed a motor that rests?", "unmarked terminals are assumed good for")
                .doesNotContain("by hand");
        long winch = loads.idOf(kept.jobId(), "LOAD").orElseThrow();
        assertThat(post("/equipment/" + winch, Map.of("dutyOn", "2 min", "dutyOff", "8 min")))
                .hasStatus(302);
        assertThat(body(get(page))).doesNotContain("Does it feed a motor that rests?");
        assertThat(works.of(kept.jobId()).verdict()).isEqualTo(Verdict.WATCH);
    }

    /** Less heat never leads to a worse answer. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "thruster 3 kW 12 V 6 m 10 %",
                "windlass 1000 W 12 V 9 m 10 %",
                "winch 200 A 12 V 4 m 10 %",
                "winch 120 A 24 V 10 m 5 %",
                "pump 30 A 12 V 4 m",
                "hoist 6 kW 48 V 8 m"
            })
    void aSpellIsNeverWorseThanForGood(String line) {
        Verdict good = answers.answer(Line.read(line)).orElseThrow().worked().verdict();
        for (String time : List.of(" 10 s", " 2 min", " 20 min")) {
            assertThat(answers.answer(Line.read(line + time))
                            .orElseThrow()
                            .worked()
                            .verdict())
                    .as(time)
                    .isLessThanOrEqualTo(good);
        }
    }

    /** A load that rests is one of a job: kept in another job, its cable alone would be judged as for good. */
    @Test
    void aLineWithSpellsBecomesAJobOfItsOwn() {
        Job job = newJob(Units.METRIC);
        Cable kept = answers.keep(Line.read("winch 400 A 12 V 2 m 10 % 2 min"), job.id())
                .orElseThrow();
        assertThat(kept.jobId()).isNotEqualTo(job.id());
        assertThat(body(get("/jobs/" + kept.jobId() + "/loads"))).contains("120 s", "480 s");
        assertThat(body(get("/cables/" + kept.id() + "/plan")))
                .contains("A load runs 120" + Fmt.SPACE + "s and rests 480" + Fmt.SPACE + "s");
    }

    /** No verdict of an end stands without its reason beside it. */
    @ParameterizedTest
    @ValueSource(strings = {"winch 5000 W 12 V 14 ft 10 %", "240 mm² on M8", "20 A 6 m 12 V on M12", "900 A 12 m 12 V"})
    void whyAnEndIsNoPassStandsBesideIt(String line) {
        assertThat(page(line).select(".answer-end"))
                .isNotEmpty()
                .allSatisfy(end -> assertThat(end.select(".answer-reason").isEmpty())
                        .isEqualTo(
                                !end.select(".verdict.v-PASS, .verdict.v-NOTE").isEmpty()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"180 A; How far is it", "2.4 m; What flows", "hello; What flows"})
    void whatIsMissingIsAskedFor(String line, String asked) {
        Document page = page(line);
        assertThat(page.select(".ask-missing").text()).startsWith(asked);
        assertThat(page.select(".answer")).isEmpty();
        assertThat(page.select("#ask").val()).isEqualTo(line);
    }

    /** Whatever its figures, a line has an answer or a reason why not, and so has what is kept of it. */
    @ParameterizedTest
    @ValueSource(strings = {"", "inverter", "winch", "starter", "charger", "alternator", "heater", "lights"})
    void noFigureIsTooMuch(String load) {
        for (String flows : List.of("0.01 A", "5000 A", "0.1 W", "999 kW")) {
            for (String volt : List.of("0.5 V", "48 V", "1500 V")) {
                for (String rest : List.of("1 mm", "500 m 50 % 20000 Ah 1 s", "2 m 0.1 Ah 24 h M12")) {
                    String line = String.join(" ", load, flows, volt, rest).strip();
                    Document page = page(line);
                    assertThat(page.select(".answer, .ask-missing")).as(line).hasSize(1);
                }
            }
        }
    }

    @Test
    void aLineCanBeSent() {
        MvcTestResult result =
                mvc.get().uri("/answer").param("ask", "180 A 2.4 m 24 V 100%").exchange();
        assertThat(result).hasStatusOk().containsHeader("HX-Replace-Url");
        assertThat(result.getResponse().getHeader("HX-Replace-Url"))
                .isEqualTo("/?ask=180%20A%202.4%20m%2024%20V%20100%25");
    }

    @Test
    void aCableGoesIntoAJobThatIsThere() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "PLUS"));
        assertThat(post(
                        "/answer/keep",
                        Map.of("ask", "180 A 2.4 m 24 V on M10", "job", job.id().toString())))
                .hasStatus(302);
        List<Cable> all = cables.of(job.id());
        assertThat(all).extracting(cable -> cable.details().tag()).containsExactly("PLUS", "PLUS-2", "MINUS");
        assertThat(worked(all.get(1)).carried().currentA()).isEqualTo(180);
        assertThat(worked(all.get(1)).plan().b().landing().stud().name()).isEqualTo("M10");
    }

    @Test
    void aLineOfAnotherVoltageIsNotKeptInAJob() {
        Job job = newJob(Units.METRIC);
        String ask = "heater 1 kW 12 V 4 m";
        MvcTestResult refused =
                post("/answer/keep", Map.of("ask", ask, "job", job.id().toString()));
        assertThat(refused).hasStatus(422);
        assertThat(Jsoup.parse(body(refused))
                        .select(".answer-keep .field-error")
                        .text())
                .contains("24", "the line says 12");
        assertThat(Jsoup.parse(body(refused))
                        .select("#keep-job option[selected]")
                        .val())
                .isEqualTo(job.id().toString());
        assertThat(Jsoup.parse(body(refused)).select("#ask").val()).isEqualTo(ask);
        assertThat(cables.of(job.id())).isEmpty();
    }

    /** 1 kW on 24 V; the line alone would have been taken for 12 V. */
    @Test
    void aLineWithoutAVoltageTakesThatOfTheJob() {
        Job job = newJob(Units.METRIC);
        assertThat(post(
                        "/answer/keep",
                        Map.of("ask", "inverter 1 kW 4 m", "job", job.id().toString())))
                .hasStatus(302);
        double inJob = worked(cables.of(job.id()).get(0)).carried().currentA();
        double byItself = answers.answer(Line.read("inverter 1 kW 4 m 24 V"))
                .orElseThrow()
                .cable()
                .carried()
                .currentA();
        assertThat(inJob).isCloseTo(byItself, within(0.005 * byItself));
        assertThat(body(get("/?ask=180 A 2 m"))).contains(job.details().name() + ", 24");
    }

    /** Nobody said what flows: neither in a new job nor in one that is there may the cable pass. */
    @Test
    void aCableWithoutACurrentIsNoPass() {
        Line line = Line.read("2/0 on M10");
        Job job = newJob(Units.METRIC);
        for (Cable kept : List.of(
                answers.keep(line).orElseThrow(), answers.keep(line, job.id()).orElseThrow())) {
            assertThat(worked(kept).rung().size().designation()).isEqualTo("2/0 AWG");
            assertThat(worked(kept).verdict()).isEqualTo(Verdict.OPEN);
            assertThat(worked(kept).carried().known()).isFalse();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "180 A", "'\"><script>alert(1)</script>", "180 A 2 m ${7*7}"})
    void nothingIsKeptOfTooLittleAndNothingIsLost(String line) {
        MvcTestResult result = post("/answer/keep", Map.of("ask", line));
        if (answers.answer(Line.read(line)).isPresent()) {
            assertThat(result).hasStatus(302);
        } else {
            assertThat(result).hasStatus(422);
            assertThat(Jsoup.parse(body(result)).select("#ask").val()).isEqualTo(line);
        }
        assertThat(page(line).select("script:not([src])")).isEmpty();
    }

    /** Back and Keep again is one job; changed since, it is another. */
    @Test
    void keptAgainItIsOneJob() {
        String line = "heater 61 A 12 V 3.1 m";
        String first = post("/answer/keep", Map.of("ask", line)).getResponse().getRedirectedUrl();
        int before = jobs.all().size();
        assertThat(post("/answer/keep", Map.of("ask", line)).getResponse().getRedirectedUrl())
                .isEqualTo(first);
        assertThat(jobs.all()).hasSize(before);
        assertThat(post("/answer/keep", Map.of("ask", line + " 5 %"))
                        .getResponse()
                        .getRedirectedUrl())
                .isNotEqualTo(first);
        Cable kept = cables.get(Long.parseLong(first.replaceAll("\\D+(\\d+).*", "$1")));
        cables.change(kept.id(), kept.details().carrying(77));
        assertThat(post("/answer/keep", Map.of("ask", line)).getResponse().getRedirectedUrl())
                .isNotEqualTo(first);
        assertThat(jobs.all()).hasSize(before + 2);
    }
}
